<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prove;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\FollowUpBooked;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepKind;

/** Stage 10: the look some days later, when leftover air has worked out. */
final class FollowUp extends StepKind
{
    public function name(): string
    {
        return 'follow_up';
    }

    public function title(Situation $at): string
    {
        return 'Book the follow-up';
    }

    public function why(Situation $at): string
    {
        return 'Leftover air works out over days: one or two small top-ups, then the level must stand still. '
            .'Still dropping is a leak.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Agree when the cold level is looked at again, and by whom.', 'Give the driver the spare '
                .'mixture, labelled.',
        ];
    }

    public function observes(): array
    {
        return [FollowUpBooked::class];
    }

    public function asks(Situation $at): array
    {
        return [FollowUpBooked::asked(Plan::of($at)->rules()->followUpDays)];
    }

    public function atOnce(Situation $at): Form
    {
        return $this->forms($at)[0];
    }

    public function obstacles(Situation $at): array
    {
        return $at->latest(FollowUpBooked::class) !== null
            ? []
            : [Obstacle::missing('not_booked', 'Book the follow-up.')];
    }
}
