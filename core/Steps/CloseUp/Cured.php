<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\CloseUp;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Minutes;
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

    protected function doing(): array
    {
        return [Does::Guards];
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

    public function asks(Situation $at): array
    {
        return [];
    }

    public function obstacles(Situation $at): array
    {
        $clock = $this->clock($at);
        if ($clock === null) {
            return [Obstacle::missing('not_started', 'The cure clock was never started.')];
        }
        $minutes = (int) ceil(($clock->until - $at->now) / 60);

        return $clock->over($at->now) ? []
            : [
                Obstacle::missing(
                    'not_cured',
                    "The cure time is not over: no vacuum and no pressure for another {$minutes} min.",
                ),
            ];
    }

    public function clock(Situation $at): ?Clock
    {
        $cure = $at->job->before($at->step, 'cure');

        return $cure === null ? null : (new Cure)->clock($at->seenFrom($cure));
    }

    /** What is left of the cure after closing up and mixing. */
    public function labour(Step $step, Choices $choices): Minutes
    {
        return new Minutes(
            parent::labour($step, $choices)->hands,
            $choices->rules->labour->leftOfCure($choices->cureMinutes),
        );
    }
}
