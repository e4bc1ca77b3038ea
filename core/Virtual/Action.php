<?php

declare(strict_types=1);

namespace Aqbel\Core\Virtual;

/** Something done to the vehicle, at a moment. */
final readonly class Action
{
    public const KINDS = [
        'start',
        'stop',
        'rpm',
        'heater',
        'blower',
        'cap',
        'pull',
        'valve',
        'pump',
        'release',
        'pour',
        'drain',
    ];

    /**
     * @param  float  $value  rpm; 0 to 1 for heater and blower; 1 for a cap
     * that is on; inHg that are pulled; kPa that are pumped; mL
     */
    public function __construct(public float $atS, public string $kind, public float $value = 0.0)
    {
    }
}
