<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\HotRun;
use Aqbel\Core\Judged\NeckAtRun;
use Aqbel\Core\Observed\Capped;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\WarmUp;
use Aqbel\Core\Values;

/** What follows a heat cycle, and which of the planned ones it makes needless. */
final class AfterRun
{
    /** @return list<Step> the cooling down, where none is planned right behind it */
    public static function stopped(Situation $at): array
    {
        $behind = array_values($at->job->steps)[$at->job->placeOf($at->step) + 1]->kind ?? '';

        return $behind === 'cool_down' ? [] : self::notThereYet($at, [self::cooling($at)]);
    }

    /** @return list<Step> under a loose cap the next run, or the search for a leak */
    public static function next(Situation $at): array
    {
        $next = 1 + $at->step->params->whole('round');

        return self::notThereYet($at, match (HotRun::of($at)?->code()) {
            'another_warm_up' => [
                new Step("heat_cycle:{$next}", $at->step->kind, $at->step->stage, new Values(['round' => $next])),
            ],
            // Pressed cold: a pump on a hot engine tells nothing and can burst a hose.
            'not_air' => [
                self::cooling($at),
                new Step("find_drip:{$at->step->id}", 'find_drip', $at->step->stage),
            ],
            default => [],
        });
    }

    /** @return list<string> later runs, where its way of warming up has seen all that it wants to see */
    public static function noLongerNeeded(Situation $at): array
    {
        $by = NeckAtRun::warmUp($at);
        $ended = ($by === WarmUp::LooseCap && $at->observed(Capped::class) !== [])
            || ($by === WarmUp::UnderFunnel && HotRun::of($at)?->proves() === true);
        $round = $at->step->params->whole('round');
        // So many it wants to see, whatever the first shows.
        if (! $ended || $round < Plan::of($at)->school->looks()) {
            return [];
        }
        $later = array_filter(
            $at->job->stepsOf($at->step->kind),
            fn (Step $step) => $step->params->whole('round') > $round,
        );

        return array_values(array_map(fn (Step $step) => $step->id, $later));
    }

    private static function cooling(Situation $at): Step
    {
        return new Step("cool_down:{$at->step->id}", 'cool_down', $at->step->stage);
    }

    /**
     * @param  list<Step>  $ordered
     * @return list<Step>
     */
    private static function notThereYet(Situation $at, array $ordered): array
    {
        return array_values(array_filter($ordered, fn (Step $step) => ! isset($at->job->steps[$step->id])));
    }
}
