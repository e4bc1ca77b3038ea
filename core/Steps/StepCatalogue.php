<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Kinds;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Saying\Form;

/** Every kind of step there is. */
final class StepCatalogue implements Kinds
{
    /** By the code that plans and journals keep. */
    private const STANDARD = [
        'found' => Prepare\Found::class, 'baseline' => Prepare\Baseline::class, 'gather' => Prepare\Gather::class,
        'make_safe' => MakeSafe\MakeSafe::class, 'inspect' => MakeSafe\Inspect::class,
        'put_right' => MakeSafe\PutRight::class, 'find_drip' => Vacuum\FindDrip::class,
        'drain' => Drain\Drain::class, 'reconcile' => Drain\Reconcile::class, 'look' => Drain\Look::class,
        'find_cause' => Drain\FindCause::class, 'jar_test' => Drain\JarTest::class,
        'rinse' => Rinse\Rinse::class, 'rinse_fill' => Rinse\RinseFill::class, 'rinse_run' => Rinse\RinseRun::class,
        'rinse_drain' => Rinse\RinseDrain::class, 'rinse_flow' => Rinse\RinseFlow::class,
        'back_flush' => Rinse\BackFlush::class,
        'cure' => CloseUp\Cure::class, 'cured' => CloseUp\Cured::class, 'close_up' => CloseUp\CloseUp::class,
        'mix' => Mix\MixCoolant::class,
        'open_bleeds' => Fill\OpenBleeds::class,
        'raise' => Fill\Raise::class,
        'lower' => Fill\Lower::class,
        'funnel' => Fill\Funnel::class,
        'fill_through' => Fill\FillThrough::class,
        'bleed' => Fill\Bleed::class,
        'fill_level' => Fill\FillLevel::class,
        'routine' => Fill\Routine::class,
        'vent_under_pressure' => Fill\VentUnderPressure::class,
        'vent_between' => Cool\VentBetween::class,
        'funnel_off' => Cool\FunnelOff::class,
        'set_up_vacuum' => Vacuum\SetUpVacuum::class,
        'pull' => Vacuum\Pull::class,
        'hold' => Vacuum\Hold::class,
        'leak_hunt' => Vacuum\LeakHunt::class,
        'water_out' => Vacuum\WaterOut::class,
        'vacuum_fill' => Vacuum\VacuumFill::class,
        'pressure_test' => Vacuum\PressureTest::class,
        'refit' => RunHot\Refit::class, 'heat_cycle' => RunHot\HeatCycle::class,
        'cool_down' => Cool\CoolDownWait::class, 'cold_level' => Cool\ColdLevel::class,
        'why_stopped' => Cool\WhyStopped::class,
        'why_unshown' => Cool\WhyUnshown::class,
        'leak_check' => Prove\LeakCheck::class, 'drive' => Prove\Drive::class,
        'refractometer' => Prove\Refractometer::class, 'complaint' => Prove\Complaint::class,
        'follow_up' => Prove\FollowUp::class,
        'extra' => AnyTime\Extra::class, 'wait' => AnyTime\Wait::class,
        'left_over' => HandOver\LeftOver::class, 'dispose' => HandOver\Dispose::class,
        'sign_off' => HandOver\SignOff::class,
    ];

    /** What may be written at any step, by its form; what comes first in the order in which it is put right. */
    private const ANY_TIME = [
        Lines::Finding->value => AnyTime\Finding::class,
        Lines::Outlet->value => AnyTime\Outlet::class,
        Lines::Heard->value => AnyTime\Heard::class,
        Lines::SetBack->value => AnyTime\SetBack::class,
        Lines::Shut->value => AnyTime\Shut::class,
        Lines::Inlet->value => AnyTime\Inlet::class,
        Lines::Replan->value => AnyTime\Replan::class,
    ];

    /** @var array<string, StepKind> those that were asked for, by code */
    private array $made = [];

    /** @param  array<string, class-string<StepKind>|StepKind>  $kinds  by code */
    private function __construct(private readonly array $kinds)
    {
    }

    public static function standard(): self
    {
        return new self(self::STANDARD);
    }

    /** The same with more kinds. */
    public function with(StepKind ...$more): self
    {
        $kinds = $this->kinds;
        foreach ($more as $kind) {
            $kinds[$kind->name()] = $kind;
        }

        return new self($kinds);
    }

    public function of(Step $step): StepKind
    {
        return $this->coded($step->kind);
    }

    public function reading(Step $step, Entry $line): StepKind
    {
        return $this->anyTime($line->form) ?? $this->of($step);
    }

    /** What may be written at any step under this form; null where the form is a step's own. */
    public function anyTime(string $form): ?AnyTime\AnyTime
    {
        $kind = self::ANY_TIME[$form] ?? null;
        $this->made["any.{$form}"] ??= $kind === null ? new UnknownKind : new $kind;

        return $this->made["any.{$form}"] instanceof AnyTime\AnyTime ? $this->made["any.{$form}"] : null;
    }

    /** @return list<Form> what puts right, before anything else, how it stands: open, raised, pumped up, too empty, running */
    public function first(Situation $at): array
    {
        $first = array_filter(
            array_map($this->anyTime(...), array_keys(self::ANY_TIME)),
            fn (?AnyTime\AnyTime $kind) => $kind?->comesFirst($at) === true,
        );

        return array_merge(...array_map(fn (AnyTime\AnyTime $kind) => $kind->forms($at), array_values($first)));
    }

    /** @return array<string, StepKind> by code */
    public function all(): array
    {
        return array_map($this->coded(...), array_combine(array_keys($this->kinds), array_keys($this->kinds)));
    }

    private function coded(string $code): StepKind
    {
        $kind = $this->kinds[$code] ?? UnknownKind::class;

        return $this->made[$code] ??= is_string($kind) ? new $kind : $kind;
    }

    /** What the next visit should look at, in words; what was typed stands as it was typed. */
    public function sayWatch(string $code): string
    {
        foreach ($this->all() as $kind) {
            if ($kind->sayWatch($code) !== $code) {
                return $kind->sayWatch($code);
            }
        }

        return $code;
    }

    public function does(Step $step, Does $what): bool
    {
        return $this->of($step)->does($what);
    }

    public function labour(Step $step, Choices $choices): Minutes
    {
        return $this->of($step)->labour($step, $choices);
    }
}
