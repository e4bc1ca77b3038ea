<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Steps\Checklist;

/** Stage 6: the nose up for the pour, so that what would be trapped lies below the neck. */
final class Raise extends Checklist
{
    public function name(): string
    {
        return 'raise';
    }

    protected function doing(): array
    {
        return [Does::RaisesNose];
    }

    public function title(Situation $at): string
    {
        return 'Raise the nose';
    }

    public function why(Situation $at): string
    {
        return 'Raised, the neck is the highest point, and air runs up to it instead of into a corner.';
    }

    public function instructions(Situation $at): array
    {
        return ['Ramps, a lift or stands at the manual’s points. The other end’s pockets get worse by it: no '
            .'higher than planned.'];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Raised];
    }

    protected function items(Situation $at): array
    {
        $lift = Plan::of($at)->school->pours($at->circuit(), Plan::of($at)->choices)[0]->noseLiftMm;

        return [
            'chocks' => 'Wheels that stay down chocked, brake on',
            'stands' => 'On ramps, lift or stands rated for it, at the manual’s points',
            'height' => 'Nose up by '.$at->say($lift, Dimension::Length),
        ];
    }
}
