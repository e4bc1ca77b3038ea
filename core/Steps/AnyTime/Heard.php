<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\AnyTime;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\HeardRunning;
use Aqbel\Core\Observed\EngineHeard;
use Aqbel\Core\Saying\Form;

/** An engine that runs where none may, by its instrument alone: off again by the same, or by whoever shut it off. */
final class Heard extends AnyTime
{
    public function name(): string
    {
        return Lines::Heard->value;
    }

    protected function doing(): array
    {
        return [Does::RunsEngine];
    }

    public function observes(): array
    {
        return [EngineHeard::class];
    }

    public function title(Situation $at): string
    {
        return 'The engine was heard';
    }

    public function why(Situation $at): string
    {
        return 'A pump or a jacket that runs dry is ruined within a minute.';
    }

    public function comesFirst(Situation $at): bool
    {
        return HeardRunning::danger($at) !== null;
    }

    /** Whoever only moved it did not make it hot; past its limit it scalds at every neck afterwards. */
    public function ran(Situation $at): ?int
    {
        $ended = null;
        foreach ($at->observed(EngineHeard::class) as $heard) {
            $ended = $heard->coolantC !== null || $ended !== null ? $heard->at() : null;
        }

        return $ended;
    }

    public function asks(Situation $at): array
    {
        return Form::offering(HeardRunning::of($at) === null ? [] : [$this->asked($at)], [EngineHeard::ever()]);
    }

    protected function asked(Situation $at): Form
    {
        return EngineHeard::asked();
    }
}
