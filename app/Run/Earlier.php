<?php

declare(strict_types=1);

namespace App\Run;

use App\Plan\Hours;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\EngineRuns;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\StepKind;

/** What happened a while ago: at a step that is behind, or at the one in hand. */
final readonly class Earlier
{
    /** An engine that runs is looked at within (common practice, no source). */
    private const LONG_SILENCE_S = 45 * 60;

    /**
     * @param  ?Entry  $finished  the line that finished the step; null where it is not behind
     * @param  int  $now  Unix seconds
     * @param  bool  $isAsked  whether it was asked for at the step in hand
     */
    public function __construct(
        private Situation $at,
        private StepKind $kind,
        private ?Entry $finished,
        private int $now,
        private bool $isAsked,
    ) {
    }

    /** Whether the step in hand is shown to tell of what happened earlier, and of nothing else. */
    public function isTold(): bool
    {
        return $this->isAsked && $this->isInHand();
    }

    public function isInHand(): bool
    {
        return $this->finished === null && $this->at->job->turn()->isInHand($this->at->step);
    }

    /** @return list<Form> what may be told of */
    public function forms(): array
    {
        return $this->kind->everything($this->at);
    }

    /** Nothing of it happened later, as a time field has it. */
    public function until(): string
    {
        return date('Y-m-d\TH:i', $this->finished->at ?? $this->now);
    }

    /** Whether the step in hand asks for anything that may have happened earlier. */
    public function isOffered(): bool
    {
        return $this->isInHand() && $this->kind->observes() !== [];
    }

    /** How long nobody has said anything of an engine that runs, in words; null where it does not, or it is not long. */
    public function silentFor(): ?string
    {
        $lines = $this->at->entries();
        $since = $lines === [] ? 0 : $this->now - max(array_map(fn (Entry $line) => $line->at, $lines));

        return $since >= self::LONG_SILENCE_S && $this->isInHand() && EngineRuns::at($this->at)
            ? Hours::of($since / 60.0)
            : null;
    }
}
