<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** Why a school cannot be taken: in a few words for the comparison, and with the remedy where somebody asked for it. */
final readonly class Misfit
{
    /** What it fills leaves a jacket dry. */
    public const DRY = 'leaves_jackets_dry';

    /** Of a circuit that names no place where air could leave: most that are built have one. */
    public const NAMES_NO_WAY_OUT = 'A vent line or bleed point that this vehicle has and its circuit does not name would let that '
        .'air out: add it to the circuit.';

    public function __construct(public string $code, public string $because, public string $remedy)
    {
    }
}
