<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepCatalogue;

/** What a step came to that was finished a moment ago, by the same press that led away from it. */
final readonly class CameTo
{
    /** So long its verdict is news, s. */
    private const NEWS_S = 90;

    private const AT_MOST = 2;

    private function __construct(public string $title, public Verdict $verdict)
    {
    }

    /** @return list<self> those the reader finished, the last one first */
    public static function lately(
        JobState $state,
        StepCatalogue $kinds,
        string $reader,
        int $now,
        UnitSystem $units,
    ): array {
        $news = array_filter(
            $state->closed,
            fn (Entry $line) => $line->by === $reader && ! $line->is(Lines::Override) && $now - $line->at <= self::NEWS_S,
        );
        uasort($news, fn (Entry $a, Entry $b) => $b->seq <=> $a->seq);
        $lately = [];
        foreach (array_keys($news) as $id) {
            $lately[] = self::of($state, $kinds, $state->steps[$id] ?? null, $now, $units);
            $lately = array_values(array_filter($lately));
            if (count($lately) === self::AT_MOST) {
                break;
            }
        }

        return $lately;
    }

    private static function of(JobState $state, StepCatalogue $kinds, ?Step $step, int $now, UnitSystem $units): ?self
    {
        $verdict = $step === null ? null : $state->verdictOf($step, $now, $units);

        return $step === null || $verdict === null
            ? null
            : new self($kinds->of($step)->title($state->at($step, $now, $units)), $verdict);
    }
}
