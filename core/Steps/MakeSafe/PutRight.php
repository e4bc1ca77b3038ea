<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\MakeSafe;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\PartAwaited;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\Checklist;

/**
 * Stage 1, ordered by what was found: the parts fetched, the dirt washed off, the wait for what is not on the shelf.
 */
final class PutRight extends Checklist
{
    private const ITEMS = [
        'hose' => 'New hose at hand',
        'clamps' => 'New clamps at hand',
        'cap' => 'New cap at hand',
        'fins' => 'Radiator fins blown or washed clean, from the engine side out',
        'tank' => 'Tank cleaned until the level can be read',
        'pipes' => 'Weeping pipe mended or replaced',
    ];

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
        return [
            'Tick what is done or at hand.',
            'A part that has to be ordered: start its clock, and take the next vehicle meanwhile.',
        ];
    }

    public function asks(Situation $at): array
    {
        return Form::offering(
            $this->unticked($at) === []
                ? []
                : [...array_filter(parent::asks($at), fn (Form $form) => $form->offered), PartAwaited::asked()],
            [...array_map(fn (Form $form) => $form->whole(), parent::asks($at)), PartAwaited::asked()],
        );
    }

    public function observes(): array
    {
        return [PartAwaited::class];
    }

    public function clock(Situation $at): ?Clock
    {
        return $this->unticked($at) === [] ? null : $at->latest(PartAwaited::class)?->clock();
    }

    /** One thing to be put right, in words. */
    public static function sayItem(Situation $at, string $item): string
    {
        $rating = $at->facts()->capKpa;

        return (self::ITEMS[$item] ?? $item).(
            $item === 'cap' && $rating !== null ? ', rated '.$at->say($rating, Dimension::Pressure) : ''
        );
    }

    protected function items(Situation $at): array
    {
        $items = $at->step->params->list('items');

        return array_combine($items, array_map(fn (string $item) => self::sayItem($at, $item), $items));
    }
}
