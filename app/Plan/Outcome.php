<?php

declare(strict_types=1);

namespace App\Plan;

use App\Elevation\Picture;
use App\Models\LastJob;
use App\Run\Level;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Cover;
use Aqbel\Core\Circuit\Format\Inherited;
use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Ranges;
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

    /** @param  list<Shopping>  $ways */
    public function __construct(
        public Circuit $circuit,
        private Plan $plan,
        private array $ways,
        private ?LastJob $before,
        public UnitSystem $units,
        private StepCatalogue $kinds,
        private Inherited $inherited,
    ) {
    }

    public function bleedsOnly(): bool
    {
        return $this->plan->choices->jobKind === JobKind::Bleed;
    }

    public function level(): Level
    {
        return self::levelOf($this->circuit, $this->plan, $this->units);
    }

    /** @param  ?Ranges  $ranges  once they are known */
    public static function levelOf(Circuit $circuit, Plan $plan, UnitSystem $units, ?Ranges $ranges = null): Level
    {
        $p = $plan->predicted;

        return new Level(
            $plan->choices->jobKind === JobKind::Bleed
                ? new Figure(
                    'Air a fill leaves here',
                    $plan->fill->airMl,
                    Dimension::Volume,
                    Origin::Predicted,
                    $plan->choices->airLimitMl($circuit),
                    'allowed',
                    $ranges?->airMl,
                )
                : new Figure(
                    'Coolant needed',
                    $p->neededMl,
                    Dimension::Volume,
                    Origin::Predicted,
                    $p->capacityMl,
                    'capacity',
                    $ranges?->retainedMl->restOf($p->neededMl),
                ),
            $units,
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

    /** Drain points of the plan, for the page's own ticks. */
    public function drains(): string
    {
        return implode(' ', $this->plan->choices->drains);
    }

    /** @return list<Note> */
    public function notes(): array
    {
        return (new PlanNotes(
            $this->circuit,
            $this->plan,
            $this->before,
            $this->units,
            $this->kinds,
            $this->inherited,
        ))->all();
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

        return [Hours::of($minutes->hands), Hours::of($minutes->wait)];
    }

    /** @return list<array{name: string, steps: string}> */
    public function stages(): array
    {
        $state = new JobState($this->circuit, $this->plan, $this->kinds);
        $title = fn (Step $step): string => $this->kinds->of($step)->title($state->at($step, 0, $this->units));
        $stages = [];
        foreach (Stage::asTheyCome($this->plan->steps) as $stage) {
            $steps = array_filter($this->plan->steps, fn (Step $step) => $step->stage === $stage);
            $stages[] = [
                'name' => $stage->label(),
                'steps' => implode(' · ', array_map($title, $steps)),
            ];
        }

        return $stages;
    }

    private function way(Shopping $way): ShoppingWay
    {
        $name = fn (Liquid $liquid): string => mb_strtolower($liquid->label());
        $line = fn (Bought $b): string => "{$b->count} × "
            .PackSize::said($b->package->ml, $this->units)
            .' '
            .$name($b->package->liquid);
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

    private function where(Pocket $pocket): string
    {
        return $pocket->air->said($this->circuit);
    }

    private function volume(float $ml): string
    {
        return $this->units->format($ml, Dimension::Volume);
    }

    private function share(float $share): string
    {
        return $this->units->format($share, Unit::Percent);
    }
}
