<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Maker;

/** What one vehicle has and another of the same layout has not. */
enum Extra: string
{
    case RearHeater = 'rear_heater';
    case SecondDrain = 'second_drain';
    case Tee = 'tee';
    case Cooler = 'cooler';
    case SecondLoop = 'second_loop';
    case RecoveryBottle = 'recovery_bottle';
    case VentLine = 'vent_line';

    public function label(): string
    {
        return match ($this) {
            self::RearHeater => 'Rear heater',
            self::SecondDrain => 'Second drain, on the block',
            self::Tee => 'Tee with a bleed point in the heater hose',
            self::Cooler => 'Oil cooler in the loop',
            self::SecondLoop => 'Second loop with a cooler of its own',
            self::RecoveryBottle => 'Recovery bottle behind the cap',
            self::VentLine => 'Permanent vent line to the tank',
        };
    }

    public function addTo(Sketch $sketch): void
    {
        match ($this) {
            self::RearHeater => $sketch->rearHeater(),
            self::SecondDrain => $sketch->blockPlug(),
            self::Tee => $sketch->tee(),
            self::Cooler => $sketch->cooler(),
            self::SecondLoop => $sketch->secondLoop(),
            self::RecoveryBottle => $sketch->recoveryBottle(),
            self::VentLine => $sketch->ventLine(),
        };
    }
}
