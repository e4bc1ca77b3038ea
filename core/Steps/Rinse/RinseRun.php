<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Circuit\GateKind;
use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\RunHot\Danger;
use Aqbel\Core\Steps\RunHot\EngineStart;
use Aqbel\Core\Steps\RunHot\StopLimitAtNeck;
use Aqbel\Core\Steps\RunHot\ThermostatPassed;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/** Stage 3: the warm-up of one rinse, on plain water, which boils long before coolant does. */
final class RinseRun extends StepKind
{
    /** Seconds of warm idle (common practice, no source). */
    private const WARM_IDLE_S = 600;

    public function name(): string
    {
        return 'rinse_run';
    }

    protected function doing(): array
    {
        return [Does::RunsEngine, Does::LoadsJoints];
    }

    public function title(Situation $at): string
    {
        return "Rinse {$at->step->params->whole('cycle')}: warm up";
    }

    public function why(Situation $at): string
    {
        $limit = $this->limit($at);

        return "It mixes only once the thermostat opens. Shut down at {$at->degrees($limit->limit->degC())}: "
            ."{$limit->because->label()}.";
    }

    public function instructions(Situation $at): array
    {
        return [
            'Heater on maximum, A/C off, about ten minutes of warm idle.',
            "Probe on the {$at->facts()->thermostatFarSide}: when it turns hot, the thermostat is open and it mixes.",
            'Do not wait for the fan: on plain water the run ends earlier.',
            'Shut off at once for steam, a warning lamp or a new drip.',
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
        if (! $this->running($at)) {
            $again = $at->has('shut_off');

            return $this->mixed($at)
                ? []
                : [EngineStart::form($again ? 'It runs again' : 'Engine is running', Neck::Sealed, ! $again)];
        }
        $stop = $this->judge($at)?->stops() === true;
        $forms = [self::readingForm($at)->aside($stop), self::offForm()->aside(! $at->has('reading'))->closing()];

        return $stop ? array_reverse($forms) : $forms;
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [EngineStart::form('Engine is running', Neck::Sealed), self::readingForm($at), self::offForm()];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        EngineStart::admit($at, $form, $values);
    }

    public function obstacles(Situation $at): array
    {
        $missing = EngineStart::missing($at);

        return match (true) {
            $missing !== null => [$missing],
            $this->running($at) => [EngineStart::stillRuns()],
            ! $this->mixed($at) => [Obstacle::missing('not_mixed',
                'The thermostat never opened, so the radiator was not rinsed. Let it cool, warm it again under '
                    .'its cap, or give a reason.')],
            default => [],
        };
    }

    public function figure(Situation $at): Figure
    {
        return StopLimitAtNeck::figure($at, $this->limit($at));
    }

    public function clock(Situation $at): ?Clock
    {
        $start = $at->last(EngineStart::FORM);

        return $start === null || ! $this->running($at) ? null
            : new Clock('Warm idle takes about ten minutes', $start->at, $start->at + self::WARM_IDLE_S, true);
    }

    public function judge(Situation $at): ?Verdict
    {
        $last = $at->last('reading');
        $limit = $this->limit($at);
        if ($last === null) {
            $full = $at->facts()->thermostatFullC;

            return $full !== null && $limit->limit->degC() < $full
                ? Verdict::wait('boils_early', 'It boils early here', self::warning($at)) : null;
        }
        $danger = Danger::of($at, $limit);

        return match (true) {
            $danger !== null && ($this->running($at) || $this->wasStopped($at)) => $danger->verdict($this->running($at)),
            $this->mixed($at) => Verdict::pass(
                'mixed',
                'Mixed',
                'The far side of the thermostat is hot: all of it goes round. Give it a few minutes, then shut off.',
            ),
            ! $this->running($at) => Verdict::wait(
                'not_mixed',
                'Not mixed',
                'The far side stayed cold: behind the thermostat the old coolant still stands.',
            ),
            default => Verdict::wait(
                'not_mixed_yet',
                'Not mixed yet',
                'The far side of the thermostat is still cold. Read again in a few minutes.',
            ),
        };
    }

    /** A rinse on water is meant to end at its limit; anything else has a cause. */
    public function wasStopped(Situation $at): bool
    {
        $danger = Danger::of($at, $this->limit($at));

        return $danger !== null && ! $danger->isLimit();
    }

    public function neckWhileRunning(Situation $at): ?Neck
    {
        return EngineStart::neck($at->last(EngineStart::FORM));
    }

    /** What plain water does in this shop, open and under the cap, against the thermostat. */
    public static function warning(Situation $at): string
    {
        $water = Mixture::water();
        $open = StopLimitAtNeck::boiling($at, $water, 0.0);
        $cap = $at->facts()->capOrNothingKpa();
        $full = $at->facts()->thermostatFullC;
        $ends = $open - StopLimit::BOILING_MARGIN;
        $early = $full !== null && $ends < $full ? ", before the thermostat is full open at {$at->degrees($full)}" : '';
        $holds = $at->degrees(StopLimitAtNeck::boiling($at, $water, $cap));
        $capped = $cap > 0.0 ? " Under its cap it holds to {$holds}: rinse with the cap on." : '';

        return "Water under an open neck or funnel boils at {$at->degrees($open)} here, so the run ends at "
            ."{$at->degrees($ends)}{$early}.{$capped}";
    }

    private function limit(Situation $at): StopLimit
    {
        return StopLimitAtNeck::of($at, $this->neckWhileRunning($at) ?? Neck::Open);
    }

    /** Started, and not shut off since. */
    private function running(Situation $at): bool
    {
        return count($at->entries(EngineStart::FORM)) > count($at->entries('shut_off'));
    }

    private function mixed(Situation $at): bool
    {
        $gated = $at->circuit()->gatesOf(GateKind::Thermostat) !== [];
        $readings = $at->entries('reading');

        return $readings !== []
            && (! $gated || array_filter($readings, fn (Entry $e) => ThermostatPassed::at($at->facts(), $e)) !== []);
    }

    private static function readingForm(Situation $at): Form
    {
        $signs = ['none' => 'Nothing', 'steam' => 'Steam', 'lamp' => 'Warning lamp', 'drip' => 'New drip'];

        return new Form('reading', 'Record reading', [
            Field::coolant('ect', 'Coolant, live'),
            Field::coolant('far', 'Far side: '.$at->facts()->thermostatFarSide),
            Field::choice('sign', 'Anything wrong', $signs, 'none'),
        ]);
    }

    private static function offForm(): Form
    {
        return new Form('shut_off', 'Engine is off');
    }
}
