<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** The vessels of one shop. */
final readonly class Vessels
{
    /** Finer ones are syringes: nobody mixes a batch in them. */
    private const FINEST_MIXING_MARK_ML = 50.0;

    private const COARSEST_MARK_SHARE = 0.04;

    /** Of a circuit, what one reading may hide before its sums tell no air worth a name (common practice, no source). */
    private const HIDES_SHARE = 0.05;

    /** @param  non-empty-list<Vessel>  $all */
    public function __construct(public array $all)
    {
    }

    /**
     * The vessel an entry was read in, by its id, or by its name as entries were kept before vessels had ids. One the
     * shop no longer has counts like its coarsest: the ± is never taken too small.
     */
    public function of(string $code): Vessel
    {
        foreach ([...$this->all, Vessel::scale()] as $vessel) {
            if ($vessel->id === $code || $vessel->name === $code) {
                return $vessel;
            }
        }

        return $this->byMarks()[count($this->all) - 1];
    }

    /** The one to offer first; a shop without one of its kind gets the coarsest for draining, else the finest. */
    public function for(VesselUse $use): Vessel
    {
        foreach ($this->all as $vessel) {
            if ($vessel->use === $use) {
                return $vessel;
            }
        }

        return $this->byMarks()[$use === VesselUse::Drain ? count($this->all) - 1 : 0];
    }

    /**
     * The vessel a batch of this size is measured in: the one for mixing, or a finer one where its marks are too
     * coarse for the strength to come out right.
     */
    public function forBatch(float $batchMl): Vessel
    {
        $fit = array_values(
            array_filter($this->all, fn (Vessel $v) => $v->graduationMl >= self::FINEST_MIXING_MARK_ML),
        );
        $rank = fn (Vessel $v): array => [$v->use === VesselUse::Mix, $v->graduationMl];
        usort($fit, fn (Vessel $a, Vessel $b) => $rank($b) <=> $rank($a));
        foreach ($fit as $vessel) {
            if ($vessel->graduationMl <= self::COARSEST_MARK_SHARE * $batchMl) {
                return $vessel;
            }
        }

        return $fit === [] ? $this->for(VesselUse::Mix) : $fit[count($fit) - 1];
    }

    /**
     * A vessel to read what came out in, where the marks of the one it runs into are coarse for a circuit of this size.
     * Null where they are not, or where the shop has none that is finer.
     */
    public function finerFor(float $capacityMl): ?Vessel
    {
        $most = self::HIDES_SHARE * $capacityMl;
        $fine = array_filter(
            $this->byMarks(),
            fn (Vessel $v) => $v->graduationMl >= self::FINEST_MIXING_MARK_ML && $v->plusMinusMl() <= $most,
        );

        return $this->for(VesselUse::Drain)->plusMinusMl() <= $most || $fine === [] ? null : array_values($fine)[0];
    }

    /** @return array<string, string> name by id */
    public function choices(): array
    {
        $all = [...$this->all, Vessel::scale()];

        return array_combine(
            array_map(fn (Vessel $v) => $v->id, $all),
            array_map(fn (Vessel $v) => $v->name, $all),
        );
    }

    /** @return non-empty-list<Vessel> finest first */
    private function byMarks(): array
    {
        $sorted = $this->all;
        usort($sorted, fn (Vessel $a, Vessel $b) => $a->graduationMl <=> $b->graduationMl);

        return $sorted;
    }
}
