<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Mix;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\Bucket;
use Aqbel\Core\Judged\MixComesTo;
use Aqbel\Core\Judged\MixComesToCode;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\FurtherDrains;

/** What the mixture comes to, and what would put it right. */
final class MixWords
{
    public static function of(Situation $at, MixComesTo $mixed): Verdict
    {
        $coolant = new Mixture($at->facts()->base, min(1.0, $mixed->fraction));
        $freeze = ($coolant->freezeIsBound() ? 'below ' : '').$at->degrees($coolant->freezePoint()->degC());
        $text = "The circuit will stand at {$at->say($mixed->fraction, Unit::Percent)}: freezes at {$freeze}.";

        return match ($mixed->code) {
            MixComesToCode::OutOfReach => self::outOfReach($at, $mixed),
            MixComesToCode::TooStrong => Verdict::wait(
                $mixed->code(),
                'Stronger than 60 %',
                "{$text} More glycol is not better: it carries less heat. Add water.",
            ),
            MixComesToCode::OnTarget => Verdict::pass($mixed->code(), 'On target', $text),
            MixComesToCode::OffTarget => Verdict::wait(
                $mixed->code(),
                'Off by '.$at->say($mixed->off(), Unit::Percent),
                $text
                    .(Bucket::isInside($at->job)
                        ? " All of the concentrate goes in: {$at->litres($mixed->mix->stock()->mL())} of it, "
                            .'then water up to the mark.'
                        : self::remedy($at, $mixed)),
            ),
        };
    }

    /** What still goes into the bucket; where nothing that goes in brings the circuit there, what has to come out. */
    private static function remedy(Situation $at, MixComesTo $mixed): string
    {
        return MixComesTo::isWithinReach($mixed->mix)
            ? (new BucketToFill($at))->toAdd()
            : " With {$at->litres($mixed->mix->retained->mL())} inside nothing in the bucket changes that. "
                .self::rescue($at);
    }

    private static function outOfReach(Situation $at, MixComesTo $mixed): Verdict
    {
        [$reaches, $stock] = [$at->say($mixed->fraction, Unit::Percent), (new BucketToFill($at))->stock()];
        $pure = $mixed->fraction > $mixed->mix->targetFraction
            ? "even plain water leaves the circuit at {$reaches}"
            : "even pure {$stock} brings the circuit only to {$reaches}";

        return Verdict::stop(
            $mixed->code(),
            'Out of reach',
            "With {$at->litres($mixed->mix->retained->mL())} inside, {$pure}. "
                ."Wanted: {$at->say($mixed->mix->targetFraction, Unit::Percent)}. ".self::rescue($at),
        );
    }

    /** Which further drain brings it nearest to the target, where one brings it nearer at all. */
    private static function rescue(Situation $at): string
    {
        $mix = MixComesTo::wanted($at->job);
        [$best, $reaches] = [null, $mix->finalFraction()];
        foreach (FurtherDrains::notOpened($at->job) as $further) {
            $retained = Volume::millilitres(max(0.0, $mix->retained->mL() - $further->volumeMl));
            $with = new Mix(
                $mix->capacity,
                $retained,
                $mix->retainedFraction,
                $mix->targetFraction,
                $mix->stockFraction,
            );
            if (abs($with->finalFraction() - $mix->targetFraction) < abs($reaches - $mix->targetFraction)) {
                [$best, $reaches] = [$further->port, $with->finalFraction()];
            }
        }

        return $best === null ? 'Drain more, or accept it with a reason.'
            : "{$at->circuit()->port($best)->label} opened too, it reaches {$at->say($reaches, Unit::Percent)}.";
    }
}
