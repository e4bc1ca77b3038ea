<?php

declare(strict_types=1);

namespace App\Plan;

use App\Elevation\Picture;
use App\Models\LastVisit;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Cover;
use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\ComparedSchool;
use Aqbel\Core\Plan\Comparison;
use Aqbel\Core\Plan\DrainWorth;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\NeverRuns;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Plan\School;
use Aqbel\Core\Plan\WhySilent;
use Aqbel\Core\Plan\Worth;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\PackSize;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Stores\Bought;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\Shopping;

/** The sequence of a plan and its numbers, in the reader's units. */
final readonly class Outcome
{
    private const SHOWN_POCKETS = 3;

    /** Less left over is a wet container. */
    private const DREGS_ML = 20.0;

    /** Schools shown before the others fold away. */
    private const SCHOOLS_AT_ONCE = 4;

    /**
     * @param  list<DrainWorth>  $worth
     * @param  list<Shopping>  $ways
     */
    public function __construct(
        public Circuit $circuit,
        private Plan $plan,
        private Comparison $comparison,
        private array $worth,
        private array $ways,
        private ?LastVisit $before,
        public UnitSystem $units,
        private Planner $planner,
        private StepCatalogue $kinds,
    ) {
    }

    public function bleedsOnly(): bool
    {
        return $this->plan->choices->jobKind === JobKind::Bleed;
    }

    public function figure(): Figure
    {
        $p = $this->plan->predicted;

        return $this->bleedsOnly()
            ? new Figure(
                'Air a fill leaves here',
                $this->plan->fill->airMl,
                Dimension::Volume,
                Origin::Predicted,
                $this->comparison->limitMl,
                'allowed',
            )
            : new Figure(
                'Coolant needed',
                $p->neededMl,
                Dimension::Volume,
                Origin::Predicted,
                $p->capacityMl,
                'capacity',
            );
    }

    /** @return list<array{string, string, string}> name, what it concerns, value */
    public function facts(): array
    {
        if ($this->bleedsOnly()) {
            return array_map(
                fn (Pocket $p) => [$this->where($p), '', $this->volume($p->volumeMl())],
                $this->plan->fill->pockets,
            );
        }
        $p = $this->plan->predicted;
        $choices = $this->plan->choices;
        $facts = [];
        foreach ($p->drains as $drain) {
            $facts[] = ["{$this->circuit->ports[$drain->port]->label} lets out", '', $this->volume($drain->volumeMl)];
        }
        $stock = $choices->stockFraction < 1.0 ? 'Premix '.$this->share($choices->stockFraction) : 'Concentrate';
        $frost = $choices->frostC === null ? '' : 'for '.$this->units->format($choices->frostC, Dimension::Temperature);

        return [
            ...$facts,
            ['Stays inside', implode(', ', $p->retained->labels($this->circuit)), $this->volume($p->retainedMl)],
            [$stock, '', $this->volume($p->stockMl)],
            ['Water', '', $this->volume($p->waterMl)],
            ['Circuit in the end', $frost, $this->share($p->finalFraction)],
        ];
    }

    /** Drain points the plan recommends, for the page's own ticks. */
    public function recommendedDrains(): string
    {
        return implode(' ', DrainWorth::recommended($this->worth));
    }

    /** @return list<Note> */
    public function notes(): array
    {
        return (new PlanNotes($this->circuit, $this->plan, $this->before, $this->units, $this->kinds))->all();
    }

    /** @return list<WorthRow> */
    public function worth(): array
    {
        return $this->bleedsOnly() ? [] : array_map($this->worthRow(...), $this->worth);
    }

    /** @return list<array{string, string}> cover, and how long it takes */
    public function covers(): array
    {
        $say = fn (Cover $c): array => [
            $c->label, round($c->minutes).' min'.($c->neededToRun ? ', needed to run' : ''),
        ];

        return array_map($say, $this->plan->materials($this->circuit)->covers());
    }

    /** @return list<string> */
    public function parts(): array
    {
        return array_values($this->plan->materials($this->circuit)->parts());
    }

    /** The family that is topped up with, where nothing is bought. */
    public function family(): string
    {
        return $this->circuit->facts->inhibitor === ''
            ? 'the family the manual names'
            : $this->circuit->facts->inhibitor;
    }

    public function sparePercent(): float
    {
        return round(100.0 * (Shopping::SPARE - 1.0));
    }

    /** @return list<ShoppingWay> the cheaper one first */
    public function ways(): array
    {
        return array_map($this->way(...), $this->ways);
    }

    public function recommendation(): string
    {
        return $this->comparison->reason($this->circuit, $this->units);
    }

    /** @return list<non-empty-list<SchoolRow>> those shown at once, then those folded away */
    public function schools(): array
    {
        return array_chunk(array_map($this->schoolRow(...), $this->comparison->schools), self::SCHOOLS_AT_ONCE);
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
            $open === [] ? 'no bleed point' : implode(' and ', $open),
            $cheapest->pour->noseLiftMm > 0.0 ? 'nose raised '.$this->length($cheapest->pour->noseLiftMm) : null,
            $cheapest->pour->headMm > 0.0 ? 'funnel '.$this->length($cheapest->pour->headMm).' above the neck' : null,
        ]);

        return "{$allowed} Cheapest fill under it: ".implode(', ', $how).'.';
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
        $say = function (School $school): ?string {
            $misfit = $school->runs() ? $school->whyNot($this->circuit, $this->plan->choices) : null;

            return $misfit === null ? null : "{$school->label()}: {$misfit->because}.";
        };

        return array_values(array_filter(array_map($say, $this->planner->schools->for($this->circuit))));
    }

    public function outlook(): string
    {
        return $this->plan->school->outlook($this->plan, $this->circuit, $this->units);
    }

    public function picture(): Picture
    {
        $notes = [];
        foreach ($this->plan->predicted->drains as $drain) {
            $notes[$drain->port] = 'lets out '.$this->volume($drain->volumeMl);
        }
        $pour = $this->plan->school->pours($this->circuit, $this->plan->choices)[0];

        return new Picture(
            $this->circuit,
            $this->plan->fill->runs,
            noseLiftMm: $pour->noseLiftMm,
            pockets: array_slice($this->plan->fill->pockets, 0, self::SHOWN_POCKETS),
            notes: $notes,
            units: $this->units,
        );
    }

    /** @return array{string, string} hands on and waiting */
    public function times(): array
    {
        $minutes = $this->plan->minutes($this->kinds);

        return [self::hours($minutes->hands), self::hours($minutes->wait)];
    }

    /** @return list<array{number: int, name: string, steps: string}> */
    public function stages(): array
    {
        $state = new JobState($this->circuit, $this->plan, $this->kinds);
        $title = fn (Step $step): string => $this->kinds->of($step)->title($state->at($step, 0, $this->units));
        $stages = [];
        foreach (Stage::cases() as $stage) {
            $steps = array_filter($this->plan->steps, fn (Step $step) => $step->stage === $stage);
            $stages[] = [
                'number' => $stage->value,
                'name' => $stage->label(),
                'steps' => implode(' · ', array_map($title, $steps)),
            ];
        }

        return $stages;
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

    private function way(Shopping $way): ShoppingWay
    {
        $name = fn (Liquid $liquid): string => mb_strtolower($liquid->label());
        $line = fn (Bought $b): string => "{$b->count} × ".PackSize::said($b->package->ml, $this->units).' '.$name($b->package->liquid);
        $title = $way->stock === Liquid::Premix ? 'Premix '.$this->share($way->stockFraction) : 'Concentrate and water';
        $currency = $this->plan->rules()->currency;
        $help = [
            ...array_map(
                fn (Liquid $l) => "{$this->volume($way->fromShelf->of($l))} {$name($l)} from the shelf.",
                $way->fromShelf->liquids(1.0),
            ),
            ...array_map(
                fn (Liquid $l) => "{$this->volume($way->leftOver->of($l))} {$name($l)} left.",
                $way->leftOver->liquids(self::DREGS_ML),
            ),
            ...$way->mix->reachable() ? [] : ["Reaches only {$this->share($way->mix->finalFraction())}."],
        ];

        return new ShoppingWay(
            $title,
            $way->offered,
            number_format($way->cost, 2).($currency === '' ? '' : " {$currency}"),
            $way->bought === [] ? 'Nothing: the shelf has it.' : implode(', ', array_map($line, $way->bought)),
            implode(' ', $help),
        );
    }

    private function schoolRow(ComparedSchool $row): SchoolRow
    {
        return new SchoolRow(
            $row->school->label(), $row->heatCycles > 1 ? "{$row->heatCycles} heat cycles" : '',
            ($row->fill->estimate ? '~' : '').$this->volume($row->fill->airMl),
            self::hours($row->minutes->hands), self::hours($row->minutes->total()), $row === $this->comparison->recommended,
            $row->school->id(), $row->school->runs(), $row->school->id() === $this->plan->school->id(),
        );
    }

    private function where(Pocket $pocket): string
    {
        return implode(', ', $pocket->air->labels($this->circuit));
    }

    private function volume(float $ml): string
    {
        return $this->units->format($ml, Dimension::Volume);
    }

    private function length(float $mm): string
    {
        return $this->units->format($mm, Dimension::Length);
    }

    private function share(float $share): string
    {
        return $this->units->format($share, Unit::Percent);
    }

    private static function hours(float $minutes): string
    {
        $whole = (int) round($minutes);

        return intdiv($whole, 60).' h '.str_pad((string) ($whole % 60), 2, '0', STR_PAD_LEFT);
    }
}
