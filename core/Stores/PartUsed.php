<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Matter\Mixture;

/** A part-used container on the shop's shelf: what is in it, as its label says. */
final readonly class PartUsed
{
    /** What is in a can is read to so many mL. */
    public const MARK_ML = 50.0;

    /**
     * @param  string  $from  number of the job it was left over from; empty when it came otherwise
     * @param  float  $withinMl  no better than so is known what is in it
     */
    public function __construct(
        public string $id,
        public Liquid $liquid,
        public float $ml,
        public float $fraction,
        public Glycol $base,
        public string $inhibitor,
        public string $from = '',
        public float $withinMl = self::MARK_ML,
    ) {
    }

    /** No more comes out of it. */
    public function mostMl(): float
    {
        return $this->ml + $this->withinMl;
    }

    /** Water suits every circuit; glycol only its own base and family. */
    public function suits(Glycol $base, string $inhibitor): bool
    {
        return $this->liquid === Liquid::Water
            || ($this->base === $base && Offer::folded($this->inhibitor) === Offer::folded($inhibitor));
    }

    public function isAbout(float $fraction): bool
    {
        return abs($this->fraction - $fraction) < Offer::ABOUT;
    }

    /** What is written on it, e.g. "50 % glycol by volume · ethylene glycol, family A". */
    public function label(): string
    {
        if ($this->liquid === Liquid::Water) {
            return $this->liquid->label();
        }
        $strength = $this->liquid === Liquid::Concentrate
            ? $this->liquid->label()
            : round($this->fraction * 100).' % glycol by volume';

        return "{$strength} · ".mb_strtolower($this->base->label()).(
            $this->inhibitor === '' ? '' : ", {$this->inhibitor}"
        );
    }

    /** °C down to which it does not freeze. */
    public function freezePointC(): float
    {
        return (new Mixture($this->base, $this->fraction))->freezePoint()->degC();
    }
}
