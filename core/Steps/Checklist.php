<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;

/** A step that is done when every item is ticked. The items may be ticked in several goes. */
abstract class Checklist extends StepKind
{
    /** @return array<string, string> label by item code */
    abstract protected function items(Situation $at): array;

    public function asks(Situation $at): array
    {
        $open = $this->unticked($at);

        return Form::offering($open === [] ? [] : [self::ticks($open)], [self::ticks($this->items($at))]);
    }

    public function atOnce(Situation $at): ?Form
    {
        return $this->forms($at)[0] ?? null;
    }

    /** @return array<string, string> label by code of the items nobody has ticked yet */
    protected function unticked(Situation $at): array
    {
        return array_diff_key($this->items($at), $this->ticked($at));
    }

    public function obstacles(Situation $at): array
    {
        $open = $this->unticked($at);
        $missing = fn (string $item, string $label): Obstacle => Obstacle::missing(
            "not_ticked.{$item}",
            "Not ticked: {$label}",
        );

        return array_map($missing, array_map(strval(...), array_keys($open)), array_values($open));
    }

    /** @return array<string, true> codes of the items ticked so far */
    public function ticked(Situation $at): array
    {
        $ticked = [];
        foreach ($at->entries('ticked') as $entry) {
            $ticked += array_fill_keys($entry->values->allTicked(), true);
        }

        return $ticked;
    }

    /** @param  array<string, string>  $items */
    private static function ticks(array $items): Form
    {
        return new Form(
            'ticked',
            'Keep these ticks',
            array_map(Field::check(...), array_map(strval(...), array_keys($items)), array_values($items)),
        );
    }
}
