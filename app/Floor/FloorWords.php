<?php

declare(strict_types=1);

namespace App\Floor;

use App\Models\Job;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Support\Facades\Cache;

/**
 * What the step in hand of a job is called, says and waits for, in the reader's units: remembered until the journal
 * grows.
 */
final readonly class FloorWords
{
    private const KEPT_S = 7 * 86400;

    public function __construct(public string $title, public string $verdict, public string $clock)
    {
    }

    /**
     * Of all jobs on the floor, remembered together: sixty jobs are one file to read while nothing changes.
     *
     * @param  array<int, Summary>  $summaries  by job
     * @return array<int, self> by job
     */
    public static function ofAll(array $summaries, UnitSystem $units): array
    {
        $stand = array_map(fn (Summary $summary) => $summary->seq, $summaries);
        $said = Cache::remember(
            'floor.'.sha1((string) json_encode($stand)).".{$units->value}",
            self::KEPT_S,
            fn (): array => array_map(
                fn (int $job) => self::of($job, $summaries[$job], $units)->toArray(),
                array_combine(array_keys($summaries), array_keys($summaries)),
            ),
        );

        return array_map(fn (array $words) => new self(...$words), $said);
    }

    public static function of(int $job, Summary $summary, UnitSystem $units): self
    {
        $key = "floor.{$job}.{$summary->seq}.{$units->value}";
        [$title, $verdict, $clock] = Cache::remember($key, self::KEPT_S, fn (): array => self::say($job, $units));

        return new self($title, $verdict, $clock);
    }

    /** @return array{string, string, string} */
    private function toArray(): array
    {
        return [$this->title, $this->verdict, $this->clock];
    }

    /** @return array{string, string, string} */
    private static function say(int $job, UnitSystem $units): array
    {
        $state = Job::query()->with('circuit')->findOrFail($job)->state();
        $step = $state->stepInHand();
        if ($step === null) {
            return ['', '', ''];
        }
        $at = $state->at($step, now()->getTimestamp(), $units);
        $kind = app(StepCatalogue::class)->of($step);

        return [$kind->title($at), $kind->verdict($at)->title ?? '', $kind->clock($at)->label ?? ''];
    }
}
