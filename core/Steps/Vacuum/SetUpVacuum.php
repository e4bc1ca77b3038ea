<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Circuit\HeaterDrive;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\VacuumFill as Prepared;
use Aqbel\Core\Steps\Checklist;
use Aqbel\Core\Vacuum\VacuumPlan;

/** Stage 6: everything at the neck and the bucket before the air is switched on. */
final class SetUpVacuum extends Checklist
{
    public function name(): string
    {
        return 'set_up_vacuum';
    }

    public function title(Situation $at): string
    {
        return 'Set up the vacuum filler';
    }

    public function why(Situation $at): string
    {
        return 'The vacuum waits for nobody: what is missing when the valve opens is replaced by air.';
    }

    public function instructions(Situation $at): array
    {
        $warmest = $at->degrees(self::planned($at)->maximumTemperature()->degC());

        return [
            "Circuit below {$warmest}, or its own vapour keeps the needle up.",
            'One bucket with more than enough needs no change on the way.',
        ];
    }

    protected function items(Situation $at): array
    {
        return array_filter([
            'bucket' => "Bucket with at least {$at->litres(self::planned($at)->intake()->mL())} mixed coolant",
            'hose' => 'Hose primed, its end tied at the bottom of the bucket',
            'heater' => $at->facts()->heaterDrive === HeaterDrive::None ? null : 'Heater valve open, control on hot',
            'bleeds' => $at->circuit()->hasBleedPoints() ? 'Every bleed point and drain shut' : 'Every drain shut',
        ]);
    }

    /** What is planned for the place where it stands now. */
    private static function planned(Situation $at): VacuumPlan
    {
        return $at->job->once(
            __METHOD__,
            fn (): VacuumPlan => Prepared::of($at->circuit(), Plan::of($at)->choices, Plan::of($at)->predicted),
        );
    }
}
