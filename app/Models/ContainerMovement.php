<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Into a container (positive) or out of it: by a line of a job's journal, or counted by hand.
 *
 * @property int $container_id
 * @property float $ml
 * @property string $note
 */
class ContainerMovement extends Model
{
    protected $table = 'container_movements';

    protected $guarded = [];

    protected $casts = ['ml' => 'float'];
}
