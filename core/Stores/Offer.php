<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

use Aqbel\Core\Matter\Glycol;

/** A container the shop can buy. Water has neither base nor family. */
final readonly class Offer
{
    /** Two strengths nearer than this are one, as far as a label tells. */
    public const ABOUT = 0.02;

    /** @param  float  $fraction  of glycol by volume: 1 for concentrate, 0 for water */
    public function __construct(
        public string $id,
        public Liquid $liquid,
        public float $ml,
        public float $price,
        public float $fraction = 1.0,
        public ?Glycol $base = null,
        public string $inhibitor = '',
    ) {
    }

    /** Whether it may go into a circuit that asks for this base and inhibitor family. */
    public function suits(Glycol $base, string $inhibitor): bool
    {
        return $this->liquid === Liquid::Water
            || ($this->base === $base && self::folded($this->inhibitor) === self::folded($inhibitor));
    }

    public function isAbout(float $fraction): bool
    {
        return abs($this->fraction - $fraction) < self::ABOUT;
    }

    /** A family's name as it is compared: spelling is folded, nothing else. */
    public static function folded(string $family): string
    {
        return mb_strtolower(trim((string) preg_replace('/[\s,]+/u', ' ', $family)));
    }
}
