<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Job;
use App\Models\Shop;
use App\Models\Visit;
use App\Visits\VisitBook;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\FrostKept;
use Aqbel\Core\Judged\Level;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Observed\Started;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Plan\NextChange;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;

/**
 * What whoever drives the vehicle takes along: what was done, what
 * is in it, what to watch for, when to come. In their words.
 */
final readonly class HandOver
{
    /**
     * So many reading errors of a level are what a driver may top up
     * in a week without a word (common practice, no source).
     */
    private const A_WEEK = 4.0;

    private Plan $plan;

    /** As it is inside: by the sums, or as it was read. */
    private Mixture $mixture;

    public function __construct(
        public Job $job,
        public Shop $shop,
        private JobState $state,
        private UnitSystem $units,
        private StepCatalogue $kinds,
    ) {
        $this->plan = Plan::of($state);
        $inside = FrostKept::inside($state, (new VisitBook($job))->freezeC($this->plan->rules()->vessels)) ?? $this->plan->choices->targetFraction;
        $this->mixture = new Mixture($state->circuit->facts->base, min(1.0, max(0.0, $inside)));
    }

    /** @return list<string> */
    public function done(): array
    {
        $before = $this->state->ledgerBefore(Stage::Fill);
        $out = $this->state->ledgerBefore(Stage::Rinse)->outMl();
        $in = $this->state->ledger()->contentMl - $before->contentMl;
        $ran = count(array_filter(
            $this->state->stepsOf('heat_cycle'),
            fn (Step $step) => $this->state->observed($step->id, Started::class) !== [],
        ));
        $levels = array_filter(
            $this->state->stepsOf('cold_level'),
            fn (Step $step) => $this->state->observed($step->id, ToppedUp::class) !== [],
        );
        $again = $levels === [] ? '' : ' and looked at cold again';

        return array_values(
            array_filter([
                $out > 0.0 ? "{$this->volume($out)} of coolant came out." : '',
                $in > 0.0 ? "{$this->volume($in)} went in".($this->isRidOfAir($levels) ? ', and the air was let out.' : '.') : '',
                $ran === 0 ? '' : 'It was run warm '.($ran === 1 ? 'once' : "{$ran} times")."{$again}.",
                $this->drove(),
            ]),
        );
    }

    /**
     * By its last cold level, and by the sums.
     *
     * @param  array<Step>  $levels  that were looked at
     */
    private function isRidOfAir(array $levels): bool
    {
        $last = end($levels);
        $ledger = $this->state->ledger();

        return $last !== false
            && $this->state->verdictOf($last, now()->getTimestamp(), $this->units)?->passes() === true
            && $ledger->trappedAirMl() <= $ledger->trappedAirPlusMinusMl();
    }

    /** As the last drive was judged, and whether one before it was not cool. */
    private function drove(): string
    {
        $drives = array_filter(
            $this->state->stepsOf('drive'),
            fn (Step $step) => $this->state->entriesOf($step->id) !== [],
        );
        $cool = array_map(
            fn (Step $step) => $this->state->verdictOf($step, now()->getTimestamp(), $this->units)?->passes() === true,
            array_values($drives),
        );

        return match (true) {
            $cool === [] => '',
            ! in_array(false, $cool, true) => 'It was driven, and stayed cool.',
            $cool[count($cool) - 1] => 'It was driven again after a drive that did not go well, and stayed cool.',
            default => 'It was driven; what was seen on the way stands in the record.',
        };
    }

    /** @return array<array{string, string}> */
    public function inIt(): array
    {
        $ledger = $this->state->ledger();

        return array_filter([
            [
                'Coolant',
                "{$this->state->circuit->facts->family()}, "
                .$this->units->format($this->mixture->volumeFraction, Unit::Percent)
                .' with water',
            ],
            ['Safe from frost down to', $this->units->format($this->mixture->freezePoint()->degC(), Dimension::Temperature)],
            ['Inside', $this->volume($ledger->contentMl)],
            $ledger->oldShare() > 0.0
                ? ['Of it old coolant', $this->units->format($ledger->oldShare(), Unit::Percent)]
                : null,
        ]);
    }

    /** @return list<string> */
    public function topUp(): array
    {
        $mark = $this->state->circuit->facts->coldLevel;
        $week = self::A_WEEK * Level::plusMinusMl($this->state->circuit);

        return [
            "Only with the engine cold, up to {$mark}, with the same mixture: "
            .lcfirst($this->state->circuit->facts->family())
            .', '
            .$this->units->format($this->mixture->volumeFraction, Unit::Percent)
            .' with water.',
            'A little may be missing in the first days while the last air leaves. '
            ."More than {$this->volume($week)} in a week is too much: come in.",
        ];
    }

    /** @return list<string> */
    public function watch(): array
    {
        $watch = array_map($this->kinds->sayWatch(...), $this->job->summary->watch ?? []);

        return [
            'The needle higher than usual, a red lamp, steam: stop where it is safe, shut off, let it cool, call.',
            ($this->state->circuit->hasHeater() ? 'The heater cold while the engine is warm, a' : 'A')
            .' sweet smell, a puddle under it: come in.',
            ...$watch,
        ];
    }

    /** @return list<string> */
    public function come(): array
    {
        $due = Visit::query()->due()->where('job_id', $this->job->id)->orderBy('due_on')->first();
        $next = $this->plan->choices->drains === []
                ? ''
                : NextChange::after($this->plan->choices, $this->units, $this->state->ledger()->oldShare());

        return array_values(
            array_filter([
                $due === null
                    ? ''
                    : "On {$due->due_on->format('Y-m-d')}, cold, for a look at the level: it takes a minute.",
                $next === '' ? '' : "Next change of the coolant: {$next}.",
            ]),
        );
    }

    /** How the days after went so far; empty before the first look. */
    public function since(): string
    {
        $says = (new VisitBook($this->job))->says($this->state);

        return $says === null
            ? ''
            : "Looked at since: {$says->looks} "
                    .($says->looks === 1 ? 'time' : 'times')
                    .", topped up {$this->volume($says->takenMl)} in all.";
    }

    /** @return list<array{string, string}> of the label for tank and can */
    public function label(): array
    {
        return [
            [
                'Mixture',
                $this->units->format($this->mixture->volumeFraction, Unit::Percent)
                .", {$this->state->circuit->facts->family()}",
            ],
            ['Frost', $this->units->format($this->mixture->freezePoint()->degC(), Dimension::Temperature)],
            ['Date', ($this->job->signed_at ?? now())->format('Y-m-d')],
            ['Job', $this->job->number()],
        ];
    }

    private function volume(float $ml): string
    {
        return $this->units->format($ml, Dimension::Volume);
    }
}
