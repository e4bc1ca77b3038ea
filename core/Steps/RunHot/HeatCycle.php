<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Circuit\GateKind;
use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Plan\WarmUp;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Findings\BeforeAndNow;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Steps\TopUp;
use Aqbel\Core\Values;

/** Stage 8: run it hot, and prove thermostat, fan, heater, bubbles and level. */
final class HeatCycle extends StepKind
{
    /** Seconds of a usual warm-up (common practice, no source). */
    private const WARM_UP_S = 1200;

    public function name(): string
    {
        return 'heat_cycle';
    }

    protected function doing(): array
    {
        return [Does::RunsEngine, Does::LoadsJoints, Does::MovesCoolant, Does::Guards];
    }

    public function title(Situation $at): string
    {
        return 'Heat cycle '.$at->step->params->whole('round');
    }

    public function why(Situation $at): string
    {
        $limit = $this->limit($at);
        $fan = $limit->fanCanProve()
            ? ''
            : ' That is below fan-on, so the fan cannot be the proof: the thermostat and the heater are.';

        return "Only a hot, moving circuit gives its air up. Shut down at {$at->degrees($limit->limit->degC())}: "
            ."{$limit->because->label()}.{$fan}";
    }

    public function instructions(Situation $at): array
    {
        $cycles = Plan::of($at)->rules()->fanCycles;
        $often = $cycles === 2 ? 'twice' : "{$cycles} times";

        return [
            ...WarmTopUp::instructions($at),
            'Heater on maximum, A/C off, blower low. Idle five to ten minutes before any revs.',
            "Probe on the {$at->facts()->thermostatFarSide}; temperature from a live reading, not the dash.",
            'Read every few minutes. Short lifts to 2000 rpm only below the limit, with level and heater good.',
            "Outlets really hot, fan on and off {$often}, no bubbles after a blip: then shut off.",
            'Shut off at once for steam, a warning lamp, a new drip, or the temperature climbing with the heater '
                .'blowing cold.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Exhaust, Hazard::Moving, Hazard::Scald];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        if (! $at->has(EngineStart::FORM)) {
            return [$this->startForm($at)];
        }
        if ($at->has('shut_off')) {
            return $this->formsAfterwards($at);
        }
        $forms = [
            $this->readingForm($at),
            ByHand::form($at, $this->besides($at)),
            FanProof::runs($at) ? self::fanForm('fan_off', 'Fan went off') : self::fanForm('fan_on', 'Fan came on'),
        ];
        if ($this->neck($at) !== Neck::Sealed) {
            $forms[] = $this->toppedForm($at);
            $forms[] = WarmTopUp::by($at) === WarmUp::UnderFunnel ? null : WarmTopUp::capForm();
        }
        if ($this->limit($at)->fanCanProve() && ! FanProof::cannotCome($at)) {
            $forms[] = self::noFanForm();
        }
        // Revs wait until the readings say that they may.
        $forms[] = ($at->has('reading') || $at->has(ByHand::FORM)) && $this->judge($at)?->stops() !== true ? EngineHold::form() : null;
        $forms = array_values(array_filter($forms));
        $off = self::offForm()->aside(! $at->has('reading') && ! $at->has(ByHand::FORM))->closing();

        return $this->judge($at)?->stops() === true ? [$off, ...$forms] : [...$forms, $off];
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [
            $this->startForm($at, true), $this->readingForm($at), ByHand::form($at, $this->besides($at)), self::fanForm('fan_on', 'Fan came on'), self::fanForm('fan_off', 'Fan went off'),
            $this->toppedForm($at), self::noFanForm(), self::offForm(), WarmTopUp::atLineForm(), WarmTopUp::capForm(), EngineHold::form(),
        ];
    }

    /** @return list<Form> at a neck that is still unsealed: topped up warm, and capped in the end */
    private function formsAfterwards(Situation $at): array
    {
        // After steam or at its limit nobody lifts anything, and a funnel comes off at a step of its own.
        if (WarmTopUp::neck($at, $this->neck($at)) === Neck::Sealed || $this->wasStopped($at) || WarmTopUp::by($at) === WarmUp::UnderFunnel) {
            return [];
        }
        $topsUp = WarmTopUp::by($at) === WarmUp::LooseCap ? [$this->toppedForm($at)->aside(false)->closing(), WarmTopUp::atLineForm()] : [];

        return [...$topsUp, WarmTopUp::capForm()];
    }

    public function tables(Situation $at): array
    {
        return $at->has('reading') ? BeforeAndNow::tables($at) : [];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        EngineStart::admit($at, $form, $values);
        $fanOn = $at->facts()->fanOnC;
        if ($form === 'no_fan' && $fanOn !== null && (FanProof::hottest($at) ?? 0.0) >= $fanOn) {
            throw new InvalidField(
                'finish',
                "The coolant stood at {$at->degrees(FanProof::hottest($at) ?? 0.0)}, past fan-on at "
                    ."{$at->degrees($fanOn)}:"
                    .' a fan that stays off now is a fault. Shut off, and find out why.',
            );
        }
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return $entry->form === 'topped'
            ? [TopUp::line($at, $entry, 'Topped up, warm', self::plusMinusMl($at, $entry))]
            : [];
    }

