<?php

declare(strict_types=1);

namespace App\Library;

use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\KnownBy;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Typed;
use Aqbel\Core\Quantity\UnitSystem;

/** A circuit's document with one thing as it was measured. */
final readonly class Measured
{
    /** Of a height that is measured on purpose, twice and with a level, mm (common practice, no source). */
    private const CAREFUL_MM = 3.0;

    /** Of a volume that is measured in a jug, as a share (common practice, no source). */
    private const CAREFUL = 0.02;

    /** Further off than this from what stood there, a unit or a digit is wrong more often than the circuit was, mm. */
    private const ODD_MM = 200.0;

    /** The same of a volume, as a share of what stood there. */
    private const ODD = 0.5;

    /** @param  array<mixed>  $document */
    public function __construct(private array $document, private UnitSystem $units)
    {
    }

    /**
     * @return array<mixed>
     *
     * @throws InvalidField on `measured`, or where there is no such node
     */
    public function height(string $node, string $typed): array
    {
        return $this->with('nodes', $node, [
            'z_mm' => $this->read($typed, Dimension::Length),
            'plus_minus_mm' => self::CAREFUL_MM,
            'known_by' => KnownBy::Tape->value,
            'follows' => null,
        ]);
    }

    /**
     * @return array<mixed>
     *
     * @throws InvalidField
     */
    public function volume(string $passage, string $typed): array
    {
        return $this->with('passages', $passage, [
            'volume_ml' => $this->read($typed, Dimension::Volume),
            'plus_minus' => self::CAREFUL,
            'known_by' => KnownBy::Tape->value,
        ]);
    }

    /**
     * Whether it lets air by while it is shut, as somebody has seen.
     *
     * @return array<mixed>
     *
     * @throws InvalidField
     */
    public function weeps(string $gate, string $answer): array
    {
        if (! in_array($answer, ['yes', 'no'], true)) {
            throw new InvalidField('measured', 'Say whether it lets air by while it is shut, or shuts tight.');
        }

        return $this->with('gates', $gate, ['weeps' => $answer === 'yes', 'known_by' => KnownBy::Tape->value]);
    }

    private function read(string $typed, Dimension $dimension): float
    {
        try {
            return Typed::parse(mb_substr($typed, 0, 40), $this->units->unit($dimension))->base;
        } catch (\InvalidArgumentException $problem) {
            throw new InvalidField('measured', $problem->getMessage());
        }
    }

    /**
     * @param  array<string, float|string|bool|null>  $facts  null: no longer there
     * @return array<mixed>
     */
    private function with(string $list, string $id, array $facts): array
    {
        $document = $this->document;
        $items = is_array($document[$list] ?? null) ? $document[$list] : [];
        foreach ($items as $i => $item) {
            if (is_array($item) && ($item['id'] ?? null) === $id) {
                $this->assertNear($item, $facts);
                $items[$i] = array_filter([...$item, ...$facts], fn (mixed $fact) => $fact !== null);
                $document[$list] = $items;
                try {
                    CircuitReader::read($document);
                } catch (InvalidField $refused) {
                    throw new InvalidField('measured', $refused->getMessage());
                }

                return $document;
            }
        }
        throw new InvalidField('measured', 'The circuit has changed since. Open it, and measure what it asks for now.');
    }

    /**
     * @param  array<mixed>  $item  as it stood
     * @param  array<string, float|string|bool|null>  $facts
     */
    private function assertNear(array $item, array $facts): void
    {
        foreach (
            ['z_mm' => [Dimension::Length, self::ODD_MM, 0.0], 'volume_ml' => [Dimension::Volume, 0.0, self::ODD]] as $name => [$dimension, $by, $share]
        ) {
            $was = $item[$name] ?? null;
            $is = $facts[$name] ?? null;
            if (is_numeric($was) && is_float($is) && abs($is - (float) $was) > $by + $share * abs((float) $was)) {
                throw new InvalidField(
                    'measured',
                    "{$this->units->format($is, $dimension)} is far from "
                        ."the {$this->units->format((float) $was, $dimension)} that "
                        .'stand in the circuit. Check the unit; where it is right, change it in the circuit itself, '
                        .'beside its drawing.',
                );
            }
        }
    }
}
