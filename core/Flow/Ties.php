<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

use Aqbel\Core\Circuit\Circuit;

/** Which pairs of heights a fill hangs on, that lie within what a tape measures. */
final readonly class Ties
{
    /** Heights of hoses and necks are measured so well by tape, mm (common practice, no source). */
    public const TAPE_MM = 10.0;

    /** So much of the capacity hanging on two heights is said (common practice, no source). */
    private const DECIDES = 0.02;

    /** Far enough past each other that no run counts as level, mm. */
    private const REVERSED_MM = Mesh::LEVEL_MM + 1.0;

    private const COARSENESS = 2.0;

    /** @param  list<Tie>  $all  on which most hangs first */
    private function __construct(public array $all)
    {
    }

    /** @param  \Closure(Circuit, float): float  $air  mL that stay in a circuit, on a mesh of that coarseness */
    public static function of(Circuit $circuit, float $noseLiftMm, \Closure $air): self
    {
        [$fine, $coarse, $ties] = [null, null, []];
        foreach (self::near($circuit, $noseLiftMm) as [$one, $other, $apart]) {
            $coarse ??= $air($circuit, self::COARSENESS);
            $change = [0.0];
            // Either way round, whichever was measured as the higher one.
            foreach ([$apart + self::REVERSED_MM, $apart - self::REVERSED_MM] as $mm) {
                $change[] = $air($circuit->raised($other, $mm), self::COARSENESS) - $coarse;
            }
            if (max($change) - min($change) > self::DECIDES * $circuit->capacityMl()) {
                $fine ??= $air($circuit, 1.0);
                $ties[] = new Tie($one, $other, abs($apart), max(0.0, $fine + min($change)), $fine + max($change));
            }
        }
        usort($ties, fn (Tie $a, Tie $b) => $b->highMl - $b->lowMl <=> $a->highMl - $a->lowMl);

        return new self($ties);
    }

    /** @return list<array{string, string, float}> nodes, and how much the first stands above the other, mm */
    private static function near(Circuit $circuit, float $noseLiftMm): array
    {
        [$near, $ids] = [[], array_keys($circuit->nodes)];
        foreach ($ids as $i => $one) {
            foreach (array_slice($ids, $i + 1) as $other) {
                $apart = $circuit->heightMm($one, $noseLiftMm) - $circuit->heightMm($other, $noseLiftMm);
                if (abs($apart) <= self::TAPE_MM) {
                    $near[] = [$one, $other, $apart];
                }
            }
        }

        return $near;
    }
}
