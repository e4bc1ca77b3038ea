<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** Volumes by passage id, mL: what is retained, let out or trapped where. */
final readonly class Volumes
{
    /** More than so many parts are counted, not named. */
    private const NAMED = 3;

    /** @param  array<string, float>  $byPassage */
    public function __construct(private array $byPassage = [])
    {
    }

    /** What each passage of a circuit holds when it is full. */
    public static function full(Circuit $circuit): self
    {
        return new self(array_map(fn (Passage $p) => $p->volumeMl, $circuit->passages));
    }

    public function in(string $passage): float
    {
        return $this->byPassage[$passage] ?? 0.0;
    }

    public function sum(): float
    {
        return array_sum($this->byPassage);
    }

    /** What is here and not there, never less than nothing. */
    public function less(self $other): self
    {
        $left = [];
        foreach ($this->byPassage as $passage => $ml) {
            $left[$passage] = max(0.0, $ml - $other->in($passage));
        }

        return new self($left);
    }

    /** @param  list<string>  $passages */
    public function without(array $passages): self
    {
        return new self(array_diff_key($this->byPassage, array_flip($passages)));
    }

    public function times(float $share): self
    {
        return new self(array_map(fn (float $ml) => $ml * $share, $this->byPassage));
    }

    public function above(float $ml): self
    {
        return new self(array_filter($this->byPassage, fn (float $here) => $here > $ml));
    }

    /** @return list<PartVolume> largest first */
    public function byPart(Circuit $circuit): array
    {
        $volumes = [];
        foreach ($circuit->parts() as $part) {
            $ml = array_sum(array_map($this->in(...), $part->passages));
            if (array_intersect_key($this->byPassage, array_flip($part->passages)) !== []) {
                $volumes[] = new PartVolume($part, $ml);
            }
        }
        usort($volumes, fn (PartVolume $a, PartVolume $b) => $b->ml <=> $a->ml);

        return $volumes;
    }

    /** @return list<string> names of the parts, largest first, each name once */
    public function labels(Circuit $circuit): array
    {
        return array_values(array_unique(array_map(fn (PartVolume $v) => $v->part->label, $this->byPart($circuit))));
    }

    /** “Heater core, Heater feed hose, Block and 4 more”: the largest parts by name, and how many there are besides. */
    public function said(Circuit $circuit): string
    {
        $labels = $this->labels($circuit);
        $more = count($labels) - self::NAMED;

        return implode(', ', array_slice($labels, 0, self::NAMED)).($more > 0 ? " and {$more} more" : '');
    }

    /** @return array<string, float> by passage */
    public function toArray(): array
    {
        return $this->byPassage;
    }
}
