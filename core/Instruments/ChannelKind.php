<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

use Aqbel\Core\Quantity\Typed;
use Aqbel\Core\Quantity\Unit;

/**
 * What an instrument may send, in the unit its name says; outlets and hoses may be told apart by a name of their own.
 */
enum ChannelKind: string
{
    case Coolant = 'coolant_c';
    case FarSide = 'far_side_c';
    case Outlet = 'outlet_c';
    case Hose = 'hose_c';
    case Ambient = 'ambient_c';
    case Rpm = 'rpm';
    case Speed = 'speed_kmh';
    case Vacuum = 'vacuum_inhg';
    case Pressure = 'pressure_kpa';
    case Level = 'level_mm';
    case Weight = 'weight_kg';
    case Trim = 'trim';

    private const NAME = '/^[A-Za-z0-9_-]{1,24}$/';

    /** What is no unit of the core, in that of its channel. */
    private const OTHER = [
        'rpm' => ['' => 1.0, 'rpm' => 1.0, '1/min' => 1.0],
        'speed_kmh' => ['' => 1.0, 'km/h' => 1.0, 'kmh' => 1.0, 'mph' => 1.609344],
        'weight_kg' => ['' => 1.0, 'kg' => 1.0, 'g' => 0.001, 'lb' => 0.45359237],
        'trim' => ['' => 1.0, '%' => 1.0],
    ];

    /** Of a channel as it is named, `outlet_c.rear`; null where there is none such. */
    public static function of(string $channel): ?self
    {
        [$kind, $name] = [...explode('.', $channel, 2), null];
        $known = self::tryFrom((string) $kind);

        return $name === null || ($known?->mayBeNamed() === true && preg_match(self::NAME, $name) === 1)
            ? $known
            : null;
    }

    public function label(): string
    {
        return match ($this) {
            self::Coolant => 'coolant, live',
            self::FarSide => 'far side of the thermostat',
            self::Outlet => 'air at an outlet',
            self::Hose => 'a hose',
            self::Ambient => 'air outside',
            self::Rpm => 'engine speed',
            self::Speed => 'road speed',
            self::Vacuum => 'vacuum gauge',
            self::Pressure => 'pressure gauge',
            self::Level => 'level',
            self::Weight => 'bucket on a scale',
            self::Trim => 'trim',
        };
    }

    private function mayBeNamed(): bool
    {
        return $this === self::Outlet || $this === self::Hose;
    }

    /**
     * A number with its unit in the unit of the channel; without one it is meant so already.
     *
     * @throws \InvalidArgumentException with the remedy
     */
    public function value(string $number, string $unit): float
    {
        if (! is_numeric(trim($number))) {
            throw new \InvalidArgumentException('Send a number with a point, for example 88.2.');
        }
        $other = self::OTHER[$this->value] ?? null;
        if ($other !== null) {
            $factor = $other[strtolower(trim($unit))]
                ?? throw new \InvalidArgumentException(
                    'Send it in '.implode(', ', array_filter(array_keys($other))).'.',
                );

            return (float) $number * $factor;
        }
        $own = $this->unit() ?? Unit::Share;
        $base = Typed::parse(trim("{$number} {$unit}"), $own)->base;

        return round($own->fromBase($base), 4);
    }

    /** The core's unit its values are in; null where it has none. */
    public function unit(): ?Unit
    {
        return match ($this) {
            self::Coolant, self::FarSide, self::Outlet, self::Hose, self::Ambient => Unit::Celsius,
            self::Vacuum => Unit::InchOfMercury,
            self::Pressure => Unit::Kilopascal,
            self::Level => Unit::Millimetre,
            self::Rpm, self::Speed, self::Weight, self::Trim => null,
        };
    }

    /**
     * Whether an instrument can have read that: what it cannot is kept, marked, and is no evidence
     * (SAE J1979 shows −40 °C without a sensor, from memory).
     */
    public function canBe(float $value): bool
    {
        [$least, $most] = $this->bounds();

        return is_finite($value) && $value >= $least && $value <= $most;
    }

    /**
     * Of so many points those that can be.
     *
     * @param  list<array{float, float}>  $points  seconds and value
     * @return list<array{float, float}>
     */
    public function believed(array $points): array
    {
        [$least, $most] = $this->bounds();
        $believed = [];
        foreach ($points as $point) {
            if ($point[1] >= $least && $point[1] <= $most) {
                $believed[] = $point;
            }
        }

        return $believed;
    }

    /** @return array{float, float} */
    private function bounds(): array
    {
        return match ($this) {
            self::Coolant, self::FarSide, self::Hose => [-39.5, 165.0],
            self::Outlet, self::Ambient => [-39.5, 120.0],
            self::Rpm => [0.0, 12_000.0],
            self::Speed => [0.0, 300.0],
            self::Vacuum => [0.0, 30.5],
            self::Pressure => [-101.0, 400.0],
            self::Level => [-2000.0, 2000.0],
            self::Weight => [-1.0, 1000.0],
            self::Trim => [-100.0, 100.0],
        };
    }
}
