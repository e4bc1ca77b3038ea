<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\Facts;
use Aqbel\Core\Circuit\GateKind;
use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Observed\Bubbles;
use Aqbel\Core\Observed\FeltReading;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\Needle;
use Aqbel\Core\Observed\Warmth;
use Aqbel\Core\Plan\Plan;

/** What a hot run has shown of what this vehicle can show, and what is still missing. */
final readonly class HotProofs
{
    /** Within this of the engine side the far side counts as reached (common practice, no source). */
    private const GAP_C = 15.0;

    /** Where a thermostat starts to open when the manual does not say (common practice, no source). */
    private const USUAL_START_C = 75.0;

    /**
     * @param  list<MissingProof>  $missing
     * @param  list<Observation>  $restsOn  readings, by thermometer or by hand
     * @param  bool  $byHand  whether some of it rests on needle and hand alone
     * @param  bool  $fanCounts  whether the fan is a proof here
     * @param  ?Bubbles  $bubbles  as they were seen last; null where nobody looked
     * @param  ?Observation  $airPassed  what showed that air went through
     */
    private function __construct(
        public array $missing,
        public array $restsOn,
        public bool $byHand,
        public bool $fanCounts,
        public FanSeen $fan,
        public ?Bubbles $bubbles,
        public ?Observation $airPassed,
    ) {
    }

    public static function of(Situation $at, StopLimit $limit): self
    {
        $facts = $at->facts();
        $rise = Rise::of($at);
        $opensC = self::opensC($facts);
        $felt = array_filter($at->observed(FeltReading::class), fn (FeltReading $felt) => Rise::canHaveReached($at, $opensC, $felt->at()));
        $read = array_filter($rise->believed, fn (HotReading $reading) => Rise::ranLongEnough($at, $reading->at()));
        $seen = Told::inOrder([...$read, ...$felt]);
        $bubbles = null;
        foreach ($seen as $reading) {
            $bubbles = $reading->besides->bubbles ?? $bubbles;
        }
        $fan = FanSeen::of($at);
        $fanCounts = $limit->fanCanProve() && ! FanSeen::cannotCome($at);
        $missing = [
            $rise->doubted === null ? null : new MissingProof(ProofCode::Again, fromC: $rise->doubted->coolantC),
            $seen === [] && $rise->doubted === null ? new MissingProof(ProofCode::RunOn) : null,
            self::thermostat($at, $seen) ? null : new MissingProof(ProofCode::Thermostat),
            ...array_map(fn (string $outlet) => self::outlet($at, $outlet, $read, $felt), $facts->outlets),
            $fanCounts && $fan->times() < Plan::of($at)->rules()->fanCycles ? new MissingProof(ProofCode::Fan, times: $fan->times()) : null,
            $bubbles?->come() === true ? new MissingProof(ProofCode::Bubbles) : null,
        ];

        return new self(
            array_values(array_filter($missing)),
            $seen,
            $felt !== [],
            $fanCounts,
            $fan,
            $bubbles,
            HeaterWatch::of($at, $limit)->cleared ?? $rise->jumped,
        );
    }

    /** Whether anything was read or felt that counts. */
    public function hasBegun(): bool
    {
        return $this->restsOn !== [];
    }

    /** Whether a reading shows that hot coolant goes through the thermostat: both sides warm, and near each other. */
    public static function passesTheThermostat(Facts $facts, HotReading $reading): bool
    {
        return $reading->farC !== null && self::showsThermostatOpen($facts, $reading->coolantC, $reading->farC);
    }

    public static function showsThermostatOpen(Facts $facts, float $coolantC, float $farC): bool
    {
        return $coolantC >= self::opensC($facts) && $coolantC - $farC <= self::GAP_C;
    }

    /** Where the thermostat starts to open, °C. */
    public static function opensC(Facts $facts): float
    {
        return $facts->thermostatStartC ?? self::USUAL_START_C;
    }

    /** @param  list<HotReading|FeltReading>  $seen */
    private static function thermostat(Situation $at, array $seen): bool
    {
        $passes = fn (HotReading|FeltReading $reading): bool => $reading instanceof HotReading
            ? self::passesTheThermostat($at->facts(), $reading)
            : $reading->hose === Warmth::Hot && $reading->needle !== Needle::Low;

        return $at->circuit()->gatesOf(GateKind::Thermostat) === [] || array_filter($seen, $passes) !== [];
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
            return $hand->outlet($at->facts(), $outlet) === Warmth::Hot && $hand->isWarmedUp() ? null : new MissingProof(ProofCode::Outlet, $outlet);
        }
        $last = $reading ?? self::last($read);
        if ($last === null) {
            return new MissingProof(ProofCode::Outlet, $outlet);
        }
        $hot = HeaterAir::hotFrom($at, $last);
        $is = $reading?->outletsC[$outlet];

        return $is !== null && $is >= $hot && HeaterAir::canBe($is, $last->coolantC)
            ? null
            : new MissingProof(ProofCode::Outlet, $outlet, $hot, HeaterAir::outsideC($at->job, $last->at()));
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
