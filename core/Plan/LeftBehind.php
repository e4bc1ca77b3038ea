<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** What a job that was given up leaves to the next one on the same vehicle. */
final readonly class LeftBehind
{
    /**
     * @param  string  $job  its number
     * @param  list<string>  $open  ports that stand open
     * @param  ?float  $contentMl  inside by its ledger; null where nobody recorded what was found
     */
    public function __construct(public string $job, public array $open = [], public ?float $contentMl = null, public float $plusMinusMl = 0.0)
    {
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
