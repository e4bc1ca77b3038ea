<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Step;
use Aqbel\Core\Steps\CloseUp\CloseUp;
use Aqbel\Core\Steps\CloseUp\Cure;
use Aqbel\Core\Steps\CloseUp\Cured;
use Aqbel\Core\Steps\Cool\ColdLevel;
use Aqbel\Core\Steps\Cool\CoolDownWait;
use Aqbel\Core\Steps\Drain\Drain;
use Aqbel\Core\Steps\Drain\FindCause;
use Aqbel\Core\Steps\Drain\JarTest;
use Aqbel\Core\Steps\Drain\Look;
use Aqbel\Core\Steps\Drain\Reconcile;
use Aqbel\Core\Steps\Fill\Bleed;
use Aqbel\Core\Steps\Fill\FillLevel;
use Aqbel\Core\Steps\Fill\OpenBleeds;
use Aqbel\Core\Steps\HandOver\Dispose;
use Aqbel\Core\Steps\HandOver\LeftOver;
use Aqbel\Core\Steps\HandOver\SignOff;
use Aqbel\Core\Steps\MakeSafe\FindDrip;
use Aqbel\Core\Steps\MakeSafe\Inspect;
use Aqbel\Core\Steps\MakeSafe\MakeSafe;
use Aqbel\Core\Steps\MakeSafe\PutRight;
use Aqbel\Core\Steps\Mix\MixCoolant;
use Aqbel\Core\Steps\Prepare\Baseline;
use Aqbel\Core\Steps\Prepare\Found;
use Aqbel\Core\Steps\Prepare\Gather;
use Aqbel\Core\Steps\Prove\Complaint;
use Aqbel\Core\Steps\Prove\Drive;
use Aqbel\Core\Steps\Prove\FollowUp;
use Aqbel\Core\Steps\Prove\LeakCheck;
use Aqbel\Core\Steps\Prove\Refractometer;
use Aqbel\Core\Steps\Rinse\BackFlush;
use Aqbel\Core\Steps\Rinse\Rinse;
use Aqbel\Core\Steps\Rinse\RinseDrain;
use Aqbel\Core\Steps\Rinse\RinseFill;
use Aqbel\Core\Steps\Rinse\RinseFlow;
use Aqbel\Core\Steps\Rinse\RinseRun;
use Aqbel\Core\Steps\RunHot\HeatCycle;
use Aqbel\Core\Steps\RunHot\Refit;
use Aqbel\Core\Steps\Vacuum\Hold;
use Aqbel\Core\Steps\Vacuum\LeakHunt;
use Aqbel\Core\Steps\Vacuum\PressureTest;
use Aqbel\Core\Steps\Vacuum\Pull;
use Aqbel\Core\Steps\Vacuum\SetUpVacuum;
use Aqbel\Core\Steps\Vacuum\VacuumFill;

/** Every kind of step there is. */
final class StepCatalogue
{
    private const KINDS = [
        Found::class, Baseline::class, Gather::class, MakeSafe::class, CoolDownWait::class, Inspect::class, PutRight::class, FindDrip::class,
        Drain::class, Reconcile::class, Look::class, FindCause::class, JarTest::class, Rinse::class, RinseFill::class, RinseRun::class,
        RinseDrain::class, RinseFlow::class, BackFlush::class, Cure::class, Cured::class, CloseUp::class, MixCoolant::class,
        OpenBleeds::class, Bleed::class, FillLevel::class, SetUpVacuum::class, Pull::class, Hold::class,
        LeakHunt::class, VacuumFill::class, PressureTest::class, Refit::class, HeatCycle::class, ColdLevel::class,
        LeakCheck::class, Drive::class, Refractometer::class, Complaint::class, FollowUp::class, LeftOver::class, Dispose::class, SignOff::class,
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
