<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Tone;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\Changed;

/** A step that comes to something else since an earlier line was put right. */
final readonly class ChangedVerdict
{
    private const SHOWN = 8;

    private function __construct(
        public string $title,
        public string $href,
        private ?Verdict $before,
        private ?Verdict $now,
    ) {
    }

    /** @return list<self> what the newest line put right has changed, but at this step, on whose page it stands large */
    public static function besides(
        Step $step,
        int $job,
        JobState $state,
        StepCatalogue $kinds,
        int $now,
        UnitSystem $units,
    ): array {
        $others = array_filter(
            Changed::byTheNewest($state, $now, $units),
            fn (Changed $one) => $one->step->id !== $step->id,
        );

        return array_map(fn (Changed $one) => new self(
            $kinds->of($one->step)->title($state->at($one->step, $now, $units)),
            "/jobs/{$job}?step=".urlencode($one->step->id),
            $one->before,
            $one->now,
        ), array_slice(array_values($others), 0, self::SHOWN));
    }

    public function tone(): Tone
    {
        return $this->now->tone ?? Tone::Wait;
    }

    /** “As predicted; was: short by 0.60 L” */
    public function said(): string
    {
        $now = $this->now->title ?? 'Nothing to judge by any more';

        return $this->before === null ? $now : "{$now}; was: ".lcfirst($this->before->title);
    }
}
