<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Quantity\Range;

/** The one look that would narrow the air most: a node's height, what a passage holds, or whether a shut gate weeps. */
final readonly class Settling
{
    /** So many measurements are tried out: those on which the air hangs most by themselves. */
    private const TRIED = 5;

    /** On so many of the draws. */
    private const DRAWS = 80;

    /** By so much a measurement has to narrow the air to be worth the walk, as a share of the capacity. */
    private const WORTH = 0.01;

    /** Draws are sorted into so many stretches of a ± to see what hangs on it. */
    private const STRETCHES = 10;

    /**
     * @param  ?string  $node  whose height it is
     * @param  ?string  $passage  whose volume it is
     * @param  ?string  $gate  of which nobody knows whether it weeps
     * @param  float  $spanMl  of the air, before
     * @param  float  $thenMl  once it is known
     */
    private function __construct(
        public ?string $node,
        public ?string $passage,
        public ?string $gate,
        public float $spanMl,
        public float $thenMl,
    ) {
    }

    /**
     * Null where no air hangs on any.
     *
     * @param  list<float>  $airMl  by draw
     * @param  \Closure(Circuit): float  $air  mL that stay in a circuit
     */
    public static function most(Draws $drawn, array $airMl, \Closure $air): ?self
    {
        $weight = [];
        foreach ($drawn->nodes as $id => $by) {
            $weight["node {$id}"] = self::hangsOn($by, $airMl);
        }
        foreach ($drawn->passages as $id => $by) {
            $weight["passage {$id}"] = self::hangsOn($by, $airMl);
        }
        foreach ($drawn->gates as $id => $by) {
            $weight["gate {$id}"] = self::hangsOn($by, $airMl);
        }
        arsort($weight);
        $tried = min(self::DRAWS, $drawn->count);
        $some = array_slice($airMl, 0, $tried);
        [$span, $best] = [self::span($some), null];
        if ($span <= 0.0) {
            return null;
        }
        foreach (array_keys(array_slice($weight, 0, self::TRIED)) as $what) {
            [$kind, $id] = explode(' ', $what, 2);
            [$node, $passage, $gate] = [
                $kind === 'node' ? $id : null,
                $kind === 'passage' ? $id : null,
                $kind === 'gate' ? $id : null,
            ];
            $then = [];
            for ($i = 0; $i < $tried; $i++) {
                $then[] = $air($drawn->circuit($i, $node, $passage, $gate));
            }
            $left = self::span($then);
            $best = $best === null || $left < $best->thenMl ? new self($node, $passage, $gate, $span, $left) : $best;
        }

        return $best;
    }

    /** Whether it narrows the air by enough. */
    public function isWorthIt(Circuit $circuit): bool
    {
        return $this->spanMl - $this->thenMl > self::WORTH * $circuit->capacityMl();
    }

    /** @param  list<float>  $airMl */
    private static function span(array $airMl): float
    {
        return Range::of($airMl[0] ?? 0.0, $airMl)->span();
    }

    /**
     * How far the mean of the outcome goes with one thing drawn: the variance of its means by stretch.
     *
     * @param  list<float>  $by
     * @param  list<float>  $outcome
     */
    private static function hangsOn(array $by, array $outcome): float
    {
        asort($by);
        $means = [];
        foreach (array_chunk(array_keys($by), max(1, intdiv(count($by), self::STRETCHES))) as $draws) {
            $means[] = array_sum(array_map(fn (int $draw) => $outcome[$draw], $draws)) / count($draws);
        }
        $mean = array_sum($means) / count($means);

        return array_sum(array_map(fn (float $one) => ($one - $mean) ** 2, $means)) / count($means);
    }
}
