<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\Container;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
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
        return max(self::LEAST, round(self::FULL * $this->labelled->ml / ($this->container->full_ml ?? $this->mostMl)));
    }

    public function volume(bool $withUnit = true): string
    {
        return $this->units->format($this->labelled->ml, Dimension::Volume, $withUnit);
    }

    /** Of one whose sum is below nothing: by how much. */
    public function taken(): string
    {
        return $this->units->format(-$this->labelled->ml, Dimension::Volume);
    }

    public function within(): string
    {
        return '± '.$this->units->format($this->container->stock()->plusMinusMl, Dimension::Volume);
    }

    /** What is counted: how high a drum stands, what else holds. */
    public function counted(): Field
    {
        return $this->container->levelMm() === null
            ? Field::volume('now', 'Holds now', StoresPage::MOST_ML)
            : StoresPage::level();
    }

    public function count(): string
    {
        return $this->labelled->ml < 0.0 ? '' : $this->units->format($this->container->levelMm() ?? $this->labelled->ml, $this->dimension(), false);
    }

    public function unit(): string
    {
        return $this->units->unit($this->dimension())->value;
    }

    /** Of a drum: how high it stands, of how much. */
    public function level(): ?string
    {
        [$level, $full] = [$this->container->levelMm(), $this->container->full_mm];

        return $level === null || $full === null ? null : 'stands at '.$this->units->format($level, Dimension::Length)
            .' of '.$this->units->format($full, Dimension::Length);
    }

    private function dimension(): Dimension
    {
        return $this->container->levelMm() === null ? Dimension::Volume : Dimension::Length;
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
