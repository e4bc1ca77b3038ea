<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\Drainage;

/**
 * Which drain points are worth opening: what each would let out on top of those already open, against the hands it
 * takes to reach it, and whether a part that is to be opened would spill without it.
 */
final readonly class DrainWorth
{
    /** Coolant that may stand in a part when it is opened; a rag takes it (common practice, no source). */
    private const RAG_ML = 80.0;

    /** A point pays when each minute of hands brings out this share of the capacity (common practice, no source). */
    private const SHARE_PER_MINUTE = 0.004;

    /** Cells twice as large find the order; the prediction counts on the standard ones. */
    private const COARSENESS = 2.0;

    /**
     * @param  float  $volumeMl  on top of what the points before it let out
     * @param  float  $minutes  hands: covers that are not off yet, and the point itself
     * @param  list<string>  $covers  that come off for it alone
     * @param  list<string>  $keepsDry  opened passages that stay wet without it
     */
    private function __construct(
        public Port $port,
        public Worth $verdict,
        public float $volumeMl,
        public float $minutes,
        public array $covers,
        public array $keepsDry,
    ) {
    }

    /**
     * All drain points of the circuit in the order they are best opened: the most coolant for each minute first.
     *
     * @param  list<string>  $opened  passages that were or will be opened
     * @param  bool  $everything  a coolant change or a rinse: the
     * more comes out, the better; else only what the work needs
     * @return list<self>
     */
    public static function of(Circuit $circuit, array $opened, bool $everything, float $noseLiftMm = 0.0): array
    {
        $drained = fn (string ...$ports): Drainage => Drainage::of(
            $circuit,
            array_values($ports),
            $circuit->usualGates(),
            $noseLiftMm,
            coarseness: self::COARSENESS,
        );
        $left = $circuit->portIds(PortKind::Drain);
        $off = array_merge(...array_map(fn (string $p) => $circuit->passages[$p]->behind, $opened), ...[[]]);
        [$open, $ranked] = [[], []];
        $before = $drained();
        while ($left !== []) {
            [$best, $bestAfter] = [null, $before];
            foreach ($left as $id) {
                $after = $drained(...$open, ...[$id]);
                $try = self::opening(
                    $circuit,
                    $circuit->ports[$id],
                    $off,
                    max(0.0, $after->drainedMl - $before->drainedMl),
                );
                if ($best === null || $try->perMinute() > $best->perMinute()) {
                    [$best, $bestAfter] = [$try, $after];
                }
            }
            $wet = fn (string $p): bool => $before->retained->in($p) > self::RAG_ML
                && $bestAfter->retained->in($p) < 0.5 * $before->retained->in($p);
            $dries = array_values(array_filter($opened, $wet));
            $pays = $best->perMinute() >= self::SHARE_PER_MINUTE * $circuit->capacityMl()
                && ($everything || $ranked === []);
            $verdict = $dries !== [] ? Worth::Must : ($pays ? Worth::Pays : Worth::Leave);
            $ranked[] = new self($best->port, $verdict, $best->volumeMl, $best->minutes, $best->covers, $dries);
            $left = array_values(array_diff($left, [$best->port->id]));
            if ($verdict !== Worth::Leave) {
                $open[] = $best->port->id;
                $off = [...$off, ...$best->covers];
                $before = $bestAfter;
            }
        }

        return $ranked;
    }

    /**
     * The same for a circuit that is full to its cold mark.
     *
     * @param  list<self>  $ranked
     * @return list<self>
     */
    public static function belowHeadspace(array $ranked, float $headspaceMl): array
    {
        $volumes = Drainage::belowHeadspace(array_map(fn (self $w) => $w->volumeMl, $ranked), $headspaceMl);
        $with = fn (self $w, float $ml): self => new self(
            $w->port,
            $w->verdict,
            $ml,
            $w->minutes,
            $w->covers,
            $w->keepsDry,
        );

        return array_map($with, $ranked, $volumes);
    }

    /**
     * The points to open, in order.
     *
     * @param  list<self>  $ranked
     * @return list<string>
     */
    public static function recommended(array $ranked): array
    {
        $opened = array_filter($ranked, fn (self $w) => $w->verdict !== Worth::Leave);

        return array_values(array_map(fn (self $w) => $w->port->id, $opened));
    }

    /** @param  list<string>  $off  covers that are off already */
    private static function opening(Circuit $circuit, Port $port, array $off, float $volumeMl): self
    {
        $covers = array_values(array_diff($port->behind, $off));
        $minutes = $port->minutes + array_sum(array_map(fn (string $c) => $circuit->covers[$c]->minutes, $covers));

        return new self($port, Worth::Leave, $volumeMl, $minutes, $covers, []);
    }

    private function perMinute(): float
    {
        return $this->volumeMl / max(1.0, $this->minutes);
    }
}
