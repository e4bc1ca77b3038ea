<?php

declare(strict_types=1);

namespace Aqbel\Core\Sequence\Steps;

use Aqbel\Core\Run\Situation;
use Aqbel\Core\Sequence\Clock;
use Aqbel\Core\Sequence\Form;
use Aqbel\Core\Sequence\Obstacle;
use Aqbel\Core\Sequence\PlanInput;
use Aqbel\Core\Sequence\Step;
use Aqbel\Core\Sequence\StepKind;

/** Stage 4: sealant on a new gasket hardens before vacuum or pressure. */
final class Cure extends StepKind
{
    public function name(): string
    {
        return 'cure';
    }

    public function title(Situation $at): string
    {
        return 'Let the sealant cure';
    }

    public function why(Situation $at): string
    {
        return 'Vacuum or pressure pulls uncured sealant out of the joint.';
    }

    public function instructions(Situation $at): array
    {
        return ['Start the clock when the joint is bolted up. The tube’s own time outranks the one planned.', 'Closing up and mixing go on meanwhile; vacuum and pressure wait until the clock is over.'];
    }

    public function forms(Situation $at): array
    {
        return $at->has('started') ? [] : [new Form('started', 'Joint is bolted up')];
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('started') ? [] : [Obstacle::missing('Start the cure clock.')];
    }

    public function clock(Situation $at): ?Clock
    {
        $started = $at->last('started');

        return $started === null ? null : new Clock('Sealant cures', $started->at, $started->at + (int) ((float) $at->param('minutes') * 60));
    }

    public function handsOnMinutes(Step $step, PlanInput $input): float
    {
        return 1.0;
    }
}
