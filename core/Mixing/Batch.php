<?php

declare(strict_types=1);

namespace Aqbel\Core\Mixing;

/** What is in the mixing vessel so far. */
final readonly class Batch
{
    /** Stock no stronger than this above what is wanted cannot strengthen anything. */
    private const NEAR = 0.01;

    private function __construct(public float $ml, public float $glycolMl)
    {
    }

    public static function empty(): self
    {
        return new self(0.0, 0.0);
    }

    public function with(float $ml, float $fraction): self
    {
        return new self($this->ml + $ml, $this->glycolMl + $ml * $fraction);
    }

    /** Glycol by volume; null while it is empty. */
    public function fraction(): ?float
    {
        return $this->ml > 0.0 ? $this->glycolMl / $this->ml : null;
    }

    /**
     * What still goes in, so that it fills the circuit with its spare at the strength the mix asks for, rounded to the
     * marks of the vessel. A batch that is too strong or too weak for that is made larger until it fits.
     *
     * @param  float  $batchMl  wanted in all, its spare included
     * @param  float  $markMl  from mark to mark of the vessel
     * @return array{float, float} mL of stock, then of water
     */
    public function missing(Mix $mix, float $batchMl, float $markMl): array
    {
        $wanted = $mix->bucketFraction();
        $total = max($batchMl, $this->ml);
        if ($this->ml > 0.0 && $wanted > 0.0 && $this->glycolMl > $wanted * $total) {
            $total = $this->glycolMl / $wanted;
        } elseif ($this->isTooWeak($mix, $total)) {
            $total = ($mix->stockFraction * $this->ml - $this->glycolMl) / ($mix->stockFraction - $wanted);
        }
        $room = $total - $this->ml;
        $stock = round(
            max(0.0, min($room, ($total * $wanted - $this->glycolMl) / $mix->stockFraction)) / $markMl,
        ) * $markMl;

        return [$stock, max(0.0, round($room / $markMl) * $markMl - $stock)];
    }

    /** Whether even stock alone, up to this total, would leave it too weak, and a larger batch can be made right. */
    private function isTooWeak(Mix $mix, float $totalMl): bool
    {
        $wanted = $mix->bucketFraction();
        $lacks = $totalMl * $wanted - $this->glycolMl;

        return $this->ml > 0.0
            && $lacks > ($totalMl - $this->ml) * $mix->stockFraction
            && $mix->stockFraction - $wanted > self::NEAR;
    }
}
