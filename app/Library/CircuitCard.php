<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\Circuit;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Illuminate\Support\Facades\Cache;

/** A circuit in the library. A revision never changes, so it is drawn once. */
final readonly class CircuitCard
{
    private function __construct(public int $id, public string $name, public string $about, public string $drawing)
    {
    }

    public static function of(Circuit $model, UnitSystem $units): self
    {
        $circuit = $model->read();
        $drawing = Cache::rememberForever(
            "drawing.{$model->id}",
            fn () => view('components.elevation', Outline::of($circuit))->render(),
        );

        return new self(
            $model->id,
            $circuit->name,
            $units->format($circuit->capacityMl(), Dimension::Volume)." · revision {$model->revision}",
            $drawing,
        );
    }
}
