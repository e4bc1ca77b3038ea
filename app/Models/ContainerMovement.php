<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Stores\Moved;
use Aqbel\Core\Stores\Movement;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Into a container (positive) or out of it: by a line of a job's journal, or counted by hand.
 *
 * @property int $container_id
 * @property ?int $job_id
 * @property float $ml  of a count: what it changed
 * @property ?float $plus_minus_ml  within which 95 % of such amounts lie; null where nobody told
 * @property ?float $counted_ml  what is in it by a count
 * @property Moved $note
 * @property string $remark  to whom, or under which paper
 * @property Person $person
 * @property ?Job $job
 * @property Carbon $created_at
 */
class ContainerMovement extends Row
{
    protected $table = 'container_movements';

    protected $casts = ['ml' => 'float', 'plus_minus_ml' => 'float', 'counted_ml' => 'float', 'note' => Moved::class];

    public function movement(): Movement
    {
        return new Movement($this->note, $this->ml, $this->counted_ml, $this->plus_minus_ml);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }
}
