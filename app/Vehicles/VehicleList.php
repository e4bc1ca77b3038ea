<?php

declare(strict_types=1);

namespace App\Vehicles;

use App\Models\Vehicle;
use App\Shop\Search;
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
        $found = Vehicle::query()->when(
            $retired,
            fn (Builder $q) => $q->whereNotNull('retired_at'),
            fn (Builder $q) => $q->whereNull('retired_at'),
        );
        // “114 ambul” finds one of many ambulances.
        foreach (Search::words($search) as $word) {
            $found->where(fn (Builder $q) => Search::word($q, ['plate', 'name', 'notes'], $word)
                ->orWhereHas('circuit', fn (Builder $c) => Search::word($c, ['name'], $word)));
        }
        $count = (clone $found)->count();
        $this->vehicles = $found
            ->with(['circuit:id,name', 'open:id,vehicle_id'])
            ->withMax('jobs as last_signed', 'signed_at')
            ->withExists('open as is_open')
            ->orderByDesc('is_open')
            ->orderBy('plate')
            ->limit(self::MOST)
            ->get();
        $this->more = max(0, $count - self::MOST);
        $this->anyAtAll = $count > 0 || Vehicle::query()->exists();
    }
}
