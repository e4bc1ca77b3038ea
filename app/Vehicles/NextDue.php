<?php

declare(strict_types=1);

namespace App\Vehicles;

use App\Models\Job;
use App\Models\Shop;
use App\Models\Vehicle;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Plan\ChangeInterval;
use Aqbel\Core\Plan\Format\ChoicesCodec;
use Aqbel\Core\Plan\IntervalUsed;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;

/** When the coolant of a vehicle is due again, by its own interval or the shop's, from the last time it was changed. */
final readonly class NextDue
{
    private const MM_PER_KM = 1.0e6;

    /** Days of a month, on the average. */
    private const DAYS_PER_MONTH = 30.44;

    private function __construct(
        public ChangeInterval $interval,
        public bool $own,
        public ?Carbon $changed,
        public ?IntervalUsed $used,
        private ?float $changedKm,
        private ?float $changedHours,
    ) {
    }

    public static function of(Vehicle $vehicle): self
    {
        $shops = Shop::here()->houseRules()->changeLater;
        $interval = $vehicle->interval($shops);
        $own = $interval != $shops;
        // The last job by which coolant came out, and did not go back in, or that filled what arrived empty.
        $job = Job::query()
            ->where('vehicle_id', $vehicle->id)
            ->whereNotNull('signed_at')
            ->where(
                fn (Builder $jobs) => $jobs
                    ->whereJsonLength('plan->choices->drains', '>', 0)
                    ->orWhere('plan->choices->content', Compatibility::Nothing->value),
            )
            ->where(fn (Builder $jobs) => $jobs->whereNull('summary->renewed')->orWhere('summary->renewed', true))
            ->latest('signed_at')->latest('id')->select(['id', 'signed_at', 'plan->choices->usage as usage'])->first();
        if ($job === null) {
            return new self($interval, $own, null, null, null, null);
        }
        $then = ChoicesCodec::readUsage((array) json_decode((string) $job->getAttribute('usage'), true));
        // A mark below the one at the change is another instrument, or
        // misread: it says nothing about what has been run.
        $since = fn (?float $now, ?float $at): ?float => $now === null || $at === null || $now < $at ? null : $now - $at;
        $used = $interval->used(
            $since($vehicle->odometer_km, $then->odometerKm),
            (float) $job->signed_at?->diffInDays(now()) / self::DAYS_PER_MONTH,
            $since($vehicle->hours, $then->hours),
        );

        return new self($interval, $own, $job->signed_at, $used, $then->odometerKm, $then->hours);
    }

    public function by(): ?Carbon
    {
        return $this->changed?->copy()->addDays((int) round($this->interval->months * self::DAYS_PER_MONTH));
    }

    /** @return list<string> the marks at which it is due, whichever comes first */
    public function marks(UnitSystem $units): array
    {
        $road = $units->road();

        return array_values(array_filter([
            $this->by()?->format('Y-m'),
            $this->changedKm === null ? null : $this->road($this->changedKm + $this->interval->km, $road),
            $this->changedHours === null ? null : number_format($this->changedHours + $this->interval->hours).' h',
        ]));
    }

    /** The interval in words. */
    public function rule(UnitSystem $units): string
    {
        $road = $units->road();

        return "{$this->road($this->interval->km, $road)}, {$this->interval->months} months or "
            .number_format($this->interval->hours).' h';
    }

    private function road(float $km, Unit $road): string
    {
        return number_format($road->fromBase($km * self::MM_PER_KM))." {$road->value}";
    }
}
