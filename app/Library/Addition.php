<?php

declare(strict_types=1);

namespace App\Library;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\UnitSystem;

/** A circuit’s document with what somebody at the vehicle adds to it: a routine, a point, a height. */
final readonly class Addition
{
    private const MOST_LINES = 30;

    /** @param  array<mixed>  $document */
    public function __construct(private array $document, private UnitSystem $units)
    {
    }

    /**
     * @return array<mixed>
     *
     * @throws InvalidField on `routine`
     */
    public function routine(string $typed): array
    {
        $lines = array_values(
            array_filter(array_map(trim(...), preg_split('/\R/u', $typed) ?: []), fn (string $line) => $line !== ''),
        );
        if ($lines === [] || count($lines) > self::MOST_LINES) {
            throw new InvalidField('routine', 'Write what is done, one step a line, up to '.self::MOST_LINES.' lines.');
        }
        $facts = is_array($this->document['facts'] ?? null) ? $this->document['facts'] : [];

        return self::read([...$this->document, 'facts' => [...$facts, 'routine' => $lines]], 'routine');
    }

    /**
     * @return array<mixed>
     *
     * @throws InvalidField on `label`, `node` or `kind`
     */
    public function point(string $kind, string $node, string $label, string $tool): array
    {
        if (! in_array($kind, [PortKind::Bleed->value, PortKind::Drain->value], true)) {
            throw new InvalidField('kind', 'Say whether it bleeds or drains.');
        }
        if (trim($label) === '') {
            throw new InvalidField('label', 'Say what it is called, so that the next one finds it.');
        }
        $ports = is_array($this->document['ports'] ?? null) ? $this->document['ports'] : [];
        if (
            in_array(
                mb_strtolower(trim($label)),
                array_map(fn (mixed $one) => mb_strtolower((string) $one), array_column($ports, 'label')),
                true,
            )
        ) {
            throw new InvalidField(
                'label',
                'A point of that name is there already. Call this one otherwise, or leave it.',
            );
        }
        $ids = array_column($ports, 'id');
        for ($number = count($ports) + 1; in_array("{$kind}_{$number}", $ids, true); $number++);

        return self::read(
            [
                ...$this->document,
                'ports' => [
                    ...$ports,
                    array_filter([
                        'id' => "{$kind}_{$number}",
                        'node' => $node,
                        'kind' => $kind,
                        'label' => trim($label),
                        'tool' => trim($tool),
                    ]),
                ],
            ],
            'label',
        );
    }

    /**
     * @return array<mixed>
     *
     * @throws InvalidField on `measured`
     */
    public function height(string $node, string $typed): array
    {
        return (new Measured($this->document, $this->units))->height($node, $typed);
    }

    /** @return array<string, string> where a point may sit: each node by what it is called */
    public static function places(Circuit $circuit): array
    {
        $places = array_map(fn ($node) => $node->label, $circuit->nodes);
        asort($places);

        return $places;
    }

    /**
     * @param  array<mixed>  $document
     * @return array<mixed>
     */
    private static function read(array $document, string $field): array
    {
        try {
            CircuitReader::read($document);
        } catch (InvalidField $refused) {
            throw new InvalidField($field, $refused->getMessage());
        }

        return $document;
    }
}
