<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Quantity\Unit;

/**
 * What the next jug of a vacuum fill must hold, so that the whole circuit lands on its target: what is still to come,
 * by the needle, at the strength that what is inside leaves to be made up.
 */
final readonly class NextJug
{
    /** Nearer to the target than this nothing was missed: what a refractometer reads (common practice, no source). */
    private const OFF = 0.02;

    /**
     * @param  float  $insideFraction  glycol share of what is inside
     * @param  float  $comesMl  still to come by the needle
     * @param  float  $roomMl  that is really there, up to the cold mark
     * @param  float  $target  glycol share wanted of the whole
     * @param  array{float, ?float}  $range  of what is still to come, mL
     */
    public function __construct(
        private float $insideMl,
        private float $insideFraction,
        private float $comesMl,
        private float $roomMl,
        public float $target,
        private array $range,
    ) {
    }

    public function stockMl(): float
    {
        return max(0.0, min($this->comesMl, $this->lacksMl()));
    }

    public function waterMl(): float
    {
        return $this->comesMl - $this->stockMl();
    }

    /** @return array{float, ?float} mL still to come, lowest and highest */
    public function range(): array
    {
        return $this->range;
    }

    /** Whether what is still to come can bring it there, from concentrate to water. */
    public function isReachable(): bool
    {
        return abs($this->off()) <= self::OFF;
    }

    /** What was missed, and what the next top-up must be in the room there is; empty while it can still be met. */
    public function missed(Situation $at): string
    {
        if ($this->isReachable()) {
            return '';
        }
        $ends = $this->target + $this->off();
        $tooStrong = $this->off() > 0.0;
        $liquid = $tooStrong ? 'water' : 'concentrate';
        $said = "Even with {$liquid} alone from here it ends "
            ."at {$at->say($ends, Unit::Percent)}, {$at->say($this->target, Unit::Percent)} is wanted.";
        if ($this->comesMl > 0.0) {
            return "{$said} The next jug: {$liquid} only, and the top-up at the neck too.";
        }
        $topUp = $this->topUpMl($tooStrong);

        return $topUp <= $this->roomMl
            ? "Top up with {$at->litres($topUp)} of {$liquid} at the neck: "
                    ."there is room for {$at->litres($this->roomMl)}."
            : "There is room for {$at->litres($this->roomMl)} at the neck "
                    ."and {$at->litres($topUp)} of {$liquid} would be needed: draw off "
                    ."{$at->litres($this->drawOffMl($tooStrong))} first, write it down as what came out, "
                    ."and fill up with {$liquid}.";
    }

    /** Glycol that is missing of what it should hold when full, mL; below nothing where it has too much. */
    private function lacksMl(): float
    {
        return $this->target * ($this->insideMl + $this->comesMl) - $this->insideFraction * $this->insideMl;
    }

    /** How far from the target it ends at best; above nothing where it is too strong. */
    private function off(): float
    {
        $full = $this->insideMl + $this->comesMl;

        return $full <= 0.0
            ? 0.0
            : ($this->insideFraction * $this->insideMl + $this->stockMl()) / $full - $this->target;
    }

    /** So much water, or concentrate, on top of what is inside, mL. */
    private function topUpMl(bool $tooStrong): float
    {
        $off = abs($this->insideFraction - $this->target) * $this->insideMl;
        $each = $tooStrong ? $this->target : 1.0 - $this->target;

        return $each > 0.0 ? $off / $each : INF;
    }

    /** So much of what is inside comes out, and the room is filled with water, or concentrate, mL. */
    private function drawOffMl(bool $tooStrong): float
    {
        $full = $this->insideMl + $this->roomMl;
        $keeps = $tooStrong
            ? $this->target * $full / max(1.0e-6, $this->insideFraction)
            : (1.0 - $this->target) * $full / max(1.0e-6, 1.0 - $this->insideFraction);

        return max(0.0, $this->insideMl - $keeps);
    }
}
