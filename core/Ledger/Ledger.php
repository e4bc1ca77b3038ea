<?php

declare(strict_types=1);

namespace Aqbel\Core\Ledger;

/**
 * What went in and out. At any time: content, glycol fraction, void and trapped air, each with the range in which 95
 * of 100 such jobs lie (root sum of squares of the lines and of the capacity).
 */
final readonly class Ledger
{
    /** Capacities in manuals are rounded, engines differ (common practice, no source). */
    private const CAPACITY_SHARE = 0.02;

    private const NEXT_TO_NOTHING_ML = 1.0;

    public float $contentMl;

    public float $glycolMl;

    public float $plusMinusMl;

    /** By vessels alone, however roughly something was told. */
    public float $readWithinMl;

    /** Of the glycol share. */
    public float $glycolPlusMinus;

    private float $capacityPlusMinusMl;

    /** What is left of the coolant that was in the circuit before the work, with perfect mixing at every drain. */
    public float $oldMl;

    /** @var list<LedgerStep> every line with the state it leaves */
    public array $steps;

    /** @var list<Line> what moved: of what has gone, as much as it was */
    public array $lines;

    /**
     * @param  list<Line>  $lines
     * @param  ?float  $capacityPlusMinusMl  where the manual gives one
     */
    public function __construct(
        public float $capacityMl,
        public float $headspaceMl,
        array $lines,
        ?float $capacityPlusMinusMl = null,
    ) {
        $this->capacityPlusMinusMl = $capacityPlusMinusMl ?? self::CAPACITY_SHARE * $capacityMl;
        [$content, $glycol, $old, $squares, $told, $steps] = [0.0, 0.0, 0.0, 0.0, 0.0, []];
        $byLine = [];
        foreach ($lines as $line) {
            if ($line->overMark) {
                $line = Line::gone($line->label, min(0.0, $capacityMl - $headspaceMl - $content));
            }
            if ($line->overMark && $line->ml >= 0.0) {
                continue;
            }
            $inside = $content > 0.0 ? $glycol / $content : 0.0;
            $fraction = $line->fraction ?? $line->mixes * $inside;
            $glycol = max(0.0, $glycol + $line->ml * $fraction);
            $oldMoved = match (true) {
                $line->ml >= 0.0 => $line->ml * $line->old,
                $content > 0.0 => $line->ml * $line->mixes * $old / $content,
                default => 0.0,
            };
            $old = max(0.0, $old + $oldMoved);
            $content += $line->ml;
            $squares += $line->plusMinusMl ** 2;
            $told += $line->toldWithinMl() ** 2;
            $byLine = self::carried($byLine, $line, $line->fraction ?? $inside, $content - $line->ml, $content);
            $steps[] = new LedgerStep(
                $line,
                $content,
                $content > self::NEXT_TO_NOTHING_ML ? min(1.0, $glycol / $content) : null,
            );
        }
        $this->contentMl = $content;
        $this->glycolMl = $glycol;
        $this->oldMl = $old;
        $this->steps = $steps;
        $this->lines = array_map(fn (LedgerStep $step) => $step->line, $steps);
        $this->plusMinusMl = sqrt($told);
        $this->readWithinMl = sqrt($squares);
        $this->glycolPlusMinus = $content > self::NEXT_TO_NOTHING_ML ? self::offBy($byLine, $content, $glycol) : 0.0;
    }

    /** Null while the circuit is known to hold next to nothing. */
    public function fraction(): ?float
    {
        return $this->contentMl > self::NEXT_TO_NOTHING_ML ? min(1.0, $this->glycolMl / $this->contentMl) : null;
    }

    /** On the floor or in rags, mL. */
    public function lostMl(): float
    {
        return -array_sum(array_map(fn (Line $line) => $line->lost ? $line->ml : 0.0, $this->lines));
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

    /** By vessels and capacity: what opens a gate opens no wider because somebody told an amount roughly. */
    public function trappedAirPlusMinusMl(): float
    {
        return hypot($this->readWithinMl, $this->capacityPlusMinusMl);
    }

    /** With how roughly it was told: what is shown, and what an impossible sum has to be beyond. */
    public function trappedAirToldWithinMl(): float
    {
        return hypot($this->plusMinusMl, $this->capacityPlusMinusMl);
    }

    /**
     * The one line told more roughly than all the rest of the sum is known:
     * one exact number there settles it. Null where none is.
     */
    public function hangsOn(): ?Line
    {
        foreach ($this->lines as $line) {
            $rest = $this->trappedAirToldWithinMl() ** 2 - $line->toldWithinMl() ** 2;
            if ($line->roughMl ** 2 > max($rest, $line->plusMinusMl ** 2)) {
                return $line;
            }
        }

        return null;
    }

    /**
     * By how much each line, read too high by its ±, would change content and glycol; mL.
     *
     * @param  list<array{float, float}>  $byLine
     * @return list<array{float, float}>
     */
    private static function carried(array $byLine, Line $line, float $fraction, float $before, float $after): array
    {
        if ($line->fraction === null && $before > 0.0) {
            // What runs out has the strength of what is inside: it takes from every line before in the same share.
            $share = max(0.0, 1.0 - $line->mixes * (1.0 - $after / $before));
            foreach ($byLine as $i => [$content, $glycol]) {
                $byLine[$i] = [$content, $fraction * $content + ($glycol - $fraction * $content) * $share];
            }
        }
        $byLine[] = [$line->plusMinusMl, $line->mixes * $fraction * $line->plusMinusMl];
        if ($line->mixes < 1.0) {
            // Anything between not at all and as a whole.
            $byLine[] = [0.0, $line->ml * $fraction * (1.0 - $line->mixes)];
        }

        return $byLine;
    }

    /** @param  list<array{float, float}>  $byLine */
    private static function offBy(array $byLine, float $content, float $glycol): float
    {
        $squares = 0.0;
        foreach ($byLine as [$more, $moreGlycol]) {
            $squares += (($moreGlycol - $glycol / $content * $more) / $content) ** 2;
        }

        return sqrt($squares);
    }

    /** The old coolant's share of the circuit once it is full again. */
    public function oldShare(): float
    {
        $full = $this->capacityMl - $this->headspaceMl;

        return $full > 0.0 ? min(1.0, $this->oldMl / $full) : 0.0;
    }

    /** What stood in it before the work, mL. */
    public function foundMl(): float
    {
        return array_sum(array_map(fn (Line $l) => $l->found ? $l->ml : 0.0, $this->lines));
    }

    /** With what was found in it. */
    public function inMl(): float
    {
        return array_sum(array_map(fn (Line $l) => max(0.0, $l->ml), $this->lines));
    }

    public function outMl(): float
    {
        return array_sum(array_map(fn (Line $l) => max(0.0, -$l->ml), $this->lines));
    }
}
