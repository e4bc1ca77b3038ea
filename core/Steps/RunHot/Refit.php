<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Steps\Checklist;

/** Covers back on: those the engine needs before the first start, the others once the leak check has been passed. */
final class Refit extends Checklist
{
    public function name(): string
    {
        return 'refit';
    }

    public function title(Situation $at): string
    {
        return $at->step->stage === Stage::RunHot ? 'Back on before the first start' : 'Covers back on';
    }

    public function why(Situation $at): string
    {
        return $at->step->stage === Stage::RunHot
            ? 'The engine needs these to run; they only waited for the bleed points.'
            : 'They were left off so that every joint could be looked at.';
    }

    public function instructions(Situation $at): array
    {
        return ['Every clip and screw that was laid aside goes back. Nothing rests on a hose.'];
    }

    public function labour(Step $step, Choices $choices): Minutes
    {
        return parent::labour($step, $choices)->times(count($step->params->list('items')));
    }

    /** Once the item was the cover's id with a word before it; both name the same cover. */
    protected function items(Situation $at): array
    {
        $items = [];
        foreach ($at->step->params->list('items') as $item) {
            $cover = preg_replace('/^cover_/', '', $item) ?? $item;
            $items["cover_{$cover}"] = 'Back: '.($at->circuit()->covers[$cover]->label ?? $cover);
        }

        return $items;
    }
}
