<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\Container;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\PartUsed;

/** A part-used container as it stands on the shelf. */
final readonly class ShelfCan
{
    /** Of the drawing's hundred. */
    private const FULL = 92.0;

    private const LEAST = 4.0;

    public PartUsed $labelled;

    /** @param  float  $mostMl  in the fullest container of the shelf */
    public function __construct(public Container $container, private UnitSystem $units, private float $mostMl)
    {
        $this->labelled = $container->labelled();
    }

    /** How high it stands in the drawing. */
    public function wet(): float
    {
        return max(self::LEAST, round(self::FULL * $this->labelled->ml / $this->mostMl));
    }

    public function volume(bool $withUnit = true): string
    {
        return $this->units->format($this->labelled->ml, Dimension::Volume, $withUnit);
    }

    public function unit(): string
    {
        return $this->units->unit(Dimension::Volume)->value;
    }

    public function isGlycol(): bool
    {
        return $this->labelled->liquid !== Liquid::Water;
    }

    public function caution(): string
    {
        return match ($this->labelled->liquid) {
            Liquid::Water => '',
            Liquid::Concentrate => 'Dilute before use',
            Liquid::Premix => 'Freezes at '.$this->units->format(
                $this->labelled->freezePointC(),
                Dimension::Temperature,
            ),
        };
    }

    public function from(): string
    {
        $job = $this->container->job;

        return $this->container->created_at->format('Y-m-d').(
            $job === null ? '' : ", {$job->number()} {$job->vehicle->plate}"
        );
    }
}
