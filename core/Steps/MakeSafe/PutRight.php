<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\MakeSafe;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\Checklist;

/** Stage 1, ordered by what was found: the parts fetched, the dirt washed off, the wait for what is not on the shelf. */
final class PutRight extends Checklist
{
    public function name(): string
    {
        return 'put_right';
    }

    public function title(Situation $at): string
    {
        return 'Put right what was found';
    }

    public function why(Situation $at): string
    {
        return 'Once the circuit is open the vehicle stands until everything is there.';
    }

    public function instructions(Situation $at): array
    {
        return ['Tick what is done or at hand.', 'A part that has to be ordered: start its clock, and take the next vehicle meanwhile.'];
    }

    public function forms(Situation $at): array
    {
        $forms = parent::forms($at);

        return $forms === [] ? [] : [...$forms, new Form('waiting', 'Wait for a part', [
            Field::text('part', 'Which', true), Field::duration('until', 'It comes in', Unit::Hour, 3600.0 * 24 * 30),
        ], false)];
    }

    public function clock(Situation $at): ?Clock
    {
        $waiting = $at->last('waiting');

        return $waiting === null || parent::forms($at) === [] ? null
            : new Clock("Part ordered: {$waiting->text('part')}", $waiting->at, $waiting->at + (int) $waiting->number('until'), true);
    }

    protected function items(Situation $at): array
    {
        return (array) $at->param('items');
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 8.0;
    }
}
