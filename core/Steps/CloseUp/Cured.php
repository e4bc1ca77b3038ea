<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\CloseUp;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepKind;

/** Before the first vacuum or pressure: the gate that waits for the sealant. */
final class Cured extends StepKind
{
    public function name(): string
    {
        return 'cured';
    }

    public function title(Situation $at): string
    {
        return 'Has the sealant cured?';
    }

    public function why(Situation $at): string
    {
        return 'Vacuum or pressure pulls uncured sealant out of the joint.';
    }

    public function instructions(Situation $at): array
    {
        return ['Nothing to do here but wait. The tube’s own time outranks the one planned.'];
    }

    public function forms(Situation $at): array
    {
        return [];
    }

    public function obstacles(Situation $at): array
    {
        $clock = $this->clock($at);

        return match (true) {
            $clock === null => [Obstacle::missing('The cure clock was never started.')],
            ! $clock->over($at->now) => [Obstacle::missing('The cure time is not over: no vacuum and no pressure for another '.(int) ceil(($clock->until - $at->now) / 60).' min.')],
            default => [],
        };
    }

    public function clock(Situation $at): ?Clock
    {
        $cure = $at->job->before($at->step, 'cure');

        return $cure === null ? null : (new Cure)->clock($at->seenFrom($cure));
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 0.0;
    }

    /** What is left of the cure after closing up and mixing, roughly. */
    public function waitingMinutes(Step $step, Choices $input): float
    {
        return max(0.0, $input->cureMinutes - 20.0);
    }
}
