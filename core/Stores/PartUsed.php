<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Matter\Mixture;

/** A part-used container on the shop's shelf: what is in it, as its label says. */
final readonly class PartUsed
{
    public function __construct(public string $id, public string $kind, public float $ml, public float $fraction, public Glycol $base, public string $inhibitor, public string $from = '')
    {
    }

    /** Water suits every circuit; glycol only its own base and family. */
    public function suits(Glycol $base, string $inhibitor): bool
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
        return (new Mixture($this->base, $this->fraction))->freezePoint()->degC();
    }
}
