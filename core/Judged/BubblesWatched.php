<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\Bubbles;
use Aqbel\Core\Observed\Capped;
use Aqbel\Core\Observed\FeltReading;
use Aqbel\Core\Observed\HotReading;

/** What was seen of bubbles in a run. That nobody can see them is no word of whether they have stopped. */
final readonly class BubblesWatched
{
    /**
     * @param  ?Bubbles  $seen  what stands; null where nobody looked
     * @param  bool  $cameWhenCapped  whether they still came when the cap went on over them
     */
    private function __construct(public ?Bubbles $seen, public bool $cameWhenCapped)
    {
    }

    /** @param  list<HotReading|FeltReading>  $readings  that count, in their order */
    public static function of(Situation $at, array $readings): self
    {
        [$seen, $since, $cameWhenCapped] = [null, null, false];
        foreach ($readings as $reading) {
            $now = $reading->besides->bubbles;
            if ($now === null) {
                continue;
            }
            if ($now === Bubbles::Hidden && $seen?->come() === true) {
                if (! self::wasCapped($at, $since, $reading)) {
                    continue;
                }
                $cameWhenCapped = true;
            } elseif ($now !== Bubbles::Hidden) {
                $cameWhenCapped = false;
            }
            [$seen, $since] = [$now, $reading];
        }

        return new self($seen, $cameWhenCapped);
    }

    private static function wasCapped(Situation $at, HotReading|FeltReading|null $since, HotReading|FeltReading $now): bool
    {
        $between = array_filter(
            $at->observed(Capped::class),
            fn (Capped $capped) => $capped->isAfter($since) && ! $capped->isAfter($now),
        );

        return $between !== [];
    }
}
