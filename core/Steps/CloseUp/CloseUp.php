<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\CloseUp;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Materials;
use Aqbel\Core\Steps\Checklist;
use Aqbel\Core\Steps\Drain\FindCause;
use Aqbel\Core\Steps\MakeSafe\FindDrip;
use Aqbel\Core\Steps\MakeSafe\Inspect;

/** Stage 4: everything that was opened is closed, and what is needed to run is back. */
final class CloseUp extends Checklist
{
    public function name(): string
    {
        return 'close_up';
    }

    public function title(Situation $at): string
    {
        return 'Close up';
    }

    public function why(Situation $at): string
    {
        return 'A clamp off its mark or a thermostat the wrong way round looks like air for the rest of the day.';
    }

    public function instructions(Situation $at): array
    {
        return ['Hand on every joint that was opened, then tick it. Clamps back on their paint marks.', 'Torques are the manual’s; where none is given, by feel.'];
    }

    protected function items(Situation $at): array
    {
        $job = $at->job;
        [$found, $drip, $oil] = [$job->lastOf('inspect', 'condition'), $job->lastOf('find_drip', 'drip'), $job->lastOf('find_cause', 'cause')];

        return (new Materials($at->circuit(), $job->plan->input))->toCloseUp($at->units)
            + ($found === null ? [] : Inspect::toFit($found)) + ($drip === null ? [] : FindDrip::toMend($drip)) + ($oil === null ? [] : FindCause::toMend($oil));
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 10.0;
    }
}
