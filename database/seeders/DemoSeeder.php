<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Circuit;
use App\Models\Container;
use App\Models\ContainerMovement;
use App\Models\JobTemplate;
use App\Models\Person;
use App\Models\Product;
use App\Models\Role;
use App\Models\Shop;
use App\Models\Vehicle;
use App\Practice\Start;
use App\Practice\Walk;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Format\RulesCodec;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Stores\Liquid;
use Illuminate\Database\Seeder;
use Illuminate\Support\Carbon;

/** The Skarnmoor Pass Depot: an invented shop with invented people, plates and vehicles. */
final class DemoSeeder extends Seeder
{
    public const PASSWORD = 'bleed-it-dry';

    private const VEHICLES = [
        'rescue-ambulance' => ['SKP 114' => 'Halvane rescue ambulance', 'SKP 115' => 'Halvane rescue ambulance, spare'],
        'school-minibus' => ['SKP 207' => 'Corvik school minibus', 'SKP 208' => 'Corvik school minibus, valley run'],
        'post-van' => ['SKP 031' => 'Ostrel post van'],
        'footpath-sweeper' => ['SKP 318' => 'Tirl footpath sweeper'],
        'piste-groomer' => ['SKP 902' => 'Marrune piste groomer'],
        'taxi-engine' => ['SKP 660' => 'Dunmere hybrid taxi, engine loop'],
        'taxi-electronics' => ['SKP 660 LT' => 'Dunmere hybrid taxi, electronics loop'],
        'standby-generator' => ['GEN 1' => 'Pellow stand-by generator'],
        'yard-tractor' => ['YT 2' => 'Pellow yard tractor'],
        'compact-loader' => ['SKP 447' => 'Ostrel compact loader'],
    ];

    public function run(): void
    {
        Shop::query()->create([
            'name' => 'Skarnmoor Pass Depot',
            'elevation_m' => 1420,
            'rules' => RulesCodec::write(new HouseRules(currency: 'tal')),
        ]);
        JobTemplate::query()->create([
            'name' => 'Coolant change, premix',
            'choices' => ['kind' => 'change', 'stock' => 'premix'],
        ]);
        foreach (
            [['Imre Tovald', 'imre', Role::Technician], ['Sunniva Karr', 'sunniva', Role::Lead]] as [$name, $login, $role]
        ) {
            Person::query()->create([
                'name' => $name,
                'login' => $login,
                'password' => self::PASSWORD,
                'role' => $role,
                'units' => UnitSystem::Metric,
            ]);
        }
        self::fillTheStores();
        foreach (self::VEHICLES as $key => $vehicles) {
            $document = json_decode(
                (string) file_get_contents(database_path("demo/circuits/{$key}.json")),
                true,
                64,
                JSON_THROW_ON_ERROR,
            );
            $circuit = Circuit::query()
                ->create(['key' => $key, 'revision' => 1, 'name' => $document['name'], 'document' => $document]);
            foreach ($vehicles as $plate => $name) {
                Vehicle::query()->create(['circuit_id' => $circuit->id, 'plate' => $plate, 'name' => $name]);
            }
        }
    }

    /** Invented prices in an invented currency. */
    private static function fillTheStores(): void
    {
        foreach ([
            'family A, organic acid', 'family B, with silicate', 'family C, no silicate', 'family D, heavy duty',
        ] as $i => $family) {
            $glycol = ['base' => Glycol::Ethylene->value, 'inhibitor' => $family];
            foreach ([[1500, 11.4], [5000, 31.9], [20000, 112.0]] as [$ml, $price]) {
                Product::query()
                    ->create(
                        [
                            ...$glycol,
                            'kind' => Liquid::Concentrate->value,
                            'fraction' => 1.0,
                            'ml' => $ml,
                            'price' => $price + 1.5 * $i,
                        ],
                    );
            }
            foreach ([[1500, 8.9], [5000, 26.5]] as [$ml, $price]) {
                Product::query()
                    ->create(
                        [
                            ...$glycol,
                            'kind' => Liquid::Premix->value,
                            'fraction' => 0.5,
                            'ml' => $ml,
                            'price' => $price + $i,
                        ],
                    );
            }
        }
        foreach ([[5000, 4.2], [25000, 14.0]] as [$ml, $price]) {
            Product::query()->create(
                ['kind' => Liquid::Water->value, 'fraction' => 0.0, 'ml' => $ml, 'price' => $price],
            );
        }
        $can = Container::query()
            ->create(
                [
                    'kind' => Liquid::Concentrate->value,
                    'base' => Glycol::Ethylene->value,
                    'inhibitor' => 'family C, no silicate',
                    'fraction' => 1.0,
                ],
            );
        $water = Container::query()
            ->create(['kind' => Liquid::Water->value, 'base' => Glycol::Ethylene->value, 'fraction' => 0.0]);
        foreach ([[$can, 2200.0], [$water, 14500.0]] as [$container, $ml]) {
            ContainerMovement::query()
                ->create(
                    [
                        'container_id' => $container->id,
                        'person_id' => Person::query()->firstOrFail()->id,
                        'ml' => $ml,
                        'note' => 'shelved',
                    ],
                );
            Container::weigh($container->id);
        }
    }

