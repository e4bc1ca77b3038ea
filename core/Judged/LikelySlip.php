<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Ledger\Line;

/**
 * The one number that, had it slipped as numbers do, would alone be what the sums are off by: told ten times too large or
 * a tenth of it, gallons for litres or litres for gallons, or told twice. It is asked for, never put right unasked.
 */
final readonly class LikelySlip
{
    /** Litres in a gallon (US). */
    private const GALLON = 3.785411784;

    /** Sums that are off by less than so much of their ± fit too many numbers. */
    private const SURE = 1.5;

    /**
     * @param  Line  $line  as it was told
     * @param  float  $wasMl  as it would have been
     */
    private function __construct(public Line $line, public SlipKind $kind, public float $wasMl)
    {
    }

    /**
     * Null where no number would do, or several would.
     *
     * @param  list<Line>  $lines  what went in, and below nothing what came out
     * @param  float  $offMl  so much more would have to be inside
     * @param  float  $withinMl  that is known as well as this
     */
    public static function in(array $lines, float $offMl, float $withinMl): ?self
    {
        if (abs($offMl) < self::SURE * $withinMl) {
            return null;
        }
        $fits = [];
        foreach ($lines as $place => $line) {
            $nearest = $withinMl;
            foreach ($line->found || $line->overMark ? [] : SlipKind::cases() as $kind) {
                $was = self::wasMl($lines, $place, $kind);
                $left = $was === null ? INF : abs($was - $line->ml - $offMl);
                if ($left < $nearest) {
                    [$fits[$place], $nearest] = [new self($line, $kind, (float) $was), $left];
                }
            }
        }

        return count($fits) === 1 ? array_values($fits)[0] : null;
    }

    /** @param  list<Line>  $lines */
    private static function wasMl(array $lines, int $place, SlipKind $kind): ?float
    {
        $line = $lines[$place];

        return match ($kind) {
            SlipKind::TenTimes => $line->ml / 10.0,
            SlipKind::ATenth => $line->ml * 10.0,
            SlipKind::Gallons => $line->ml * self::GALLON,
            SlipKind::Litres => $line->ml / self::GALLON,
            SlipKind::Twice => self::isToldBefore($line, array_slice($lines, 0, $place)) ? 0.0 : null,
        };
    }

    /** @param  list<Line>  $before */
    private static function isToldBefore(Line $line, array $before): bool
    {
        $same = fn (Line $one): bool => $one->label === $line->label && $one->ml === $line->ml;

        return array_filter($before, $same) !== [];
    }
}
