<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

/** A hazard, shown at the step where it arises; what scalds, crushes, bursts or gasses is acknowledged once a job. */
enum Hazard: string
{
    case Scald = 'scald';
    case Exhaust = 'exhaust';
    case Raised = 'raised';
    case Moving = 'moving';
    case Glycol = 'glycol';
    case Waste = 'waste';
    case Collapse = 'collapse';
    case Overpressure = 'overpressure';
    case Eyes = 'eyes';
    case HighVoltage = 'high_voltage';
    case Pedal = 'pedal';

    /** Whether somebody says once a job that it was read; the others are shown wherever they arise. */
    public function isAcknowledged(): bool
    {
        return match ($this) {
            self::Scald,
            self::Exhaust,
            self::Raised,
            self::Moving,
            self::Collapse,
            self::Overpressure,
            self::HighVoltage => true,
            self::Glycol, self::Waste, self::Eyes, self::Pedal => false,
        };
    }

    public function title(): string
    {
        return match ($this) {
            self::Scald => 'Scalding',
            self::Exhaust => 'Carbon monoxide',
            self::Raised => 'Vehicle on stands',
            self::Moving => 'Fans and belts',
            self::Glycol => 'Poison',
            self::Waste => 'Regulated waste',
            self::Collapse => 'Hoses under vacuum',
            self::Overpressure => 'Overpressure',
            self::Eyes => 'Eyes and skin',
            self::HighVoltage => 'High voltage',
            self::Pedal => 'Propped pedal',
        };
    }

    public function caution(): string
    {
        return match ($this) {
            self::Scald => 'A hot circuit is under pressure. Cap and hoses stay shut until it is cold; rag over '
                .'the cap, turn to the first hiss, stop, wait.',
            self::Exhaust => 'Engines run outdoors or on exhaust extraction only. Doors open is not extraction.',
            self::Raised => 'Chock the wheels and set the stands at the manual’s points before anything goes '
                .'underneath.',
            self::Moving => 'Electric fans start by themselves, ignition off or not. Sleeves, hair and hands '
                .'clear of fans and belts.',
            self::Glycol => 'Glycol is poisonous and tastes sweet to children and animals. Cover the pans, wipe '
                .'up spills at once.',
            self::Waste => 'Old coolant and rinse water go into the labelled waste drum, never down a drain. '
                .'Local rules apply.',
            self::Collapse => 'Hoses flatten under vacuum, which is normal; soft or cracked ones can fail. Keep '
                .'your face away from the neck.',
            self::Overpressure => 'Never pump above the cap rating, and never on a hot engine.',
            self::Eyes => 'Glasses and gloves on.',
            self::HighVoltage => 'Only people trained for it, and the manual first: '
                .'made dead, locked and measured before anything orange is near. The engine may start by itself.',
            self::Pedal => 'A second person at the pedal is best. One that is propped is never left, '
                .'and nobody reaches in while it is.',
        };
    }
}
