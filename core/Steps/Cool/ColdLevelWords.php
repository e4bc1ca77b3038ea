<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\Heat\TopUpVerdict;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\ColdLevelCode;
use Aqbel\Core\Judged\ColdLevelRead;
use Aqbel\Core\Judged\TopUpSeries;
use Aqbel\Core\Judged\Unproven;
use Aqbel\Core\Judged\WarmedUp;
use Aqbel\Core\Observed\LevelSeen;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\GoesOut;
use Aqbel\Core\Steps\Rounds;

/** What a cold level took, and what that says of air, shrinking and leaks. */
final class ColdLevelWords
{
    public static function of(Situation $at, ColdLevelRead $level): Verdict
    {
        $took = $at->amount($level->tookMl).self::shrank($at, $level);

        return match ($level->code) {
            ColdLevelCode::NotAir => Verdict::stop(
                $level->code(),
                'Not air',
                GoesOut::why($at, $level->tookMl, $level->series, $level->gone)
                    .' No cycle cures that.'
                    .' Finish this step: the search for the leak comes next, with a test for combustion gas.',
            ),
            ColdLevelCode::Settled => Verdict::pass(
                $level->code(),
                'Settled',
                self::quiet($at, $level, $took)
                    .' '
                    .(Rounds::routineGoesOn($at) ? 'The routine has one more run.' : 'No further cycle.'),
            ),
            ColdLevelCode::LessThanCameOut => Verdict::wait(
                $level->code(),
                'Less than came out',
                "It took {$took}, and {$at->amount(TopUpSeries::notBackMl($at))} more had come out than that: "
                    .'one of the two is wrong, or air stands in its place.',
            ),
            ColdLevelCode::MadeUp => Verdict::pass(
                $level->code(),
                'Brought back',
                "{$took} went in for what had come out.",
            ),
            ColdLevelCode::QuietSoFar => Verdict::wait(
                $level->code(),
                'Quiet so far',
                self::quiet($at, $level, $took)
                    .' This way ends when two looks in a row take nothing: '
                    .self::nextRun($at),
            ),
            ColdLevelCode::WorkingOut => Verdict::wait(
                $level->code(),
                'Working out',
                "{$took}: leftover air. One more look at the follow-up.",
            ),
            ColdLevelCode::OffMark => Verdict::wait(
                $level->code(),
                $at->latest(LevelSeen::class)?->isAbove() === true ? 'Above the mark' : 'Below the mark',
                $at->latest(LevelSeen::class)?->isAbove() === true
                    ? 'Draw it off to the mark, and say how much.'
                    : 'Bring it to the mark: what that takes tells.',
            ),
            ColdLevelCode::Rose => Verdict::wait(
                $level->code(),
                'It stood higher',
                ($level->roseMl > 0.0
                    ? "{$at->amount($level->roseMl)} stood above the mark, more than warmth explains, and nothing had "
                        .'been poured'
                    : 'It stood above the mark with nothing poured, and nobody said what was drawn off')
                    .': it was filled too high, or gas pushes it up. The next look tells which.',
            ),
            ColdLevelCode::RoseAgain => Verdict::stop(
                $level->code(),
                'It rose again',
                'Once more it stood above the mark, and nothing had been poured: gas pushes it up. '
                    .'Finish this step: a test for combustion gas comes next.',
            ),
            ColdLevelCode::NothingRan => Verdict::wait(
                $level->code(),
                'It never ran',
                "{$took}: a level that no run came before tells nothing of air.",
            ),
            ColdLevelCode::NoRunShows => Verdict::wait(
                $level->code(),
                'No run shows the rest',
                self::quiet($at, $level, $took).' '.self::unproven($at, $level).' Another run would show no more.',
            ),
            ColdLevelCode::SameAgain => Verdict::wait(
                $level->code(),
                'The same again',
                self::quiet($at, $level, $took)
                    .' '
                    .self::unproven($at, $level)
                    .' The run before left the same, so it is not air and another run shows no more. Finish this step: '
                    .'what it is, is looked for next.',
            ),
            ColdLevelCode::EndedByChoice => Verdict::wait(
                $level->code(),
                'The last run, by choice',
                trim(
                    ($level->because === '' ? '' : "“{$level->because}” ")
                        ."It took {$took}. "
                        .self::unproven($at, $level),
                ),
            ),
            ColdLevelCode::AnotherCycle => Verdict::wait(
                $level->code(),
                'Another cycle',
                trim(self::so($at, $level, $took).' '.self::unproven($at, $level))
                    .' Finish this step: '
                    .self::nextRun($at),
            ),
        };
    }

    private static function nextRun(Situation $at): string
    {
        return Rounds::nextIsPlanned($at) ? 'the next heat cycle follows.' : 'the next heat cycle is added.';
    }

    private static function shrank(Situation $at, ColdLevelRead $level): string
    {
        return $level->shrank->ml <= 0.0 || $level->stoodHigher
            ? ''
            : ", and about {$at->amount($level->shrank->ml)} is the coolant's own shrinking "
                    .'since it was topped up hot';
    }

    private static function quiet(Situation $at, ColdLevelRead $level, string $took): string
    {
        if ($level->stoodHigher) {
            return "{$took}. The coolant shrank by about {$at->amount($level->shrank->ml)} since it was topped up hot, "
                .'so hot it stood at a higher line than this one. '
                .'If it was the same line, gas holds it up: test for combustion gas.';
        }

        return $level->shrank->ml > 0.0 ? "{$took}: what differs is reading error." : "{$took} is reading error.";
    }

    private static function stillToCome(float $ml, Situation $at): string
    {
        return $ml > 0.0 ? "; about {$at->amount($ml)} still to come" : ', and by the sums nothing more is missing';
    }

    private static function so(Situation $at, ColdLevelRead $level, string $took): string
    {
        return match ($level->series->verdict) {
            TopUpVerdict::Settled => self::quiet($at, $level, $took),
            TopUpVerdict::Air => $level->series->shrinks
                ? 'Top-ups shrink'.self::stillToCome(TopUpSeries::stillToComeMl($at, $level->series), $at).'.'
                : "It took {$took}, no less than the time before: what it takes next tells whether that is air.",
            default => "It took {$took}.",
        };
    }

    /** What the run before left to be shown, in words; empty where it showed all. */
    private static function unproven(Situation $at, ColdLevelRead $level): string
    {
        $cycle = WarmedUp::before($at);

        return match ($level->unproven) {
            null => '',
            Unproven::Stopped => 'The run before had to be stopped, so it proves nothing.',
            Unproven::Dripped => 'It dripped underneath after that run.',
            Unproven::AirAtTheVent => 'Air still came at the vent.',
            Unproven::NotRun => 'It never ran.',
            Unproven::Missing => $cycle === null ? '' : $at->job->verdictOf($cycle, $at->now, $at->units)->reason ?? '',
        };
    }
}
