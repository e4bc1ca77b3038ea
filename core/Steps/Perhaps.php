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
     * Empty where the sums of a circuit whose level stands at its mark hang on no one number. What came out is asked for
     * where it came, against what was predicted there: real air would find a number among those sooner than a slip.
     */
    public static function oneSlipped(Situation $at): string
    {
        $ledger = $at->job->ledger();
        $wentIn = array_values(array_filter($ledger->lines, fn (Line $line) => $line->ml > 0.0));

        return self::say($at, $wentIn, $ledger->trappedAirMl(), $ledger->trappedAirToldWithinMl())
            ?: self::aDrainSlipped($at);
    }

    /** Empty where no drain, told in one reading, gave what was predicted of it but for a slip; of all, or of one. */
    public static function aDrainSlipped(Situation $at, ?Step $one = null): string
    {
        $expected = DrainsInTurn::expectedMl($at->job);
        foreach ($one === null ? array_intersect_key($at->job->steps, $expected) : [$one] as $drain) {
            $ran = DrainsInTurn::ran($at->job, $drain);
            $should = $expected[$drain->id] ?? 0.0;
            if (count($ran) === 1 && $should > DrainGave::HARDLY_ML) {
                $gave = new Line($at->circuit()->port($drain->params->text('port'))->label, $ran[0]->read->ml, 0.0, null);
                $said = self::say($at, [$gave], $should - $gave->ml, DrainGave::agreesWithinMl($should));
                if ($said !== '') {
                    return $said;
                }
            }
        }

        return '';
    }

    /**
     * Empty where several would do, or none.
     *
     * @param  list<Line>  $lines
     * @param  float  $offMl  so much more would have to be inside
     * @param  float  $withinMl  that is known as well as this
     */
    private static function say(Situation $at, array $lines, float $offMl, float $withinMl): string
    {
        $slip = LikelySlip::in($lines, $offMl, $withinMl);
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
