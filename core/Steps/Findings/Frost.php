<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Findings;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\MixtureRead;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Observed\FreezePointRead;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Saying\Obstacle;

/**
 * Frost is a gate: a mixture short of what was wanted by more than its ±, or too strong, is put right or accepted by
 * a lead. The refractometer knows; where there is none, the ledger's sum has to do.
 */
final readonly class Frost
{
    /** More glycol carries less heat and protects no better (handbook of any maker, from memory). */
    public const MOST = 0.6;

    private function __construct(private Situation $at, private float $fraction, private float $plusMinus)
    {
    }

    /** Null while nothing is known of what is inside. */
    public static function of(Situation $at): ?self
    {
        $freeze = $at->job->observedAnywhere(FreezePointRead::class);
        if ($freeze !== []) {
            $last = Temperature::celsius($freeze[count($freeze) - 1]->celsius);

            return new self($at, Mixture::freezingAt($at->facts()->base, $last)->volumeFraction, MixtureRead::PLUS_MINUS);
        }
        $ledger = $at->job->ledger();

        return $ledger->fraction() === null ? null : new self($at, $ledger->fraction(), $ledger->glycolPlusMinus);
    }

    public function isShort(): bool
    {
        return $this->fraction < $this->target() - $this->plusMinus;
    }

    public function isTooStrong(): bool
    {
        return $this->fraction > max(self::MOST, $this->target()) + $this->plusMinus;
    }

    /** Null where it protects as was wanted. */
    public function obstacle(): ?Obstacle
    {
        $is = "{$this->at->say($this->fraction, Unit::Percent)} ± {$this->at->say($this->plusMinus, Unit::Percent)}";
        $wanted = $this->at->say($this->target(), Unit::Percent);

        return match (true) {
            $this->isShort() => Obstacle::at(
                Gate::Frost,
                'frost',
                "{$is} glycol is inside and {$wanted} is wanted: it freezes too early. "
                    ."{$this->remedy(1.0, 'concentrate')}",
            ),
            $this->isTooStrong() => Obstacle::at(
                Gate::Frost,
                'too_strong',
                "{$is} glycol is inside: it carries less heat. {$this->remedy(0.0, 'water')}",
            ),
            default => null,
        };
    }

    /** What fits the room there is: so much out, the same of the other in. */
    private function remedy(float $with, string $liquid): string
    {
        $ledger = $this->at->job->ledger();
        $full = $ledger->capacityMl - $ledger->headspaceMl;
        $room = max(0.0, $full - $ledger->contentMl);
        $pour = $full * ($this->target() - $this->fraction) / ($with - $this->fraction);
        $out = max(0.0, $pour - $room);
        $draw = $out > 0.0 ? "Draw off {$this->at->litres($out)} and pour" : 'Pour';

        return "{$draw} {$this->at->litres($pour)} of {$liquid}, run it until it is mixed, and measure again.";
    }

    private function target(): float
    {
        return Plan::of($this->at)->choices->targetFraction;
    }
}
