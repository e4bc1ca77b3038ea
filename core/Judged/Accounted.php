<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\LevelReached;
use Aqbel\Core\Observed\NumberNamed;
use Aqbel\Core\Observed\Poured;
use Aqbel\Core\Observed\ToppedUp;

/**
 * A level at the mark says where the surface stands; what is behind it is what the ledger misses. Before a signature it
 * has come in, or the number is named that is wrong.
 */
final readonly class Accounted implements Judgement
{
    /** @param  list<Observation>  $restsOn */
    private function __construct(
        public AccountedCode $code,
        public float $missingMl,
        public float $plusMinusMl,
        private array $restsOn,
    ) {
    }

    public static function of(Situation $at): self
    {
        $ledger = $at->job->ledger();
        $missing = $ledger->trappedAirMl();
        $plusMinus = $ledger->trappedAirPlusMinusMl();
        $named = self::stillNamed($at, $missing, $plusMinus);
        $code = match (true) {
            $ledger->lines === [] || abs($missing) <= $plusMinus => AccountedCode::Accounted,
            $named !== null => AccountedCode::NumberNamed,
            $missing > 0.0 => AccountedCode::AirUnaccounted,
            default => AccountedCode::TooMuch,
        };

        return new self($code, $missing, $plusMinus, $named === null ? self::sums($at) : [$named]);
    }

    /** A number that was named explains what was missing then: not what has come to it since. */
    private static function stillNamed(Situation $at, float $missing, float $plusMinus): ?NumberNamed
    {
        $named = $at->latest(NumberNamed::class);
        $then = $named === null ? 0.0 : $at->job->upTo($named->told()->seq)->ledger()->trappedAirMl();

        return $named !== null && $missing <= max(0.0, $then) + $plusMinus && $missing >= min(0.0, $then) - $plusMinus
            ? $named
            : null;
    }

    /** @return list<Observation> what went in, and what came out */
    private static function sums(Situation $at): array
    {
        return array_merge(
            ...array_map($at->job->observedAnywhere(...), [
                Poured::class,
                ToppedUp::class,
                LevelReached::class,
                CameOut::class,
            ]),
        );
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return match ($this->code) {
            AccountedCode::Accounted => Outcome::Passes,
            AccountedCode::NumberNamed => Outcome::Waits,
            default => Outcome::Stops,
        };
    }

    public function latches(): bool
    {
        return false;
    }

    public function restsOn(): array
    {
        return $this->restsOn;
    }
}
