<?php

declare(strict_types=1);

namespace App\Vehicles;

use App\Models\Vehicle;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** Vehicles by part of plate, name, circuit or notes; those with an open job first. */
final readonly class VehicleList
{
    private const MOST = 60;

    /** @var Collection<int, Vehicle> */
    public Collection $vehicles;

    /** How many there are besides those shown. */
    public int $more;

    public bool $anyAtAll;

    public function __construct(public string $search, public bool $retired)
    {
        $found = Vehicle::query()
            ->when($retired, fn (Builder $q) => $q->whereNotNull('retired_at'), fn (Builder $q) => $q->whereNull('retired_at'));
        // Every word must be found somewhere: “114 ambul” finds one of many ambulances.
        foreach (array_filter(explode(' ', $search), fn (string $word) => $word !== '') as $word) {
            $like = '%'.addcslashes($word, '%_\\').'%';
            $found->where(fn (Builder $q) => $q->whereRaw("plate like ? escape '\\'", [$like])->orWhereRaw("name like ? escape '\\'", [$like])
                ->orWhereRaw("notes like ? escape '\\'", [$like])
                ->orWhereHas('circuit', fn (Builder $c) => $c->whereRaw("name like ? escape '\\'", [$like])));
        }
        $count = (clone $found)->count();
        $this->vehicles = $found->with(['circuit:id,name', 'open:id,vehicle_id'])->withMax('jobs as last_signed', 'signed_at')
            ->withExists('open as is_open')->orderByDesc('is_open')->orderBy('plate')->limit(self::MOST)->get();
        $this->more = max(0, $count - self::MOST);
        $this->anyAtAll = $count > 0 || Vehicle::query()->exists();
    }
}
