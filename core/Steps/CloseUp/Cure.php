<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\CloseUp;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\CureStarted;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepKind;

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
        return [
            'Start the clock when the joint is bolted up. The tube’s own time outranks the one planned.',
            'Closing up and mixing go on meanwhile; vacuum and pressure wait until the clock is over.',
        ];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        return $this->started($at) === null ? $this->ever($at) : [];
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [CureStarted::asked()];
    }

    public function observes(): array
    {
        return [CureStarted::class];
    }

    public function obstacles(Situation $at): array
    {
        return $this->started($at) === null ? [Obstacle::missing('not_started', 'Start the cure clock.')] : [];
    }

    public function clock(Situation $at): ?Clock
    {
        $started = $this->started($at);
        $seconds = (int) (60.0 * (float) $at->step->params->number('minutes'));

        return $started === null ? null : new Clock('Sealant cures', $started->at(), $started->at() + $seconds);
    }

    private function started(Situation $at): ?CureStarted
    {
        return $at->latest(CureStarted::class);
    }
}
