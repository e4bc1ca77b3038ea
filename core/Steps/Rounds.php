<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\HeatRound;

/** The rounds of running hot, cooling and reading the level: which are still to come, and which come on top. */
final class Rounds
{
    /** Whether a warm-up is still to come behind this step. */
    public static function nextIsPlanned(Situation $at): bool
    {
        $behind = array_slice($at->job->steps, $at->job->placeOf($at->step) + 1);

        return array_filter(
            $behind,
            fn (Step $step) => $step->kind === 'heat_cycle' && ! isset($at->job->closed[$step->id]),
        ) !== [];
    }

    /** @return list<Step> one round more, and the drive once more behind it where it came after the drive */
    public static function next(Situation $at): array
    {
        $numbered = [...$at->job->stepsOf('heat_cycle'), ...$at->job->stepsOf('cold_level')];
        $next = 1 + max([0, ...array_map(fn (Step $step) => $step->params->whole('round'), $numbered)]);

        return [...HeatRound::steps($next, self::vent($at)), ...self::of($at) === null ? self::drivenAgain($next) : []];
    }

    /** @return list<string> ids of the steps of all rounds that are planned after this one */
    public static function later(Situation $at): array
    {
        $round = self::of($at);
        $later = $round === null
                ? []
                : array_filter($at->job->steps, fn (Step $step) => $step->params->whole('round') > $round);
        $ids = array_map(fn (Step $step) => $step->id, array_values($later));
        foreach (array_unique(array_map(fn (Step $step) => $step->params->whole('round'), $later)) as $n) {
            array_push($ids, ...array_map(fn (Step $step) => $step->id, HeatRound::steps($n, self::vent($at))));
        }

        return array_values(array_unique($ids));
    }

    /** Whether the vehicle’s own routine asks for a run behind this step, whatever the level says. */
    public static function routineGoesOn(Situation $at): bool
    {
        $behind = array_slice($at->job->steps, $at->job->placeOf($at->step) + 1);

        return array_filter(
            $behind,
            fn (Step $step) => $step->kind === 'heat_cycle'
                && $step->params->ticked('by_routine')
                && ! isset($at->job->closed[$step->id]),
        ) !== [];
    }

    /** The port that is cracked between the rounds; empty where none is. */
    private static function vent(Situation $at): string
    {
        $vents = $at->job->stepsOf('vent_between');

        return $vents === [] ? '' : $vents[0]->params->text('port');
    }

    /** @return list<Step> after a run that proves it may */
    private static function drivenAgain(int $round): array
    {
        return [
            new Step("drive:{$round}", 'drive', Stage::Prove),
            new Step("cool_down:drive:{$round}", 'cool_down', Stage::Prove),
            new Step("cold_level:drive:{$round}", 'cold_level', Stage::Prove),
        ];
    }

    /** Which one a step belongs to; null behind the drive. */
    public static function of(Situation $at): ?int
    {
        return $at->step->params->has('round') ? $at->step->params->whole('round') : null;
    }
}