    public function obstacles(Situation $at): array
    {
        $missing = EngineStart::missing($at);

        return match (true) {
            $missing !== null => [$missing],
            ! $at->has('shut_off') => [EngineStart::stillRuns()],
            $this->wasStopped($at) => [],
            default => array_filter([WarmTopUp::isMissing($at)]),
        };
    }

    public function figure(Situation $at): Figure
    {
        return StopLimitAtNeck::figure($at, $this->limit($at));
    }

    public function clock(Situation $at): ?Clock
    {
        $start = $at->last(EngineStart::FORM);

        return EngineHold::clock($at) ?? ($start === null || $at->has('shut_off')
            ? null
            : new Clock('A warm-up takes about twenty minutes', $start->at, $start->at + self::WARM_UP_S, true));
    }

    public function judge(Situation $at): ?Verdict
    {
        $danger = $at->has(EngineStart::FORM) ? Danger::of($at, $this->limit($at)) : null;
        if ($danger !== null) {
            return $danger->verdict(! $at->has('shut_off'));
        }
        if (! $at->has('reading') && ! $at->has(ByHand::FORM)) {
            return null;
        }
        $warm = WarmTopUp::verdict($at);
        if ($warm !== null) {
            return $warm;
        }
        $missing = $this->missingProofs($at);
        if ($missing === []) {
            return Verdict::pass('proven', $at->has(ByHand::FORM) ? 'Proven, by hand' : 'Proven', $this->proofs($at));
        }
        $still = 'Still to show: '.implode('; ', $missing).'.';

        return $at->has('shut_off')
            ? Verdict::wait('another_cycle', 'Another cycle', $still)
            : Verdict::wait('not_proven', 'Not proven yet', $still);
    }

    /** Under a loose cap the next run follows by itself. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at) || WarmTopUp::verdict($at)?->code === 'another_warm_up';
    }

    public function wasStopped(Situation $at): bool
    {
        return Danger::of($at, $this->limit($at)) !== null;
    }

    /** Whether this cycle showed everything the vehicle can show. */
    public function proven(Situation $at): bool
    {
        return $this->judge($at)?->passes() === true;
    }

    public function neckWhileRunning(Situation $at): ?Neck
    {
        return WarmTopUp::neck($at, $this->neck($at));
    }

    /** Under a loose cap the next run, or the search for a leak; after a danger what any such run is followed by. */
    public function orders(Situation $at): array
    {
        $next = 1 + $at->step->params->whole('round');
        $cooling = new Step("cool_down:{$at->step->id}", 'cool_down', $at->step->stage);
        $verdict = WarmTopUp::verdict($at)?->code;
        $ordered = match (true) {
            $this->wasStopped($at) => $this->isFollowedBy('cool_down', $at) ? [] : [$cooling],
            $verdict === 'another_warm_up' => [
                new Step("heat_cycle:{$next}", $this->name(), $at->step->stage, new Values(['round' => $next])),
            ],
            // Pressed cold: a pump on a hot engine tells nothing and can burst a hose.
            $verdict === 'not_air' => [
                $cooling,
                new Step("find_drip:{$at->step->id}", 'find_drip', $at->step->stage),
            ],
            default => [],
        };

        return array_values(array_filter($ordered, fn (Step $step) => ! isset($at->job->steps[$step->id])));
    }

    private function isFollowedBy(string $kind, Situation $at): bool
    {
        $steps = array_values($at->job->steps);
        $place = array_search($at->step->id, array_map(fn (Step $step) => $step->id, $steps), true);

        return $place !== false && ($steps[(int) $place + 1]->kind ?? '') === $kind;
    }

    /** Under a loose cap: runs that were planned for air which has worked out. */
    public function needless(Situation $at): array
    {
        if (WarmTopUp::by($at) !== WarmUp::LooseCap || ! $at->has(WarmTopUp::CAPPED)) {
            return [];
        }
        $round = $at->step->params->whole('round');
        $later = array_filter($at->job->stepsOf($this->name()), fn (Step $step) => $step->params->whole('round') > $round);

        return array_values(array_map(fn (Step $step) => $step->id, $later));
    }

    private function neck(Situation $at): ?Neck
    {
        return EngineStart::neck($at->last(EngineStart::FORM));
    }

    private function limit(Situation $at): StopLimit
    {
        return StopLimitAtNeck::of($at, $this->neck($at) ?? Neck::Open);
    }

