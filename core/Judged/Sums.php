<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\RestKept;

/**
 * More than fits never passes: content above the capacity, less than nothing inside, more poured than was mixed, more
 * left over than there was.
 */
final readonly class Sums
{
    /**
     * A batch is read in the marks of its bucket; what is poured
     * from it in those of a jug (common practice, no source).
     */
    private const BATCH_OFF = 0.05;

    private const MARK_ML = 200.0;

    /**
     * @param  float  $isMl  what the sum comes to
     * @param  float  $mostMl  what it can come to
     * @param  float  $leftMl  said to be left over, where that is too much
     */
    private function __construct(
        public WrongSum $code,
        public float $isMl,
        public float $mostMl = 0.0,
        public float $leftMl = 0.0,
    ) {
    }

    /** Null where all of it can be. */
    public static function wrong(Situation $at): ?self
    {
        return self::wrongInside($at) ?? self::batch($at);
    }

    /** What cannot be of what came out and went in; null where all can. */
    public static function wrongInside(Situation $at): ?self
    {
        // What a later pour has covered up cannot have been either: the sums as each stage left them.
        foreach ([Stage::Rinse, Stage::CloseUp, Stage::Fill] as $stage) {
            $ledger = $at->job->ledgerBefore($stage);
            $wrong = $ledger->lines === [] ? null : self::content($at, $ledger);
            if ($wrong !== null) {
                return $wrong;
            }
        }

        return self::content($at, $at->job->ledger());
    }

    private static function content(Situation $at, Ledger $ledger): ?self
    {
        $plusMinus = $ledger->trappedAirToldWithinMl();
        $known = array_filter($ledger->lines, fn (Line $line) => $line->old >= 1.0) !== [];

        return match (true) {
            $ledger->contentMl - InFunnel::mayStandMl($at->job) > $ledger->capacityMl + $plusMinus => new self(
                WrongSum::MoreThanFits,
                $ledger->contentMl,
                $ledger->capacityMl,
            ),
            $known && $ledger->contentMl < -$plusMinus => new self(WrongSum::LessThanNothing, $ledger->contentMl),
            default => null,
        };
    }

    private static function batch(Situation $at): ?self
    {
        $batch = Bucket::batch($at->job)->ml;
        $poured = Bucket::pouredMl($at->job);
        $kept = $at->job->observedAnywhere(RestKept::class);
        $last = $kept === [] ? null : $kept[count($kept) - 1];
        $left = (float) $last?->shelfMl + (float) $last?->customerMl;
        $plusMinus = max(self::MARK_ML, self::BATCH_OFF * $batch);

        return match (true) {
            $batch <= 0.0 || $poured + $left <= $batch + $plusMinus => null,
            $left > 0.0 && $poured <= $batch + $plusMinus => new self(
                WrongSum::MoreLeftThanWas,
                $poured,
                $batch,
                $left,
            ),
            default => new self(WrongSum::MorePouredThanMixed, $poured, $batch),
        };
    }
}
