<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stage 7, ordered by a failed hold: suspects in the order they are usually guilty. */
final class LeakHunt extends StepKind
{
    private const SUSPECTS = ['seal' => 'Adapter seal on the neck', 'drains' => 'Drain points just used', 'clamps' => 'Hose clamps that were moved', 'repair' => 'The repair itself'];

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

    public function forms(Situation $at): array
    {
        $left = array_diff_key(self::SUSPECTS, $this->checked($at));

        return $left === [] ? [] : [new Form('checked', 'Record', [
            Field::choice('suspect', 'Checked', $left, array_key_first($left)),
            Field::choice('result', 'It was', ['sound' => 'sound', 'mended' => 'the leak: mended'], 'sound'),
            Field::text('what', 'What was done'),
        ])];
    }

    public function obstacles(Situation $at): array
    {
        return $this->found($at) !== null || count($this->checked($at)) === count(self::SUSPECTS) ? [] : [Obstacle::missing('Check the next suspect, until the leak is mended or none is left.')];
    }

    public function judge(Situation $at): ?Verdict
    {
        $found = $this->found($at);
        if ($found !== null) {
            return Verdict::pass('Found: '.self::SUSPECTS[$found->text('suspect')], 'Pull and hold again to prove it.');
        }

        return count($this->checked($at)) === count(self::SUSPECTS)
            ? Verdict::wait('Nothing found', 'Fill with water, not expensive coolant, and pressure-test to see the drip.') : null;
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 15.0;
    }

    private function found(Situation $at): ?Entry
    {
        foreach ($at->entries('checked') as $entry) {
            if ($entry->text('result') === 'mended') {
                return $entry;
            }
        }

        return null;
    }

    /** @return array<string, true> */
    private function checked(Situation $at): array
    {
        $checked = [];
        foreach ($at->entries('checked') as $entry) {
            $checked[$entry->text('suspect')] = true;
        }

        return $checked;
    }
}
