<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\AnyTime;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/**
 * What may be written at any step, whatever the step asks: its one form, what it says and what it moves. It is never a
 * step itself; what it brings along are steps of their own.
 */
abstract class AnyTime extends StepKind
{
    abstract protected function asked(Situation $at): Form;

    /** Whether it is offered before anything else of the step. */
    public function comesFirst(Situation $at): bool
    {
        return false;
    }

    /**
     * What an entry brings along, in front of the step it names as `before`.
     *
     * @param  int  $seq  under which it stands in the journal
     * @return list<Step>
     */
    public function brings(Situation $at, Values $values, int $seq): array
    {
        return [];
    }

    public function asks(Situation $at): array
    {
        return [$this->asked($at)];
    }

    public function instructions(Situation $at): array
    {
        return [];
    }

    public function obstacles(Situation $at): array
    {
        return [];
    }
}
