<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prove;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\ConditionSeen;
use Aqbel\Core\Observed\LeakSeen;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stage 10: a look underneath, against what was wet before. */
final class LeakCheck extends StepKind
{
    public function name(): string
    {
        return 'leak_check';
    }

    protected function doing(): array
    {
        return [Does::Guards];
    }

    public function title(Situation $at): string
    {
        return 'Look underneath';
    }

    public function why(Situation $at): string
    {
        return 'Old drips were noted at the start: whatever is new is ours.';
    }

    public function instructions(Situation $at): array
    {
        $seen = $at->job->observedAnywhere(ConditionSeen::class);
        $old = ($seen[count($seen) - 1] ?? null)->oldDrips ?? '';

        return [
            'Lamp and mirror along every joint that was opened, drains first. Photograph what is wet.',
            $old === '' ? 'No old drips were noted.' : "Noted before the work: {$old}",
        ];
    }

    public function hazards(Situation $at): array
    {
        return $at->facts()->stationary ? [] : [Hazard::Raised];
    }

    public function asks(Situation $at): array
    {
        return [LeakSeen::asked()];
    }

    public function observes(): array
    {
        return [LeakSeen::class];
    }

    public function comparedWith(Situation $at): array
    {
        return [...$at->job->stepsOf('inspect'), ...$at->job->stepsOf('find_drip')];
    }

    public function atOnce(Situation $at): Form
    {
        return $this->forms($at)[0];
    }

    public function obstacles(Situation $at): array
    {
        return match ($at->latest(LeakSeen::class)?->isNew) {
            null => [Obstacle::missing('not_looked', 'Record what it looks like underneath.')],
            true => [Obstacle::missing('new_drip', 'Mend the new drip, then look again.')],
            false => [],
        };
    }

    public function judge(Situation $at): ?Verdict
    {
        return match ($at->latest(LeakSeen::class)?->isNew) {
            null => null,
            true => Verdict::stop('new_drip', 'New drip', 'Mend it before the vehicle drives.'),
            false => Verdict::pass('no_new_drip', 'No new drip', 'Nothing that was not there before.'),
        };
    }
}
