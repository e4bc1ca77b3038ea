<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Vessel;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Rough;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Values;

/** A volume, and the vessel it was read in. */
final readonly class VesselReading
{
    public const VOLUME = 'volume';

    public const VESSEL = 'vessel';

    /** No vessel takes more out of a circuit, or puts more in, than this share of its capacity. */
    private const MOST_AT_ONCE = 1.5;

    /** Less than so much of a mark nobody reads (common practice, no source). */
    private const LEAST_OF_A_MARK = 0.25;

    /**
     * @param  string  $vessel  id; empty where none was named
     * @param  float  $roughMl  within which it lies where it was told roughly, or weighed; 0 where it was read off
     */
    private function __construct(public float $ml, public string $vessel, public float $roughMl)
    {
    }

    /** Null where no volume was told. */
    public static function of(Entry $line): ?self
    {
        $ml = $line->number(self::VOLUME);

        return $ml === null
            ? null
            : new self(
                $ml,
                $line->text(self::VESSEL),
                Rough::plusMinusMl($line->typed()[self::VOLUME] ?? '', $ml) ?? 0.0,
            );
    }

    /** @return array{Field, Field} */
    public static function fields(Situation $at, string $label, VesselUse $use): array
    {
        $vessels = Plan::of($at)->rules()->vessels;

        return [
            Field::volume(self::VOLUME, $label, self::MOST_AT_ONCE * $at->circuit()->capacityMl())->roughly(),
            Field::choice(self::VESSEL, 'Read in', $vessels->choices(), $vessels->for($use)->id),
        ];
    }

    public function isWeighed(): bool
    {
        return $this->vessel === Vessel::SCALE;
    }

    /**
     * Within which 95 % of such readings lie, mL: by the vessel alone.
     * No gate opens wider because somebody told it roughly.
     */
    public function plusMinusMl(Situation $at): float
    {
        return Plan::of($at)->rules()->vessels->of($this->vessel)->plusMinusMl($this->ml);
    }

    /** And with how roughly it was told, mL: what is short, or impossible, has to be so by more than this. */
    public function toldWithinMl(Situation $at): float
    {
        return max($this->plusMinusMl($at), $this->roughMl);
    }

    /** @throws InvalidField where its marks cannot tell so little */
    public static function admit(Situation $at, Values $values): void
    {
        $ml = $values->number(self::VOLUME);
        if ($ml === null || $ml <= 0.0 || $values->text(self::VESSEL) === '') {
            return;
        }
        $vessel = Plan::of($at)->rules()->vessels->of($values->text(self::VESSEL));
        if ($ml < self::LEAST_OF_A_MARK * $vessel->graduationMl) {
            throw new InvalidField(
                self::VESSEL,
                "{$at->amount($ml)} cannot be read between marks of {$at->amount($vessel->graduationMl)}: "
                    .'choose the vessel it was read in, or enter what its marks tell.',
            );
        }
    }
}
