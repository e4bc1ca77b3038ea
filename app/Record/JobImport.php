<?php

declare(strict_types=1);

namespace App\Record;

use App\Audit\Change;
use App\Audit\Subject;
use App\Audit\Trail;
use App\Calc\Input;
use App\Journal\OneWriter;
use App\Library\NewRevision;
use App\Models\Circuit;
use App\Models\Job;
use App\Models\Person;
use App\Models\Vehicle;
use Aqbel\Core\InvalidField;
use Illuminate\Support\Carbon;

/**
 * A job of another shop, brought in as a file: read, never written
 * on, and marked. Whatever it lacks here comes with it.
 */
final class JobImport
{
    /** @throws InvalidField and nothing is changed */
    public static function of(string $file, Person $by): Job
    {
        $document = JobDocument::read($file);
        $plain = (array) json_decode($file, true, 64);
        $in = new Input($plain);
        $job = $in->object('job');
        $document = JobDocument::encode($document);
        $digest = hash('sha256', $document);
        if (Job::query()->whereNotNull('document')->where('seal', $digest)->exists()) {
            throw new InvalidField('file', 'This job is here already.');
        }

        return OneWriter::run(function () use ($document, $plain, $in, $job, $digest, $by): Job {
            $circuit = self::circuit($plain, $by);
            $vehicle = self::vehicle($in->object('vehicle'), $circuit, $by);
            $when = fn (string $name): ?Carbon => is_int($job[$name] ?? null)
                ? Carbon::createFromTimestamp($job[$name])
                : null;
            $stored = Job::query()->create([
                'vehicle_id' => $vehicle->id,
                'circuit_id' => $circuit->id,
                'kind' => $job['kind'],
                'plan' => $in->object('plan'),
                'planned_by' => $by->id,
                'signed_at' => $when('signed_at'),
                'followed_at' => $when('followed_at'),
                'closed_at' => $when('closed_at'),
                'abandoned_at' => $when('given_up_at'),
                'abandoned_because' => is_string($job['given_up_because'] ?? null) ? $job['given_up_because'] : '',
                'created_at' => $when('planned_at') ?? now(), 'document' => $document, 'seal' => $digest,
            ]);
            Trail::note($by, Subject::Job, $stored->number(), [
                new Change('imported', '', "{$vehicle->plate}, {$in->text('format')}"),
            ]);

            return $stored;
        });
    }

    /** @param  array<mixed>  $document */
    private static function circuit(array $document, Person $by): Circuit
    {
        $circuit = (array) $document['circuit'];
        $key = $document['circuit_revision']['key'] ?? '';
        foreach (
            Circuit::query()
                ->where('key', is_string($key) ? $key : '')
                ->orderByDesc('revision')
                ->get() as $known
        ) {
            if ($known->document == $circuit) {
                return $known;
            }
        }

        return NewRevision::write(null, $circuit, $by);
    }

    /** @param  array<mixed>  $vehicle */
    private static function vehicle(array $vehicle, Circuit $circuit, Person $by): Vehicle
    {
        $plate = is_string($vehicle['plate'] ?? null) ? $vehicle['plate'] : '';
        $known = Vehicle::query()->where('plate', $plate)->first();
        if ($known !== null) {
            return $known;
        }
        if (preg_match('/^[\pL\pN][\pL\pN \-.]{0,19}$/u', $plate) !== 1) {
            throw new InvalidField('file', 'vehicle.plate: letters, digits, spaces, - and ., at most 20.');
        }
        $name = is_string($vehicle['name'] ?? null) ? mb_substr($vehicle['name'], 0, 120) : $plate;
        Trail::note($by, Subject::Vehicle, $plate, Trail::between([], ['plate' => $plate, 'name' => $name]));

        return Vehicle::query()->create([
            'plate' => $plate,
            'name' => $name,
            'circuit_id' => $circuit->id,
            'notes' => '',
        ]);
    }
}
