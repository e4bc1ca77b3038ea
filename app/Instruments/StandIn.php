<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Models\Feed;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Source;
use Aqbel\Core\Observed\HeldAtSpeed;
use Aqbel\Core\Observed\OutsideAir;
use Aqbel\Core\Observed\PressureLetOff;
use Aqbel\Core\Observed\PullStarted;
use Aqbel\Core\Observed\PumpedUp;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Observed\Started;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Virtual\Action;
use Aqbel\Core\Virtual\Faults;
use Aqbel\Core\Virtual\Trace;
use Aqbel\Core\Virtual\Vehicle;

/**
 * A vehicle that is not there, in place of an instrument: what is done to it is what the journal says, and what
 * its gauges show goes through the door like any instrument's.
 */
final readonly class StandIn
{
    private const INDOORS_C = 20.0;

    private const IDLE = 800.0;

    /** As deep as a shop's air pulls at its height, or to the target of the page, whichever is less. */
    private const PULLS_INHG = 24.0;

    /** A vehicle that stands there longer is the same one again. */
    private const LONGEST_S = 3 * 3600;

    /** It sends no more points of one channel at once, so that what was missed for an hour comes thinner. */
    private const AT_ONCE = 120;

    public function __construct(private Feed $feed)
    {
    }

    /**
     * What its instruments have shown since it was asked last.
     *
     * @param  float  $sinceS  of its own count
     * @return list<string> lines as the door takes them
     */
    public function lines(float $sinceS, int $now): array
    {
        $began = $this->feed->created_at->getTimestamp();
        $untilS = (float) min(self::LONGEST_S, $now - $began);
        if ($untilS <= $sinceS) {
            return [];
        }
        $trace = $this->trace($untilS);
        $every = max(1.0, ceil(($untilS - $sinceS) / self::AT_ONCE));
        $lines = [];
        foreach ($trace->channels as $channel => $points) {
            foreach ($points as [$t, $value]) {
                if ($t > $sinceS && fmod($t, $every) < 0.25) {
                    $lines[] = "{$channel},{$t},{$value}";
                }
            }
        }

        return $lines;
    }

    /** All that happened to it, and what was so. */
    public function trace(float $untilS): Trace
    {
        $state = $this->feed->job->state();
        $plan = Plan::of($state);

        return Vehicle::run(
            $state->circuit,
            self::faults((string) $this->feed->stand_in),
            $this->feed->id,
            $plan->choices->atmosphere(),
            self::ambientC($state),
            self::actions($state, $this->feed->created_at->getTimestamp()),
            min(self::LONGEST_S, $untilS),
            $plan->choices->inside($plan->predicted->retained),
        );
    }

    /** @throws InvalidField */
    public static function faults(string $told): Faults
    {
        return Faults::of(array_values(array_filter(array_map(trim(...), explode(',', $told)))));
    }

    private static function ambientC(JobState $state): float
    {
        $read = $state->observedAnywhere(OutsideAir::class);

        return $read === [] ? self::INDOORS_C : $read[count($read) - 1]->celsius;
    }

    /** @return list<Action> in order of time */
    private static function actions(JobState $state, int $began): array
    {
        $actions = [];
        foreach ($state->observedAnywhere(Started::class) as $start) {
            $actions[] = new Action(max(0.0, (float) ($start->at() - $began)), 'start', self::IDLE);
        }
        foreach ($state->observedAnywhere(PullStarted::class) as $pull) {
            // It was drained before.
            $second = max(0.0, (float) ($pull->at() - $began));
            array_push(
                $actions,
                new Action($second, 'drain', $state->circuit->capacityMl()),
                new Action($second, 'pull', self::PULLS_INHG),
            );
        }
        foreach ($state->observedAnywhere(PumpedUp::class) as $pumped) {
            $actions[] = new Action(max(0.0, (float) ($pumped->at() - $began)), 'pump', $pumped->kPa);
        }
        foreach ($state->observedAnywhere(PressureLetOff::class) as $off) {
            $actions[] = new Action(max(0.0, (float) ($off->at() - $began)), 'release');
        }
        foreach ($state->observedAnywhere(HeldAtSpeed::class) as $held) {
            // What its own count told is no order to it.
            $rpm = $held->told()->source === Source::Hand ? $held->rpm() : null;
            if ($rpm !== null) {
                $actions[] = new Action(max(0.0, (float) ($held->at() - $began)), 'rpm', $rpm);
                $actions[] = new Action(max(0.0, (float) ($held->at() - $began + $held->seconds())), 'rpm', self::IDLE);
            }
        }
        foreach ($state->observedAnywhere(ShutOff::class) as $off) {
            $actions[] = new Action(max(0.0, (float) ($off->at() - $began)), 'stop');
        }
        usort($actions, fn (Action $a, Action $b) => $a->atS <=> $b->atS);

        return $actions;
    }
}
