<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;

/** A vessel of the shop with its marks. Its id is what the journal keeps; its name is the shop's own. */
final readonly class Vessel
{
    /** Marks on a vessel (common practice, no source). */
    private const MARKS = 20.0;

    /** 95 % of a normal distribution. */
    private const SIGMAS = 1.96;

    /** What is weighed instead of measured: every shop has it, whatever its vessels are. */
    public const SCALE = 'scale';

    /** A parcel scale is read to twenty grams (common practice, no source). */
    private const SCALE_ML = 20.0;

    /** A bucket for mixing (common practice, no source), mL. */
    private const BUCKET_ML = 20_000.0;

    /**
     * @param  float  $graduationMl  from mark to mark, mL
     * @param  ?float  $saidMl  what it holds, as far as the shop said so, mL
     */
    public function __construct(
        public string $id,
        public string $name,
        public float $graduationMl,
        public VesselUse $use,
        public ?float $saidMl = null,
    ) {
    }

    /** What it holds, mL: nobody mixes more in it at once. */
    public function holdsMl(): float
    {
        return $this->saidMl
            ?? max($this->use === VesselUse::Mix ? self::BUCKET_ML : 0.0, self::MARKS * $this->graduationMl);
    }

    /**
     * Within which 95 % of what is read in it lies, mL: every reading is uniform within half a mark, and what is more
     * than the vessel holds was read several times.
     */
    public function plusMinusMl(float $ml = 0.0): float
    {
        $readings = max(1.0, ceil(abs($ml) / (self::MARKS * $this->graduationMl)));

        return self::SIGMAS / sqrt(12.0) * $this->graduationMl * sqrt($readings);
    }

    /** So much as its own marks tell it, in whatever units somebody reads the rest. */
    public function mark(float $ml): string
    {
        $units = UnitSystem::ofMarks($this->graduationMl);
        $isOfOunces = $units === UnitSystem::UsCustomary && $this->graduationMl < Unit::Cup->toBase(1.0) - 1.0;

        return $units->format($ml, $isOfOunces ? $units->small() : Dimension::Volume);
    }

    public static function scale(): self
    {
        return new self(self::SCALE, 'On a scale', self::SCALE_ML, VesselUse::Fine);
    }

    /** @return non-empty-list<self> of a shop that has said nothing of its own, with marks in its units */
    public static function usual(UnitSystem $units = UnitSystem::Metric): array
    {
        if ($units === UnitSystem::UsCustomary) {
            return [
                new self('pan', 'Drain pan, 1/2 qt marks', Unit::Quart->toBase(0.5), VesselUse::Drain),
                new self('jug', 'Measuring jug, 4 fl oz marks', Unit::FluidOunce->toBase(4.0), VesselUse::Measure),
                new self('bucket', 'Mixing bucket, 1/4 qt marks', Unit::Quart->toBase(0.25), VesselUse::Mix),
                new self('syringe', 'Syringe, 10 mL marks', 10.0, VesselUse::Fine),
            ];
        }

        return [
            new self('pan', 'Drain pan, 0.5 L marks', 500.0, VesselUse::Drain),
            new self('jug', 'Measuring jug, 0.1 L marks', 100.0, VesselUse::Measure),
            new self('bucket', 'Mixing bucket, 0.25 L marks', 250.0, VesselUse::Mix),
            new self('syringe', 'Syringe, 10 mL marks', 10.0, VesselUse::Fine),
        ];
    }
}
