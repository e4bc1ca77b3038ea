<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Observed\FeltReading;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\Needle;
use Aqbel\Core\Observed\Warmth;
use Aqbel\Core\Plan\NeckLimit;
use Aqbel\Core\Plan\Plan;

/** What a hot run has shown of what this vehicle can show, and what is still missing. */
final readonly class HotProofs
{
    /** Within this of the engine side the far side counts as reached (common practice, no source). */
    private const GAP_C = 15.0;

    /**
     * Where nothing opens, coolant as warm as this shows by the far
     * side that it goes round, °C (common practice, no source).
     */
    private const WARM_C = 40.0;

    /**
     * So long it goes round before a hand tells that it does, where
     * nothing need be hot, s (common practice, no source).
     */
    private const FELT_FROM_S = 300;

    /**
     * @param  list<MissingProof>  $missing
     * @param  list<Observation>  $restsOn  readings, by thermometer or by hand
     * @param  bool  $byHand  whether some of it rests on needle and hand alone
     * @param  bool  $fanCounts  whether the fan is a proof here
     * @param  ?Observation  $airPassed  what showed that air went through
     */
    private function __construct(
        public array $missing,
        public array $restsOn,
        public bool $byHand,
        public bool $fanCounts,
        public FanSeen $fan,
        public BubblesWatched $bubbles,
        public ?Observation $airPassed,
    ) {
    }

    public static function of(Situation $at, StopLimit $limit): self
    {
        $facts = $at->facts();
        $rise = Rise::of($at);
        $opensC = self::opensC($at->circuit());
        $fromS = self::hasThermostat($at->circuit()) ? Rise::SHORTEST_RUN_S : self::FELT_FROM_S;
        $felt = array_filter(
            $at->observed(FeltReading::class),
            fn (FeltReading $felt) => Rise::canHaveReached($at, $opensC, $felt->at())
                && Rise::ranLongEnough($at, $felt->at(), $fromS),
        );
        $read = array_filter($rise->believed, fn (HotReading $reading) => Rise::ranLongEnough($at, $reading->at()));
        $seen = Told::inOrder([...$read, ...$felt]);
        $bubbles = BubblesWatched::of($at, $seen);
        $fan = FanSeen::of($at);
        $fanCounts = $limit->fanCanProve() && ! FanSeen::cannotCome($at);
        $missing = [
            $rise->doubted === null
                ? null
                : new MissingProof(ProofCode::Again, fromC: $rise->doubted->coolantC, wasRead: false),
            $seen === [] && $rise->doubted === null ? new MissingProof(ProofCode::RunOn, wasRead: false) : null,
            self::goesRound($at, $seen)
                ? null
                : new MissingProof(
                    self::hasThermostat($at->circuit()) ? ProofCode::Thermostat : ProofCode::Circulation,
                    fromC: $opensC,
                    endsAtC: self::isShown($at, $limit) ? null : $limit->limit->degC(),
                    tightToo: ! self::isShown($at, StopLimitAtNeck::of($at, Neck::Sealed)),
                    wasRead: self::wasFarSideRead($seen),
                ),
            ...array_map(fn (string $outlet) => self::outlet($at, $outlet, $read, $felt), $facts->outlets),
            $fanCounts && $fan->times() < Plan::of($at)->rules()->fanCycles
                ? new MissingProof(ProofCode::Fan, times: $fan->times())
                : null,
            $bubbles->seen?->come() === true ? new MissingProof(ProofCode::Bubbles) : null,
        ];

        return new self(
            array_values(array_filter($missing)),
            $seen,
            self::restsOnAHand($at, $read, $felt),
            $fanCounts,
            $fan,
            $bubbles,
            HeaterWatch::of($at, $limit)->cleared ?? $rise->jumped,
        );
    }

    /** Whether all that is missing is what no run can show here, however its neck stands. */
    public function isOutOfReach(): bool
    {
        return $this->missing !== []
            && array_filter($this->missing, fn (MissingProof $missing) => ! $missing->tightToo) === [];
    }

    /** Whether a run up to this limit can show what is behind the thermostat. */
    private static function isShown(Situation $at, StopLimit $limit): bool
    {
        return NeckLimit::showsTheFarSide($at->circuit(), $limit);
    }

    /** Whether all that is missing was looked at: what nobody read, the next run may show. */
    public function wereRead(): bool
    {
        return array_filter($this->missing, fn (MissingProof $missing) => ! $missing->wasRead) === [];
    }

    /** @return list<string> what is missing, in one order, so that two runs are compared */
    public function leaves(): array
    {
        $left = array_map(fn (MissingProof $one) => "{$one->code->value} {$one->outlet} {$one->times}", $this->missing);
        sort($left);

        return $left;
    }

    /** Whether anything was read or felt that counts. */
    public function hasBegun(): bool
    {
        return $this->restsOn !== [];
    }

    /** Whether a reading shows that hot coolant reaches the far side: both sides warm, and near each other. */
    public static function reachesTheFarSide(Circuit $circuit, HotReading $reading): bool
    {
        return $reading->farC !== null && self::isFarSideHot($circuit, $reading->coolantC, $reading->farC);
    }

    public static function isFarSideHot(Circuit $circuit, float $coolantC, float $farC): bool
    {
        return $coolantC >= self::opensC($circuit) && $coolantC - $farC <= self::GAP_C;
    }

    /** Where the thermostat starts to open, °C; without one, where the coolant is warm. */
    public static function opensC(Circuit $circuit): float
    {
        return $circuit->opensAtC() ?? self::WARM_C;
    }

    /** Whether a hand says the same: without a thermostat nothing need be hot. */
    public static function feltGoingRound(Circuit $circuit, FeltReading $reading): bool
    {
        return self::hasThermostat($circuit)
            ? $reading->hose === Warmth::Hot && $reading->needle !== Needle::Low
            : in_array($reading->hose, [Warmth::Warm, Warmth::Hot], true);
    }

    public static function hasThermostat(Circuit $circuit): bool
    {
        return $circuit->opensAtC() !== null;
    }

    /**
     * Whether needle and hand showed what no thermometer did.
     *
     * @param  array<HotReading>  $read
     * @param  array<FeltReading>  $felt
     */
    private static function restsOnAHand(Situation $at, array $read, array $felt): bool
    {
        $byHand = array_filter(
            $at->facts()->outlets,
            fn (string $outlet) => self::outlet($at, $outlet, $read, $felt) === null
                && self::outlet($at, $outlet, $read, []) !== null,
        );

        return $byHand !== [] || (! self::goesRound($at, $read) && self::goesRound($at, $felt));
    }

    /** @param  array<HotReading|FeltReading>  $seen */
    private static function wasFarSideRead(array $seen): bool
    {
        $tells = fn (HotReading|FeltReading $one): bool => $one instanceof FeltReading
            ? $one->hose !== null
            : $one->farC !== null;

        return array_filter($seen, $tells) !== [];
    }

    /** @param  array<HotReading|FeltReading>  $seen */
    private static function goesRound(Situation $at, array $seen): bool
    {
        foreach ($seen as $reading) {
            $shows = $reading instanceof HotReading
                ? self::reachesTheFarSide($at->circuit(), $reading)
                : self::feltGoingRound($at->circuit(), $reading);
            if ($shows) {
                return true;
            }
        }

        return false;
    }

    /**
     * An outlet counts as it was read, or felt, last.
     *
     * @param  array<HotReading>  $read
     * @param  array<FeltReading>  $felt
     */
    private static function outlet(Situation $at, string $outlet, array $read, array $felt): ?MissingProof
    {
        $reading = self::last(array_filter($read, fn (HotReading $r) => isset($r->outletsC[$outlet])));
        $hand = self::last(array_filter($felt, fn (FeltReading $f) => $f->outlet($at->facts(), $outlet) !== null));
        if ($hand !== null && ($reading === null || $hand->isAfter($reading))) {
            return $hand->outlet($at->facts(), $outlet) === Warmth::Hot && $hand->isWarmedUp()
                ? null
                : new MissingProof(ProofCode::Outlet, $outlet);
        }
        $last = $reading ?? self::last($read);
        if ($last === null) {
            return new MissingProof(ProofCode::Outlet, $outlet, wasRead: false);
        }
        $hot = HeaterAir::hotFrom($at, $last);
        $is = $reading?->outletsC[$outlet];

        return $is !== null && $is >= $hot && HeaterAir::canBe($is, $last->coolantC)
            ? null
            : new MissingProof(
                ProofCode::Outlet,
                $outlet,
                $hot,
                HeaterAir::outsideC($at->job, $last->at()),
                wasRead: $is !== null,
            );
    }

    /**
     * @template T of Observation
     *
     * @param  array<T>  $of
     * @return ?T
     */
    private static function last(array $of): ?Observation
    {
        return $of === [] ? null : $of[array_key_last($of)];
    }
}
