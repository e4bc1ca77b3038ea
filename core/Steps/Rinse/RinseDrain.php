<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\DrainsInTurn;
use Aqbel\Core\Judged\RinseNeeded;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stage 3: the rinse water out again, by the points already used, and whether it runs clear. */
final class RinseDrain extends StepKind
{
    public function name(): string
    {
        return 'rinse_drain';
    }

    protected function doing(): array
    {
        return [Does::MovesCoolant, Does::OpensNeck];
    }

    public function title(Situation $at): string
    {
        return "Rinse {$at->step->params->whole('cycle')}: drain";
    }

    public function why(Situation $at): string
    {
        return 'What stays in dilutes the new fill, so every point is opened again.';
    }

    public function instructions(Situation $at): array
    {
        $opened = array_filter($at->job->stepsOf('drain'), fn (Step $step) => ! DrainsInTurn::isLeftShut($at->job, $step));
        $points = array_map(fn (Step $step) => $at->circuit()->port($step->params->text('port'))->label, $opened);

        return [
            'Cold neck, cap off, top bleed points open. Into the pan for rinse water, apart from the old coolant.',
            $points === [] ? 'Every drain was left shut: what can be siphoned or blown out.' : 'Open again: '.implode(', ', $points).'.',
            'Hold some against the light: clear, or still coloured?',
            'Close every point with its washer and torque.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Waste, Hazard::Scald];
    }

    public function asks(Situation $at): array
    {
        return [new Form('water_out', 'Record water out', [
            ...$this->vesselFields($at, 'volume', 'Came out', VesselUse::Drain),
            Field::answer('runs', 'It runs', RinseWater::RUNS),
        ])];
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return RinseWater::lines($entry, self::plusMinusMl($at, $entry));
    }

    /** One rinse more, as it was decided. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at) || $this->verdict($at)?->code === 'next_rinse';
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('water_out') ? [] : [Obstacle::missing('no_volume', 'Record the rinse water that came out.')];
    }

    public function figure(Situation $at): Figure
    {
        $out = $at->sum('water_out', 'volume');
        $expected = max(
            0.0,
            $at->job->ledgerBefore(Stage::CloseUp)->contentMl + $out - Plan::of($at)->predicted->retainedMl - DrainsInTurn::keptByShutMl($at->job),
        );

        return new Figure(
            'Came out',
            $at->has('water_out') ? $out : null,
            Dimension::Volume,
            Origin::Measured,
            $expected,
            'predicted',
        );
    }

    public function judge(Situation $at): ?Verdict
    {
        $last = $at->last('water_out');
        if ($last === null) {
            return null;
        }
        $old = $at->say($at->job->ledgerBefore(Stage::CloseUp)->oldShare(), Unit::Percent);
        $target = RinseNeeded::target($at);
        $rest = RinsePart::rest($at->step);
        if ($rest !== []) {
            return Verdict::wait(
                'next_rinse',
                'Next rinse',
                "Old coolant now {$old} of the full circuit. ".count($rest).' more as decided.',
            );
        }

        return $this->next($at) === []
            ? Verdict::pass(
                'clear',
                'Clear',
                "Old coolant {$old} of the full circuit".(
                    $target === null ? '.' : ", {$at->say($target, Unit::Percent)} may stay."
                ),
            )
            : Verdict::wait(
                'not_clear',
                'Not clear yet',
                'It still runs '.lcfirst(
                    RinseWater::RUNS[$last->text('runs')] ?? $last->text('runs'),
                ).'. Another rinse is added.',
            );
    }

    public function orders(Situation $at): array
    {
        return RinsePart::first($at, $this->next($at));
    }

    /** @return list<string> cycles still to come: those decided on, then one more as long as it does not run clear */
    private function next(Situation $at): array
    {
        $rest = RinsePart::rest($at->step);

        return $rest !== [] || $at->last('water_out')?->text('runs') === 'clear' ? $rest : [RinsePart::WATER];
    }
}
