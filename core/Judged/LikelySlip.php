<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
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

    /**
     * Of what the sums hang on where the level stands at its mark. What came out counts only where it is no more what was
     * predicted: real air would find a number among the others sooner than a slip.
     */
    public static function atTheMark(Situation $at): ?self
    {
        $ledger = $at->job->ledger();
        $lines = [
            ...array_filter($ledger->lines, fn (Line $line) => $line->ml > 0.0),
            ...array_map(fn (self $slip) => $slip->line, self::ofDrains($at)),
        ];

        return self::in($lines, $ledger->trappedAirMl(), $ledger->trappedAirToldWithinMl());
    }

    /**
     * Against what was predicted of them.
     *
     * @param  ?Step  $one  that point alone, and those it ran with; null for all
     * @return list<self> those that ran together are asked once
     */
    public static function ofDrains(Situation $at, ?Step $one = null): array
    {
        [$expected, $slips] = [DrainsInTurn::expectedMl($at->job), []];
        foreach ($one === null ? $at->job->stepsOf('drain') : [$one] as $drain) {
            $group = DrainsInTurn::together($at->job, $drain);
            [$lines, $off] = [[], 0.0];
            foreach ($group as $step) {
                $lines[] = self::gave($at, $step);
                $off += DrainsInTurn::outMl($at->job, $step) - ($expected[$step->id] ?? 0.0);
            }
            $should = array_sum(array_intersect_key($expected, array_column($group, null, 'id')));
            if ($should > DrainGave::HARDLY_ML) {
                $within = DrainGave::agreesWithinMl($should / count($group));
                $slip = self::in(array_values(array_filter($lines)), $off, $within);
                $slips[$slip->line->label ?? ''] = $slip;
            }
        }

        return array_values(array_filter($slips));
    }

    /** What a point gave; null where it was not told in one reading, or did not run freely. */
    private static function gave(Situation $at, Step $drain): ?Line
    {
        $ran = DrainsInTurn::ran($at->job, $drain);
        $label = $at->circuit()->port($drain->params->text('port'))->label;

        return count($ran) === 1 && ! DrainsInTurn::blocked($at->job, $drain)
            ? new Line("Out: {$label}", -$ran[0]->read->ml, 0.0, null)
            : null;
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
