<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

/** Volumes by liquid, mL. */
final readonly class Amounts
{
    /** @param  array<string, float>  $byLiquid */
    public function __construct(private array $byLiquid = [])
    {
    }

    public function of(Liquid $liquid): float
    {
        return $this->byLiquid[$liquid->value] ?? 0.0;
    }

    public function with(Liquid $liquid, float $ml): self
    {
        return new self([...$this->byLiquid, $liquid->value => $ml]);
    }

    /** @return list<Liquid> of which there is more than this */
    public function liquids(float $aboveMl = 0.0): array
    {
        return array_values(array_filter(Liquid::cases(), fn (Liquid $liquid) => $this->of($liquid) > $aboveMl));
    }

    /** @return array<string, float> by code */
    public function toArray(): array
    {
        return $this->byLiquid;
    }
}
