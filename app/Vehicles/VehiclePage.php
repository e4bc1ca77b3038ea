<?php

declare(strict_types=1);

namespace App\Vehicles;

use App\Models\Job;
use App\Models\Photo;
use App\Models\Vehicle;
use App\Models\Visit;
use App\Visits\VisitBook;
use Aqbel\Core\Judged\FrostKept;
use Aqbel\Core\Judged\MixComesTo;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Cache;

/** One vehicle: what is open on it, what is in it now, what to watch, what was done. */
final readonly class VehiclePage
{
    private const KEPT_S = 86400;

    private const MOST_JOBS = 30;

    private const MOST_PHOTOS = 12;

    /** @var Collection<int, Job> */
    public Collection $jobs;

    public ?Job $open;

    /** @var list<string> what the next visit should look at */
    public array $watch;

    /** @var list<array{string, string}> what is in it now, by the job that is open on it or the last that was signed */
    public array $content;

    /** @var Collection<int, Photo> */
    public Collection $photos;

    public NextDue $due;

    /** @var Collection<int, Visit> that are to be made on it */
    public Collection $visits;

    public function __construct(public Vehicle $vehicle, public UnitSystem $units, StepCatalogue $kinds)
    {
        $this->due = NextDue::of($vehicle);
        $vehicle->loadMissing('circuit:id,name');
        $this->open = $vehicle->openJob();
        $this->jobs = Job::query()
            ->where('vehicle_id', $vehicle->id)
            ->with('planner')
            ->latest('id')
            ->limit(self::MOST_JOBS)
            ->get([
                'id',
                'kind',
                'planned_by',
                'signed_at',
                'followed_at',
                'closed_at',
                'abandoned_at',
                'rests_until',
                'created_at',
            ]);
        $this->visits = Visit::query()
            ->due()
            ->whereIn('job_id', $this->jobs->pluck('id'))
            ->with(['job.vehicle', 'holder'])
            ->orderBy('due_on')
            ->get();
        $this->watch = array_map($kinds->sayWatch(...), $vehicle->lastJob()->watch ?? []);
        $this->content = $this->content($units);
        $this->photos = Photo::query()->whereIn(
            'job_id',
            $this->jobs->pluck('id'),
        )->latest('id')->limit(self::MOST_PHOTOS)->get();
    }

    /** @return list<string> how far it had run when somebody last looked */
    public function run(): array
    {
        $shown = VehicleInput::shown($this->vehicle, $this->units);
        $run = [];
        foreach (array_slice(VehicleInput::form()->fields, 0, 2) as $field) {
            if ($shown[$field->name] !== '') {
                $run[] = "{$shown[$field->name]} {$field->assumedUnit($this->units)->value}";
            }
        }

        return $run;
    }

    /** @return list<array{string, string}> */
    private function content(UnitSystem $units): array
    {
        // What came from elsewhere was brought in later than it was written.
        $last = $this->open
            ?? Job::query()
                ->where('vehicle_id', $this->vehicle->id)
                ->orderByRaw('coalesce(signed_at, abandoned_at) desc')
                ->first();
        if ($last === null) {
            return [];
        }
        // What is closed stays as it is.
        $inside = $last->stands()
            ? Cache::remember("inside.{$last->id}.{$units->value}", self::KEPT_S, fn () => self::inside($last, $units))
            : self::inside($last, $units);

        $since = Visit::query()
            ->where('job_id', $last->id)
            ->whereNotNull('done_at')
            ->whereNull('struck_at')
            ->get()
            ->sum(fn (Visit $visit) => (float) ($visit->values['volume'] ?? 0.0));

        return [
            ...$inside,
            ...$since > 0.0 ? [['Topped up since', $units->format($since, Dimension::Volume)]] : [],
            ['By', "{$last->number()}, ".match (true) {
                $last->signed_at !== null => "signed {$last->signed_at->format('Y-m-d')}",
                $last->abandoned_at !== null => "given up {$last->abandoned_at->format('Y-m-d')}",
                default => 'under way',
            }],
        ];
    }

    /** @return list<array{string, string}> */
    private static function inside(Job $job, UnitSystem $units): array
    {
        $state = $job->state();
        $ledger = $state->ledger();
        $fraction = FrostKept::inside($state, (new VisitBook($job))->freezeC(Plan::of($state)->rules()->vessels));

        return [
            ['Coolant inside', $units->format($ledger->contentMl, Dimension::Volume)],
            ['Glycol', $fraction === null ? 'unknown' : $units->format($fraction, Unit::Percent)],
            ['Wanted', $units->format(MixComesTo::target($state), Unit::Percent)],
        ];
    }
}
