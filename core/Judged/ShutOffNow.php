<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Observed\Started;

/** An engine that still runs though a danger was told: nothing else in a shop is as urgent. */
final readonly class ShutOffNow
{
    /** @param  string  $where  it runs, in words; empty where nobody said */
    private function __construct(public string $where)
    {
    }

    /** Null where no engine runs, or nothing speaks against it. */
    public static function of(Situation $at, ?Judgement $judged): ?self
    {
        [$started, $off] = [$at->latest(Started::class), $at->latest(ShutOff::class)];
        $runs = $started !== null && ! ($off?->isAfter($started) ?? false);

        return match (true) {
            HeardRunning::danger($at) !== null => new self(''),
            $runs && $judged?->outcome() === Outcome::Stops => new self($started->where()),
            default => null,
        };
    }
}
