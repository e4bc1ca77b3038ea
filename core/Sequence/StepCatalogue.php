<?php

declare(strict_types=1);

namespace Aqbel\Core\Sequence;

/** Every kind of step there is. */
final class StepCatalogue
{
    private const KINDS = [
        Steps\Found::class, Steps\Baseline::class, Steps\Gather::class, Steps\MakeSafe::class, Steps\CoolDownWait::class, Steps\Inspect::class, Steps\PutRight::class, Steps\FindDrip::class,
        Steps\Drain::class, Steps\Reconcile::class, Steps\Look::class, Steps\FindCause::class, Steps\JarTest::class, Steps\Rinse::class, Steps\RinseFill::class, Steps\RinseRun::class,
        Steps\RinseDrain::class, Steps\RinseFlow::class, Steps\BackFlush::class, Steps\Cure::class, Steps\Cured::class, Steps\CloseUp::class, Steps\MixStep::class,
        Steps\OpenBleeds::class, Steps\Bleed::class, Steps\FillLevel::class, Steps\SetUpVacuum::class, Steps\Pull::class, Steps\Hold::class,
        Steps\LeakHunt::class, Steps\VacuumFill::class, Steps\PressureTest::class, Steps\Refit::class, Steps\HeatCycle::class, Steps\ColdLevel::class,
        Steps\LeakCheck::class, Steps\Drive::class, Steps\Refractometer::class, Steps\Complaint::class, Steps\FollowUp::class, Steps\LeftOver::class, Steps\Dispose::class, Steps\SignOff::class,
    ];

    /** @var array<string, StepKind> */
    private static array $kinds = [];

    public static function of(Step $step): StepKind
    {
        return self::all()[$step->kind] ?? throw new \LogicException("No step kind “{$step->kind}” in the catalogue.");
    }

    /** @return array<string, StepKind> by name */
    public static function all(): array
    {
        if (self::$kinds === []) {
            foreach (self::KINDS as $class) {
                $kind = new $class;
                self::$kinds[$kind->name()] = $kind;
            }
        }

        return self::$kinds;
    }
}
