<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\DrainGave;
use Aqbel\Core\Judged\DrainsInTurn;
use Aqbel\Core\Judged\LikelySlip;
use Aqbel\Core\Judged\SlipKind;
use Aqbel\Core\Ledger\Line;

/** Which number it looks like, where one alone would be what is off, and what it would have been. */
final class Perhaps
{
    /**
     * Empty where the sums of a circuit whose level stands at its mark hang on no one number. What came out counts only
     * where it is no more what was predicted: real air would find a number among the others sooner than a slip.
     */
    public static function oneSlipped(Situation $at): string
    {
        $ledger = $at->job->ledger();
        $lines = [
            ...array_filter($ledger->lines, fn (Line $line) => $line->ml > 0.0),
            ...array_map(fn (LikelySlip $slip) => $slip->line, self::ofDrains($at, $at->job->stepsOf('drain'))),
        ];

        return self::say($at, LikelySlip::in($lines, $ledger->trappedAirMl(), $ledger->trappedAirToldWithinMl()));
    }

    /**
     * Empty where what a drain gave, or several together, is no slip of what was predicted; of all of them, or of one
     * and those it ran with.
     */
    public static function aDrainSlipped(Situation $at, ?Step $one = null): string
    {
        return self::say($at, self::ofDrains($at, $one === null ? $at->job->stepsOf('drain') : [$one])[0] ?? null);
    }

    /**
     * @param  array<Step>  $drains
     * @return list<LikelySlip>
     */
    private static function ofDrains(Situation $at, array $drains): array
    {
        [$expected, $slips] = [DrainsInTurn::expectedMl($at->job), []];
        foreach ($drains as $drain) {
            $group = DrainsInTurn::together($at->job, $drain);
            [$lines, $off] = [[], 0.0];
            foreach ($group as $step) {
                $lines[] = self::gave($at, $step);
                $off += DrainsInTurn::outMl($at->job, $step) - ($expected[$step->id] ?? 0.0);
            }
            $should = array_sum(array_intersect_key($expected, array_column($group, null, 'id')));
            if ($should > DrainGave::HARDLY_ML) {
                $within = DrainGave::agreesWithinMl($should / count($group));
                $slip = LikelySlip::in(array_values(array_filter($lines)), $off, $within);
                // Those that ran together are asked once.
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

    /** Empty where several numbers would do, or none. */
    private static function say(Situation $at, ?LikelySlip $slip): string
    {
        if ($slip === null) {
            return '';
        }
        [$told, $was] = [$at->litres(abs($slip->line->ml)), $at->litres(abs($slip->wasMl))];

        return " “{$slip->line->label} {$told}”: ".match ($slip->kind) {
            SlipKind::ATenth, SlipKind::TenTimes => "was it {$was}?",
            SlipKind::Twice => 'does it stand there twice?',
            SlipKind::Gallons => "were these gallons told as litres, {$was}?",
            SlipKind::Litres => "were these litres told as gallons, {$was}?",
        }.' That alone would account for it.';
    }
}
