<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\ColdLevelCode;
use Aqbel\Core\Judged\ColdLevelRead;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Judged\TopUpSeries;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\CoolToTheHand;
use Aqbel\Core\Observed\DrawnOff;
use Aqbel\Core\Observed\LastRun;
use Aqbel\Core\Observed\LevelSeen;
use Aqbel\Core\Observed\NeckOpened;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Trace;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Opening;
use Aqbel\Core\Steps\Rounds;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Steps\TopUp;
use Aqbel\Core\Values;

/** Stage 9: the neck opened cold, the level read and topped up, and the verdict on another heat cycle. */
final class ColdLevel extends StepKind
{
    public function name(): string
    {
        return 'cold_level';
    }

    protected function doing(): array
    {
        return [Does::OpensNeck, Does::MovesCoolant, Does::Guards, Does::ReadsLevel];
    }

    public function observes(): array
    {
        return [
            NeckOpened::class,
            CoolToTheHand::class,
            CoolantRead::class,
            ToppedUp::class,
            DrawnOff::class,
            LevelSeen::class,
            LastRun::class,
        ];
    }

    public function title(Situation $at): string
    {
        return match (true) {
            $at->step->params->has(ColdLevelRead::AFTER) => 'Cold level after what came out',
            Rounds::of($at) === null => 'Cold level after the drive',
            default => 'Cold level, cycle '.Rounds::of($at),
        };
    }

    public function why(Situation $at): string
    {
        return 'Cooling drew coolant in where air was. What it takes now, against the time before, tells '
            .'whether it is air.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Level ground. Rag over the cap, to the first hiss, stop, wait, go on.',
            "Read the level, top up to {$at->facts()->coldLevel}, read the jug.",
            $at->facts()->neck->hasRecoveryBottle()
                ? 'Recovery bottle to its cold mark, hose under the surface.'
                : 'Never above the mark in a pressure tank: draw the excess off.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Scald];
    }

    public function asks(Situation $at): array
    {
        return (new ColdLevelForms($at))->asked($this->judgement($at));
    }

    /** Read and opened in the same go as the cool-down before it. */
    public function atOnce(Situation $at): ?Form
    {
        return $at->entries() === [] ? (new ColdLevelForms($at))->topped() : null;
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if ($form === CoolToTheHand::form()) {
            ByHand::admit($at);
        }
        $coolant = $values->number(CoolantRead::COOLANT);
        if ($coolant !== null) {
            Opening::admit($at, CoolantRead::COOLANT, $coolant);
        }
        if ($form === ToppedUp::FORM && $values->number(VesselReading::VOLUME) === null) {
            throw new InvalidField(
                VesselReading::VOLUME,
                'Enter what went in, 0 where nothing did: an empty field says nothing of the level.',
            );
        }
        VesselReading::admit($at, $values);
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        $topped = ToppedUp::of($entry);
        $drawn = DrawnOff::of($entry)?->read;
        if ($drawn !== null) {
            $within = $drawn->plusMinusMl($at);

            return [new Line('Drawn off to the mark', -$drawn->ml, $within, null, roughMl: $drawn->roughMl)];
        }

        return $topped === null
            ? []
            : [TopUp::line($at, $entry, 'Topped up, cold', $topped->read->plusMinusMl($at), $topped->read->roughMl)];
    }

    public function obstacles(Situation $at): array
    {
        $notOpened = NeckHeat::wasSealed($at)
            ? Obstacle::never(
                'not_opened_cold',
                'Read the temperature and open the neck cold; or say that it is cool to the hand.',
            )
            : Obstacle::missing('not_opened', 'Read the temperature at the neck.');

        return [
            ...(new ColdLevelForms($at))->isOpen() ? [] : [$notOpened],
            ...Obstacle::those([
                'no_top_up' => $at->observed(ToppedUp::class) !== [] ? '' : 'Record the top-up, zero included.',
                'not_at_mark' => $at->latest(LevelSeen::class)?->isGood($at->facts()->neck) === true
                    ? ''
                    : 'Bring the level to the mark and record it.',
                'no_run_shows' => $this->judgement($at)?->code === ColdLevelCode::NoRunShows
                    ? 'Say that it was the last run, and why it may go so.'
                    : '',
                'less_than_came_out' => $this->judgement($at)?->code === ColdLevelCode::LessThanCameOut
                    ? 'More came out than went back in: correct the one that is wrong, pour the rest, '
                        .'or say why both stand.'
                    : '',
            ]),
        ];
    }

    public function figure(Situation $at): Figure
    {
        $topUps = $at->observed(ToppedUp::class);
        $series = TopUpSeries::each($at);
        $before = $series[count($series) - ($topUps === [] ? 1 : 2)] ?? null;

        return new Figure(
            'Topped up',
            $topUps === [] ? null : ToppedUp::sumMl($topUps),
            $at->units->small(),
            Origin::Measured,
            $before?->ml,
            'the time before',
        );
    }

    /** What one level after the other took: air becomes less each time, a leak does not. */
    public function trace(Situation $at): ?Trace
    {
        $series = TopUpSeries::each($at);
        $took = array_map(fn (int $i): array => [(float) $i, $series[$i]->ml], array_keys($series));

        return count($took) < 2
            ? null
            : new Trace(
                'Level after level',
                $took,
                [],
                $at->units->small(),
                goal: TopUpSeries::settledMl($at),
                goalLabel: 'or less is reading error',
                over: count($took).' levels',
            );
    }

    public function judgement(Situation $at): ?ColdLevelRead
    {
        return ColdLevelRead::of($at, WhyStopped::runBefore($at));
    }

    public function judge(Situation $at): ?Verdict
    {
        $level = $this->judgement($at);

        return $level === null ? null : ColdLevelWords::of($at, $level);
    }

    /** The next round, where none is planned any more; what no run changes is searched for instead of run again. */
    public function orders(Situation $at): array
    {
        $code = $this->judgement($at)?->code;
        $search = match ($code) {
            ColdLevelCode::NotAir => 'find_drip',
            ColdLevelCode::SameAgain, ColdLevelCode::RoseAgain => 'why_unshown',
            default => null,
        };
        if ($search !== null) {
            $id = "{$search}:{$at->step->id}";

            return isset($at->job->steps[$id]) ? [] : [new Step($id, $search, $at->step->stage)];
        }

        return in_array($code, [ColdLevelCode::AnotherCycle, ColdLevelCode::QuietSoFar], true)
            && ! Rounds::nextIsPlanned($at)
            ? Rounds::next($at)
            : [];
    }

    /** Rounds that were planned for air which has worked out, or that somebody says are not needed. */
    public function needless(Situation $at): array
    {
        return match ($this->judgement($at)?->code) {
            ColdLevelCode::EndedByChoice => Rounds::later($at),
            ColdLevelCode::Settled => Rounds::routineGoesOn($at) ? [] : Rounds::later($at),
            default => [],
        };
    }
}
