<?php

declare(strict_types=1);

namespace App\Models;

use Aqbel\Core\Coolant\Container as Labelled;
use Aqbel\Core\Coolant\Offer;
use Aqbel\Core\Coolant\ShelfLine;
use Aqbel\Core\Coolant\Stores;
use Aqbel\Core\Fluid\GlycolBase;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;

/**
 * A part-used container on the shelf. What it holds is the sum of its movements; those of a job follow its journal.
 *
 * @property int $id
 * @property string $kind
 * @property string $base
 * @property string $inhibitor
 * @property float $fraction
 * @property float|int|null $movements_sum_ml
 * @property ?Job $job
 * @property Carbon $created_at
 */
class Container extends Model
{
    /** Less than this is a wet container, not a stock. A whole number: SQLite compares a bound float as text. */
    public const DREGS_ML = 20;

    protected $guarded = [];

    protected $casts = ['fraction' => 'float'];

    /** @return HasMany<ContainerMovement, $this> */
    public function movements(): HasMany
    {
        return $this->hasMany(ContainerMovement::class);
    }

    /** @return BelongsTo<Job, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(Job::class);
    }

    /**
     * Those with something in them, as they stood without one line of a journal when it is named.
     *
     * @param  Builder<Container>  $query
     */
    public function scopeOnShelf(Builder $query, ?Job $without = null, ?int $seq = null): void
    {
        $query->withSum(['movements' => fn (Builder $moved) => $moved->when($seq !== null, fn (Builder $m) => $m->where(fn (Builder $other) => $other->whereNull('job_id')->orWhere('job_id', '!=', $without?->id)->orWhere('seq', '!=', $seq)))], 'ml')->having('movements_sum_ml', '>', self::DREGS_ML)->groupBy('containers.id');
    }

    /** As its label says, with what it holds now. */
    public function labelled(): Labelled
    {
        return new Labelled((string) $this->id, $this->kind, (float) $this->movements_sum_ml, $this->fraction, GlycolBase::from($this->base), $this->inhibitor, $this->job_id === null ? '' : 'from '.Job::numbered($this->job_id));
    }

    /** What stands on the shelf and on the price list at this moment; for a correction, without what the line moved. */
    public static function stores(?Job $without = null, ?int $seq = null): Stores
    {
        return new Stores(
            array_values(self::query()->onShelf($without, $seq)->orderBy('id')->get()->map(fn (self $one) => $one->labelled())->all()),
            array_values(Product::query()->orderBy('id')->get()->map(fn (Product $product): Offer => $product->offer())->all()),
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
        $own = self::query()->where('job_id', $job->id)->whereIn('id', (clone $before)->where('ml', '>', 0)->select('container_id'))->first();
        $before->delete();
        foreach ($lines as $line) {
            $container = $line->new === null ? (int) $line->container : ($own ?? self::query()->create(['job_id' => $job->id, 'kind' => $line->new->kind, 'base' => $line->new->base->value, 'inhibitor' => $line->new->inhibitor, 'fraction' => $line->new->fraction]))->id;
            ContainerMovement::query()->create(['container_id' => $container, 'job_id' => $job->id, 'seq' => $seq, 'person_id' => $person->id, 'ml' => $line->ml]);
        }
    }
}
