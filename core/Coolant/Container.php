<?php

declare(strict_types=1);

namespace Aqbel\Core\Coolant;

use Aqbel\Core\Fluid\Coolant;
use Aqbel\Core\Fluid\GlycolBase;

/** A part-used container on the shop's shelf: what is in it, as its label says. */
final readonly class Container
{
    public function __construct(public string $id, public string $kind, public float $ml, public float $fraction, public GlycolBase $base, public string $inhibitor, public string $from = '')
    {
    }

    /** Water suits every circuit; glycol only its own base and family. */
    public function suits(GlycolBase $base, string $inhibitor): bool
    {
        return $this->kind === Offer::WATER || ($this->base === $base && Offer::folded($this->inhibitor) === Offer::folded($inhibitor));
    }

    /** What is written on it, e.g. "50 % glycol by volume · ethylene glycol, family A". */
    public function label(): string
    {
        if ($this->kind === Offer::WATER) {
            return 'Distilled or deionised water';
        }

        return ($this->kind === Offer::CONCENTRATE ? 'Concentrate' : round($this->fraction * 100).' % glycol by volume')
            .' · '.mb_strtolower($this->base->label()).($this->inhibitor === '' ? '' : ", {$this->inhibitor}");
    }

    /** °C down to which it does not freeze. */
    public function freezePointC(): float
    {
        return (new Coolant($this->base, $this->fraction))->freezePoint()->degC();
    }
}
