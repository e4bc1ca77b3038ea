<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Steps\Checklist;

/** Stage 6: a sealed funnel on the neck, its surface above everything that is to be filled. */
final class Funnel extends Checklist
{
    public function name(): string
    {
        return 'funnel';
    }

    public function title(Situation $at): string
    {
        return 'High funnel on the neck';
    }

    public function why(Situation $at): string
    {
        return 'With the surface in the funnel above the highest point, that point runs too.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Adapter and ring by the size of this neck; it must hold the column without a drip.',
            'What is left in it when the level is set was poured, and is not inside: it is asked for then.',
        ];
    }

    protected function items(Situation $at): array
    {
        $head = Plan::of($at)->school->pours($at->circuit(), Plan::of($at)->choices)[0]->headMm;

        return [
            'sealed' => 'Funnel sealed on the neck',
            'height' => 'Surface held '.$at->say($head, Dimension::Length).' above the neck',
        ];
    }
}
