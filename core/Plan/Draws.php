<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Circuits that a circuit may really be: every height and every volume somewhere within its ±, all as likely. Each is
 * drawn once from every equal stretch of its ± (Latin hypercube sampling: McKay, Beckman and Conover 1979).
 */
final readonly class Draws
{
    /** A thermostat nobody has looked at is other than usual in so many cases (common practice, no source). */
    private const OTHERWISE = 0.15;

    /**
     * @param  array<string, list<float>>  $nodes  mm above what was measured, one a draw, by node
     * @param  array<string, list<float>>  $passages  shares of the measured volume more, one a draw, by passage
     * @param  array<string, list<float>>  $gates  1 where it weeps
     * other than it is taken to, else 0, one a draw, by gate
     */
    private function __construct(
        private Circuit $circuit,
        public int $count,
        public array $nodes,
        public array $passages,
        public array $gates,
    ) {
    }

    public static function of(Circuit $circuit, int $seed, int $count): self
    {
        $chance = new Randomizer(new Mt19937($seed));
        [$nodes, $passages] = [[], []];
        foreach ($circuit->nodes as $id => $node) {
            if ($node->plusMinusMm > 0.0) {
                $nodes[$id] = self::spread($chance, $node->plusMinusMm, $count);
            }
        }
        foreach ($circuit->passages as $id => $passage) {
            if ($passage->plusMinus > 0.0) {
                $passages[$id] = self::spread($chance, $passage->plusMinus, $count);
            }
        }

        $gates = [];
        foreach ($circuit->gates as $id => $gate) {
            if (! $gate->sure) {
                $gates[$id] = array_map(
                    fn (int $one): float => $one < self::OTHERWISE * $count ? 1.0 : 0.0,
                    $chance->shuffleArray(range(0, $count - 1)),
                );
            }
        }

        return new self($circuit, $count, $nodes, $passages, $gates);
    }

    /**
     * @param  ?string  $node  whose height is known after all
     * @param  ?string  $gate  of which it is known after all whether it weeps
     */
    public function circuit(int $draw, ?string $node = null, ?string $passage = null, ?string $gate = null): Circuit
    {
        $alone = array_map(fn (array $mm): float => $mm[$draw], array_diff_key($this->nodes, [$node ?? '' => true]));
        $higher = [];
        foreach ($this->circuit->nodes as $id => $one) {
            $higher[$id] = ($alone[$id] ?? 0.0) + ($id === $node ? 0.0 : $alone[$one->follows ?? ''] ?? 0.0);
        }
        $more = array_map(
            fn (array $share): float => 1.0 + $share[$draw],
            array_diff_key($this->passages, [$passage ?? '' => true]),
        );

        $otherwise = array_filter(
            array_diff_key($this->gates, [$gate ?? '' => true]),
            fn (array $other): bool => $other[$draw] > 0.0,
        );

        return $this->circuit->but($higher, $more, array_keys($otherwise));
    }

    /** @return list<float> within ± of nothing, in no order */
    private static function spread(Randomizer $chance, float $plusMinus, int $count): array
    {
        $drawn = [];
        foreach ($chance->shuffleArray(range(0, $count - 1)) as $stretch) {
            $drawn[] = $plusMinus * (2.0 * ($stretch + $chance->getInt(0, 999_999) / 1.0e6) / $count - 1.0);
        }

        return $drawn;
    }
}
