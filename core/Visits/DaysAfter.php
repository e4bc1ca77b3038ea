<?php

declare(strict_types=1);

namespace Aqbel\Core\Visits;

use Aqbel\Core\Heat\TopUp;
use Aqbel\Core\Heat\TopUps;
use Aqbel\Core\Heat\TopUpVerdict;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\FrostKept;
use Aqbel\Core\Judged\Level;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Observed\Alarm;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Temperature;

/**
 * All top-ups of the days after judged as one series: what the coolant shrank or grew by between two
 * looks taken off, against the errors of vessel and mark. Those of the job itself are not of it: what
 * the first drives shake loose is air that no warm-up moved.
 */
final readonly class DaysAfter
{
    /** Where nobody read how warm it was: the shop, °C, and so far from it (common practice, no source). */
    private const COLD_C = 20.0;

    private const UNREAD_C = 8.0;

    private const READ_C = 2.0;

    private const HOUR_S = 3600.0;

    private const DAY_H = 24.0;

    /** A level that took no more than so many reading errors has settled (common practice, no source). */
    private const ERRORS = 2.0;

    /** So long after it was brought to its mark a level says something: it was driven, and is cold again (common practice, no source). */
    private const TELLS_H = 8.0;

    /** Once it stood higher than it was left, so many looks in a row show that it was no gas (common practice, no source). */
    private const AFTER_A_RISE = 2;

    /** A leak takes again (common practice, no source). */
    private const LEAST_FOR_A_LEAK = 2;

    private function __construct(
        public DaysAfterCode $code,
        public float $stillToComeMl,
        public float $lowMl,
        public float $highMl,
        public float $leakMlPerDay,
        public float $takenMl,
        public int $looks,
    ) {
    }

    /**
     * Null before the first visit.
     *
     * @param  list<Visit>  $visits  in order of time
     */
    public static function of(JobState $job, array $visits): ?self
    {
        $says = $visits === [] ? null : self::judged($job, $visits);
        for ($seen = 1; $seen < count($visits); $seen++) {
            $earlier = self::judged($job, array_slice($visits, 0, $seen));
            if ($says !== null && $earlier->code->isRed()) {
                // The first danger stands, whatever calmer look follows: it is a job's to end it.
                return new self($earlier->code, 0.0, 0.0, 0.0, $says->leakMlPerDay, $says->takenMl, $says->looks);
            }
        }

        return $says;
    }

    /** @param  non-empty-list<Visit>  $visits */
    private static function judged(JobState $job, array $visits): self
    {
        $levels = $job->stepsOf('cold_level');
        $last = $levels === [] ? null : $levels[count($levels) - 1];
        [$began, $before] = [self::levelledAt($job, $last) ?? self::endedAt($job), self::readAt($job, $last)];
        [$series, $content, $vessel] = [[], max(1.0, $job->ledger()->contentMl), 0.0];
        [$rises, $looked, $leftBelow, $open, $levelled] = [false, $before, false, 0, self::endedAt($job)];
        foreach (self::looks($visits) as $visit) {
            $took = $visit->tookMl();
            $now = $visit->celsius ?? self::COLD_C;
            // Above its mark, or back at it with nothing poured: only warmth explains that.
            $grew = -self::share($job, $looked, $now) * $content;
            $shrank = self::share($job, $before, $now) * $content;
            $off = $visit->celsius === null ? self::UNREAD_C : self::READ_C;
            $unsure = abs(self::share($job, $now + $off, $now) * $content);
            $error = sqrt($visit->plusMinusMl ** 2 + Level::plusMinusMl($job->circuit) ** 2 + $unsure ** 2);
            $rises = ($visit->level === LevelFound::Above || ($leftBelow && $visit->level === LevelFound::AtMark))
                && $grew < Level::plusMinusMl($job->circuit)
                // Colder than it was left it has shrunk, and what did not go in was not missing.
                || ($took !== null && $took < $shrank - self::ERRORS * $error);
            $open = $rises ? self::AFTER_A_RISE : max(0, $open - 1);
            [$looked, $leftBelow] = [$now, $took === null];
            if ($took === null) {
                continue;
            }
            $series[] = new TopUp(max(0.0, $took - $shrank), $error, ($visit->at - $began) / self::HOUR_S);
            [$before, $stoodFor] = [$now, ($visit->at - $levelled) / self::HOUR_S];
            $levelled = $took > 0.0 ? $visit->at : $levelled;
            $vessel = max($vessel, $visit->plusMinusMl);
        }
        $mayStay = Plan::of($job)->choices->airLimitMl($job->circuit);
        $settled = max(min(self::ERRORS * $vessel, $mayStay), Level::plusMinusMl($job->circuit));
        $topUps = new TopUps($series, $settled, true);
        $took = array_filter($series, fn (TopUp $topUp) => $topUp->ml > $settled);
        $standsNow = $series !== [] && $series[count($series) - 1]->ml <= $settled;

        // No more air can come than the sums say is missing, and their ±.
        $ledger = $job->ledger();
        $left = $ledger->trappedAirMl()
            + $ledger->trappedAirPlusMinusMl()
            - array_sum(array_map(fn (TopUp $topUp) => $topUp->ml, $series));
        $unsure = sqrt(array_sum(array_map(fn (TopUp $topUp) => $topUp->plusMinusMl ** 2, $series)));
        $room = max(0.0, $left);
        $code = self::code($topUps, $visits, count($took), $left < -$unsure, match (true) {
            self::isTooWeak($job, $visits) => DaysAfterCode::TooWeak,
            $rises => DaysAfterCode::Rises,
            default => null,
        });
        // What was looked at too soon, or stood too high the last time, has not been seen to stand still.
        $isTooSoon = $open > 0 || ($stoodFor ?? 0.0) < self::TELLS_H;
        // A leak takes at every look, and air that works out takes less each time: what does neither, one look more tells.
        $code = match (true) {
            $code === DaysAfterCode::Closed && $isTooSoon,
            $code === DaysAfterCode::Leak && $standsNow && $left >= -$unsure,
            $code === DaysAfterCode::StillToCome
                && ($standsNow || ! $topUps->shrinks || min($room, $topUps->stillToComeMl) <= 0.0) => DaysAfterCode::TooFew,
            default => $code,
        };

        return new self(
            $code,
            min($room, $topUps->stillToComeMl),
            min($room, $topUps->lowMl),
            min($room, $topUps->highMl),
            self::perDay($series, $code === DaysAfterCode::Both ? $topUps->leakMlPerCycle : null),
            array_sum(array_map(fn (Visit $visit) => $visit->toppedMl ?? 0.0, $visits)),
            count(self::looks($visits)),
        );
    }

    /**
     * @param  list<Visit>  $visits
     * @return list<Visit> those at which somebody looked at the level
     */
    private static function looks(array $visits): array
    {
        return array_values(array_filter($visits, fn (Visit $visit) => $visit->level !== LevelFound::NotLooked));
    }

    /**
     * @param  non-empty-list<Visit>  $visits
     * @param  int  $took  at so many of them it took more than a level can tell
     * @param  bool  $tooMuch  whether more went in than the sums can have left as air
     * @param  ?DaysAfterCode  $besides  what no top-up tells
     */
    private static function code(
        TopUps $topUps,
        array $visits,
        int $took,
        bool $tooMuch,
        ?DaysAfterCode $besides,
    ): DaysAfterCode {
        $last = $visits[count($visits) - 1];
        $looks = self::looks($visits);
        $newest = $looks === [] ? null : $looks[count($looks) - 1];
        $told = array_values(array_filter($visits, fn (Visit $visit) => $visit->complaintAgain !== null));

        return match (true) {
            $newest?->level === LevelFound::NotSeen => DaysAfterCode::NotSeen,
            in_array($last->alarm, [Alarm::Hot, Alarm::Other], true) => DaysAfterCode::Alarmed,
            $told !== [] && $told[count($told) - 1]->complaintAgain === true => DaysAfterCode::ComplaintAgain,
            $tooMuch => DaysAfterCode::Leak,
            $besides !== null => $besides,
            // One look that took something may be a pocket that the first drives have loosened.
            $took < self::LEAST_FOR_A_LEAK && in_array($topUps->verdict, [TopUpVerdict::Leak, TopUpVerdict::Both], true) => DaysAfterCode::TooFew,
            default => match ($topUps->verdict) {
                TopUpVerdict::Leak => DaysAfterCode::Leak,
                TopUpVerdict::Both => DaysAfterCode::Both,
                TopUpVerdict::Air => DaysAfterCode::StillToCome,
                TopUpVerdict::TooFew, TopUpVerdict::Settled => match (true) {
                    $newest === null, $last->alarm === Alarm::Level => DaysAfterCode::TooFew,
                    $newest->tookMl() === null => DaysAfterCode::LeftBelow,
                    // What a customer told closes nothing: somebody of the shop looks once.
                    $topUps->verdict === TopUpVerdict::TooFew,
                    array_filter($looks, fn (Visit $visit) => ! $visit->told) === [] => DaysAfterCode::TooFew,
                    default => DaysAfterCode::Closed,
                },
            },
        };
    }

    /**
     * By the refractometer, as it was read last.
     *
     * @param  list<Visit>  $visits
     */
    private static function isTooWeak(JobState $job, array $visits): bool
    {
        $read = array_values(array_filter(array_map(fn (Visit $visit) => $visit->freezeC, $visits), is_float(...)));

        return $read !== [] && FrostKept::readsShort($job, $read[count($read) - 1]);
    }

    /**
     * What it took in a day, over all of them; or of so much each time.
     *
     * @param  list<TopUp>  $series
     */
    private static function perDay(array $series, ?float $eachMl): float
    {
        $hours = $series[count($series) - 1]->atHours ?? 0.0;
        $all = array_sum(array_map(fn (TopUp $topUp) => $topUp->ml, $series));

        return $hours <= 0.0
            ? 0.0
            : min($all, $eachMl === null ? $all : $eachMl * count($series)) / $hours * self::DAY_H;
    }

    /** By which share the content is smaller, from one temperature to another; negative where it grew. */
    private static function share(JobState $job, float $fromC, float $toC): float
    {
        $mixture = new Mixture(
            $job->circuit->facts->base,
            min(1.0, max(0.0, $job->ledger()->fraction() ?? Plan::of($job)->choices->targetFraction)),
        );

        return 1.0 - $mixture->density(Temperature::celsius($fromC)) / $mixture->density(Temperature::celsius($toC));
    }

    /** How warm the coolant was at the last level of the job. */
    private static function readAt(JobState $job, ?Step $last): float
    {
        $read = $last === null ? [] : $job->observed($last->id, CoolantRead::class);

        return $read === [] ? self::COLD_C : $read[count($read) - 1]->celsius;
    }

    private static function endedAt(JobState $job): int
    {
        return max([0, ...array_map(fn (Entry $line) => $line->at, $job->journal->lines)]);
    }

    /** When the last of its cold levels was brought to the mark. */
    private static function levelledAt(JobState $job, ?Step $last): ?int
    {
        $topped = $last === null ? [] : $job->observed($last->id, ToppedUp::class);

        return $topped === [] ? null : $topped[count($topped) - 1]->at();
    }
}
