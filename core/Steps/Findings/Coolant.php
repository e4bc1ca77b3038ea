<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Findings;

use Aqbel\Core\Job\JobState;

/** What the drained coolant looked like, and what the jar showed. */
final readonly class Coolant
{
    private function __construct(private string $seen, private string $next, private string $jar)
    {
    }

    public static function of(JobState $job): self
    {
        $look = $job->lastOf('look', 'seen');

        return new self(
            $look?->text('coolant') ?? '',
            $look?->text('next') ?? '',
            $job->lastOf('jar_test', 'jar')?->text('jar') ?? '',
        );
    }

    /** Code of what it looked like; empty while nobody has looked. */
    public function seen(): string
    {
        return $this->seen;
    }

    public function isDirty(): bool
    {
        return ! in_array($this->seen, ['', 'clean'], true);
    }

    public function isOily(): bool
    {
        return $this->seen === 'oily';
    }

    /** Whether it set to gel, in the pan or in the jar. */
    public function gels(): bool
    {
        return $this->seen === 'gel' || $this->gelsInTheJar();
    }

    public function gelsInTheJar(): bool
    {
        return $this->jar === 'gel';
    }

    public function goesBackIn(): bool
    {
        return $this->next === 'reuse';
    }
}
