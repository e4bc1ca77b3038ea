<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Heat\CoolDown;
use Aqbel\Core\Heat\CoolingBody;
use Aqbel\Core\Heat\Reading;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\CoolToTheHand;
use Aqbel\Core\Observed\OutsideAir;
use Aqbel\Core\Observed\Rested;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Temperature;

/** Whether a circuit may be opened: as it was read, felt, or stood; and if not, when to come back. */
final readonly class Cooling implements Judgement
{
    /**
     * @param  Observation  $last  it rests on
     * @param  ?float  $coolantC  as it was read last
     * @param  ?CoolDown  $predicted  null where nothing was read, or the readings do not fall
     */
    private function __construct(
        public CoolingCode $code,
        private Observation $last,
        public ?float $coolantC = null,
        public ?CoolDown $predicted = null,
        public int $readings = 0,
        public ?float $airC = null,
    ) {
    }

    /** @param  bool  $unsealed  whether the neck was never sealed, so that it may be topped up warm */
    public static function of(Situation $at, bool $unsealed): ?self
    {
        return $at->judged(self::class, fn (): ?self => self::judge($at, $unsealed));
    }

    private static function judge(Situation $at, bool $unsealed): ?self
    {
        $readings = $at->observed(CoolantRead::class);
        $last = $at->latest(CoolantRead::class);
        $felt = $at->latest(CoolToTheHand::class);
        $rested = $at->latest(Rested::class);
        if ($felt !== null && $felt->isAfter($last)) {
            return new self(CoolingCode::CoolToTheHand, $felt);
        }
        if ($last === null) {
            return $rested === null ? null : new self(
                $rested->seconds >= NeckHeat::restedS($at) ? CoolingCode::Rested : CoolingCode::RestedTooShort,
                $rested,
            );
        }
        $predicted = self::predict($at, $readings);
        $code = match (true) {
            NeckHeat::mayBeOpened($at, $last->celsius) => CoolingCode::Cold,
            $unsealed => CoolingCode::Unsealed,
            $predicted === null => CoolingCode::NotFalling,
            default => CoolingCode::TooHot,
        };

        return new self($code, $last, $last->celsius, $predicted, count($readings), self::airC($at));
    }

    /** When to come back, Unix seconds: nine engines of ten are cold then; null where it is, or nothing falls. */
    public function comeBack(): ?int
    {
        $minutes = $this->predicted->comeBackMinutes ?? 0.0;

        return $minutes <= 0.0 ? null : $this->last->told()->at + (int) ceil($minutes * 60.0);
    }

    /** Of the last reading, Unix seconds. */
    public function since(): int
    {
        return $this->last->told()->at;
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return match ($this->code) {
            CoolingCode::RestedTooShort, CoolingCode::NotFalling, CoolingCode::TooHot => Outcome::Waits,
            default => Outcome::Passes,
        };
    }

    public function latches(): bool
    {
        return false;
    }

    public function restsOn(): array
    {
        return [$this->last];
    }

    private static function airC(Situation $at): ?float
    {
        return $at->latest(OutsideAir::class)->celsius ?? HeaterAir::outsideC($at->job, $at->now);
    }

    /** @param  list<CoolantRead>  $readings */
    private static function predict(Situation $at, array $readings): ?CoolDown
    {
        $points = [];
        foreach ($readings as $read) {
            $minute = ($read->at() - $readings[0]->at()) / 60.0;
            if ($points === [] || $minute > $points[count($points) - 1]->minute) {
                $points[] = new Reading($minute, Temperature::celsius($read->celsius));
            }
        }
        $air = self::airC($at);
        if ($air === null) {
            return null;
        }
        try {
            return CoolDown::predict(
                Temperature::celsius($air),
                $points,
                Temperature::celsius(NeckHeat::safeC($at)),
                CoolingBody::of(
                    $at->circuit()->capacityMl(),
                    shelter: Plan::of($at)->choices->shelter,
                    timesUsual: Plan::of($at)->rules()->coolingFactor,
                ),
            );
        } catch (InvalidField) {
            return null;
        }
    }
}
