<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\Circuit;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Illuminate\Support\Facades\Cache;

/** A circuit in the library. A revision never changes, so its capacity is read once and its picture fetched once. */
final readonly class CircuitCard
{
    private function __construct(public int $id, public string $name, public string $about)
    {
    }

    /** @param  Circuit  $model  without its document, which is read only the first time */
    public static function of(Circuit $model, UnitSystem $units): self
    {
        $capacityMl = Cache::rememberForever(
            "capacity.{$model->id}",
            fn (): float => Circuit::query()->findOrFail($model->id)->read()->capacityMl(),
        );

        return new self(
            $model->id,
            $model->name,
            $units->format($capacityMl, Dimension::Volume)
                ." · revision {$model->revision}"
                .($model->waitsForALook() ? ' · added to, not looked at yet' : ''),
        );
    }
}
