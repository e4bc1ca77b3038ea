<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\CloseUp;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Steps\Checklist;
use Aqbel\Core\Steps\Findings\Condition;
use Aqbel\Core\Steps\Findings\Drip;
use Aqbel\Core\Steps\Findings\OilCause;

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
        return [
            'Hand on every joint that was opened, then tick it. Clamps back on their paint marks.',
            'Torques are the manual’s; where none is given, by feel.',
        ];
    }

    protected function items(Situation $at): array
    {
        return Plan::of($at)->materials($at->circuit())->toCloseUp($at->units)
            + (Condition::of($at->job)?->toFit() ?? [])
            + (Drip::of($at->job)?->toMend() ?? [])
            + (OilCause::of($at->job)?->toMend() ?? [])
            + self::leftOpen($at);
    }

    /**
     * What a job before this one left open and this one does not open and close itself.
     *
     * @return array<string, string>
     */
    private static function leftOpen(Situation $at): array
    {
        $choices = Plan::of($at)->choices;
        $items = [];
        foreach (array_diff($choices->left->open ?? [], $choices->drains, $choices->bleedsOf($at->circuit())) as $port) {
            $label = $at->circuit()->ports[$port]->label ?? null;
            if ($label !== null) {
                $items["left_open.{$port}"] = "{$label}, left open by {$choices->left?->job}: closed";
            }
        }

        return $items;
    }
}
