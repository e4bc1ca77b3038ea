<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Mix;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\Findings\Bucket;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\Shopping;

/** Mixed in the circuit itself: all of the concentrate into the neck first, then the water, both measured. */
final class Inside
{
    /** No circuit takes more of either than this, in its capacities. */
    private const MOST_CIRCUITS = 3.0;

    /** Not where the hose draws from a bucket, nor with anything else in the bucket already. */
    public static function isPossible(Situation $at, Mix $mix): bool
    {
        $plan = Plan::of($at);

        return $plan->choices->stockFraction >= 1.0 && ! $plan->school->mixedOutside() && Bucket::batch($at->job)->ml <= 0.0
            && $mix->reachable() && $mix->stock()->mL() > 0.0;
    }

    public static function form(Situation $at, Mix $mix): Form
    {
        $most = self::MOST_CIRCUITS * $at->circuit()->capacityMl();
        $stock = max(0.0, $mix->stock()->mL() - Bucket::insideStockMl($at->job));
        $water = max(0.0, Shopping::SPARE * $mix->water()->mL() - Bucket::insideWaterMl($at->job));
        $sources = Source::choices($at, Liquid::Concentrate, $stock);

        return new Form(Bucket::INSIDE, 'Mix it inside', [
            Field::volume('concentrate', 'Concentrate, measured', $most)->preset($stock),
            Field::volume('water', 'Water, measured', $most)->preset($water),
            count($sources) > 1
                ? Field::choice('from', 'Concentrate from', $sources, Source::likeliest($at, array_keys($sources), $stock))
                : null,
        ], false, 'All of the concentrate goes into the neck first, then the water up to the mark. Both are measured.');
    }
}
