<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\Ticked;
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

        return Form::offering($open === [] ? [] : [Ticked::asked($open)], [Ticked::asked($this->items($at))]);
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
        return array_fill_keys(
            array_merge(...array_map(fn (Ticked $told) => $told->items, $at->observed(Ticked::class))),
            true,
        );
    }
}
