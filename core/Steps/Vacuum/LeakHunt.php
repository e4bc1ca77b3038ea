<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\SuspectChecked;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/** Stage 7, ordered by a failed hold: suspects in the order they are usually guilty. */
final class LeakHunt extends StepKind
{
    public function name(): string
    {
        return 'leak_hunt';
    }

    public function title(Situation $at): string
    {
        return 'Hunt the leak';
    }

    public function why(Situation $at): string
    {
        return 'Air is coming in. Found now it costs minutes; after the fill it costs the repair.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'In this order: adapter seal, drains just used, clamps, the repair.',
            'Listen with a hose at the ear. Wet a suspect joint: the needle pauses when the water seals it.',
            'Nothing found: fill with water, not coolant, and pressure-test to see the drip.',
        ];
    }

    public function observes(): array
    {
        return [SuspectChecked::class];
    }

    public function asks(Situation $at): array
    {
        $left = $this->left($at);

        return Form::offering($left === [] ? [] : [SuspectChecked::asked($left)], [
            SuspectChecked::asked(SuspectChecked::SUSPECTS),
        ]);
    }

    public function obstacles(Situation $at): array
    {
        return $this->found($at) !== null || $this->left($at) === [] ? []
            : [Obstacle::missing('suspects_left', 'Check the next suspect, until the leak is mended or none is left.')];
    }

    public function judge(Situation $at): ?Verdict
    {
        $found = $this->found($at);
        if ($found !== null) {
            return Verdict::pass('found', "Found: {$found->label()}", 'Pull and hold again to prove it.');
        }

        return $this->left($at) === []
            ? Verdict::wait(
                'nothing_found',
                'Nothing found',
                'Fill with water, not expensive coolant, and pressure-test to see the drip: the next steps.',
            )
            : null;
    }

    /** With nothing found: filled with water and pressed, which shows where the air came in. */
    public function orders(Situation $at): array
    {
        $n = 1 + count($at->job->stepsOf('find_drip'));

        return $this->found($at) === null && $this->left($at) === []
            ? [new Step("find_drip:water:{$n}", 'find_drip', Stage::CloseUp, new Values([FindDrip::WATER => true]))]
            : [];
    }

    private function found(Situation $at): ?SuspectChecked
    {
        return array_values(
            array_filter($at->observed(SuspectChecked::class), fn (SuspectChecked $checked) => $checked->mended),
        )[0] ?? null;
    }

    /** @return array<string, string> suspects nobody has looked at */
    private function left(Situation $at): array
    {
        $checked = array_map(fn (SuspectChecked $checked) => $checked->suspect, $at->observed(SuspectChecked::class));

        return array_diff_key(SuspectChecked::SUSPECTS, array_flip($checked));
    }
}
