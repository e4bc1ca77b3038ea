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
    /**
     * @param  array<string, list<float>>  $nodes  mm above what was measured, one a draw, by node
     * @param  array<string, list<float>>  $passages  shares of the measured volume more, one a draw, by passage
     */
    private function __construct(private Circuit $circuit, public int $count, public array $nodes, public array $passages)
    {
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

        return new self($circuit, $count, $nodes, $passages);
    }

    /** @param  ?string  $node  whose height is known after all */
    public function circuit(int $draw, ?string $node = null, ?string $passage = null): Circuit
    {
        $alone = array_map(fn (array $mm): float => $mm[$draw], array_diff_key($this->nodes, [$node ?? '' => true]));
        $higher = [];
        foreach ($this->circuit->nodes as $id => $one) {
            $higher[$id] = ($alone[$id] ?? 0.0) + ($id === $node ? 0.0 : $alone[$one->follows ?? ''] ?? 0.0);
        }
        $more = array_map(fn (array $share): float => 1.0 + $share[$draw], array_diff_key($this->passages, [$passage ?? '' => true]));

        return $this->circuit->but($higher, $more);
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
