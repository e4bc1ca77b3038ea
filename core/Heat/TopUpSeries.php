<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

use Aqbel\Core\Quantity\Volume;

/** What successive cold top-ups say: shrinking ones are air working out, steady ones are not. */
final readonly class TopUpSeries
{
    private const CONVERGING = 0.8;

    /** Below this a top-up is reading error of a level mark (common practice, no source). */
    private const NOTHING_ML = 30.0;

    /** @param  list<Volume>  $topUps in the order they were poured */
    public function __construct(private array $topUps)
    {
    }

    /** Geometric mean of successive ratios; null under two top-ups. */
    public function ratio(): ?float
    {
        $count = count($this->topUps);
        if ($count < 2 || $this->topUps[0]->mL() <= 0.0) {
            return null;
        }

        return (max(1.0, $this->topUps[$count - 1]->mL()) / $this->topUps[0]->mL()) ** (1.0 / ($count - 1));
    }

    public function settled(): bool
    {
        return $this->topUps === [] || $this->topUps[count($this->topUps) - 1]->mL() <= self::NOTHING_ML;
    }

    public function converging(): ?bool
    {
        return $this->ratio() === null ? null : $this->ratio() < self::CONVERGING;
    }

    /** What is still to come: last·r/(1 − r); null when not converging or not yet known. */
    public function remaining(): ?Volume
    {
        $ratio = $this->ratio();
        if ($ratio === null || $ratio >= self::CONVERGING) {
            return null;
        }

        return Volume::millilitres($this->topUps[count($this->topUps) - 1]->mL() * $ratio / (1.0 - $ratio));
    }
}
