<?php

declare(strict_types=1);

namespace Aqbel\Core\Sequence\Steps;

use Aqbel\Core\Run\Situation;
use Aqbel\Core\Sequence\PlanInput;
use Aqbel\Core\Sequence\Step;

/** Stage 4: everything that was opened is closed, and what is needed to run is back. */
final class CloseUp extends Checklist
{
    public function name(): string
    {
        return 'close_up';
    }

    public function title(Situation $at): string
    {
        return 'Close up';
    }

    public function why(Situation $at): string
    {
        return 'A clamp off its mark or a thermostat the wrong way round looks like air for the rest of the day.';
    }

    public function instructions(Situation $at): array
    {
        return ['Thermostat: spring toward the engine, jiggle pin at the top. Clamps on their paint marks.', 'Hand on every joint that was opened, then tick it.'];
    }

    protected function items(Situation $at): array
    {
        $items = (array) $at->param('items');
        foreach ($at->job->stepsOf('inspect') as $inspect) {
            $found = $at->seenFrom($inspect)->last('condition');
            $items += array_filter(['new_hose' => $found?->text('hoses') === 'replace' ? 'New hose fitted' : null, 'new_cap' => $found?->text('cap') === 'worn' ? 'New cap fitted' : null]);
        }

        return $items;
    }

    public function handsOnMinutes(Step $step, PlanInput $input): float
    {
        return 10.0;
    }
}