    /** Some weeks of work: signed jobs, and open ones in the middle of a drain, a hold, a cool-down and a cure. */
    public static function fillTheFloor(): void
    {
        [$imre, $sunniva] = [
            Person::query()->where('login', 'imre')->firstOrFail(),
            Person::query()->where('login', 'sunniva')->firstOrFail(),
        ];
        self::job('SKP 114', 'gravity', $imre, 9 * 1440)
            ->until('inspect')
            ->photograph('Left mount, damp before the work', 0.30)
            ->until('fill_level')
            // The heater keeps some of its air until the engine has run.
            ->enter(
                'at_mark',
                ['volume' => '3.45', 'vessel' => 'jug', 'caught' => '0.08', 'left' => '0.04', 'spilt' => '20 mL'],
                5,
            )
            ->finish()
            ->until('leak_check')
            ->photograph('Left mount after the fill, no larger', 0.32)
            ->until(null);
        self::job('SKP 207', 'vacuum', $sunniva, 5 * 1440)
            ->until('fill_level')
            ->enter(
                'at_mark',
                ['volume' => '0.4', 'vessel' => 'jug', 'caught' => '0.02', 'left' => '0.01', 'spilt' => '20 mL'],
                5,
            )
            ->finish()
            ->until(null);
        self::job('SKP 207', 'gravity', $imre, 130)->until('heat_cycle:1')
            ->enter('start', ['place' => 'extraction', 'neck' => 'sealed'], 12)
            ->enter(
                'reading',
                [
                    'ect' => '86',
                    'far' => '80',
                    'outlet_front' => '63',
                    'outlet_rear' => '34',
                    'bubbles' => 'hidden',
                    'sign' => 'none',
                ],
                1,
            )
            ->enter('shut_off', [], 1)
            ->finish()
            ->enter('reading', ['ect' => '84', 'air' => '14'], 14)
            ->enter('reading', ['ect' => '69', 'air' => '14'], 1);
        self::job('SKP 114', 'vacuum', $sunniva, 75)
            ->until('hold:1')
            ->enter('reading', ['vacuum' => '21.4'], 4)
            ->enter('reading', ['vacuum' => '21.2'], 2);
        self::job('SKP 115', 'gravity', $imre, 26)->until('drain:radiator_cock')->enter('opened', ['cap' => 'off'], 1);
        self::job('SKP 208', 'vacuum', $sunniva, 55, cure: 60)->until('cure')->enter('started', [], 1);
        self::job('SKP 318', 'gravity', $imre, 150, choices: ['content' => Compatibility::OtherFamily, 'opened' => []])
            ->until('rinse')
            ->enter('decision', ['rinse' => 'hot', 'times' => '2'], 1)
            ->finish()
            ->enter('water_in', ['volume' => '6.1', 'vessel' => 'bucket', 'water' => 'tap'], 4)->finish()
            ->enter('start', ['place' => 'extraction', 'neck' => 'funnel'], 9)
            ->enter('reading', ['ect' => '89', 'far' => '38', 'sign' => 'none'], 1);
        self::job('SKP 031', 'gravity', $sunniva, 95)
            ->until('drain:radiator_cock')
            ->enter('opened', ['cap' => 'off'], 9)
            ->enter('out', ['volume' => '6.3', 'vessel' => 'pan', 'flow' => 'ran'], 1)
            ->enter('closed', ['by_feel' => '1', 'washer' => '1'], 1)
            ->finish()
            ->enter('opened', [], 4)
            ->enter('out', ['volume' => '0.1', 'vessel' => 'jug', 'flow' => 'early'], 1)
            ->enter('remedy', ['remedy' => 'left'], 1)
            ->enter('closed', ['torqued' => '1', 'washer' => '1'], 1)
            ->finish();
        Carbon::setTestNow();
    }

    /**
     * @param  int  $ago minutes since it was planned
     * @param  array<string, mixed>  $choices  of Choices, by name
     */
    public static function job(
        string $plate,
        string $school,
        Person $person,
        int $ago,
        float $cure = 0.0,
        array $choices = [],
    ): Walk {
        Carbon::setTestNow();
        Carbon::setTestNow(now()->subMinutes($ago));
        $vehicle = Vehicle::query()->with('circuit')->where('plate', $plate)->firstOrFail();

        return Start::planned($vehicle, $school, $person, $cure, $choices);
    }
}
