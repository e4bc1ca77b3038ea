<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Heat\TopUps;
use Aqbel\Core\Heat\TopUpVerdict;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Plan;

/** What has gone out again where nobody saw it: more was topped up since the fill than can have been missing then. */
final readonly class Gone
{
    /** More than this share of the capacity nobody misses at one look and pours in (common practice, no source). */
    private const AT_ONCE = 0.15;

    /** So many levels show whether they shrink. */
    private const TELL = 3;

    /** @param  bool  $isBelievable  false where a single top-up is so large that it was rather misread */
    private function __construct(public float $ml, public float $plusMinusMl, public bool $isBelievable)
    {
    }

    /** Null where what went in may all be inside, and where the fill was too much by its own sums. */
    public static function of(JobState $job): ?self
    {
        return $job->once(self::class, fn (): ?self => self::judge($job));
    }

    /**
     * What no air explains: not where level after level takes so much less that it is air, and a number is wrong; nor
     * where one of them was rather misread.
     */
    public static function beyond(JobState $job, TopUps $series): ?self
    {
        $isAir = $series->count >= self::TELL && $series->verdict === TopUpVerdict::Air && $series->shrinks;
        $gone = $isAir ? null : self::of($job);

        return $gone?->isBelievable === true ? $gone : null;
    }

    private static function judge(JobState $job): ?self
    {
        $ledger = $job->ledger();
        // No air is less than none: by what the fill itself was over, its numbers are off, and nothing has gone.
        $over = -$ledger->trappedAirMl() - InFunnel::mayStandMl($job) - max(0.0, self::overFilledMl($job))
            - self::mayHaveBeenAirMl($job);
        $plusMinus = $ledger->trappedAirToldWithinMl();
        $topUps = $job->observedAnywhere(ToppedUp::class);
        if ($topUps === [] || $over <= $plusMinus || ! self::filledRight($job)) {
            return null;
        }

        return new self($over, $plusMinus, self::nothingMisread($job));
    }

    /** Whether no single top-up is so large that it was rather misread. */
    private static function nothingMisread(JobState $job): bool
    {
        $most = self::AT_ONCE * $job->circuit->capacityMl();
        $tooLarge = fn (ToppedUp $topUp): bool => $topUp->read->ml > $most;

        return array_filter($job->observedAnywhere(ToppedUp::class), $tooLarge) === [];
    }

    /**
     * The line of the ledger with which a leak that was found accounts for it; none where a number is wrong: no drip
     * makes good for that.
     *
     * @return list<Line>
     */
    public static function line(JobState $job, string $label): array
    {
        return self::filledRight($job) && self::nothingMisread($job) ? [Line::gone($label)] : [];
    }

    /** A complaint may be air that stood in it from the beginning: in what was never drained it still may. */
    private static function mayHaveBeenAirMl(JobState $job): float
    {
        $choices = Plan::of($job)->choices;
        $isSound = $choices->complaint === Complaint::None && $choices->jobKind !== JobKind::Lost;

        return $isSound ? 0.0 : max(0.0, $job->ledgerBefore(Stage::Fill)->contentMl);
    }

    /** Whether what was inside when it was first run may have been. */
    private static function filledRight(JobState $job): bool
    {
        return self::overFilledMl($job) <= $job->ledgerBefore(Stage::RunHot)->trappedAirToldWithinMl();
    }

    /** By so much the fill's own sums are over the mark, what went back out of a funnel not counted. */
    private static function overFilledMl(JobState $job): float
    {
        $inFunnel = max(0.0, (NeckAtRun::funnelOff($job)->leftMl ?? 0.0) - (InFunnel::leftMl($job) ?? 0.0));

        return -$job->ledgerBefore(Stage::RunHot)->trappedAirMl() - $inFunnel;
    }
}
