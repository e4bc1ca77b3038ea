<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\ContentFound;
use Aqbel\Core\Plan\Plan;

/** A circuit that was planned as arriving empty, and is found with coolant in it: no point is planned to let it out. */
final readonly class NotEmpty implements Judgement
{
    /** So much of what it holds is as good as empty: what hangs in hoses (common practice, no source). */
    private const AS_GOOD_AS = 0.05;

    private function __construct(private ContentFound $found, public float $ml)
    {
    }

    /** Null where it is empty, was planned otherwise, or nobody looked. */
    public static function of(Situation $at): ?self
    {
        return $at->judged(self::class, fn (): ?self => self::judge($at));
    }

    private static function judge(Situation $at): ?self
    {
        $found = $at->latest(ContentFound::class);
        if ($found === null || ! Plan::of($at)->choices->arrivesEmpty()) {
            return null;
        }
        $full = $at->circuit()->capacityMl() - Plan::of($at)->headspaceMl();
        $inside = $full - $found->missingMl($full);

        return $inside > self::AS_GOOD_AS * $full ? new self($found, $inside) : null;
    }

    public function code(): string
    {
        return 'not_empty';
    }

    public function outcome(): Outcome
    {
        return Outcome::Waits;
    }

    public function latches(): bool
    {
        return false;
    }

    public function restsOn(): array
    {
        return [$this->found];
    }
}
