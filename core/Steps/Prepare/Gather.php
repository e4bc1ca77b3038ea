<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prepare;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Steps\Checklist;

/** Stage 0: parts, coolant and tools at hand before anything is opened; later, what another way needs besides. */
final class Gather extends Checklist
{
    public function name(): string
    {
        return 'gather';
    }

    public function title(Situation $at): string
    {
        return 'Have at hand';
    }

    public function why(Situation $at): string
    {
        return 'Once it is open the vehicle stands until everything is there.';
    }

    public function instructions(Situation $at): array
    {
        return ['Lay it out beside the vehicle and tick it off.'];
    }

    protected function items(Situation $at): array
    {
        $items = Plan::of($at)->materials($at->circuit())->toGather(Plan::of($at)->predicted, $at->units);
        $only = $at->step->params->list('only');

        return $only === [] ? $items : array_intersect_key($items, array_flip($only));
    }
}
