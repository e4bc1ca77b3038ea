<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Format;

use Aqbel\Core\Circuit\GateKind;
use Aqbel\Core\Circuit\HeaterDrive;
use Aqbel\Core\Circuit\KnownBy;
use Aqbel\Core\Circuit\NeckType;
use Aqbel\Core\Circuit\PassageKind;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Matter\Glycol;

/** Every fact that a document of the format may carry, by the list it stands in: reader and editor know no others. */
final class Vocabulary
{
    /** The document itself. */
    public const CIRCUIT = 'circuit';

    public const FACTS = 'facts';

    /** @var ?array<string, array<string, Fact>> */
    private static ?array $all = null;

    /** @return array<string, array<string, Fact>> by list and name, in the order in which they are shown */
    public static function all(): array
    {
        return self::$all ??= array_map(
            fn (array $facts): array => array_combine(array_map(fn (Fact $fact) => $fact->name, $facts), $facts),
            self::lists(),
        );
    }

    public static function of(string $list, string $name): Fact
    {
        return self::all()[$list][$name];
    }

    /** @return array<string, list<Fact>> */
    private static function lists(): array
    {
        $torque = Fact::number('torque_nm', 'Torque', 0.1, 500, 'N·m');
        $behind = Fact::list('behind', 'Behind covers');
        $name = Fact::text('label', 'Name');
        $knownBy = Fact::choice('known_by', 'Known by', array_column(KnownBy::cases(), 'value'));

        return [
            self::CIRCUIT => [
                Fact::text('name', 'Name of the circuit', 120),
                Fact::number('wheelbase_mm', 'Wheelbase', 300, 20_000, 'mm'),
            ],
            'nodes' => [
                $name,
                Fact::number('x_mm', 'Forward', -20_000, 20_000, 'mm'),
                Fact::number('z_mm', 'Height', 0, 10_000, 'mm'),
                Fact::number('plus_minus_mm', 'Known to ±', 0, 500, 'mm'),
                $knownBy,
                Fact::ref('follows', 'Fixed to', 'nodes'),
            ],
            'passages' => [
                $name,
                Fact::choice('kind', 'Kind', array_column(PassageKind::cases(), 'value')),
                Fact::ref('from', 'From', 'nodes'),
                Fact::ref('to', 'To', 'nodes'),
                Fact::number('volume_ml', 'Volume', 0.1, 500_000, 'mL'),
                Fact::number('plus_minus', 'Known to ±, share', 0, 0.5),
                $knownBy,
                Fact::list('parts', 'Parts, opening it'),
                $torque,
                $behind,
            ],
            'gates' => [
                $name,
                Fact::choice('kind', 'Kind', array_column(GateKind::cases(), 'value')),
                Fact::ref('passage', 'In', 'passages'),
                Fact::check('weeps', 'Weeps'),
                $knownBy,
            ],
            'ports' => [
                $name,
                Fact::choice('kind', 'Kind', array_column(PortKind::cases(), 'value')),
                Fact::ref('node', 'At', 'nodes'),
                Fact::text('access', 'Access', 160),
                Fact::text('tool', 'Tool'),
                $torque,
                Fact::text('washer', 'Washer'),
                Fact::number('minutes', 'Hands', 0, 600, 'min'),
                $behind,
            ],
            'covers' => [
                Fact::text('id', 'Id', 60),
                $name,
                Fact::number('minutes', 'Off and on', 0, 600, 'min'),
                Fact::check('needed_to_run', 'Needed to run'),
            ],
            self::FACTS => [
                Fact::number('cap_kpa', 'Cap', 0, 400, 'kPa'),
                Fact::number('thermostat_start_c', 'Thermostat starts', 30, 120, '°C'),
                Fact::number('thermostat_full_c', 'Thermostat full', 30, 130, '°C'),
                Fact::text('thermostat_far_side', 'Far side of the thermostat'),
                Fact::number('fan_on_c', 'Fan on', 30, 140, '°C'),
                Fact::number('fan_off_c', 'Fan off', 30, 140, '°C'),
                Fact::number('limit_c', 'Vehicle limit', 50, 150, '°C'),
                Fact::choice('neck', 'Neck', array_column(NeckType::cases(), 'value')),
                Fact::text('cold_level', 'Cold level, in words', 120),
                Fact::number('cold_head_mm', 'Cold level from neck', -500, 500, 'mm'),
                Fact::choice('base', 'Coolant base', array_column(Glycol::cases(), 'value')),
                Fact::text('inhibitor', 'Inhibitor family'),
                Fact::number('target_fraction', 'Glycol wanted, share', 0, 0.7),
                Fact::choice('heater_drive', 'Heater valve by', array_column(HeaterDrive::cases(), 'value')),
                Fact::list('outlets', 'Heater outlets'),
                Fact::check('stationary', 'Stands in one place'),
                Fact::check('high_voltage', 'High voltage on board'),
                Fact::number('capacity_ml', 'Manual’s capacity', 100, 500_000, 'mL'),
                Fact::text('source', 'Source', 160),
                Fact::lines(
                    'routine',
                    'Manual’s own routine: one step a line, minutes last; fill:, bleed NAME:, run:, cool: or level: '
                        .'in front where it is that part',
                ),
            ],
        ];
    }
}
