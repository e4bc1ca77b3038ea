<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Circuit\Node;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\Moved;
use Aqbel\Core\Stores\PartUsed as Labelled;
use Aqbel\Core\Stores\ShelfLine;
use Aqbel\Core\Stores\Stock;
use Illuminate\Database\Eloquent\Builder as Models;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * A part-used container on the shelf. What it holds is the sum of its movements; those of a job follow its journal.
 *
 * @property int $id
 * @property string $kind  code of a Liquid
 * @property string $base
 * @property string $inhibitor
 * @property float $fraction
 * @property float $holds_ml what has moved in less what has moved out, kept with every movement
 * @property ?float $full_ml of a drum: what it holds when the liquid stands at `full_mm`
 * @property ?float $full_mm
 * @property ?Job $job
 * @property \Illuminate\Support\Collection<int, ContainerMovement> $movements
 * @property Carbon $created_at
 */
class Container extends Row
{
    /** Less than this is a wet container, not a stock. A whole number: SQLite compares a bound float as text. */
    public const DREGS_ML = 20;

    /**
     * In order of their id: by the bare column SQLite would walk all
     * that ever were, and not the few that hold something.
     */
    public const BY_ID = 'containers.id + 0';

    protected $table = 'containers';

    protected $casts = ['fraction' => 'float', 'holds_ml' => 'float', 'full_ml' => 'float', 'full_mm' => 'float'];

