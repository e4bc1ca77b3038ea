<?php

declare(strict_types=1);

namespace App\Models;

use App\Practice\FoundOnItsGround;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Plan\ChangeInterval;
use Aqbel\Core\Plan\Format\ChoicesCodec;
use Aqbel\Core\Plan\LeftBehind;
use Aqbel\Core\Plan\Usage;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Visits\DaysAfterCode;
use Aqbel\Core\Visits\DaysAfterWords;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;

/**
 * @property int $id
 * @property int $circuit_id
 * @property string $plate
 * @property string $name
 * @property string $notes
 * @property float|null $odometer_km as somebody last read it
 * @property float|null $hours
 * @property Carbon|null $read_on
 * @property float|null $interval_km between two changes of its coolant, where it is not the shop's
 * @property float|null $interval_months
 * @property float|null $interval_hours
 * @property Carbon|null $retired_at
 * @property Circuit $circuit
 */
class Vehicle extends Row
{
    private const MM_PER_KM = 1.0e6;

    private const SECONDS_PER_HOUR = 3600.0;

    /** What is read to a whole kilometre or hour, once down and once up. */
    private const READS_KM = 1.0;

    private const READS_H = 1.0;

    use FoundOnItsGround;

    protected $table = 'vehicles';

    protected $casts = [
        'retired_at' => 'datetime', 'read_on' => 'date', 'odometer_km' => 'float', 'hours' => 'float',
        'interval_km' => 'float', 'interval_months' => 'float', 'interval_hours' => 'float',
    ];

    /** @return BelongsTo<Circuit, $this> */
    public function circuit(): BelongsTo
    {
        return $this->belongsTo(Circuit::class);
    }

    /** @return HasOne<Job, $this> the one job that is open on it */
    public function open(): HasOne
    {
        return $this->hasOne(Job::class)->whereNull('signed_at')->whereNull('abandoned_at');
    }

    /** @return HasOne<Job, $this> the same, once something has been done of it */
    public function inHand(): HasOne
    {
        return $this->open()->whereHas('lines');
    }

    /** @return HasMany<Job, $this> */
    public function jobs(): HasMany
    {
        return $this->hasMany(Job::class);
    }

    /** Between two changes of its coolant: its own where it has one, the shop's where it has none. */
    public function interval(ChangeInterval $shops): ChangeInterval
    {
        return new ChangeInterval(
            $this->interval_km ?? $shops->km,
            $this->interval_months ?? $shops->months,
            $this->interval_hours ?? $shops->hours,
        );
    }

    /**
     * What the last job on it left, where that was given up, or signed
     * short of its mark; null where there is nothing to say.
     */
    public function leftBehind(): ?LeftBehind
    {
        $last = Job::query()->where('vehicle_id', $this->id)->whereNull('document')->latest('id')->first([
            'id',
            'abandoned_at',
            'left_behind',
        ]);

        return $last === null || ($last->abandoned_at === null && $last->left_behind === null)
            ? null
            : ChoicesCodec::readLeft($last->left_behind ?? []);
    }

    /**
     * Nothing runs backwards: one of the two was misread.
     *
     * @throws InvalidField
     */
    public function assertRunsOn(Usage $usage, UnitSystem $units): void
    {
        $since = $this->read_on === null ? '' : " on {$this->read_on->format('Y-m-d')}";
        $says = fn (string $field, string $stood): InvalidField => new InvalidField(
            $field,
            "It stood at {$stood}{$since}, and does not run backwards. Read it again; where that one was wrong, put it "
                .'right at the vehicle first.',
        );
        if ($usage->odometerKm !== null && $usage->odometerKm + self::READS_KM < (float) $this->odometer_km) {
            throw $says('odometer', $units->format((float) $this->odometer_km * self::MM_PER_KM, $units->road()));
        }
        if ($usage->hours !== null && $usage->hours + self::READS_H < (float) $this->hours) {
            throw $says('hours', $units->format((float) $this->hours * self::SECONDS_PER_HOUR, Unit::Hour));
        }
    }

    /**
     * A reading that was wrong goes, as long as it is the one that counts: what was read in its place, or before it.
     */
    public function putRight(Usage $wrong, Usage $instead): void
    {
        $is = fn (?float $one, ?float $other): bool => $one !== null && $other !== null && abs($one - $other) < 0.001;
        $is($this->odometer_km, $wrong->odometerKm) && $this->odometer_km = $instead->odometerKm;
        $is($this->hours, $wrong->hours) && $this->hours = $instead->hours;
        $this->save();
    }

    /** What was read at planning is what it has run; nothing that nobody read is kept. */
    public function haveRun(Usage $usage): void
    {
        $read = array_filter(
            ['odometer_km' => $usage->odometerKm, 'hours' => $usage->hours],
            fn (?float $value) => $value !== null,
        );
        if ($read !== []) {
            $this->update([...$read, 'read_on' => now()->format('Y-m-d')]);
        }
    }

    public function openJob(): ?Job
    {
        return Job::query()->open()->where('vehicle_id', $this->id)->first();
    }

    /**
     * Taken out of the stored documents by the database: a plan has many numbers and the next one wants two of them.
     */
    public function lastJob(): ?LastJob
    {
        $job = Job::query()
            ->where('vehicle_id', $this->id)
            ->whereNotNull('signed_at')
            ->latest('signed_at')
            ->latest('id')
            ->select([
                'id',
                'signed_at',
                'days_after',
                'summary->watch as watch',
                'plan->choices->usage as usage',
                'plan->input->usage as earlier_usage',
            ])
            ->first();
        if ($job === null) {
            return null;
        }
        $list = fn (string $name): array => (array) json_decode((string) $job->getAttribute($name), true);
        $after = DaysAfterWords::watch(DaysAfterCode::tryFrom((string) $job->days_after));
        $watch = array_values(array_filter([$after, ...$list('watch')], is_string(...)));

        return new LastJob(
            $job->number(),
            $job->signed_at?->format('Y-m') ?? '',
            $watch,
            ChoicesCodec::readUsage($list('usage') + $list('earlier_usage')),
        );
    }
}
