<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Values;

/**
 * What a rinse is made of, one after the other: water or cleaner run warm, water filled in cold and drained, a cold
 * flow-through, a part flushed against its flow. Each, when it is done, orders the next with whatever is still to come.
 */
final class RinsePart
{
    public const WATER = 'water';

    /** Filled whole once, and drained without a run. */
    public const ONCE = 'once';

    public const CLEANER = 'cleaner';

    public const FLOW = 'flow';

    /** Followed by the kinds of part, as in `back:radiator`. */
    public const BACK = 'back:';

    /** Under which a step keeps what comes after it. */
    private const REST = 'rest';

    /**
     * @param  list<string>  $parts  still to come
     * @return list<Step> the first of them
     */
    public static function first(Situation $at, array $parts): array
    {
        if ($parts === []) {
            return [];
        }
        $rest = new Values([self::REST => array_slice($parts, 1)]);
        $again = fn (string $kind): string => $at->job->stepsOf($kind) === []
            ? $kind
            : "{$kind}:".(1 + count($at->job->stepsOf($kind)));

        return match (true) {
            $parts[0] === self::FLOW => [new Step($again('rinse_flow'), 'rinse_flow', Stage::Rinse, $rest)],
            str_starts_with($parts[0], self::BACK) => [
                new Step(
                    $again('back_flush'),
                    'back_flush',
                    Stage::Rinse,
                    $rest->with('parts', [substr($parts[0], strlen(self::BACK))]),
                ),
            ],
            default => self::cycle($at, $parts[0], $rest),
        };
    }

    /** @return list<Step> what follows this step, by what was decided */
    public static function after(Situation $at): array
    {
        return self::first($at, self::rest($at->step));
    }

    /** @return list<string> */
    public static function rest(Step $step): array
    {
        return $step->params->list(self::REST);
    }

    /** Whether the engine has moved it: water filled in and drained again mixes only where it falls. */
    public static function isRun(Step $step): bool
    {
        return $step->params->text('with') !== self::ONCE;
    }

    /** @return list<string> ids of what is left of a cycle, and says nothing without its water */
    public static function needlessWithout(Situation $fill): array
    {
        $n = $fill->step->params->whole('cycle');
        $cycle = ["rinse_run:{$n}", "cool_down:rinse{$n}", "rinse_drain:{$n}"];

        return array_values(
            array_filter($cycle, fn (string $id) => isset($fill->job->steps[$id]) && ! isset($fill->job->closed[$id])),
        );
    }

    /** @return list<Step> fill, warm-up, cool-down and drain; cold, without the two between */
    private static function cycle(Situation $at, string $with, Values $rest): array
    {
        $n = 1 + count($at->job->stepsOf('rinse_fill'));
        $about = (new Values(['cycle' => $n, 'with' => $with]))->and($rest);

        $run = $with === self::ONCE ? [] : [
            new Step("rinse_run:{$n}", 'rinse_run', Stage::Rinse, $about),
            new Step("cool_down:rinse{$n}", 'cool_down', Stage::Rinse),
        ];

        return [
            new Step("rinse_fill:{$n}", 'rinse_fill', Stage::Rinse, $about),
            ...$run,
            new Step("rinse_drain:{$n}", 'rinse_drain', Stage::Rinse, $about),
        ];
    }
}
