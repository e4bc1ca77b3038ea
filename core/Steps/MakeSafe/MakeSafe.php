<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\MakeSafe;

use Aqbel\Core\Circuit\HeaterDrive;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Steps\Checklist;

/** Stage 1: the vehicle secured before anyone reaches in. */
final class MakeSafe extends Checklist
{
    public function name(): string
    {
        return 'make_safe';
    }

    protected function doing(): array
    {
        return [Does::RaisesNose];
    }

    public function title(Situation $at): string
    {
        return 'Make safe';
    }

    public function why(Situation $at): string
    {
        return 'Hot coolant, moving fans and a vehicle that rolls hurt more people in this job than anything else.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Work through the list. The vehicle’s service manual outranks anything shown here.',
            'Refrigerant lines and airbag parts are not touched by this work: they are for licensed hands.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return array_values(
            array_filter([
                $at->facts()->highVoltage ? Hazard::HighVoltage : null,
                Hazard::Eyes,
                $at->facts()->stationary ? null : Hazard::Raised,
                Hazard::Moving,
            ]),
        );
    }

    protected function items(Situation $at): array
    {
        $lift = Plan::of($at)->choices->noseLiftMm;
        $electric = $at->facts()->heaterDrive === HeaterDrive::Electric;

        $ground = $lift > 0.0
            ? 'Nose raised '.$at->say($lift, Dimension::Length).' on stands, as planned'
            : 'Vehicle on level ground';
        $heater = $electric
            ? 'Heater set to hot with the ignition on, then off: the valve stays where it stands'
            : 'Heater control set to hot';

        // What stands on its frame has no wheels, and not everything has a heater.
        return array_filter([
            'ground' => $at->facts()->stationary ? null : $ground,
            'chocks' => $at->facts()->stationary ? null : 'Wheels chocked',
            'ignition' => $at->facts()->stationary
                ? 'Start blocked: key out, starting battery or air off'
                : 'Ignition off, key out',
            'high_voltage' => $at->facts()->highVoltage
                ? 'High voltage made safe by the manual, by somebody trained'
                : null,
            'glasses' => 'Glasses and gloves on',
            'heater' => $at->facts()->heaterDrive === HeaterDrive::None ? null : $heater,
        ]);
    }
}