    /** @return HasMany<ContainerMovement, $this> */
    public function movements(): HasMany
    {
        return $this->hasMany(ContainerMovement::class)
            ->orderBy('container_movements.created_at')
            ->orderBy('container_movements.id');
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /**
     * A drum stands upright and is as wide below as above: what it holds goes by how high it stands. Null where it is
     * none.
     */
    public function levelMm(): ?float
    {
        return $this->full_ml === null || $this->full_mm === null
            ? null
            : ($this->full_mm * $this->holds_ml) / $this->full_ml;
    }

    /** @throws InvalidField on `level`, where no drum of this height can stand so high */
    public static function atLevel(?float $fullMl, ?float $fullMm, ?float $levelMm): float
    {
        if ($fullMl === null || $fullMm === null || $fullMl <= 0.0 || $fullMm <= 0.0) {
            throw new InvalidField('full', 'Of a drum, enter what it holds when full and how high the liquid '
                .'then stands.');
        }
        if ($levelMm === null || $levelMm > $fullMm) {
            throw new InvalidField('level', 'Enter how high it stands now: no higher than when it is full.');
        }

        return $fullMl * $levelMm / $fullMm;
    }

    /** How well what is in it is read, mL: a drum with a stick; null for what is looked at in a can. */
    public function readWithinMl(): ?float
    {
        return self::stickWithinMl((object) $this->getAttributes());
    }

    private static function stickWithinMl(\stdClass $row): ?float
    {
        [$fullMl, $fullMm] = [$row->full_ml ?? null, $row->full_mm ?? null];

        return $fullMl === null || $fullMm === null ? null : ((float) $fullMl * Node::TAPE_MM) / (float) $fullMm;
    }

    /**
     * Those with something in them.
     *
     * @param  Models<Container>  $query
     */
    public function scopeOnShelf(Models $query): void
    {
        $query->where('holds_ml', '>', self::DREGS_ML);
    }

    /**
     * Those out of which more was taken than was put in: a line was put right, or taken back, after somebody had used
     * what it had put there.
     *
     * @param  Models<Container>  $query
     */
    public function scopeBelowNothing(Models $query): void
    {
        $query->where('holds_ml', '<', -self::DREGS_ML);
    }

    /** Whether it cannot be, however well the litres were measured. */
    public function isBelowNothing(): bool
    {
        $stock = $this->stock();

        return $stock->ml < -max($stock->plusMinusMl, $this->labelled()->withinMl);
    }

    /** As its label says, with what it holds now. */
    public function labelled(): Labelled
    {
        return self::read((object) $this->getAttributes());
    }

    /**
     * What stands on the shelf and on the price list at this moment; for a correction, without what the line moved.
     * Read without models: every plan looks at all of it.
     */
    public static function stores(?Job $without = null, ?int $seq = null): Inventory
    {
        $moved = DB::table('container_movements')->where('job_id', $without?->id)->where('seq', $seq)
            ->groupBy('container_id')->selectRaw('container_id, sum(ml) as moved_ml');
        $shelf = $seq === null
            ? DB::table('containers')->where('holds_ml', '>', self::DREGS_ML)->orderByRaw(self::BY_ID)->get()
            : DB::table('containers')->leftJoinSub($moved, 'moved', 'moved.container_id', '=', 'containers.id')
                ->whereRaw('holds_ml - coalesce(moved_ml, 0) > ?', [self::DREGS_ML])->orderBy('containers.id')
                ->selectRaw('containers.*, holds_ml - coalesce(moved_ml, 0) as holds_ml')->get();
        $offers = DB::table('products')->orderBy('id')->get();

        return new Inventory(
            array_values($shelf->map(self::read(...))->all()),
            array_values($offers->map(Product::read(...))->all()),
        );
    }

    private static function read(\stdClass $row): Labelled
    {
        return new Labelled(
            (string) $row->id,
            Liquid::from($row->kind),
            (float) $row->holds_ml,
            (float) $row->fraction,
            Glycol::from($row->base),
            $row->inhibitor,
            $row->job_id === null ? '' : Job::numbered((int) $row->job_id),
            self::stickWithinMl($row) ?? Labelled::MARK_ML,
        );
    }

    /**
     * Makes the shelf agree with one line of a job's journal: what the line moved before is replaced.
     *
     * @param  list<ShelfLine>  $lines
     */
    public static function follow(Job $job, int $seq, Person $person, array $lines): void
    {
        $before = ContainerMovement::query()->where('job_id', $job->id)->where('seq', $seq);
        $put = (clone $before)->where('ml', '>', 0)->select('container_id');
        $own = self::query()->where('job_id', $job->id)->whereIn('id', $put)->first();
        $touched = (clone $before)->pluck('container_id')->all();
        $since = (clone $before)->min('created_at') ?? now(); // what is put right happened when it happened
        $before->delete();
        foreach ($lines as $line) {
            $container = $line->new === null ? (int) $line->container : ($own ?? self::leftBy($job, $line->new))->id;
            ContainerMovement::query()->create([
                'container_id' => $container,
                'job_id' => $job->id,
                'seq' => $seq,
                'person_id' => $person->id,
                'ml' => $line->ml,
                'plus_minus_ml' => $line->plusMinusMl,
                'note' => Moved::ByJob,
                'created_at' => $since,
            ]);
            $touched[] = $container;
        }
        self::weigh(...$touched);
    }

    /** What a line of a job put on the shelf is what its bucket held, also where a number of that was put right since. */
    public static function relabel(Job $job, int $seq, Labelled $new): void
    {
        $put = ContainerMovement::query()
            ->where('job_id', $job->id)
            ->where('seq', $seq)
            ->where('ml', '>', 0)
            ->select('container_id');
        self::query()->where('job_id', $job->id)->whereIn('id', $put)->update(self::label($new));
    }

    /** What these hold, anew from everything that was moved. */
    public static function weigh(int ...$containers): void
    {
        foreach (self::query()->whereIn('id', $containers)->with('movements')->get() as $container) {
            $stock = Stock::of([]);
            foreach ($container->movements as $moved) {
                if ($moved->counted_ml !== null) {
                    $moved->update(['ml' => $moved->counted_ml - $stock->ml]);
                }
                $stock = $stock->after($moved->movement());
            }
            $container->update(['holds_ml' => $stock->ml]);
        }
    }

    /** What is in it, with how well that is known. */
    public function stock(): Stock
    {
        return Stock::of($this->movements->map(fn (ContainerMovement $moved) => $moved->movement()));
    }

    private static function leftBy(Job $job, Labelled $new): self
    {
        return self::query()->create(['job_id' => $job->id, ...self::label($new)]);
    }

    /** @return array<string, string|float> */
    private static function label(Labelled $new): array
    {
        return [
            'kind' => $new->liquid->value,
            'base' => $new->base->value,
            'inhibitor' => $new->inhibitor,
            'fraction' => $new->fraction,
        ];
    }
}
