<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\AnyTime;

use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\StillSetUp;
use Aqbel\Core\Observed\SetUp;
use Aqbel\Core\Observed\WasSetBack;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\SetUpGate;

/** What was raised or pumped up, and nobody is to set back any more, is set back where it is seen. */
final class SetBack extends AnyTime
{
    public function name(): string
    {
        return Lines::SetBack->value;
    }

    public function observes(): array
    {
        return [WasSetBack::class];
    }

    public function title(Situation $at): string
    {
        return 'It was set back';
    }

    public function why(Situation $at): string
    {
        return 'A nose that stands up makes a mark lie, and a circuit under pressure sprays where it is opened.';
    }

    public function comesFirst(Situation $at): bool
    {
        return SetUpGate::said($at, $at->job->kinds->of($at->step)) !== '';
    }

    /** Offered where the step minds it; of any what was said once is read. */
    public function asks(Situation $at): array
    {
        return Form::offering(
            $this->comesFirst($at) ? [WasSetBack::asked(StillSetUp::of($at))] : [],
            [$this->asked($at)],
        );
    }

    protected function asked(Situation $at): Form
    {
        return WasSetBack::asked(SetUp::cases());
    }
}
