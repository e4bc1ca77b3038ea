<?php

declare(strict_types=1);

namespace App\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\ComparedSchool;
use Aqbel\Core\Plan\Comparison;
use Aqbel\Core\Plan\DrainWorth;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\NeverRuns;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\WhySilent;
use Aqbel\Core\Plan\Worth;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Listed;
use Aqbel\Core\Schools\Aid;
use Aqbel\Core\Schools\Combination;
use Aqbel\Core\Schools\Way;

/** What else could be done on this circuit under the same choices, in the reader's units. */
final readonly class Besides
{
    /** Schools shown before the others fold away. */
    private const SCHOOLS_AT_ONCE = 4;

    /**
     * @param  list<DrainWorth>  $worth
     * @param  list<Combination>  $combinations  ways put together that make sense here
     * @param  array<string, float>  $brings  mL of air less by the fill
     * that is chosen, by aid; those that bring nothing left out
     * @param  string  $refused  why what was asked for is not what is planned; empty where it is
     */
    public function __construct(
        private Circuit $circuit,
        private Plan $plan,
        private Comparison $comparison,
        private array $worth,
        private UnitSystem $units,
        public string $refused = '',
        private array $combinations = [],
        private array $brings = [],
    ) {
    }

    /** @return list<WorthRow> */
    public function worth(): array
    {
        return $this->plan->choices->jobKind === JobKind::Bleed ? [] : array_map($this->worthRow(...), $this->worth);
    }

    /** What was put together, and what it leaves; empty where a way by name is planned. */
    public function together(): string
    {
        return $this->plan->school instanceof Way
            ? "This plan: {$this->plan->school->label()}. It leaves "
                    .($this->plan->fill->estimate ? 'about ' : '')
                    .$this->units->format($this->plan->fill->airMl, Dimension::Volume)
                    .' of air.'
            : '';
    }

    public function recommendation(): string
    {
        return $this->comparison->reason($this->circuit, $this->units);
    }

    /** @return list<non-empty-list<SchoolRow>> those shown at once, what is planned among them, then those folded away */
    public function schools(): array
    {
        [$shown, $folded] = [[], []];
        foreach (array_map($this->schoolRow(...), $this->comparison->schools) as $i => $row) {
            if ($i < self::SCHOOLS_AT_ONCE || $row->chosen) {
                $shown[] = $row;
            } else {
                $folded[] = $row;
            }
        }

        return array_values(array_filter([$shown, $folded], fn (array $rows) => $rows !== []));
    }

    /** @return list<CombinedRow> ways put together, soonest done first */
    public function combined(): array
    {
        return array_map($this->combinedRow(...), $this->combinations);
    }

    /** @return array<string, string> what each aid the model knows brings to the fill that is chosen, by its code */
    public function brings(): array
    {
        $modelled = array_filter(Aid::cases(), fn (Aid $aid) => $aid->isModelled());

        return array_combine(
            array_map(fn (Aid $aid) => $aid->value, $modelled),
            array_map(
                fn (Aid $aid) => isset($this->brings[$aid->value])
                    ? $this->volume($this->brings[$aid->value]).' less air'
                    : 'brings nothing here',
                $modelled,
            ),
        );
    }

    private function combinedRow(Combination $one): CombinedRow
    {
        $way = $one->way;
        $brings = [];
        foreach ($one->brings as $aid => $ml) {
            $brings[] = Aid::from($aid)->label().": {$this->volume($ml)} less";
        }
        $minutes = $one->likelyMinutes();

        return new CombinedRow(
            $way->by->label().', '.lcfirst($way->warmedBy->label()),
            implode('; ', [...$brings, ...$one->runs->likely > 1 ? ["likely {$one->runs->likely} runs"] : []]),
            ($one->fill->estimate ? 'about ' : '').$this->range($one->fill->airLowMl(), $one->fill->airHighMl()),
            Hours::of($minutes->hands),
            Hours::of($minutes->total()),
            $way->by->id(),
            $way->warmedBy->value,
            array_map(fn (Aid $aid) => $aid->value, $way->aids),
            $way->until->value,
            $way->id() === $this->plan->school->id(),
        );
    }

    public function cheapest(): string
    {
        $cheapest = $this->comparison->cheapest;
        $allowed = "Allowed: {$this->volume($this->comparison->limitMl)}.";
        if ($cheapest === null) {
            return "{$allowed} No raise, funnel and bleed points get under it by pouring.";
        }
        $open = array_map(fn (string $id) => $this->circuit->ports[$id]->label, $cheapest->pour->open);
        $how = array_filter([
            $open === [] ? 'no bleed point' : Listed::of($open),
            $cheapest->pour->noseLiftMm > 0.0 ? 'nose raised '.$this->length($cheapest->pour->noseLiftMm) : null,
            $cheapest->pour->headMm > 0.0 ? 'funnel '.$this->length($cheapest->pour->headMm).' above the neck' : null,
        ]);

        $unsure = $cheapest->airHighMl <= $this->comparison->limitMl ? ''
            : " Heights that a tape cannot tell apart decide it: it may leave {$this->volume($cheapest->airHighMl)}.";

        return "{$allowed} Cheapest fill under it: ".implode(', ', $how).".{$unsure}";
    }

    /** @return list<array{string, string}> a point that cannot run, and what would make it */
    public function never(): array
    {
        $say = function (NeverRuns $never): array {
            $nose = $never->noseLiftMm === null ? '' : ", or the nose raised {$this->length($never->noseLiftMm)},";
            $how = $never->funnelMm !== null
                ? "{$this->length($never->funnelMm)} above the neck. A funnel that high{$nose} would do."
                : WhySilent::of($never->silent, $this->circuit, $this->units);

            return ["{$this->circuit->ports[$never->silent->port]->label} cannot run as it stands", $how];
        };

        return array_map($say, $this->comparison->never);
    }

    /** @return list<string> schools that can be run elsewhere, and why not here */
    public function misfits(): array
    {
        $unfit = $this->comparison->unfit;

        return [
            ...array_map(
                fn (string $label, Misfit $misfit) => "{$label}: {$misfit->because}.",
                array_keys($unfit),
                array_values($unfit),
            ),
            ...array_unique(array_filter(array_map(fn (Misfit $misfit) => $misfit->lacks, array_values($unfit)))),
        ];
    }

    public function outlook(): string
    {
        return $this->plan->school->outlook($this->plan, $this->circuit, $this->units);
    }

    private function worthRow(DrainWorth $worth): WorthRow
    {
        $covers = implode(
            ', ',
            array_map(fn (string $c) => mb_strtolower($this->circuit->covers[$c]->label), $worth->covers),
        );
        $dry = array_unique(
            array_map(fn (string $p) => mb_strtolower($this->circuit->passages[$p]->label), $worth->keepsDry),
        );
        $verdict = match ($worth->verdict) {
            Worth::Must => 'must',
            Worth::Pays => 'worth it',
            Worth::Leave => 'leave shut',
        };

        return new WorthRow(
            $worth->port->label,
            $covers === '' ? '' : "{$covers} off",
            $this->volume($worth->volumeMl),
            round($worth->minutes).' min',
            $verdict,
            $dry === [] ? '' : 'keeps '.implode(', ', $dry).' dry',
            in_array($worth->port->id, $this->plan->choices->drains, true),
        );
    }

    private function schoolRow(ComparedSchool $row): SchoolRow
    {
        return new SchoolRow(
            $row->school->label(), $row->runs->likely > 1 ? "likely {$row->runs->likely} runs" : '',
            ($row->fill->estimate ? 'about ' : '').$this->range($row->fill->airLowMl(), $row->fill->airHighMl()),
            Hours::of($row->likelyMinutes()->hands),
            Hours::of($row->likelyMinutes()->total()),
            $row === $this->comparison->recommended,
            $row->school->id(),
            $row->school->runs(),
            $row->school->id() === $this->plan->school->id(),
        );
    }

    private function range(float $lowMl, float $highMl): string
    {
        return $highMl > $lowMl ? "{$this->volume($lowMl)} to {$this->volume($highMl)}" : $this->volume($lowMl);
    }

    private function volume(float $ml): string
    {
        return $this->units->format($ml, Dimension::Volume);
    }

    private function length(float $mm): string
    {
        return $this->units->format($mm, Dimension::Length);
    }
}
