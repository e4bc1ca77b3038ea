<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** A straight run between two nodes with its volume spread evenly. */
final readonly class Passage
{
    /** Of a volume that nobody says more of, as a share (common practice, no source). */
    public const USUAL = 0.05;

    /**
     * @param  list<string>  $behind  covers that must be off to open it
     * @param  list<string>  $parts  what opening it uses up, as the trade orders it: gasket, clamps, O-ring
     * @param  float  $plusMinus  of its volume, as a share, in nineteen cases of twenty
     * @param  ?float  $torqueNm of its joint; null: a clamp, or by feel
     */
    public function __construct(
        public string $id,
        public string $from,
        public string $to,
        public float $volumeMl,
        public PassageKind $kind,
        public string $label,
        public array $behind = [],
        public array $parts = [],
        public ?float $torqueNm = null,
        public float $plusMinus = self::USUAL,
    ) {
    }

    public function holding(float $ml): self
    {
        return new self(
            $this->id,
            $this->from,
            $this->to,
            $ml,
            $this->kind,
            $this->label,
            $this->behind,
            $this->parts,
            $this->torqueNm,
            $this->plusMinus,
        );
    }

    public function hasHeadspace(): bool
    {
        return $this->kind === PassageKind::Tank;
    }
}
