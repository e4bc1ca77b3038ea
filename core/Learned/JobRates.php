<?php

declare(strict_types=1);

namespace Aqbel\Core\Learned;

use Aqbel\Core\Heat\CoolingBody;
use Aqbel\Core\Heat\Purging;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Judged\TopUpSeries;
use Aqbel\Core\Observed\CameBack;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\OutsideAir;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Plan\Plan;

/**
 * How things went in one job beside how they usually go: each as
 * measured over usual. What a job does not tell is left out.
 */
final class JobRates
{
    public const COOLING = 'cooling';

    public const PURGING = 'purging';

    public const SPILLING = 'spilling';

    /** Before the code of an activity. */
    public const HANDS = 'hands:';

    /**
     * What was done in less was written down afterwards; what took
     * longer was interrupted (common practice, no source).
     */
    private const LEAST_OF_USUAL = 0.2;

    private const MOST_OF_USUAL = 4.0;

    /** Two temperatures this far apart in time, and this much over the air outside, tell of a cool-down. */
    private const APART_MIN = 15.0;

    private const OVER_AIR_K = 8.0;

    /**
     * @param  \Closure(Step): Minutes  $usual  of a step, in this house
     * @return array<string, float>
     */
    public static function of(JobState $job, \Closure $usual): array
    {
        return array_filter(
            [
                self::COOLING => self::cooling($job),
                self::PURGING => self::purging($job),
                self::SPILLING => self::spilling($job),
            ],
            fn (?float $ratio) => $ratio !== null,
        ) + self::hands($job, $usual);
    }

    /** The time constant of a cool-down by its first and its last temperature, over that of such a body. */
    private static function cooling(JobState $job): ?float
    {
        $outside = self::last($job->observedAnywhere(OutsideAir::class))?->celsius;
        foreach ($job->stepsOf('cool_down') as $step) {
            $run = $job->before($step, 'heat_cycle');
            $off = $run === null ? null : self::last($job->observed($run->id, ShutOff::class));
            $hot = $run === null ? null : self::last($job->observed($run->id, HotReading::class));
            $read = $job->observed($step->id, CoolantRead::class);
            if ($outside === null || $read === [] || $off === null || $hot?->coolantC === null) {
                continue;
            }
            $minutes = ($read[count($read) - 1]->at() - $off->at()) / 60.0;
            [$from, $to] = [$hot->coolantC - $outside, $read[count($read) - 1]->celsius - $outside];
            if ($minutes >= self::APART_MIN && $to >= self::OVER_AIR_K && $from > $to) {
                return $minutes
                    / log($from / $to)
                    / CoolingBody::of(
                        $job->circuit->capacityMl(),
                        shelter: Plan::of($job)->choices->shelter,
                    )->tauMinutes();
            }
        }

        return null;
    }

    /** The share of air a run leaves, by two cold levels after one another, over the usual one. */
    private static function purging(JobState $job): ?float
    {
        $levels = array_values(
            array_filter($job->stepsOf('cold_level'), fn (Step $step) => $step->params->has('round')),
        );
        if (count($levels) < 2) {
            return null;
        }
        $at = $job->at($levels[count($levels) - 1], 0);
        $series = TopUpSeries::each($at);
        $told = count($series) >= 2
            && $series[0]->ml > TopUpSeries::settledMl($at)
            && $series[1]->ml > 0.0
            && $series[1]->ml < $series[0]->ml;

        return $told ? $series[1]->ml / $series[0]->ml / Purging::leftByCycle() : null;
    }

    /** What a job takes of new coolant, with what went on the floor and into rags, over what was poured. */
    private static function spilling(JobState $job): ?float
    {
        $poured = $job->pouredMl();
        $lost = $job->ledger()->lostMl()
            - $job->ledgerBefore(Stage::Fill)->lostMl()
            + array_sum(array_map(fn (CameBack $came) => $came->spiltMl, $job->observedAnywhere(CameBack::class)));

        return $poured > 0.0 ? ($poured + $lost) / $poured : null;
    }

    /**
     * @param  \Closure(Step): Minutes  $usual
     * @return array<string, float>
     */
    private static function hands(JobState $job, \Closure $usual): array
    {
        $rates = [];
        $closings = array_values(array_filter($job->journal->lines, fn (Entry $line) => $line->closes()));
        foreach ($closings as $i => $closing) {
            $step = $job->steps[$closing->step] ?? null;
            $minutes = $step === null || ! $closing->is(Lines::Finish) ? null : $usual($step);
            if ($i === 0 || $step === null || $minutes === null || $minutes->hands <= 0.0 || $minutes->wait > 0.0) {
                continue;
            }
            $ratio = ($closing->at - $closings[$i - 1]->at) / 60.0 / $minutes->hands;
            if ($ratio >= self::LEAST_OF_USUAL && $ratio <= self::MOST_OF_USUAL) {
                $rates[self::HANDS.$step->kind] ??= $ratio;
            }
        }

        return $rates;
    }

    /**
     * @template T of Observation
     *
     * @param  list<T>  $told
     * @return ?T
     */
    private static function last(array $told): ?Observation
    {
        $told = Told::inOrder($told);

        return $told === [] ? null : $told[count($told) - 1];
    }
}
