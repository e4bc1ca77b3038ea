<?php

declare(strict_types=1);

namespace App\Practice;

use App\Floor\Projection;
use App\Instruments\Door;
use App\Models\Circuit;
use App\Models\Job;
use App\Models\Person;
use App\Models\Practice;
use App\Models\Shop;
use App\Models\Vehicle;
use Aqbel\Core\Circuit\Circuit as CoreCircuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\Format\PlanCodec;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Practice\Exercise;
use Illuminate\Support\Carbon;

/**
 * Lays an exercise out on the practice ground: a vehicle, its job up to
 * the step it begins at, and gauges that show what is hidden.
 */
final class Start
{
    /** A clock that runs as fast as everybody’s. */
    private const SPEED = 1;

    public static function of(Exercise $exercise, Person $person): Practice
    {
        Ground::prepare();
        Ground::knows($person);
        $shopMs = now()->getTimestampMs();
        $before = Carbon::getTestNow();
        try {
            return Ground::on(function () use ($exercise, $person, $shopMs): Practice {
                $circuit = self::circuit($exercise->circuit);
                $number = 1 + Vehicle::query()->count();
                $vehicle = Vehicle::query()->create([
                    'plate' => "PRACTICE {$number}",
                    'name' => 'A vehicle that is not there',
                    'circuit_id' => $circuit->id,
                ]);
                $walk = self::planned($vehicle, $exercise->school, $person)->until($exercise->from);
                $practice = Practice::query()->create([
                    'job_id' => $walk->job->id,
                    'person_id' => $person->id,
                    'exercise' => $exercise->id,
                    'begun_at' => now()->getTimestamp(),
                    'clock_at' => now()->getTimestamp(),
                    'clock_set_ms' => $shopMs,
                    'speed' => self::SPEED,
                    'lines_before' => (int) $walk->job->lines()->max('seq'),
                    'created_at' => Carbon::createFromTimestampMs($shopMs),
                ]);
                Door::open($walk->job, $person, 'Its gauges', implode(',', $exercise->faults));

                return $practice;
            });
        } finally {
            Carbon::setTestNow($before);
        }
    }

    /**
     * A job as the shop usually plans one, at its first step.
     *
     * @param  array<string, mixed>  $choices  of Choices, by name, that are not as usual
     */
    public static function planned(
        Vehicle $vehicle,
        string $school,
        Person $person,
        float $cureMinutes = 0.0,
        array $choices = [],
    ): Walk {
        $circuit = $vehicle->circuit->read();
        $plan = app(Planner::class)->plan(
            $circuit,
            new Choices(...[...self::usual($circuit, $school, $cureMinutes), ...$choices]),
        );
        $job = Job::query()->create([
            'vehicle_id' => $vehicle->id, 'circuit_id' => $vehicle->circuit_id, 'planned_by' => $person->id,
            'kind' => $plan->choices->jobKind, 'plan' => PlanCodec::write($plan),
        ]);
        app(Projection::class)->refresh($job, $job->state());

        return new Walk($job, $person);
    }

    /** @return array<string, mixed> of Choices, by name */
    private static function usual(CoreCircuit $circuit, string $school, float $cureMinutes): array
    {
        return [
            'jobKind' => JobKind::Repair,
            'complaint' => Complaint::None,
            'school' => $school,
            'opened' => array_values(array_intersect(['upper_hose'], array_keys($circuit->passages))),
            'drains' => $circuit->portIds(PortKind::Drain),
            'elevationM' => Shop::here()->elevation_m,
            'noseLiftMm' => 0.0,
            'targetFraction' => $circuit->facts->targetFraction,
            'cureMinutes' => $cureMinutes,
            'rules' => Shop::here()->houseRules(),
            'onWhatStays' => true,
        ];
    }

    private static function circuit(string $key): Circuit
    {
        $known = Circuit::query()->where('key', $key)->first();
        if ($known !== null) {
            return $known;
        }
        $document = (array) json_decode(
            (string) file_get_contents(database_path("demo/circuits/{$key}.json")),
            true,
            flags: JSON_THROW_ON_ERROR,
        );

        return Circuit::query()->create([
            'key' => $key,
            'revision' => 1,
            'name' => CircuitReader::read($document)->name,
            'document' => $document,
        ]);
    }
}
