<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\AnyTime;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\FoundOnTheWay;
use Aqbel\Core\Observed\WaitCutShort;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepKind;

/** Ordered by a finding: paint, sealant or a delivery takes its time, counted from when it was written down. */
final class Wait extends StepKind
{
    public function name(): string
    {
        return 'wait';
    }

    protected function doing(): array
    {
        return [Does::Guards];
    }

    public function title(Situation $at): string
    {
        return 'Wait: '.Extra::what($at);
    }

    public function why(Situation $at): string
    {
        return 'Nothing behind this is done before its time is over. The tube’s, or the maker’s, own time outranks it.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'The clock runs since it was found. Take the next vehicle meanwhile; whoever goes on sees it on the floor.',
        ];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        return $this->obstacles($at) === [] ? [] : $this->ever($at);
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [WaitCutShort::asked()];
    }

    public function observes(): array
    {
        return [WaitCutShort::class];
    }

    public function obstacles(Situation $at): array
    {
        $left = (int) ceil(($this->clock($at)->until - $at->now) / 60);

        return $left <= 0 || $at->observed(WaitCutShort::class) !== []
            ? []
            : [Obstacle::missing('not_over', "Its time is not over: another {$left} min.")];
    }

    public function clock(Situation $at): Clock
    {
        [$from, $until] = FoundOnTheWay::stretch($at->step->params);

        return new Clock(Extra::what($at), $from, $until, true);
    }
}
