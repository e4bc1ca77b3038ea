<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

/** What ends the runs. */
enum RunsUntil: string
{
    /** Tightness alone: it is not run here. */
    case Tight = 'tight';

    case OneRun = 'one_run';

    /** Two runs in a row that bring nothing more. */
    case QuietTwice = 'quiet_twice';

    public function label(): string
    {
        return match ($this) {
            self::Tight => 'when it is tight, without a run',
            self::OneRun => 'after one good run',
            self::QuietTwice => 'when two looks in a row take nothing',
        };
    }

    /** Cold levels in a row that have to take nothing. */
    public function looks(): int
    {
        return match ($this) {
            self::Tight => 0,
            self::OneRun => 1,
            self::QuietTwice => 2,
        };
    }
}