    /** What was shown, and what could not be here. */
    private function proofs(Situation $at): string
    {
        $limit = $this->limit($at);
        $fanOn = $at->facts()->fanOnC;
        $counts = $limit->fanCanProve() && ! FanProof::cannotCome($at);
        $without = $limit->fanCanProve() && ! $counts && $fanOn !== null
            ? " The fan does not come on here: it comes at {$at->degrees($fanOn)}, the hottest was "
                ."{$at->degrees(FanProof::hottest($at) ?? 0.0)}."
            : '';

        $fan = FanProof::wasOnlyHeard($at) ? ', fan as it was heard' : ', fan';

        $hand = $at->has(ByHand::FORM) ? ' By needle and hand, which is less than a reading: look once more soon.' : '';

        return 'Thermostat, heater'.($counts ? $fan : '')." and bubbles all say the same.{$without}{$hand}";
    }

    /** @return list<string> what is still to be shown, in words */
    private function missingProofs(Situation $at): array
    {
        $facts = $at->facts();
        $readings = $at->entries('reading');
        $seen = array_values(array_filter($at->entries(), fn (Entry $e) => $e->form === 'reading' || $e->form === ByHand::FORM));
        $last = $seen[count($seen) - 1];
        $passed = array_filter($seen, fn (Entry $e) => ByHand::passedTheThermostat($e) || ($e->form === 'reading' && ThermostatPassed::at($facts, $e)));
        $missing = $passed === [] && $at->circuit()->gatesOf(GateKind::Thermostat) !== []
            ? ["heat on the far side of the thermostat ({$facts->thermostatFarSide})"] : [];
        foreach ($facts->outlets as $outlet) {
            $read = array_filter($readings, fn (Entry $e) => $e->number("outlet_{$outlet}") !== null);
            $said = $read === [] ? $last : $read[array_key_last($read)];
            if (ByHand::heaterIsHot($last)) {
                continue;
            }
            $hot = HeaterAir::hotFrom($at, $said);
            if ($read === [] || $said->number("outlet_{$outlet}") < $hot) {
                $outside = HeaterAir::outside($at, $said);
                $missing[] = "the {$outlet} outlet really hot, {$at->degrees($hot)} or more"
                    .($outside === null ? '' : " with {$at->degrees($outside)} outside");
            }
        }
        $cycles = Plan::of($at)->rules()->fanCycles;
        $times = FanProof::times($at);
        if ($this->limit($at)->fanCanProve() && $times < $cycles && ! FanProof::cannotCome($at)) {
            $missing[] = "the fan on and off {$cycles} times (seen {$times}, hot and for as long as a fan runs)";
        }
        if (in_array($last->text('bubbles'), ['some', 'bursts'], true)) {
            $missing[] = 'a minute without bubbles';
        }

        return $missing;
    }

    /** @param  bool  $asksAll  also the air, where it is known */
    private function startForm(Situation $at, bool $asksAll = false): Form
    {
        $asksAir = $at->facts()->outlets !== [] && ($asksAll || HeaterAir::known($at, $at->now) === null);

        return EngineStart::form(
            'Engine is running',
            WarmTopUp::by($at)->neck($at->facts()->neck),
            besides: $asksAir ? Field::temperature('air', 'Air outside, for the heater', false, -40, 55) : null,
        );
    }

    private function readingForm(Situation $at): Form
    {
        $outlet = fn (string $outlet): Field => Field::temperature(
            "outlet_{$outlet}",
            "Outlet air, {$outlet}",
            false,
            -40,
            120,
        );

        return new Form('reading', 'Record reading', [
            Field::coolant('ect', 'Coolant, live'),
            Field::coolant('far', 'Far side: '.$at->facts()->thermostatFarSide)->usuallySaid(),
            ...array_map($outlet, $at->facts()->outlets),
            ...$this->besides($at),
        ]);
    }

    /** @return list<?Field> what is said of fan, bubbles and anything wrong, read or felt */
    private function besides(Situation $at): array
    {
        $bubbles = [
            'none' => 'None for a minute', 'some' => 'Some', 'bursts' => 'Bursts', 'hidden' => 'Cannot see, cap on',
        ];
        $signs = [
            'none' => 'Nothing',
            'steam' => 'Steam',
            'lamp' => 'Warning lamp',
            'drip' => 'New drip',
            'rough' => 'Runs rough',
        ];

        return [
            $this->limit($at)->fanCanProve() ? FanProof::heardField() : null,
            Field::choice('bubbles', 'Bubbles', $bubbles, in_array($this->neck($at), [Neck::Sealed, Neck::Resting], true) ? 'hidden' : 'some'),
            Field::choice('sign', 'Anything wrong', $signs, 'none'),
        ];
    }

    private static function noFanForm(): Form
    {
        return new Form('no_fan', 'The fan does not come on here', [], false);
    }

    private static function fanForm(string $name, string $button): Form
    {
        return new Form($name, $button);
    }

    private function toppedForm(Situation $at): Form
    {
        return new Form('topped', 'Record top-up', [
            ...$this->vesselFields($at, 'volume', 'Topped up, glasses and rag', VesselUse::Measure),
            TopUp::liquidField($at),
        ], false);
    }

    private static function offForm(): Form
    {
        return new Form('shut_off', 'Engine is off');
    }
}
