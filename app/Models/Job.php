<?php

declare(strict_types=1);

namespace App\Models;

use App\Calc\Input;
use App\Calc\StoredJob;
use App\Floor\Summary;
use App\Practice\FoundOnItsGround;
use Aqbel\Core\Circuit\Circuit as CoreCircuit;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Journal;
use Aqbel\Core\Job\Life;
use Aqbel\Core\Plan\Format\PlanCodec;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * One drain, fill and bleed on one vehicle. Its state is folded from the journal; `summary` is that fold's projection
 * for lists, rewritten with every line.
 *
 * @property int $id
 * @property int $vehicle_id
 * @property JobKind $kind
 * @property array<string, mixed> $plan
 * @property ?Summary $summary
 * @property Carbon|null $signed_at
 * @property Carbon|null $followed_at  of the first visit after its signature
 * @property ?string $days_after  code of what the visits say, as they were judged at the last
 * @property Carbon|null $closed_at  since when the visits say that nothing more comes
 * @property ?int $day_rank  put before others in the plan of the day, the lowest first
 * @property ?string $document  all of a job that came from elsewhere, as it came; null of one of this shop
 * @property ?string $seal  what its record was signed with; null of
 * one that is not signed, or was before records were sealed
 * @property ?int $waits_until  of the running clock, Unix seconds
 * @property ?int $danger_since  an engine is to be shut off now, since then, Unix seconds
 * @property ?string $danger_place
 * @property Carbon|null $rests_until
 * @property Carbon|null $abandoned_at
 * @property string $abandoned_because
 * @property array<mixed>|null $left_behind
 * @property Person|null $holder in whose hands it is; the planner’s where nobody was named
 * @property Person|null $abandoner
 * @property Carbon $created_at
 * @property Vehicle $vehicle
 * @property Circuit $circuit
 * @property Person $planner
 */
class Job extends Row
{
    use FoundOnItsGround {
        FoundOnItsGround::resolveRouteBinding as foundByNumber;
    }

    protected $table = 'jobs';

    /** @var ?array{mixed, mixed, Plan, CoreCircuit} stored plan and circuit as last read, and what they say */
    private ?array $read = null;

    protected $casts = [
        'kind' => JobKind::class,
        'plan' => 'array',
        'summary' => Summary::class,
        'signed_at' => 'datetime',
        'followed_at' => 'datetime',
        'closed_at' => 'datetime',
        'rests_until' => 'datetime',
        'abandoned_at' => 'datetime',
        'left_behind' => 'array',
    ];

    /** @return BelongsTo<Vehicle, $this> */
    public function vehicle(): BelongsTo
    {
        return $this->belongsTo(Vehicle::class);
    }

    /** @return BelongsTo<Circuit, $this> */
    public function circuit(): BelongsTo
    {
        return $this->belongsTo(Circuit::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function planner(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'planned_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function holder(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'held_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function abandoner(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'abandoned_by');
    }

    /** Where it is in its life. */
    public function life(): Life
    {
        return match (true) {
            $this->signed_at !== null && $this->closed_at !== null => Life::Closed,
            $this->signed_at !== null && $this->followed_at !== null => Life::Followed,
            $this->signed_at !== null => Life::Signed,
            $this->abandoned_at !== null => Life::GivenUp,
            $this->rests_until?->isFuture() === true => Life::Resting,
            default => Life::InHand,
        };
    }

    /** Signed or given up: its record stands as it is. */
    public function stands(): bool
    {
        return $this->life()->stands();
    }

    /** @return HasMany<JournalLine, $this> */
    public function lines(): HasMany
    {
        return $this->hasMany(JournalLine::class)->orderBy('seq');
    }

    /** @return HasMany<Visit, $this> */
    public function visits(): HasMany
    {
        return $this->hasMany(Visit::class);
    }

    /** @param  Builder<Job>  $query */
    public function scopeOpen(Builder $query): void
    {
        $query->whereNull('signed_at')->whereNull('abandoned_at');
    }

    /** Found by its number too: /jobs/J0004. */
    public function resolveRouteBinding($value, $field = null): ?Model
    {
        return $this->foundByNumber(is_string($value) ? self::idOf($value) ?? $value : $value, $field);
    }

    /** Of what stands in an address, its id or its number; null where that is neither. */
    public static function idOf(string $named): ?int
    {
        return preg_match('/^(?:J0*)?([0-9]{1,18})$/i', $named, $found) === 1 ? (int) $found[1] : null;
    }

    public function number(): string
    {
        return self::numbered($this->id);
    }

    public static function numbered(int $id): string
    {
        return 'J'.str_pad((string) $id, 4, '0', STR_PAD_LEFT);
    }

    /** Read without models: a journal has a hundred lines and every page of the run folds it. */
    public function state(): JobState
    {
        if ($this->document !== null) {
            return StoredJob::state(new Input(self::decoded($this->document)));
        }
        [, , $plan, $circuit] = $this->read();
        $query = DB::table('journal_lines')
            ->join('people', 'people.id', '=', 'journal_lines.person_id')
            ->where('job_id', $this->id)
            ->orderBy('seq')
            ->select(['seq', 'at', 'people.name', 'step', 'form', 'values', 'typed', 'arrived', 'person_id']);
        $lines = [];
        foreach ($query->get() as $line) {
            $values = self::decoded($line->values);
            $lines[] = Entry::stored(
                (int) $line->seq,
                (int) $line->at,
                $line->name,
                $line->step,
                $line->form,
                $values,
                $line->typed,
                is_array($values[Entry::PLAN] ?? null)
                    ? app(PlanCodec::class)->read($values[Entry::PLAN], $circuit)
                    : null,
                $line->arrived === null ? null : (int) $line->arrived,
                (string) $line->person_id,
            );
        }

        return new JobState(
            $circuit,
            $plan,
            app(StepCatalogue::class),
            new Journal($lines),
        );
    }

    /**
     * The plan and the circuit it was made for; read again only when what is stored has changed.
     *
     * @return array{mixed, mixed, Plan, CoreCircuit}
     */
    private function read(): array
    {
        $stored = [$this->attributes['plan'] ?? null, $this->circuit->getAttributes()['document'] ?? null];
        if ($this->read === null || [$this->read[0], $this->read[1]] !== $stored) {
            $circuit = $this->circuit->read();
            $this->read = [...$stored, app(PlanCodec::class)->read($this->plan, $circuit), $circuit];
        }

        return $this->read;
    }

    /** @return array<mixed> */
    private static function decoded(string $json): array
    {
        $decoded = json_decode($json, true);

        return is_array($decoded) ? $decoded : [];
    }
}
