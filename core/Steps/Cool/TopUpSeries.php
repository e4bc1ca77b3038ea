<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\Heat\TopUp;
use Aqbel\Core\Heat\TopUps;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Steps\AnyTime\Outlet;
use Aqbel\Core\Steps\StepKind;

/**
 * What one round after the other took, read against what a vessel and a mark can tell: shrinking air, a leak, or
 * nothing more.
 */
final class TopUpSeries
{
    /** A level that took no more than so many reading errors of the vessel has settled (common practice, no source). */
    private const VESSEL_ERRORS = 2.0;

    /** Nor does a mark tell apart less than this share of the capacity (common practice, no source). */
    public const LEVEL_SHARE = 0.004;

    /** Of the steps of this kind up to this one. */
    public static function of(Situation $at): TopUps
    {
        return new TopUps(self::each($at), self::settledMl($at));
    }

    /** @return list<TopUp> of this and those before it */
    public static function each(Situation $at): array
    {
        [$series, $before] = [[], null];
        foreach ($at->job->stepsOf($at->step->kind) as $step) {
            $entries = $at->seenFrom($step)->entries('topped');
            if ($entries !== []) {
                $squares = array_map(fn (Entry $e) => StepKind::plusMinusMl($at, $e) ** 2, $entries);
                $squares[] = (self::LEVEL_SHARE * $at->circuit()->capacityMl()) ** 2;
                // What came out another way meanwhile is made up for, and was no air.
                [$out, $plusMinus] = Outlet::between($at->job, $before, $step->id);
                $squares[] = $plusMinus ** 2;
                $series[] = new TopUp(max(0.0, $at->seenFrom($step)->sum('topped', 'volume') - $out), sqrt(array_sum($squares)));
                $before = $step->id;
            }
            if ($step->id === $at->step->id) {
                break;
            }
        }

        return $series;
    }

    /** As much as this is reading error: of the vessel it was read in, and of a level in a circuit of this size; mL. */
    public static function settledMl(Situation $at): float
    {
        $entries = $at->entries('topped');
        $vessel = $entries === [] ? 0.0 : max(array_map(fn (Entry $e) => StepKind::plusMinusMl($at, $e), $entries));

        return max(self::VESSEL_ERRORS * $vessel, self::LEVEL_SHARE * $at->circuit()->capacityMl());
    }
}
