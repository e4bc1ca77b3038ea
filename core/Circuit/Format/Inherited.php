<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Format;

use Aqbel\Core\Circuit\GateKind;
use Aqbel\Core\Circuit\KnownBy;

/** What a circuit has from the layout it was made from, and nobody has looked at for this vehicle yet. */
final readonly class Inherited
{
    /** Names of facts, in the document itself. */
    public const FACTS = 'from_layout';

    /** Whoever said so, said it of another vehicle. */
    private const SOURCE = 'source';

    /**
     * @param  list<string>  $facts  by name
     * @param  int  $figures  heights and volumes
     * @param  list<string>  $gates  of which nobody has seen whether they let air by, by name
     */
    private function __construct(public array $facts, public int $figures, public array $gates)
    {
    }

    /** @param  array<mixed>  $document */
    public static function of(array $document): self
    {
        $facts = is_array($document['facts'] ?? null) ? $document['facts'] : [];
        $marked = is_array($document[self::FACTS] ?? null) ? $document[self::FACTS] : [];
        $items = [...(array) ($document['nodes'] ?? []), ...(array) ($document['passages'] ?? [])];
        $isLayout = fn (mixed $item): bool => is_array($item) && ($item['known_by'] ?? null) === KnownBy::Layout->value;
        $named = fn (mixed $gate): string => is_array($gate) && is_string($gate['label'] ?? null) ? $gate['label'] : '';

        return new self(
            array_values(array_filter($marked, fn (mixed $name) => is_string($name) && isset($facts[$name]))),
            count(array_filter($items, $isLayout)),
            array_values(array_filter(array_map($named, array_filter((array) ($document['gates'] ?? []), $isLayout)))),
        );
    }

    /**
     * A document as the layout of another vehicle’s circuit: all of it marked.
     *
     * @param  array<mixed>  $document
     * @return array<mixed>
     */
    public static function by(array $document, string $name): array
    {
        $facts = array_diff_key(is_array($document['facts'] ?? null) ? $document['facts'] : [], [self::SOURCE => '']);
        $marked = fn (mixed $items): array => array_map(
            fn (mixed $item) => is_array($item) ? [...$item, 'known_by' => KnownBy::Layout->value] : $item,
            is_array($items) ? $items : [],
        );

        $gates = array_map(
            fn (mixed $gate) => is_array($gate) && ($gate['kind'] ?? null) === GateKind::Thermostat->value
                ? [...$gate, 'known_by' => KnownBy::Layout->value]
                : $gate,
            is_array($document['gates'] ?? null) ? $document['gates'] : [],
        );

        return [
            ...$document,
            ...isset($document['gates']) ? ['gates' => $gates] : [],
            'name' => $name,
            'nodes' => $marked($document['nodes'] ?? []),
            'passages' => $marked($document['passages'] ?? []),
            'facts' => $facts,
            self::FACTS => array_map(strval(...), array_keys($facts)),
        ];
    }

    public function isNothing(): bool
    {
        return $this->facts === [] && $this->figures === 0 && $this->gates === [];
    }

    /** “cap, coolant base; 21 heights and volumes”; the first few facts, as the format names them. */
    public function said(int $most = 6): string
    {
        $named = array_map(
            fn (string $fact) => mb_strtolower((Vocabulary::all()[Vocabulary::FACTS][$fact] ?? null)->label ?? $fact),
            $this->facts,
        );
        $more = count($named) - $most;
        $facts = implode(', ', array_slice($named, 0, $most)).($more > 0 ? " and {$more} more" : '');

        return implode('; ', array_filter([
            $facts, $this->figures === 0 ? '' : "{$this->figures} heights and volumes",
            $this->gates === [] ? '' : 'whether “'.implode('”, “', $this->gates).'” lets air by while shut',
        ]));
    }
}
