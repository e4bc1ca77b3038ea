<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prove;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Field;
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

    public function asks(Situation $at): array
    {
        $usual = (string) (int) Plan::of($at)->rules()->followUpDays;

        return [new Form('booked', 'Book it', [
            Field::choice('days', 'Cold level again in', ['1' => '1 day', '3' => '3 days', '7' => '7 days'], $usual),
            Field::text('note', 'Watch for'),
        ])];
    }

    public function atOnce(Situation $at): Form
    {
        return $this->forms($at)[0];
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('booked') ? [] : [Obstacle::missing('not_booked', 'Book the follow-up.')];
    }
}
