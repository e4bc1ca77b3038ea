<?php

declare(strict_types=1);

namespace Aqbel\Core\Ledger;

/**
 * What went in and out. At any time: content, glycol fraction, void and trapped air, each with its uncertainty (root sum
 * of squares of the lines and of the capacity).
 */
final readonly class Ledger
{
    /** Capacities in manuals are rounded (common practice, no source). */
    private const CAPACITY_SHARE = 0.01;

    public float $contentMl;

    public float $glycolMl;

    public float $plusMinusMl;

    /** @param  list<Line>  $lines */
    public function __construct(public float $capacityMl, public float $headspaceMl, public array $lines)
    {
        [$content, $glycol, $squares] = [0.0, 0.0, 0.0];
        foreach ($lines as $line) {
            $fraction = $line->fraction ?? ($content > 0.0 ? $glycol / $content : 0.0);
            $glycol = max(0.0, $glycol + $line->ml * $fraction);
            $content += $line->ml;
            $squares += $line->plusMinusMl ** 2;
        }
        $this->contentMl = $content;
        $this->glycolMl = $glycol;
        $this->plusMinusMl = sqrt($squares);
    }

    /** Null while the circuit is known to hold next to nothing. */
    public function fraction(): ?float
    {
        return $this->contentMl > 1.0 ? min(1.0, $this->glycolMl / $this->contentMl) : null;
    }

    public function voidMl(): float
    {
        return $this->capacityMl - $this->contentMl;
    }

    /** Capacity − headspace − content. Compare with trappedAirPlusMinusMl() before believing a small number. */
    public function trappedAirMl(): float
    {
        return $this->capacityMl - $this->headspaceMl - $this->contentMl;
    }

    public function trappedAirPlusMinusMl(): float
    {
        return sqrt($this->plusMinusMl ** 2 + (self::CAPACITY_SHARE * $this->capacityMl) ** 2);
    }

    public function inMl(): float
    {
        return array_sum(array_map(fn (Line $l) => max(0.0, $l->ml), $this->lines));
    }

    public function outMl(): float
    {
        return array_sum(array_map(fn (Line $l) => max(0.0, -$l->ml), $this->lines));
    }
}
