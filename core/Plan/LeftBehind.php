<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\PortState;

/** What a job that was given up leaves to the next one on the same vehicle. */
final readonly class LeftBehind
{
    /** Under which closing up ticks that a port left open is closed, before the port. */
    public const TICK = 'left_open.';

    /**
     * @param  string  $job  its number
     * @param  list<string>  $open  ports that stand open
     * @param  ?float  $contentMl  inside by its ledger; null where nobody recorded what was found
     */
    public function __construct(public string $job, public array $open = [], public ?float $contentMl = null, public float $plusMinusMl = 0.0)
    {
    }

    /** What a job leaves as it stands: its own, and of what it found left open all that nobody has closed since. */
    public static function of(JobState $job, string $number, int $now): self
    {
        $before = Plan::of($job)->choices->left;
        $own = $job->ports($now);
        $ticked = [];
        foreach ($job->entries as $entry) {
            array_push($ticked, ...$entry->values->allTicked());
        }
        $still = array_filter(
            $before->open ?? [],
            fn (string $port) => ! isset($own[$port]) && ! in_array(self::TICK.$port, $ticked, true),
        );
        $open = [...array_keys(array_filter($own, fn (PortState $is) => $is !== PortState::Closed)), ...array_values($still)];
        $ledger = $job->ledger();

        return $ledger->lines === []
            ? new self($number, $open, $before?->contentMl, $before->plusMinusMl ?? 0.0)
            : new self($number, $open, max(0.0, $ledger->contentMl), $ledger->plusMinusMl);
    }

    /** Whether so little is inside that the circuit arrives empty. */
    public function isEmpty(): bool
    {
        return $this->contentMl !== null && $this->contentMl <= $this->plusMinusMl;
    }

    /** @return array{job: string, open: list<string>, content_ml: ?float, plus_minus_ml: float} */
    public function toArray(): array
    {
        return ['job' => $this->job, 'open' => $this->open, 'content_ml' => $this->contentMl, 'plus_minus_ml' => $this->plusMinusMl];
    }
}
