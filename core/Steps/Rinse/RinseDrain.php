<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\DrainsInTurn;
use Aqbel\Core\Judged\OldCoolant;
use Aqbel\Core\Judged\RinseNeeded;
use Aqbel\Core\Observed\CoolantLook;
use Aqbel\Core\Observed\RinseDecided;
use Aqbel\Core\Observed\RinseWaterIn;
use Aqbel\Core\Observed\RinseWaterOut;
use Aqbel\Core\Observed\Runs;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stage 3: the rinse water out again, by the points already used, and whether it runs clear. */
final class RinseDrain extends StepKind
{
    /** Less of the capacity than this is not looked for (common practice, no source). */
    private const HARDLY = 0.05;

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
        $opened = array_filter(
            $at->job->stepsOf('drain'),
            fn (Step $step) => ! DrainsInTurn::isLeftShut($at->job, $step),
        );
        $points = array_map(fn (Step $step) => $at->circuit()->port($step->params->text('port'))->label, $opened);

        return [
            'Cold neck, cap off'
            .($at->circuit()->hasBleedPoints() ? ', top bleed points open' : '')
            .'. Into the pan for rinse water, apart from the old coolant.',
            $points === []
                ? 'Every drain was left shut: what can be siphoned or blown out.'
                : 'Open again: '.implode(', ', $points).'.',
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
        return [RinseWaterOut::asked($at, 'Record water out')];
    }

    public function observes(): array
    {
        return [RinseWaterOut::class];
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return RinseWater::lines($at, $entry);
    }

    /** One rinse more, as it was decided. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at) || $this->verdict($at)?->code === 'next_rinse';
    }

    public function obstacles(Situation $at): array
    {
        return $at->observed(RinseWaterOut::class) !== []
            ? []
            : [Obstacle::missing('no_volume', 'Record the rinse water that came out.')];
    }

    public function figure(Situation $at): Figure
    {
        $told = $at->observed(RinseWaterOut::class);

        return new Figure(
            'Came out',
            $told === [] ? null : self::outMl($at),
            Dimension::Volume,
            Origin::Measured,
            max(0.0, self::outMl($at) + self::staysMl($at)),
            'predicted',
        );
    }

    private static function outMl(Situation $at): float
    {
        return array_sum(array_map(fn (RinseWaterOut $some) => $some->read->ml, $at->observed(RinseWaterOut::class)));
    }

    /**
     * What of it stays inside beyond what the points keep, or kept
     * before it, mL; negative where more came than should.
     */
    private static function staysMl(Situation $at): float
    {
        $inside = $at->job->ledgerBefore(Stage::CloseUp)->contentMl;
        $in = array_sum(array_map(fn (RinseWaterIn $some) => $some->read->ml, self::filled($at)));
        $kept = Plan::of($at)->predicted->retainedMl + DrainsInTurn::keptByShutMl($at->job);

        return $inside - max($kept, $inside - $in + self::outMl($at));
    }

    /** @return list<RinseWaterIn> what was filled in before it */
    private static function filled(Situation $at): array
    {
        return $at->job->observed("rinse_fill:{$at->step->params->whole('cycle')}", RinseWaterIn::class);
    }

    public function judge(Situation $at): ?Verdict
    {
        $last = $at->latest(RinseWaterOut::class);
        if ($last === null) {
            return null;
        }
        $old = $at->say($at->job->ledgerBefore(Stage::CloseUp)->oldShare(), Unit::Percent)
            .' of the full circuit'
            .(RinsePart::isRun($at->step) ? '' : ', give or take as much where it was not run');
        $target = RinseNeeded::target($at);
        $rest = RinsePart::rest($at->step);
        $ledger = $at->job->ledgerBefore(Stage::CloseUp);
        if (self::staysMl($at) > max($ledger->plusMinusMl, self::HARDLY * $ledger->capacityMl)) {
            return Verdict::wait(
                'water_stays',
                "{$at->litres(self::staysMl($at))} of it stays inside",
                'More than the points keep. Open them once more, or another one, and record what comes: '
                    .'it counts in the mixture, and what it holds of the old stays too.',
            );
        }
        if ($rest !== []) {
            return Verdict::wait(
                'next_rinse',
                'Next rinse',
                "Old coolant now {$old}. ".count($rest).' more as decided.',
            );
        }

        if (RinseFill::hadCleaner(self::filled($at))) {
            return Verdict::wait(
                'cleaner_last',
                'Cleaner was in it',
                'None of it may stay inside. Another rinse is added, of clear water.',
            );
        }

        if (RinseNeeded::leavesTooMuch($at)) {
            return Verdict::wait(
                'old_stays',
                'Too much of the old',
                "Old coolant {$old}; {$at->say((float) $target, Unit::Percent)} may stay, "
                    .'however clear it runs. Another rinse is added.',
            );
        }

        if (self::colourMayStay($at)) {
            return Verdict::pass(
                'colour_stays',
                'Coloured, as it may be',
                "Old coolant {$old}; of the same kind any of it may stay.",
            );
        }

        return $this->next($at) === []
            ? Verdict::pass(
                'clear',
                'Clear',
                "Old coolant {$old}".(
                    $target === null ? '.' : "; {$at->say($target, Unit::Percent)} may stay."
                ),
            )
            : Verdict::wait(
                'not_clear',
                'Not clear yet',
                ($last->runs === null
                    ? 'Nobody said that it runs clear.'
                    : 'It still runs '.lcfirst($last->runs->label()).'.').' Another rinse is added.',
            );
    }

    public function orders(Situation $at): array
    {
        return RinsePart::first($at, $this->next($at));
    }

    /**
     * @return list<string> cycles still to come: those decided on, then one more of the same sort as long
     * as it does not run clear, or too much of the old stays
     */
    private function next(Situation $at): array
    {
        $rest = RinsePart::rest($at->step);

        $isDone = ! RinseFill::hadCleaner(self::filled($at))
            && (($at->latest(RinseWaterOut::class)?->runs === Runs::Clear && ! RinseNeeded::leavesTooMuch($at))
                || self::colourMayStay($at));

        return $rest !== [] || $isDone ? $rest : [RinsePart::isRun($at->step) ? RinsePart::WATER : RinsePart::ONCE];
    }

    /**
     * What came out was looked at and clean, nothing of it has to go, and it
     * is only its colour that is seen: no cleaner, no film.
     */
    private static function colourMayStay(Situation $at): bool
    {
        $cleaned = array_filter(
            $at->job->observedAnywhere(RinseDecided::class),
            fn (RinseDecided $decided) => $decided->withCleaner,
        ) !== [];

        return $at->latest(RinseWaterOut::class)?->runs === Runs::Coloured && ! $cleaned
            && OldCoolant::of($at->job)->seen() === CoolantLook::CLEAN && RinseNeeded::target($at) === null;
    }
}
