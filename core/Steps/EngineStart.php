<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\EngineRuns;
use Aqbel\Core\Judged\EnoughToRun;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Observed\FeltReading;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\Started;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Values;

/** What an engine is never started without, asked the same way wherever it is started. */
final class EngineStart
{
    /**
     * @throws InvalidField in a closed room, on too little coolant, and
     * where a hot sealed neck would have to be opened for it
     */
    public static function admit(Situation $at, string $form, Values $values): void
    {
        if ($form !== Started::form()) {
            return;
        }
        if ($values->text(Started::NECK) !== Neck::Sealed->value && NeckHeat::mayBeUnderPressure($at)) {
            throw new InvalidField(
                Started::NECK,
                'The neck was sealed when the engine last ran, and nobody has read it '
                    .'cold since. It stays shut: run it sealed, or let it cool and read it first.',
            );
        }
        if ($values->text(Started::PLACE) === Started::CLOSED_ROOM) {
            throw new InvalidField(
                Started::PLACE,
                'Never in a closed shop: exhaust kills before it is smelt. Push it outdoors or connect the '
                    .'extraction, then start.',
            );
        }
        $kind = $at->job->kinds->of($at->step);
        $why = self::dryBySums($at) ?? (OpenPoints::said($at, $kind) ?: SetUpGate::said($at, $kind));
        if ($why !== '') {
            throw new InvalidField('finish', $why);
        }
    }

    /** Why no engine is run on what the sums leave inside; null where it may be. */
    public static function dryBySums(Situation $at): ?string
    {
        $wrong = SumsGate::impossible($at);
        $enough = EnoughToRun::of($at);

        return match (true) {
            $wrong !== null => "No engine is started on sums that cannot be. {$wrong->text}",
            $enough->is => null,
            default => "By the sums {$at->litres($enough->missingMl)} of coolant is missing: "
                .'pump or jackets may be dry, and no engine is started on that. '
                .'Pour on, bleed, or put right the number that is wrong.'.Perhaps::oneSlipped($at),
        };
    }

    /**
     * Said before anybody turns the key: where it is in hand, nothing ran yet, and the sums forbid it. It waits, over
     * night too: no hands are needed while nothing runs.
     */
    public static function notYet(Situation $at, string $title = 'Do not start'): ?Verdict
    {
        $isNext = $at->job->turn()->openBefore($at->step) === [] && $at->observed(Started::class) === [];
        $why = $isNext ? self::dryBySums($at) : null;

        return $why === null ? null : Verdict::wait(EnoughToRun::TOO_LITTLE, $title, $why);
    }

    /**
     * @param  bool  $wasStopped  after a danger nobody reads on
     * @return list<Obstacle> what is missing of a run that is over and was read; an engine that runs is never left
     */
    public static function missing(Situation $at, bool $wasStopped): array
    {
        if ($at->observed(Started::class) === []) {
            return [Obstacle::missing('not_started', 'Say where it runs and how the neck stands.')];
        }
        $runs = EngineRuns::at($at);
        $isRead = $wasStopped || $at->observed(HotReading::class) !== [] || $at->observed(FeltReading::class) !== [];

        return array_values(array_filter([
            $runs ? Obstacle::never('running', 'The engine is still running. Shut it off first.') : null,
            $isRead ? null : Obstacle::missing(
                'no_reading',
                $runs ? 'Record at least one reading.' : 'Nothing was read of this run. Tell a reading of its own time.',
            ),
        ]));
    }
}
