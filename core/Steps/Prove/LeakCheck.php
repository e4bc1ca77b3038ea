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
        $old = implode('; ', array_unique(array_filter(array_map(fn (ConditionSeen $it) => $it->oldDrips, $seen))));

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
        return Form::offering([LeakSeen::asked($this->hasDripped($at))], [LeakSeen::asked(true)]);
    }

    private function hasDripped(Situation $at): bool
    {
        return LeakSeen::standing($at->observed(LeakSeen::class)) !== null;
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
        return match (true) {
            $at->observed(LeakSeen::class) === [] => [
                Obstacle::missing('not_looked', 'Record what it looks like underneath.'),
            ],
            $this->hasDripped($at) => [Obstacle::missing('new_drip', 'Mend the new drip, then look again and say what was mended.')],
            default => [],
        };
    }

    public function judge(Situation $at): ?Verdict
    {
        $last = $at->latest(LeakSeen::class);

        return match (true) {
            $last === null => null,
            $this->hasDripped($at) => Verdict::stop('new_drip', 'New drip', $last->isNew
                ? 'Mend it before the vehicle drives.'
                : 'It is gone now, and none goes by itself: look once more, and say what was mended or what it was.'),
            $last->mended !== '' => Verdict::pass('no_new_drip', 'No new drip', "Mended: {$last->mended}."),
            default => Verdict::pass('no_new_drip', 'No new drip', 'Nothing that was not there before.'),
        };
    }
}
