<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Observed\NeedleRead;
use Aqbel\Core\Observed\Poured;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Vacuum\VacuumProgress;

/**
 * Coolant drawn in by the vacuum that was really reached: what is still to
 * come, by Boyle’s law, and whether needle and volume agree.
 */
final readonly class VacuumDrawn implements Judgement
{
    /**
     * A needle at zero with less than this share of what was to be drawn has let air in (common practice, no source).
     */
    private const DRAWN = 0.75;

    /**
     * From this share of it on the needle must have moved, by so much of what it should (common practice, no source).
     */
    private const SHOWS_FROM = 0.3;

    private const MOVES = 0.3;

    /**
     * @param  float  $drawnMl  that went in
     * @param  float  $expectedMl  that the vacuum really reached could draw
     * @param  ?VacuumProgress  $progress  null where the needle tells nothing yet
     * @param  ?array{float, ?float}  $rangeMl  still to come, by what the needle can tell; no upper end where it cannot
     * @param  list<Observation>  $restsOn
     */
    private function __construct(
        public VacuumDrawnCode $code,
        public float $drawnMl,
        public float $expectedMl,
        public ?VacuumProgress $progress,
        public ?array $rangeMl,
        private array $restsOn,
    ) {
    }

    /** Null before anything went in. */
    public static function of(Situation $at): ?self
    {
        return $at->judged(self::class, fn (): ?self => self::judge($at));
    }

    private static function judge(Situation $at): ?self
    {
        $poured = $at->observed(Poured::class);
        if ($poured === []) {
            return null;
        }
        $drawn = $at->job->ledger()->contentMl - $at->job->ledgerBefore(Stage::Fill)->contentMl;
        [$start, $needles] = [
            self::startKpa($at),
            array_map(fn (NeedleRead $read) => $read->kPa(Gauge::air($at)), $at->observed(NeedleRead::class)),
        ];
        $expected = self::expectedMl($at);
        $now = $needles === [] ? null : $needles[count($needles) - 1];
        [$progress, $range]
            = $start === null || $now === null ? [null, null] : self::progress($at, $start, $now, $drawn);
        $zero = $now !== null && $now <= Gauge::resolution($at)->kPa();

        return new self(match (true) {
            self::grewDeeper($at, $start, $needles) => VacuumDrawnCode::NeedleDeeper,
            $zero && $drawn < self::DRAWN * $expected => VacuumDrawnCode::AirCameIn,
            $zero => VacuumDrawnCode::Full,
            $start !== null && $now !== null && self::stands($at, $start, $now, $drawn, $expected) => VacuumDrawnCode::NeedleStands,
            default => VacuumDrawnCode::Filling,
        }, $drawn, $expected, $progress, $range, [...$poured, ...$at->observed(NeedleRead::class)]);
    }

    /** What a vacuum can draw into the void there is, at the depth it was really pulled to, mL. */
    public static function expectedMl(Situation $at): float
    {
        $ledger = $at->job->ledgerBefore(Stage::Fill);
        $void = max(0.0, $ledger->capacityMl - $ledger->contentMl);
        $start = self::startKpa($at);
        $air = Gauge::air($at)->pressure->kPa();
        $vapour = Gauge::vapour($at)->kPa();
        $stays = $start === null ? 0.0 : max(0.0, $air - $start - $vapour) / ($air - $vapour);

        return max(0.0, $void * (1.0 - $stays));
    }

    /** The vacuum when the valve was opened, kPa; null where nobody read it. */
    private static function startKpa(Situation $at): ?float
    {
        foreach (['hold', 'pull'] as $kind) {
            $step = $at->job->before($at->step, $kind);
            $read = $step === null ? null : $at->seenFrom($step)->latest(NeedleRead::class);
            if ($read !== null) {
                return $read->kPa(Gauge::air($at));
            }
        }

        return null;
    }

    /** @param  list<float>  $needles */
    private static function grewDeeper(Situation $at, ?float $start, array $needles): bool
    {
        $before = $start;
        foreach ($needles as $needle) {
            if ($before !== null && $needle > $before + Gauge::resolution($at)->kPa()) {
                return true;
            }
            $before = $needle;
        }

        return false;
    }

    private static function stands(Situation $at, float $start, float $now, float $drawn, float $expected): bool
    {
        $ledger = $at->job->ledgerBefore(Stage::Fill);
        $void = $ledger->capacityMl - $ledger->contentMl;
        $vapour = Gauge::vapour($at)->kPa();
        $inside = Gauge::air($at)->pressure->kPa() - $start - $vapour;
        if ($drawn < self::SHOWS_FROM * $expected || $drawn >= $void) {
            return false;
        }
        $should = max(0.0, $inside) * ($void / ($void - $drawn) - 1.0);

        return $should > 2.0 * Gauge::resolution($at)->kPa() && $start - $now < self::MOVES * $should;
    }

    /** @return array{?VacuumProgress, ?array{float, ?float}} */
    private static function progress(Situation $at, float $start, float $now, float $drawn): array
    {
        if ($drawn <= 0.0) {
            return [null, null];
        }
        $between = [
            Gauge::air($at),
            Pressure::kilopascals($start),
            Pressure::kilopascals($now),
            Volume::millilitres($drawn),
            Gauge::vapour($at),
        ];
        try {
            $progress = VacuumProgress::judge(...$between);
        } catch (InvalidField) {
            return [null, null];
        }
        try {
            $span = VacuumProgress::span(...[...$between, Gauge::resolution($at)]);
        } catch (InvalidField) {
            return [$progress, [0.0, null]];
        }

        return [$progress, [$span['low']->remaining->mL(), $span['high']?->remaining->mL()]];
    }

    /** Whether the needle is at zero, and nothing more is drawn. */
    public function isAtZero(): bool
    {
        return $this->code === VacuumDrawnCode::Full || $this->code === VacuumDrawnCode::AirCameIn;
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return $this->code === VacuumDrawnCode::Full ? Outcome::Passes : Outcome::Waits;
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
