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

    /** So coarse a mesh tells which pairs are worth a fine one: it errs by up to a hundredth of the capacity. */
    private const COARSENESS = 4.0;

    private const WORTH_A_LOOK = 0.01;

    /** @param  list<Tie>  $all  on which most hangs first */
    private function __construct(public array $all)
    {
    }

    /** @param  \Closure(Circuit, float): float  $air  mL that stay in a circuit, on a mesh of that coarseness */
    public static function of(Circuit $circuit, float $noseLiftMm, \Closure $air): self
    {
        $ties = [];
        foreach (self::near($circuit, $noseLiftMm) as [$one, $other, $apart]) {
            $hangs = fn (float $coarseness): array => self::range(
                $circuit,
                fn (Circuit $circuit): float => $air($circuit, $coarseness),
                $other,
                $apart,
            );
            [$low, $high] = $hangs(self::COARSENESS);
            if ($high - $low > self::WORTH_A_LOOK * $circuit->capacityMl()) {
                [$low, $high] = $hangs(1.0);
                $ties[] = new Tie($one, $other, abs($apart), $low, $high);
            }
        }
        $ties = array_filter(
            $ties,
            fn (Tie $tie) => $tie->highMl - $tie->lowMl > self::DECIDES * $circuit->capacityMl(),
        );
        usort($ties, fn (Tie $a, Tie $b) => $b->highMl - $b->lowMl <=> $a->highMl - $a->lowMl);

        return new self($ties);
    }

    /**
     * What stays as a node stands, and either way round, whichever was measured as the higher one.
     *
     * @param  \Closure(Circuit): float  $air
     * @return array{float, float} the least and the most, mL
     */
    private static function range(Circuit $circuit, \Closure $air, string $node, float $apartMm): array
    {
        $mls = array_map($air, [
            $circuit,
            $circuit->raised($node, $apartMm + self::REVERSED_MM),
            $circuit->raised($node, $apartMm - self::REVERSED_MM),
        ]);

        return [min($mls), max($mls)];
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
