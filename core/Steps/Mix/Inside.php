<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Mix;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\Bucket;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Observed\BatchMixed;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\Shopping;

/** Mixed in the circuit itself: all of the concentrate into the neck first, then the water, both measured. */
final class Inside
{
    /** No circuit takes more of either than this, in its capacities. */
    private const MOST_CIRCUITS = 3.0;

    /**
     * Not where the hose draws from a bucket, where it is only
     * topped up, nor with anything else in the bucket already.
     */
    public static function isPossible(Situation $at, Mix $mix): bool
    {
        $plan = Plan::of($at);

        return $plan->choices->stockFraction >= 1.0
            && $plan->choices->jobKind !== JobKind::Bleed
            && ! $plan->school->mixedOutside()
            && Bucket::batch($at->job)->ml <= 0.0
            && $mix->reachable()
            && $mix->stock()->mL() > 0.0;
    }

    /** Measured out with some to spare: it is poured up to the mark, mL. */
    public static function waterAtHandMl(Mix $mix): float
    {
        return Shopping::SPARE * $mix->water()->mL();
    }

    public static function form(Situation $at, Mix $mix): Form
    {
        $most = self::MOST_CIRCUITS * $at->circuit()->capacityMl();
        $stock = max(0.0, $mix->stock()->mL() - Bucket::insideStockMl($at->job));
        $water = max(0.0, self::waterAtHandMl($mix) - Bucket::insideWaterMl($at->job));
        $sources = Source::choices($at, Liquid::Concentrate, $stock);

        return BatchMixed::askedInside(
            $most,
            [$stock, $water],
            $sources,
            Source::likeliest($at, array_keys($sources), $stock),
        );
    }
}
