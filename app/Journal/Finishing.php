<?php

declare(strict_types=1);

namespace App\Journal;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\NewLine;

/** Finishes steps: the one that is pressed, the one whose last entry was just made, and what goes by itself after it. */
final readonly class Finishing
{
    public function __construct(private Pen $pen)
    {
    }

    /**
     * Finishes a step; with a reason it is passed over, unless the obstacle is one that is never waved through.
     *
     * @param  ?string  $unsigned  why the record cannot be signed by whoever this is
     */
    public function step(string $stepId, string $reason, ?string $unsigned = null): void
    {
        $this->whatGoesByItself(
            $this->pen->write(function (JobState $state) use ($stepId, $reason, $unsigned): ?NewLine {
                if ($reason === '' && $this->pen->waited() && isset($state->closed[$stepId])) {
                    return null; // somebody else has done what this press was for
                }
                $at = $this->pen->situation($state, $stepId);
                $line = $this->pen->clerk->finish($at, $reason, $this->pen->person->passes());

                return $unsigned !== null && $this->pen->kinds->does($at->step, Does::Signs)
                    ? throw new InvalidField('known', $unsigned)
                    : $line;
            }),
        );
    }

    /** The step after it, where there is nothing to enter or to decide at it. */
    private function whatGoesByItself(?JobState $state): void
    {
        $step = $state?->stepInHand();
        if ($step !== null && $this->pen->kinds->of($step)->goesByItself($this->pen->situation($state, $step->id))) {
            $this->whereNothingIsMissing($step->id);
        }
    }

    /**
     * In the same press as an entry: where that was all, and what it says may be left as it is.
     *
     * @return bool whether the step is finished now
     */
    public function whereNothingIsMissing(string $stepId): bool
    {
        $next = $this->pen->next("done {$stepId}");
        $finished = false;
        try {
            $after = $next->write(function (JobState $state) use ($next, $stepId, &$finished): ?NewLine {
                $at = $next->situation($state, $stepId);
                // A signature is a press of its own.
                if ($this->pen->kinds->does($at->step, Does::Signs) || ! $this->pen->kinds->of($at->step)->goesOn($at)) {
                    return null;
                }
                $line = $this->pen->clerk->finish($at, '');
                $finished = true;

                return $line;
            });
        } catch (InvalidField) {
            return false;
        }
        if ($finished) {
            $this->whatGoesByItself($after);
        }

        return $finished;
    }
}
