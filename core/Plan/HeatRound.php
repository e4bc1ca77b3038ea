<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Values;

/** A heat cycle with its cool-down and its cold level. */
final class HeatRound
{
    /**
     * All rounds of a plan; the vent is the port that is cracked between them, where the school does so. Under a
     * loose cap, or a funnel, the runs follow each other warm, and it is cooled down after the last.
     *
     * @return list<Step>
     */
    public static function planned(WarmUp $by, int $rounds, string $vent = ''): array
    {
        if ($rounds === 0) {
            return [];
        }
        $of = fn (int $round): array => self::steps($round, $by === WarmUp::VentBetween ? $vent : '');
        $steps = array_merge(...array_map($of, range(1, $rounds)));
        $last = array_map(fn (Step $step) => $step->id, $of($rounds));
        if (! $by->staysWarm()) {
            return $steps;
        }
        $steps = array_values(array_filter(
            $steps,
            fn (Step $step) => $step->kind === 'heat_cycle' || in_array($step->id, $last, true),
        ));
        $off = $by === WarmUp::UnderFunnel ? [new Step('funnel_off', 'funnel_off', Stage::Cool)] : [];

        // Off when it has cooled, before the level is read.
        return [...array_slice($steps, 0, -1), ...$off, ...array_slice($steps, -1)];
    }

    /**
     * @param  string  $vent  port that is cracked when it has cooled; empty where none is
     * @return list<Step>
     */
    public static function steps(int $round, string $vent = ''): array
    {
        $about = new Values(['round' => $round]);

        return array_values(
            array_filter([
                new Step("heat_cycle:{$round}", 'heat_cycle', Stage::RunHot, $about),
                new Step("cool_down:{$round}", 'cool_down', Stage::Cool),
                $vent === ''
                    ? null
                    : new Step(
                        "vent_between:{$round}",
                        'vent_between',
                        Stage::Cool,
                        new Values(['round' => $round, 'port' => $vent]),
                    ),
                new Step("cold_level:{$round}", 'cold_level', Stage::Cool, $about),
            ]),
        );
    }
}
