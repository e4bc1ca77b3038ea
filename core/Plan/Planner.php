<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PartVolume;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Values;

/** From circuit, school, place and house rules to the whole sequence with the numbers it rests on. */
final readonly class Planner
{
    /** A step names at most so many parts that it empties, and none that holds less than this. */
    private const NAMED_PARTS = 3;

    private const WORTH_NAMING_ML = 100.0;

    /**
     * A raised nose helps where it leaves less air by more than this
     * share of the capacity (common practice, no source).
     */
    private const LESS = 0.005;

    public function __construct(public Kinds $kinds, public Schools $schools)
    {
    }

    /** @throws InvalidField on `school`, when it does not fit, with the remedy */
    public function plan(Circuit $circuit, Choices $choices): Plan
    {
        return $this->by($this->asked($circuit, $choices), $this->groundwork($circuit, $choices));
    }

    /**
     * The plan as a page shows it before it is started: by the first school that fits where nobody asked for one.
     *
     * @throws InvalidField on `school`, when the one asked for does not fit, or leaves a jacket dry
     */
    public function shown(Circuit $circuit, Choices $choices, bool $asked): Plan
    {
        $on = $this->groundwork($circuit, $choices);
        if (! $asked) {
            return $this->nearest($on);
        }
        $school = $this->asked($circuit, $choices);
        $misfit = $this->whyNot($school, $on);

        return $misfit === null ? $this->by($school, $on) : throw new InvalidField('school', $misfit->remedy);
    }

    /** @throws InvalidField */
    private function asked(Circuit $circuit, Choices $choices): School
    {
        $school = $this->schools->of($choices->school);
        if ($school->id() !== $choices->school) {
            throw new InvalidField('school', 'There is no such way of filling. Choose one of those listed.');
        }
        $misfit = $school->whyNot($circuit, $choices);

        return $misfit === null && $school->runs()
            ? $school
            : throw new InvalidField('school', $misfit->remedy ?? 'This way cannot be run yet. Choose another.');
    }

    /** The plan by the school chosen or, where that does not fit, by the first that does. */
    public function nearest(Groundwork $on): Plan
    {
        $chosen = $this->schools->of($on->choices->school);
        if ($chosen->id() === $on->choices->school && $chosen->runs() && $this->whyNot($chosen, $on) === null) {
            return $this->by($chosen, $on);
        }

        $best = $this->fitting($on)[0] ?? throw new InvalidField('school', 'No way of filling fits this circuit.');

        return $this->by($best, $on);
    }

    /**
     * The ways that fit. Where each leaves a jacket dry with what is at hand, those that
     * do no more than that, the least air first: it may be planned and filled, and no
     * engine is started before the ledger says that enough is in.
     *
     * @return list<School>
     */
    public function fitting(Groundwork $on): array
    {
        [$fitting, $dry] = [[], []];
        foreach ($this->schools->for($on->circuit) as $school) {
            $misfit = $this->misfit($school, $on);
            if ($misfit === null && $school->runs()) {
                $fitting[] = $school;
            } elseif ($misfit?->code === Misfit::DRY && $school->runs()) {
                $dry[] = $school;
            }
        }
        if ($fitting !== []) {
            return $fitting;
        }
        $air = fn (School $school): float => $on->filledBy($school)->airMl;
        usort($dry, fn (School $a, School $b) => $air($a) <=> $air($b));

        return $dry;
    }

    /** Why it may not be planned; null where it fits, or leaves a jacket dry where every way does. */
    public function whyNot(School $school, Groundwork $on): ?Misfit
    {
        $misfit = $this->misfit($school, $on);
        $first = $misfit?->code === Misfit::DRY ? $this->fitting($on)[0] ?? null : null;

        return $first !== null && $this->misfit($first, $on) !== null ? null : $misfit;
    }

    /**
     * Why a school does not fit: by its own needs, or because what it fills leaves a jacket dry; null where it fits.
     */
    public function misfit(School $school, Groundwork $on): ?Misfit
    {
        return $on->misfit($school, fn (): ?Misfit => self::findMisfit($school, $on));
    }

    private static function findMisfit(School $school, Groundwork $on): ?Misfit
    {
        $misfit = $school->whyNot($on->circuit, $on->choices) ?? self::endsTooEarly($school, $on);

        return match (true) {
            $misfit !== null || $school->isAid() || $school->followsTheManual() => $misfit,
            ! self::liftHelps($school, $on) => new Misfit(
                'lift_does_not_help',
                'leaves no less air here',
                'With the nose up no less air stays in this circuit than on level ground: leave it down.',
            ),
            $on->filledBy($school)->wetsTheJackets($on->circuit) => null,
            default => new Misfit(
                Misfit::DRY,
                'leaves a jacket dry',
                "{$school->label()} leaves pump or jackets of this circuit dry, and no engine is started on that. "
                    .'Choose a way that fills them.',
                $on->circuit->portsOf(PortKind::Bleed) === []
                    ? 'A vent line or bleed point that this vehicle has and its circuit does not name would let that air '
                        .'out: add it to the circuit.'
                    : '',
            ),
        };
    }

    /** Why a school's runs could show nothing here, whatever has been poured; null where they can. */
    public static function endsTooEarly(School $school, Groundwork $on): ?Misfit
    {
        return NeckLimit::endsTooEarly($on->circuit, $on->choices, $school->warmUp())
            ? new Misfit(
                'ends_too_early',
                'is shut off before the thermostat opens',
                'At this height, and with this mixture, coolant that is not under its cap boils too near to where the '
                    .'thermostat opens. Warm it up sealed.',
            )
            : null;
    }

    /** Whether a nose that is raised for the pour leaves less air than one that is not; also where none is raised. */
    private static function liftHelps(School $school, Groundwork $on): bool
    {
        $pours = $school->pours($on->circuit, $on->choices);
        $pour = $pours[count($pours) - 1];
        $level = $pour->but(noseLiftMm: $on->choices->noseLiftMm);

        return $pour->noseLiftMm <= $on->choices->noseLiftMm
            || $on->fills->of($pour)->airMl < $on->fills->of($level)->airMl - self::LESS * $on->circuit->capacityMl();
    }

    /** @param  ?Simulations  $fills  of this circuit at the shop's barometer, where some were simulated before */
    public function groundwork(Circuit $circuit, Choices $choices, ?Simulations $fills = null): Groundwork
    {
        $fills ??= new Simulations($circuit, $choices);

        return new Groundwork(
            $circuit,
            $choices,
            Predictor::predict($circuit, $choices, $this->schools->of($choices->school), $fills),
            $fills,
        );
    }

    /** The same job by one school. */
    public function by(School $school, Groundwork $on): Plan
    {
        $mine = $on->for($school);
        $fill = $on->filledBy($school);
        if (! $fill->estimate && ! $school->mixedOutside()) {
            $pours = $school->pours($on->circuit, $mine->choices);
            $fill = $fill->hangingOn($on->fills->ties($pours[count($pours) - 1])->all);
        }

        return new Plan($school, $mine->choices, $this->steps($mine, $school, $fill), $mine->predicted, $fill);
    }

    /** @return list<Step> */
    private function steps(Groundwork $on, School $school, PredictedFill $fill): array
    {
        $choices = $on->choices;
        $materials = new Materials($on->circuit, $choices, $school);
        $drained = $on->predicted->drains !== [];
        $cycles = $school->looks();
        $filled = $school->steps($on, $fill);
        $when = fn (bool $needed, string $id, string $kind, Stage $stage, Values $about = new Values): ?Step => $needed
            ? new Step($id, $kind, $stage, $about)
            : null;

        return $this->gated(array_values(array_filter([
            new Step('found', 'found', Stage::Plan),
            $when($choices->jobKind !== JobKind::Lost, 'baseline', 'baseline', Stage::Plan),
            new Step('gather', 'gather', Stage::Plan),
            new Step('make_safe', 'make_safe', Stage::MakeSafe),
            new Step('cold_check', 'cool_down', Stage::MakeSafe),
            $when($choices->left?->stopped === true, LeftBehind::CAUSE, 'why_stopped', Stage::MakeSafe),
            new Step('inspect', 'inspect', Stage::MakeSafe),
            $when($choices->leakFirst(), 'find_drip', 'find_drip', Stage::MakeSafe),
            ...$this->drains($on->circuit, $on->predicted),
            $when($drained, 'reconcile:1', 'reconcile', Stage::Drain),
            $when($drained, 'look', 'look', Stage::Drain),
            $when(
                $choices->content->needsJarTest(),
                'jar_test',
                'jar_test',
                $drained ? Stage::Drain : Stage::CloseUp,
            ),
            $when($drained, 'rinse', 'rinse', Stage::Rinse, new Values(['rinses' => $on->predicted->rinses])),
            $when(
                $choices->cureMinutes > 0.0,
                'cure',
                'cure',
                Stage::CloseUp,
                new Values(['minutes' => $choices->cureMinutes]),
            ),
            new Step('close_up', 'close_up', Stage::CloseUp),
            new Step('mix', 'mix', Stage::Mix),
            ...$filled,
            self::refit('refit:start', Stage::RunHot, $materials->toRefitBeforeStart()),
            ...self::lowered(
                $filled,
                $school->rounds($on->circuit)
                    ?? HeatRound::planned($school->warmUp(), $cycles, $choices->bleedsOf($on->circuit)[0] ?? ''),
            ),
            // Under a funnel there was no neck to put the tester on before.
            $when(
                $school->warmUp() === WarmUp::UnderFunnel && $choices->has(Tool::PressureTester),
                'pressure_test',
                'pressure_test',
                Stage::Prove,
            ),
            new Step('leak_check', 'leak_check', Stage::Prove),
            self::refit('refit:end', Stage::Prove, $materials->toRefitAtTheEnd()),
            $when($cycles > 0, 'drive', 'drive', Stage::Prove),
            $when($cycles > 0, 'cool_down:drive', 'cool_down', Stage::Prove),
            $when($cycles > 0, 'cold_level:drive', 'cold_level', Stage::Prove),
            $when($choices->has(Tool::Refractometer), 'refractometer', 'refractometer', Stage::Prove),
            $when($choices->complaint !== Complaint::None, 'complaint', 'complaint', Stage::Prove),
            new Step('follow_up', 'follow_up', Stage::Prove),
            new Step('left_over', 'left_over', Stage::HandOver),
            new Step('dispose', 'dispose', Stage::HandOver),
            new Step('sign_off', 'sign_off', Stage::HandOver),
        ])));
    }

    /**
     * A nose that its way keeps up for the first run comes down when that is shut off, before a level is read cold.
     *
     * @param  list<Step>  $filled
     * @param  list<Step>  $rounds
     * @return list<Step>
     */
    private static function lowered(array $filled, array $rounds): array
    {
        $kinds = array_map(fn (Step $step) => $step->kind, $filled);
        if (! in_array('raise', $kinds, true) || in_array('lower', $kinds, true)) {
            return $rounds;
        }
        $first = array_slice($rounds, 0, 1);

        return [...$first, new Step('lower', 'lower', $first === [] ? Stage::Fill : Stage::Cool), ...array_slice($rounds, 1)];
    }

    /** @param  list<string>  $covers */
    private static function refit(string $id, Stage $stage, array $covers): ?Step
    {
        return $covers === [] ? null : new Step($id, 'refit', $stage, new Values(['items' => $covers]));
    }

    /**
     * With a cure running, nothing pulls or presses before it is over.
     *
     * @param  list<Step>  $steps
     * @return list<Step>
     */
    private function gated(array $steps): array
    {
        if (! in_array('cure', array_map(fn (Step $s) => $s->kind, $steps), true)) {
            return $steps;
        }
        foreach ($steps as $i => $step) {
            if ($step->stage->value >= Stage::Fill->value && $this->kinds->does($step, Does::LoadsJoints)) {
                array_splice($steps, $i, 0, [new Step('cured', 'cured', $step->stage)]);
                break;
            }
        }

        return $steps;
    }

    /** @return list<Step> */
    private function drains(Circuit $circuit, Prediction $predicted): array
    {
        $steps = [];
        foreach ($predicted->drains as $i => $drain) {
            $empties = array_filter(
                $drain->letsOut->byPart($circuit),
                fn (PartVolume $v) => $v->ml > self::WORTH_NAMING_ML,
            );
            $steps[] = new Step("drain:{$drain->port}", 'drain', Stage::Drain, new Values([
                'port' => $drain->port, 'predicted_ml' => $drain->volumeMl, 'first' => $i === 0,
                'empties' => array_slice(
                    array_values(array_map(fn (PartVolume $v) => $v->part->id, $empties)),
                    0,
                    self::NAMED_PARTS,
                ),
            ]));
        }

        return $steps;
    }
}
