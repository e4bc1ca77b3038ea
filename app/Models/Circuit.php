<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Circuit\Circuit as CoreCircuit;
use Aqbel\Core\Circuit\CircuitReader;
use Illuminate\Database\Eloquent\Model;

/**
 * One revision of a vehicle model's circuit.
 *
 * @property string $name
 * @property array<string, mixed> $document
 */
class Circuit extends Model
{
    protected $guarded = [];

    protected $casts = ['document' => 'array'];

    public function read(): CoreCircuit
    {
        return CircuitReader::read($this->document);
    }
}
