<?php

declare(strict_types=1);

namespace Aqbel\Core\Calc;

use Aqbel\Core\Atmosphere\Atmosphere;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\CircuitReader;
use Aqbel\Core\Fluid\Coolant;
use Aqbel\Core\Fluid\GlycolBase;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Length;
use Aqbel\Core\Quantity\Pressure;

/** Reads a decoded JSON object field by field; every complaint names the field and says what to enter. */
final readonly class Input
{
    /** @param  array<mixed>  $fields */
    public function __construct(private array $fields, private string $path = '')
    {
    }

    public function has(string $name): bool
    {
        return isset($this->fields[$name]);
    }

    /** @throws InvalidField when missing without a default, no number, or out of range */
    public function number(string $name, float $least, float $most, ?float $default = null): float
    {
        $value = $this->fields[$name] ?? $default ?? throw $this->invalid($name, "Give {$name} as a number from ".self::plain($least).' to '.self::plain($most).'.');
        if (! is_int($value) && ! is_float($value)) {
            throw $this->invalid($name, "{$name} must be a JSON number, without quotes or unit.");
        }
        if (! is_finite((float) $value) || $value < $least || $value > $most) {
            throw $this->invalid($name, "{$name} must lie between ".self::plain($least).' and '.self::plain($most).'.');
        }

        return (float) $value;
    }

    public function optionalNumber(string $name, float $least, float $most): ?float
    {
        return $this->has($name) ? $this->number($name, $least, $most) : null;
    }

    /** @param  non-empty-list<string>  $choices */
    public function choice(string $name, array $choices, ?string $default = null): string
    {
        $value = $this->fields[$name] ?? $default;
        if (! is_string($value) || ! in_array($value, $choices, true)) {
            throw $this->invalid($name, "{$name} must be one of: ".implode(', ', $choices).'.');
        }

        return $value;
    }

    /** @return list<Input> the objects of a list, each complaining under its own index */
    public function objects(string $name, int $least = 1, int $most = 100000): array
    {
        $value = $this->fields[$name] ?? [];
        if (! is_array($value) || ! array_is_list($value) || count($value) < $least || count($value) > $most) {
            throw $this->invalid($name, "{$name} must be a list of {$least} to {$most} objects.");
        }

        return array_map(
            fn (int $i, mixed $item) => is_array($item) ? new self($item, "{$this->path}{$name}.{$i}.") : throw $this->invalid("{$name}.{$i}", 'Each entry must be a JSON object.'),
            array_keys($value), $value,
        );
    }

    /** @return list<string> */
    public function names(string $name): array
    {
        $value = $this->fields[$name] ?? [];
        if (! is_array($value) || ! array_is_list($value) || array_filter($value, is_string(...)) !== $value) {
            throw $this->invalid($name, "{$name} must be a list of names.");
        }

        return $value;
    }

    /** @return array<mixed> */
    public function object(string $name): array
    {
        $value = $this->fields[$name] ?? null;

        return is_array($value) ? $value : throw $this->invalid($name, "{$name} must be a JSON object.");
    }

    /** `barometer_kpa` where given, else `elevation_m`; one of them is needed unless a default is named. */
    public function atmosphere(bool $seaLevelByDefault = false): Atmosphere
    {
        if ($this->has('barometer_kpa')) {
            return Atmosphere::ofBarometer(Pressure::kilopascals($this->number('barometer_kpa', 50, 110)));
        }

        return Atmosphere::atElevation(Length::metres($this->number('elevation_m', -500, 5000, $seaLevelByDefault ? 0.0 : null)));
    }

    public function coolant(): Coolant
    {
        $base = $this->choice('base', array_map(fn (GlycolBase $b) => $b->value, GlycolBase::cases()));

        return new Coolant(GlycolBase::from($base), $this->number('volume_fraction', 0, 1));
    }

    /** @throws InvalidField with the path inside the circuit */
    public function circuit(string $name = 'circuit'): Circuit
    {
        try {
            return CircuitReader::read($this->object($name));
        } catch (InvalidField $invalid) {
            throw $invalid->field === $name ? $invalid : $invalid->within($name);
        }
    }

    public function text(string $name): string
    {
        $value = $this->fields[$name] ?? null;

        return is_string($value) && $value !== '' ? $value : throw $this->invalid($name, "{$name} must be a text.");
    }

    private function invalid(string $name, string $remedy): InvalidField
    {
        return new InvalidField($this->path.$name, $remedy);
    }

    private static function plain(float $number): string
    {
        return rtrim(rtrim(number_format($number, 3, '.', ''), '0'), '.');
    }
}
