<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Kinds;
use Aqbel\Core\Plan\Minutes;

/** Every kind of step there is. */
final readonly class StepCatalogue implements Kinds
{
    private const STANDARD = [
        Prepare\Found::class, Prepare\Baseline::class, Prepare\Gather::class,
        MakeSafe\MakeSafe::class, MakeSafe\Inspect::class, MakeSafe\PutRight::class, MakeSafe\FindDrip::class,
        Drain\Drain::class, Drain\Reconcile::class, Drain\Look::class, Drain\FindCause::class, Drain\JarTest::class,
        Rinse\Rinse::class, Rinse\RinseFill::class, Rinse\RinseRun::class, Rinse\RinseDrain::class, Rinse\RinseFlow::class, Rinse\BackFlush::class,
        CloseUp\Cure::class, CloseUp\Cured::class, CloseUp\CloseUp::class,
        Mix\MixCoolant::class,
        Fill\OpenBleeds::class, Fill\Bleed::class, Fill\FillLevel::class,
        Vacuum\SetUpVacuum::class, Vacuum\Pull::class, Vacuum\Hold::class, Vacuum\LeakHunt::class, Vacuum\VacuumFill::class, Vacuum\PressureTest::class,
        RunHot\Refit::class, RunHot\HeatCycle::class,
        Cool\CoolDownWait::class, Cool\ColdLevel::class, Cool\WhyStopped::class,
        Prove\LeakCheck::class, Prove\Drive::class, Prove\Refractometer::class, Prove\Complaint::class, Prove\FollowUp::class,
        HandOver\LeftOver::class, HandOver\Dispose::class, HandOver\SignOff::class,
    ];

    /** @param  array<string, StepKind>  $kinds  by code */
    private function __construct(private array $kinds)
    {
    }

    public static function standard(): self
    {
        return (new self([]))->with(...array_map(fn (string $class) => new $class, self::STANDARD));
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
        return $this->kinds[$step->kind] ?? new UnknownKind;
    }

    /** @return array<string, StepKind> by code */
    public function all(): array
    {
        return $this->kinds;
    }

    /** What the next visit should look at, in words; what was typed stands as it was typed. */
    public function sayWatch(string $code): string
    {
        foreach ($this->kinds as $kind) {
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
