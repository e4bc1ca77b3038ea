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

    public static function of(int $job, Summary $summary, UnitSystem $units): self
    {
        $key = "floor.{$job}.{$summary->seq}.{$units->value}";
        [$title, $verdict, $clock] = Cache::remember($key, self::KEPT_S, fn (): array => self::say($job, $units));

        return new self($title, $verdict, $clock);
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
