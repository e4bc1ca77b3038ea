<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;

/**
 * Which drain points are worth opening: what each would let out on top of those already open, against the hands it takes
 * to reach it, and whether a part that is to be opened would spill without it.
 */
final readonly class DrainWorth
{
    public const MUST = 'must';

    public const WORTH = 'worth';

    public const LEAVE = 'leave';

    /** Coolant that may stand in a part when it is opened; a rag takes it (common practice, no source). */
    private const RAG_ML = 80.0;

    /** A point pays when each minute of hands brings out this share of the capacity (common practice, no source). */
    private const SHARE_PER_MINUTE = 0.004;

    private function __construct(
        public Port $port,
        public string $verdict,
        /** On top of what the points before it let out. */
        public float $volumeMl,
        /** Hands: covers that are not off yet, and the point itself. */
        public float $minutes,
        /** @var list<string> covers that come off for it alone */
        public array $covers,
        /** @var list<string> opened passages that stay wet without it */
        public array $keepsDry,
    ) {
    }

    /**
     * All drain points of the circuit in the order they are best opened: the most coolant for each minute first.
     *
     * @param  list<string>  $opened  passages that were or will be opened
     * @param  bool  $everything  a coolant change or a rinse: the more comes out, the better; else only what the work needs
     * @return list<self>
     */
    public static function of(Circuit $circuit, array $opened, bool $everything, float $noseLiftMm = 0.0): array
    {
        $gates = Filling::usualGates($circuit);
        $drained = fn (string ...$ports): Drainage => Drainage::of($circuit, array_values($ports), $gates, $noseLiftMm, coarseness: 2.0);
        $left = array_map(fn (Port $p) => $p->id, $circuit->portsOf('drain'));
        $off = self::coversOf($circuit, $opened);
        [$open, $ranked] = [[], []];
        $before = $drained();
        while ($left !== []) {
            $best = null;
            foreach ($left as $id) {
                $after = $drained(...$open, ...[$id]);
                $port = $circuit->ports[$id];
                $covers = array_values(array_diff($port->behind, $off));
                $minutes = $port->minutes + array_sum(array_map(fn (string $c) => $circuit->covers[$c]->minutes, $covers));
                $volume = max(0.0, $after->drainedMl - $before->drainedMl);
                $try = ['id' => $id, 'after' => $after, 'volume' => $volume, 'minutes' => $minutes, 'covers' => $covers, 'rate' => $volume / max(1.0, $minutes)];
                $best = $best === null || $try['rate'] > $best['rate'] ? $try : $best;
            }
            $dries = array_values(array_filter($opened, fn (string $p) => ($before->retained[$p] ?? 0.0) > self::RAG_ML && ($best['after']->retained[$p] ?? 0.0) < 0.5 * $before->retained[$p]));
            $pays = $best['rate'] >= self::SHARE_PER_MINUTE * $circuit->capacityMl();
            $verdict = $dries !== [] ? self::MUST : ($pays && ($everything || $ranked === []) ? self::WORTH : self::LEAVE);
            $ranked[] = new self($circuit->ports[$best['id']], $verdict, $best['volume'], $best['minutes'], $best['covers'], $dries);
            $left = array_values(array_diff($left, [$best['id']]));
            if ($verdict !== self::LEAVE) {
                $open[] = $best['id'];
                $off = [...$off, ...$best['covers']];
                $before = $best['after'];
            }
        }

        return $ranked;
    }

    /**
     * The same for a circuit that is full to its cold mark: what is air in the tank already comes out of no drain.
     *
     * @param  list<self>  $ranked
     * @return list<self>
     */
    public static function belowHeadspace(array $ranked, float $headspaceMl): array
    {
        foreach ($ranked as $i => $one) {
            $air = min($headspaceMl, $one->volumeMl);
            $ranked[$i] = new self($one->port, $one->verdict, $one->volumeMl - $air, $one->minutes, $one->covers, $one->keepsDry);
            $headspaceMl -= $air;
        }

        return $ranked;
    }

    /**
     * The points to open, in order.
     *
     * @param  list<self>  $ranked
     * @return list<string>
     */
    public static function recommended(array $ranked): array
    {
        return array_values(array_map(fn (self $w) => $w->port->id, array_filter($ranked, fn (self $w) => $w->verdict !== self::LEAVE)));
    }

    /**
     * @param  list<string>  $opened
     * @return list<string>
     */
    private static function coversOf(Circuit $circuit, array $opened): array
    {
        return array_values(array_unique(array_merge(...array_map(fn (string $p) => $circuit->passages[$p]->behind, $opened), ...[[]])));
    }
}
