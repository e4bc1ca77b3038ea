<?php

declare(strict_types=1);

namespace Aqbel\Core\Learned;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\Draws;

/**
 * What a circuit probably is, by what its jobs measured. What heights and volumes within their ± can
 * explain is explained; what they cannot is laid to the one figure that explains it best, then to
 * the next. Nothing is found where chance, or the ±, would do.
 */
final readonly class Learned
{
    /** Circuits drawn within their ± to see what that alone brings. */
    private const DRAWS = 60;

    private const SEED = 1;

    /** Shares of a volume, and mm of a height, that are tried first. */
    private const VOLUMES = [0.3, 0.5, 0.7, 0.85, 1.2, 1.5, 2.0, 2.6, 3.4];

    private const HEIGHTS_MM = [-160.0, -100.0, -60.0, -30.0, 30.0, 60.0, 100.0, 160.0];

    /**
     * A figure so far off is as unlikely as one standard deviation: a factor for
     * volumes, mm for heights (common practice, no source).
     */
    private const VOLUME_LN = 0.7;

    private const HEIGHT_MM = 90.0;

    /** χ² that a figure has to explain before it is laid to it: this and, where little is measured, less. */
    private const EXPLAINS = 13.0;

    /** By how many numbers were measured, what chance alone passes once in a hundred (χ², any table). */
    private const BY_CHANCE = [1 => 6.63, 9.21, 11.34];

    private const MOST_FINDINGS = 3;

    private const REFINED = 4;

    /**
     * @param  list<Finding>  $findings  the one that explains most first
     * @param  Circuit  $circuit  as it probably is
     */
    private function __construct(
        public array $findings,
        public Circuit $circuit,
        public float $chi2Before,
        public float $chi2After,
    ) {
    }

    /** @param  non-empty-list<MeasuredJob>  $jobs */
    public static function of(Circuit $circuit, array $jobs): self
    {
        $figures = new Figures($circuit, $jobs);
        $spread = self::spread($circuit, $figures);
        $off = fn (Circuit $other): float => $spread->chi2(
            array_map(fn (float $is, float $said): float => $is - $said, $figures->measured, $figures->by($other)),
        );
        [$findings, $now, $chi2] = [[], $circuit, $off($circuit)];
        $before = $chi2;
        $explains = self::BY_CHANCE[count($figures->measured)] ?? self::EXPLAINS;
        while (count($findings) < self::MOST_FINDINGS) {
            $found = self::next($now, $circuit, $chi2, $off, $findings, $explains);
            if ($found === null) {
                break;
            }
            [$finding, $now, $chi2] = $found;
            $findings[] = $finding;
        }

        return new self($findings, $now, $before, $chi2);
    }

    /** What vessels cannot read, and what the ± of the circuit leaves open, together. */
    private static function spread(Circuit $circuit, Figures $figures): Spread
    {
        $drawn = Draws::of($circuit, self::SEED, self::DRAWS);
        $said = array_map(fn (int $i) => $figures->by($drawn->circuit($i)), range(0, self::DRAWS - 1));
        $here = $figures->by($circuit);
        $covariance = [];
        foreach ($here as $i => $_) {
            foreach ($here as $j => $__) {
                $covariance[$i][$j] = array_sum(
                    array_map(fn (array $one): float => ($one[$i] - $here[$i]) * ($one[$j] - $here[$j]), $said),
                )
                        / self::DRAWS
                    + ($i === $j ? $figures->variance[$i] : 0.0);
            }
        }

        return new Spread($covariance);
    }

    /**
     * @param  \Closure(Circuit): float  $off
     * @param  list<Finding>  $findings
     * @return ?array{Finding, Circuit, float} what explains most, the circuit with it, and
     * how far off that is; null where nothing explains enough
     */
    private static function next(Circuit $now, Circuit $first, float $chi2, \Closure $off, array $findings, float $explains): ?array
    {
        if ($chi2 < $explains) {
            return null;
        }
        $tried = [];
        foreach (self::candidates($now, $findings) as [$node, $passage]) {
            foreach ($node === null ? self::VOLUMES : self::HEIGHTS_MM as $by) {
                $tried[] = self::attempt($now, $node, $passage, $by, $off);
            }
        }
        usort($tried, fn (array $a, array $b) => $a['cost'] <=> $b['cost']);
        $best = $kept = [];
        foreach ($tried as $one) {
            $name = "{$one['node']}|{$one['passage']}";
            if (! isset($kept[$name]) && count($kept) < self::REFINED) {
                $kept[$name] = true;
                $best[] = self::refined($now, $one, $off);
            }
        }
        usort($best, fn (array $a, array $b) => $a['cost'] <=> $b['cost']);
        $one = $best[0] ?? null;
        if ($one === null || $chi2 - $one['cost'] < $explains) {
            return null;
        }
        $weights = array_map(fn (array $other) => exp(-0.5 * ($other['cost'] - $one['cost'])), $best);
        $was = $one['node'] !== null
                ? $first->nodes[$one['node']]->zMm
                : $first->passages[(string) $one['passage']]->volumeMl;
        $is = $one['node'] !== null
                ? $now->nodes[$one['node']]->zMm + $one['by']
                : $one['by'] * $now->passages[(string) $one['passage']]->volumeMl;
        $half = self::half($now, $one, $off);
        $low = $one['node'] !== null ? $is - $half : $is * exp(-$half);
        $high = $one['node'] !== null ? $is + $half : $is * exp($half);

        return [
            new Finding($one['node'], $one['passage'], $was, $is, $low, $high, 1.0 / array_sum($weights)),
            self::with($now, $one['node'], $one['passage'], $one['by']),
            $one['chi2'],
        ];
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<array{?string, ?string}> node or passage
     */
    private static function candidates(Circuit $circuit, array $findings): array
    {
        $known = array_map(fn (Finding $finding) => $finding->node ?? $finding->passage, $findings);
        $nodes = array_values(
            array_filter(
                array_map(strval(...), array_keys($circuit->nodes)),
                fn (string $node) => ! in_array($node, $known, true),
            ),
        );
        $passages = array_values(
            array_filter(
                array_map(strval(...), array_keys($circuit->passages)),
                fn (string $passage) => ! in_array($passage, $known, true),
            ),
        );

        return [
            ...array_map(fn (string $node) => [$node, null], $nodes),
            ...array_map(fn (string $passage) => [null, $passage], $passages),
        ];
    }

    /**
     * @param  \Closure(Circuit): float  $off
     * @return array{node: ?string, passage: ?string, by: float, chi2: float, cost: float}
     */
    private static function attempt(Circuit $now, ?string $node, ?string $passage, float $by, \Closure $off): array
    {
        $chi2 = $off(self::with($now, $node, $passage, $by));
        $unlikely = $node !== null ? ($by / self::HEIGHT_MM) ** 2 : (log($by) / self::VOLUME_LN) ** 2;

        return ['node' => $node, 'passage' => $passage, 'by' => $by, 'chi2' => $chi2, 'cost' => $chi2 + $unlikely];
    }

    /**
     * The best value near one that was tried, by golden steps.
     *
     * @param  array{node: ?string, passage: ?string, by: float, chi2: float, cost: float}  $one
     * @param  \Closure(Circuit): float  $off
     * @return array{node: ?string, passage: ?string, by: float, chi2: float, cost: float}
     */
    private static function refined(Circuit $now, array $one, \Closure $off): array
    {
        $step = $one['node'] !== null ? 20.0 : 0.15;
        for ($round = 0; $round < 7; $round++, $step /= 1.8) {
            foreach ([-$step, $step] as $change) {
                $by = $one['node'] !== null ? $one['by'] + $change : $one['by'] * exp($change);
                $other = self::attempt($now, $one['node'], $one['passage'], $by, $off);
                $one = $other['cost'] < $one['cost'] ? $other : $one;
            }
        }

        return $one;
    }

    /**
     * How far to either side it is hardly worse, in mm or as a logarithm.
     *
     * @param  array{node: ?string, passage: ?string, by: float, chi2: float, cost: float}  $one
     * @param  \Closure(Circuit): float  $off
     */
    private static function half(Circuit $now, array $one, \Closure $off): float
    {
        $step = $one['node'] !== null ? 4.0 : 0.02;
        for ($far = $step; $far < 24.0 * $step; $far *= 1.6) {
            $by = $one['node'] !== null ? $one['by'] + $far : $one['by'] * exp($far);
            if (self::attempt($now, $one['node'], $one['passage'], $by, $off)['cost'] > $one['cost'] + 3.84) {
                break;
            }
        }

        return $far;
    }

    private static function with(Circuit $now, ?string $node, ?string $passage, float $by): Circuit
    {
        return $now->but($node === null ? [] : [$node => $by], $passage === null ? [] : [$passage => $by]);
    }
}
