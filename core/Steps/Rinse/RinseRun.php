<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\EngineRuns;
use Aqbel\Core\Judged\Outcome;
use Aqbel\Core\Judged\RinseWarmUp;
use Aqbel\Core\Judged\RinseWarmUpCode;
use Aqbel\Core\Judged\RunDanger;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\FeltReading;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Observed\Started;
use Aqbel\Core\Observed\ToldInHaste;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\EngineStart;
use Aqbel\Core\Steps\RunWords;
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
            ($at->circuit()->hasHeater() ? RunWords::heaterFull($at).', about' : 'About').' ten minutes of warm idle.',
            "Probe on the {$at->facts()->thermostatFarSide}: when it turns hot, the thermostat is open and it mixes.",
            $at->facts()->fanOnC === null
                ? 'On plain water the run ends earlier than with coolant.'
                : 'Do not wait for the fan: on plain water the run ends earlier.',
            'Shut off at once for steam, a warning lamp or a new drip.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Exhaust, Hazard::Moving, Hazard::Scald];
    }

    public function observes(): array
    {
        return [
            Started::class,
            HotReading::class,
            FeltReading::class,
            ToldInHaste::class,
            ShutOff::class,
            CoolantRead::class,
            CameOut::class,
        ];
    }

    public function asks(Situation $at): array
    {
        $reading = HotReading::askedOnWater($at->facts());
        $felt = FeltReading::askedOnWater($at->facts(), $at->job->observedAnywhere(FeltReading::class));
        $run = $this->judgement($at);
        $stop = $run?->outcome() === Outcome::Stops;
        $again = $at->observed(ShutOff::class) !== [];
        $off = ShutOff::asked()->aside($run === null)->closing();
        $before = $at->job->observedAnywhere(Started::class);
        $start = Started::asked($before, $again ? 'It runs again' : 'Engine is running', Neck::Sealed, ! $again);

        return Form::offering(
            match (true) {
                EngineRuns::at($at) => $stop
                    ? [$off, $reading->aside(), $felt]
                    : [$reading->with(ShutOff::asked()), $felt->with(ShutOff::asked()), $off],
                $run?->mixed === true => [],
                default => [$start],
            },
            [Started::asked($before, 'Engine is running', Neck::Sealed), $reading, $felt, ShutOff::asked()],
        );
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        EngineStart::admit($at, $form, $values);
        FeltReading::admit($at, $form, $values);
    }

    public function judgement(Situation $at): ?RinseWarmUp
    {
        return RinseWarmUp::of($at);
    }

    public function obstacles(Situation $at): array
    {
        $missing = EngineStart::missing($at, $this->wasStopped($at));

        return match (true) {
            $missing !== [] => $missing,
            // Its cause comes first: nobody is sent to warm it again.
            $this->wasStopped($at) => [],
            $this->judgement($at)?->mixed === false => [Obstacle::missing('not_mixed',
                'The thermostat never opened, so the radiator was not rinsed. Let it cool, warm it again under '
                    .'its cap, or give a reason.')],
            default => [],
        };
    }

    public function figure(Situation $at): Figure
    {
        return RunWords::coolantAgainst($at, $this->limit($at));
    }

    public function clock(Situation $at): ?Clock
    {
        $start = $at->latest(Started::class);

        return $start === null || ! EngineRuns::at($at) ? null
            : new Clock('Warm idle takes about ten minutes', $start->at(), $start->at() + self::WARM_IDLE_S, true);
    }

    public function judge(Situation $at): ?Verdict
    {
        $run = $this->judgement($at);
        $full = $at->facts()->thermostatFullC;

        return match (true) {
            $run === null => EngineStart::notYet($at) ?? ($full !== null && $this->limit($at)->limit->degC() < $full
                ? Verdict::wait('boils_early', 'It boils early here', self::warning($at))
                : null),
            $run->danger !== null => RunWords::danger($at, $run->danger, $run->running),
            default => match ($run->code) {
                RinseWarmUpCode::Mixed => Verdict::pass(
                    $run->code(),
                    'Mixed',
                    'The far side of the thermostat is hot: all of it goes round. Give it a few minutes, '
                        .'then shut off.',
                ),
                RinseWarmUpCode::NotMixed => Verdict::wait(
                    $run->code(),
                    'Not mixed',
                    'The far side stayed cold: behind the thermostat the old coolant still stands.',
                ),
                default => Verdict::wait(
                    $run->code(),
                    'Not mixed yet',
                    'The far side of the thermostat is still cold. Read again in a few minutes.',
                ),
            },
        };
    }

    public function tellsDanger(Situation $at, Entry $entry): bool
    {
        return $at->latest(Started::class) !== null && RunDanger::comesFirst($entry, $this->limit($at));
    }

    /** A danger is not taken back like a slip. */
    public function endsIt(Situation $at, Entry $entry): bool
    {
        $told = RunDanger::told($entry);

        return $told !== null && RunDanger::isIn($at, $told, $this->limit($at));
    }

    /** A rinse on water is meant to end at its limit; anything else has a cause. */
    public function wasStopped(Situation $at): bool
    {
        return $this->judgement($at)?->wasStopped() === true;
    }

    public function neckWhileRunning(Situation $at): ?Neck
    {
        return $at->latest(Started::class)?->neck;
    }

    /** What plain water does in this shop, open and under the cap, against the thermostat. */
    public static function warning(Situation $at): string
    {
        $water = Mixture::water();
        $open = StopLimitAtNeck::boiling($at, $water, 0.0);
        $cap = $at->facts()->capOrNothingKpa();
        $full = $at->facts()->thermostatFullC;
        $ends = $open - StopLimit::BOILING_MARGIN;
        $early = $full !== null && $ends < $full && $at->degrees($ends) !== $at->degrees($full)
            ? ", before the thermostat is full open at {$at->degrees($full)}"
            : '';
        $holds = $at->degrees(StopLimitAtNeck::boiling($at, $water, $cap));
        $capped = $cap > 0.0 ? " Under its cap it holds to {$holds}: rinse with the cap on." : '';

        return "Water under an open neck or funnel boils at {$at->degrees($open)} here, so the run ends at "
            ."{$at->degrees($ends)}{$early}.{$capped}";
    }

    private function limit(Situation $at): StopLimit
    {
        return StopLimitAtNeck::of($at, $this->neckWhileRunning($at) ?? Neck::Open);
    }
}
