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
    /** @return array<string, string> label by item name */
    abstract protected function items(Situation $at): array;

    public function forms(Situation $at): array
    {
        $open = array_diff_key($this->items($at), $this->ticked($at));

        return $open === [] ? [] : [new Form('ticked', 'Keep these ticks', array_map(
            fn (string $name, string $label) => Field::check($name, $label), array_keys($open), $open,
        ))];
    }

    public function obstacles(Situation $at): array
    {
        return array_values(array_map(fn (string $label) => Obstacle::missing("Not ticked: {$label}"), array_diff_key($this->items($at), $this->ticked($at))));
    }

    /** @return array<string, true> names of the items ticked so far */
    public function ticked(Situation $at): array
    {
        $ticked = [];
        foreach ($at->entries('ticked') as $entry) {
            $ticked += array_map(fn () => true, array_filter($entry->values, fn (mixed $v) => $v === true));
        }

        return $ticked;
    }
}
