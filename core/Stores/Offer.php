<?php

declare(strict_types=1);

namespace Aqbel\Core\Stores;

use Aqbel\Core\Matter\Glycol;

/** A container the shop can buy. Water has neither base nor family. */
final readonly class Offer
{
    public const CONCENTRATE = 'concentrate';

    public const PREMIX = 'premix';

    public const WATER = 'water';

    public const KINDS = [self::CONCENTRATE => 'Concentrate', self::PREMIX => 'Premix', self::WATER => 'Distilled or deionised water'];

    /** @param  float  $fraction  of glycol by volume: 1 for concentrate, 0 for water */
    public function __construct(public string $id, public string $kind, public float $ml, public float $price, public float $fraction = 1.0, public ?Glycol $base = null, public string $inhibitor = '')
    {
    }

    /** Whether it may go into a circuit that asks for this base and inhibitor family. */
    public function suits(Glycol $base, string $inhibitor): bool
    {
        return $this->kind === self::WATER || ($this->base === $base && self::folded($this->inhibitor) === self::folded($inhibitor));
    }

    public static function folded(string $family): string
    {
        return mb_strtolower(trim((string) preg_replace('/[\s,]+/u', ' ', $family)));
    }

    /** @return array{id: string, kind: string, ml: float, price: float, fraction: float, base: ?string, inhibitor: string} */
    public function toArray(): array
    {
        return ['id' => $this->id, 'kind' => $this->kind, 'ml' => $this->ml, 'price' => $this->price, 'fraction' => $this->fraction, 'base' => $this->base?->value, 'inhibitor' => $this->inhibitor];
    }

    /** @param  array{id: string, kind: string, ml: float|int, price: float|int, fraction: float|int, base: ?string, inhibitor: string}  $data */
    public static function fromArray(array $data): self
    {
        return new self($data['id'], $data['kind'], (float) $data['ml'], (float) $data['price'], (float) $data['fraction'], $data['base'] === null ? null : Glycol::from($data['base']), $data['inhibitor']);
    }
}
