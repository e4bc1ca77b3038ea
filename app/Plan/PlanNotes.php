<?php

declare(strict_types=1);

namespace App\Plan;

use App\Models\LastJob;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\Inherited;
use Aqbel\Core\Flow\Tie;
use Aqbel\Core\Observed\SetUp;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\LikelyRuns;
use Aqbel\Core\Plan\NextChange;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\WhatHangsOn;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;

/** What somebody should know of a plan before starting it. */
final readonly class PlanNotes
{
    public function __construct(
        private Circuit $circuit,
        private Plan $plan,
        private ?LastJob $before,
        private UnitSystem $units,
        private StepCatalogue $kinds,
        private Inherited $inherited,
    ) {
    }

    /** @return list<Note> */
    public function all(): array
    {
        return array_values(array_filter([
            $this->leftBehind(),
            $this->watch(),
            $this->unseen(),
            $this->bleedOnly(),
            $this->dripFirst(),
            $this->leakIsFound(),
            $this->plan->choices->drains === [] && ! $this->plan->choices->arrivesEmpty() ? null : $this->content(),
            $this->nothingDrained(),
            $this->outOfReach(),
            $this->due(),
            $this->runs(),
            ...array_map($this->tie(...), $this->plan->fill->ties),
        ]));
    }

    private function leftBehind(): ?Note
    {
        $left = $this->plan->choices->left;
        if ($left?->isUnfinished() !== true) {
            return null;
        }
        $open = array_filter(array_map(fn (string $port) => $this->circuit->ports[$port]->label ?? null, $left->open));
        $setUp = array_map(fn (SetUp $what) => $what->label(), SetUp::coded($left->setUp));
        $inside = $left->contentMl === null
            ? 'What is inside nobody recorded.'
            : "Inside by its ledger: {$this->units->format($left->contentMl, Dimension::Volume)} ± "
                ."{$this->units->format($left->plusMinusMl, Dimension::Volume)}.";

        return new Note(
            'triangle-alert',
            'wait',
            $left->signed ? "{$left->job} was signed short of its mark." : "{$left->job} was given up.",
            ($open === [] ? '' : 'Left open: '.implode(', ', $open).'. ')
            .($setUp === [] ? '' : 'It was left '.implode(', ', $setUp).'. ')
            .($left->stopped
                ? 'A run had to be stopped, and nobody has said why: that comes right after the cold check. '
                : '')
            .$inside,
        );
    }

    /** What hangs on two heights that a tape cannot tell apart. */
    private function tie(Tie $tie): Note
    {
        return new Note('eye', 'wait', 'Measure these two:', WhatHangsOn::say($tie, $this->circuit, $this->units));
    }

    private function bleedOnly(): ?Note
    {
        return $this->plan->choices->jobKind !== JobKind::Bleed ? null : new Note(
            'eye',
            '',
            'Nothing is drained.',
            'Top up, open the points in their order, and prove it hot.'
                .' What has been poured in since somebody’s work is unknown: read the level first.',
        );
    }

    private function dripFirst(): ?Note
    {
        return ! $this->plan->choices->leakFirst() ? null : new Note(
            'triangle-alert',
            'stop',
            'Find the drip first.',
            'Coolant has been disappearing: the circuit is topped up and pressed cold before anything is drained.',
        );
    }

    private function leakIsFound(): ?Note
    {
        return ! $this->plan->choices->leakIsFound()
            ? null
            : new Note(
                'eye',
                '',
                'The leak is found.',
                'No drip is hunted first. What is missing is reckoned from the level as '
                    .'found, and nothing more is drained unless you choose it.',
            );
    }

    /** Facts of another vehicle, until somebody has looked at them. */
    private function unseen(): ?Note
    {
        return $this->inherited->facts === []
            ? null
            : new Note(
                'triangle-alert',
                'wait',
                'Not looked at for this vehicle:',
                "{$this->inherited->said()}. It came with the layout of another one. "
                    .'Whoever keeps the circuits says in the editor what is right.',
            );
    }

    private function watch(): ?Note
    {
        if ($this->before === null || $this->before->watch === []) {
            return null;
        }
        $watch = array_map($this->kinds->sayWatch(...), $this->before->watch);

        return new Note('eye', 'wait', "To watch, from {$this->before->job}:", implode('; ', $watch).'.');
    }

    /** Without a drain nothing comes out, so nothing is needed: seldom what is meant. */
    private function nothingDrained(): ?Note
    {
        $choices = $this->plan->choices;
        $meant = $choices->drains !== []
            || in_array($choices->jobKind, [JobKind::Bleed, JobKind::Lost], true)
            || $choices->arrivesEmpty()
            || $choices->leakFirst();

        return $meant ? null : new Note(
            'triangle-alert',
            'wait',
            'No drain is chosen.',
            $choices->opened === []
                ? 'Nothing comes out, so no coolant is needed. Choose the drains, or say that it arrives empty.'
                : 'What runs out where it is opened is not reckoned: catch it, and write down that it came out another '
                    .'way. Or choose the drains.',
        );
    }

    private function content(): Note
    {
        $content = $this->plan->choices->content;
        $old = $content->oldShareAllowed($this->plan->rules()->oldShare);
        $rinses = $this->plan->predicted->rinses;
        $by = $rinses === 0 ? 'the drain alone does that' : "about {$rinses} × rinse";
        $may = $old === null ? '' : "At most {$this->share($old)} may stay: {$by}. ";
        $facts = $this->circuit->facts;
        $wanted = implode(', ', array_filter([mb_strtolower($facts->base->label()), $facts->inhibitor]));

        return new Note(
            $old === null ? 'circle-check' : 'triangle-alert',
            $old === null ? '' : 'wait',
            "{$content->verdict()}.",
            "{$content->reason()} {$may}Wanted: {$wanted}.",
        );
    }

    /**
     * Each further run is ordered by what was seen, and takes hours:
     * how likely that is decides what else is begun today.
     */
    private function runs(): ?Note
    {
        $runs = LikelyRuns::of($this->plan, $this->circuit, $this->kinds);
        $looks = $this->plan->school->looks();
        $inTen = (int) round(10.0 * $runs->enough);
        $how = match (true) {
            $inTen >= 10 => 'That is enough nearly always.',
            $inTen <= 0 => 'That is seldom enough here.',
            default => "That is enough in about {$inTen} of 10 such fills.",
        };
        $more = $runs->likely > $runs->planned ? " Likely {$runs->likely} in all." : '';

        return $looks === 0
            ? null
            : new Note(
                'timer',
                '',
                $looks === 1
                    ? 'One run, a cold look and a drive.'
                    : "{$looks} runs, each with a cold look, and a drive.",
                'More only if a proof is missing or the cold level still takes '
                    ."coolant. {$how}{$more} Each further run: "
                    .Hours::of($runs->each->total())
                    .', of which hands '
                    .Hours::of($runs->each->hands)
                    .'.',
            );
    }

    private function outOfReach(): ?Note
    {
        $p = $this->plan->predicted;
        $stays = $this->units->format($p->retainedMl, Dimension::Volume);

        return $p->reachable ? null : new Note(
            'octagon-x',
            'stop',
            "{$this->share($this->plan->choices->targetFraction)} is out of reach.",
            "With {$stays} staying inside the circuit comes only to {$this->share($p->finalFraction)}."
                .' Open another drain, or pour concentrate.',
        );
    }

    private function due(): ?Note
    {
        $due = NextChange::before($this->plan->choices);
        if ($due === null) {
            return null;
        }
        [$tone, $bold] = match (true) {
            $due->overdue() => ['stop', 'The coolant is overdue:'],
            $due->due() => ['wait', 'The coolant is due:'],
            default => ['', 'The coolant has time left:'],
        };

        return new Note(
            $due->due() ? 'triangle-alert' : 'circle-check',
            $tone,
            $bold,
            round(100.0 * $due->share)." % of the shop’s interval, by {$due->by->label()}.",
        );
    }

    private function share(float $share): string
    {
        return $this->units->format($share, Unit::Percent);
    }
}
