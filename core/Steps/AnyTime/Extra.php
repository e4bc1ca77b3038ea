<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\AnyTime;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\FoundOnTheWay;
use Aqbel\Core\Observed\PutRightAgain;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepKind;

/** Ordered by a finding: it is put right, and said how. */
final class Extra extends StepKind
{
    public function name(): string
    {
        return 'extra';
    }

    public function title(Situation $at): string
    {
        return 'Put right: '.self::what($at);
    }

    public function why(Situation $at): string
    {
        return 'It was found on the way, and must not be forgotten over the rest.';
    }

    public function instructions(Situation $at): array
    {
        return ['Put it right, and say how. What comes out meanwhile is written down as coolant that '
            .'came out: else the next level takes it, and it looks like air or a leak.'];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        return $this->isDone($at) ? [] : $this->ever($at);
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [PutRightAgain::asked()];
    }

    public function atOnce(Situation $at): ?Form
    {
        return $this->forms($at)[0] ?? null;
    }

    public function observes(): array
    {
        return [PutRightAgain::class];
    }

    public function obstacles(Situation $at): array
    {
        return $this->isDone($at)
            ? []
            : [Obstacle::missing('not_put_right', 'Not put right yet: '.self::what($at).'.')];
    }

    /** What was found, and where. */
    public static function what(Situation $at): string
    {
        return FoundOnTheWay::said($at->circuit(), $at->step->params);
    }

    private function isDone(Situation $at): bool
    {
        return $at->observed(PutRightAgain::class) !== [];
    }
}
