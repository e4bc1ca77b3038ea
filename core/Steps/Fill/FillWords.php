<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\EnoughToRun;
use Aqbel\Core\Judged\FillTaken;
use Aqbel\Core\Judged\FillTakenCode;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\HangsOn;

/** What a fill that is done took, in words; at the neck and at a second fill point. */
final class FillWords
{
    public static function of(Situation $at, FillTaken $taken): Verdict
    {
        $text = "{$at->litres($taken->netInMl)} in, {$at->litres($taken->expectedMl)} predicted."
            ." Air left inside: {$at->litres($taken->airMl)} ± {$at->litres($taken->plusMinusMl)}.";
        $settles = $taken->tookWhatItShould()
            ? ''
            : HangsOn::oneNumber($at, min(abs($taken->airMl), abs($taken->netInMl - $taken->expectedMl)));
        if ($taken->code === FillTakenCode::NotTold) {
            return Verdict::wait(
                $taken->code(),
                'At the mark',
                "{$at->litres($taken->netInMl)} in. "
                    .'How much air stood behind the mark nobody could say, so no sum tells '
                    .'whether it is out: the run does.',
            );
        }
        if ($taken->code === FillTakenCode::MoreThanPredicted) {
            return Verdict::wait(
                $taken->code(),
                'More than it should take',
                $taken->airMl < -$taken->tellsMl
                    ? "{$text} The content found was read too high, it runs out somewhere, or a jug was counted "
                        ."twice.{$settles}"
                    : "{$text} Less air stays than the model keeps, it runs out somewhere, or a jug was counted "
                        ."twice.{$settles}",
            );
        }
        if ($taken->code === FillTakenCode::Full) {
            return Verdict::pass($taken->code(), 'Full by the sums', "{$text} Less air stayed than the model keeps.");
        }
        if ($taken->code === FillTakenCode::AsPredicted) {
            return Verdict::pass($taken->code(), 'As much went in as was predicted', $text);
        }
        $next = $taken->code === FillTakenCode::NextNeck ? FillTaken::nextNeck($at) : null;
        if ($next !== null) {
            return Verdict::pass(
                $taken->code(),
                'The rest goes in at the next point',
                "{$at->litres($taken->netInMl)} in, {$at->litres($taken->expectedMl)} predicted in all. "
                    ."Next: {$at->circuit()->port($next->params->text('port'))->label}.",
            );
        }
        if ($taken->code === FillTakenCode::StandsInFunnel) {
            return Verdict::wait(
                $taken->code(),
                'Stands in the funnel',
                "{$at->litres($taken->netInMl)} poured, {$at->litres($taken->expectedMl)} predicted. "
                    .'How much of it is inside shows when the funnel comes off; it can be read now.',
            );
        }
        $pocket = Plan::of($at)->fill->pockets[0] ?? null;
        $where = $pocket === null ? '' : ' Most likely at: '.$pocket->air->said($at->circuit()).'.';

        if (! EnoughToRun::of($at)->is) {
            return Verdict::wait(
                $taken->code(),
                'Coolant is missing',
                "{$text}{$where} No run brings that out, and no engine is started on it: "
                    ."pour on, bleed, or put right the number that is wrong.{$settles}",
            );
        }

        return $taken->airMl > $taken->plusMinusMl
            ? Verdict::wait(
                $taken->code(),
                'Air is trapped',
                "{$text}{$where} The heat cycles must bring it out.{$settles}",
            )
            : Verdict::wait(
                $taken->code(),
                'Air may be trapped',
                "{$text} That is no more than the sums can tell.{$where} The heat cycles bring out what is there, and "
                    ."the cold level tells.{$settles}",
            );
    }
}
