<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/** Stage 7, ordered by a failed hold: suspects in the order they are usually guilty. */
final class LeakHunt extends StepKind
{
    private const SUSPECTS = [
        'seal' => 'Adapter seal on the neck', 'drains' => 'Drain points just used',
        'clamps' => 'Hose clamps that were moved', 'repair' => 'The repair itself',
    ];

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

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        $left = array_diff_key(self::SUSPECTS, $this->checked($at));

        return $left === [] ? [] : [self::checkedForm($left)];
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [self::checkedForm(self::SUSPECTS)];
    }

    public function obstacles(Situation $at): array
    {
        return $this->found($at) !== null || $this->allChecked($at) ? []
            : [Obstacle::missing('suspects_left', 'Check the next suspect, until the leak is mended or none is left.')];
    }

    public function judge(Situation $at): ?Verdict
    {
        $found = $this->found($at);
        if ($found !== null) {
            $suspect = self::SUSPECTS[$found->text('suspect')] ?? $found->text('suspect');

            return Verdict::pass('found', "Found: {$suspect}", 'Pull and hold again to prove it.');
        }

        return $this->allChecked($at)

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

        return $this->found($at) === null && $this->allChecked($at)
            ? [new Step("find_drip:water:{$n}", 'find_drip', Stage::CloseUp, new Values([FindDrip::WATER => true]))]
            : [];
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

    private function allChecked(Situation $at): bool
    {
        return array_diff_key(self::SUSPECTS, $this->checked($at)) === [];
    }

    /** @return array<string, true> by suspect */
    private function checked(Situation $at): array
    {
        return array_fill_keys(array_map(fn (Entry $e) => $e->text('suspect'), $at->entries('checked')), true);
    }

    /** @param  array<string, string>  $suspects */
    private static function checkedForm(array $suspects): Form
    {
        return new Form('checked', 'Record', [
            Field::choice('suspect', 'Checked', $suspects, array_key_first($suspects)),
            Field::answer('result', 'It was', ['sound' => 'Sound', 'mended' => 'The leak: mended']),
            Field::text('what', 'What was done'),
        ]);
    }
}
