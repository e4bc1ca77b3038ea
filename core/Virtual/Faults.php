<?php

declare(strict_types=1);

namespace Aqbel\Core\Virtual;

use Aqbel\Core\InvalidField;

/** What is wrong with a virtual vehicle. */
final readonly class Faults
{
    private const KINDS = [
        'leak' => null,
        'thermostat' => ['shut', 'open', 'backwards'],
        'pocket' => ['heater', 'sensor', 'thermostat'],
        'fan' => ['dead', 'weak'],
        'cap' => ['worn'],
        'adapter' => ['moved'],
        'mixture' => null,
        'sensor' => null,
    ];

    /** @param  array<string, string>  $told  by kind */
    private function __construct(private array $told)
    {
    }

    /**
     * @param  list<string>  $faults  as `thermostat:shut`, `leak:12` in mL a minute, `mixture:0.3`, `sensor:-8` in K
     *
     * @throws InvalidField on `faults.N`, naming what there is
     */
    public static function of(array $faults): self
    {
        $told = [];
        foreach ($faults as $i => $fault) {
            [$kind, $which] = [...explode(':', $fault, 2), ''];
            if (! array_key_exists($kind, self::KINDS)) {
                throw new InvalidField(
                    "faults.{$i}",
                    'There is no such fault. There are: '.implode(', ', array_keys(self::KINDS)).'.',
                );
            }
            $ways = self::KINDS[$kind];
            if ($ways !== null ? ! in_array($which, $ways, true) : ! is_numeric($which)) {
                throw new InvalidField(
                    "faults.{$i}",
                    $ways === null
                        ? "Write {$kind} with a number, as in {$kind}:5."
                        : "Write {$kind} with one of: ".implode(', ', $ways).'.',
                );
            }
            $told[$kind] = $which;
        }

        return new self($told);
    }

    public function has(string $kind, string $which): bool
    {
        return ($this->told[$kind] ?? null) === $which;
    }

    public function number(string $kind, float $default): float
    {
        return isset($this->told[$kind]) ? (float) $this->told[$kind] : $default;
    }
}
