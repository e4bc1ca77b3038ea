<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Obstacle;

/**
 * Stands in for a kind of step this version does not know: what was entered is shown, and it is passed over only with
 * a reason.
 */
final class UnknownKind extends StepKind
{
    public function name(): string
    {
        return 'unknown';
    }

    public function title(Situation $at): string
    {
        return 'A step of another version';
    }

    public function why(Situation $at): string
    {
        return "It was planned as “{$at->step->kind}”, which this version of Aqbel does not know.";
    }

    public function instructions(Situation $at): array
    {
        return ['Do it as it was planned, by the service manual, and write down what was done.'];
    }

    public function asks(Situation $at): array
    {
        return [];
    }

    public function obstacles(Situation $at): array
    {
        return [Obstacle::missing('unknown_kind', 'This version cannot judge this step. Say what was done instead.')];
    }
}
