<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Circuit;
use App\Models\Person;
use App\Models\Shop;
use App\Models\Vehicle;
use Aqbel\Core\Sequence\HouseRules;
use Illuminate\Database\Seeder;

/** The Skarnmoor Pass Depot: an invented shop with invented people, plates and vehicles. */
final class DemoSeeder extends Seeder
{
    public const PASSWORD = 'bleed-it-dry';

    private const VEHICLES = ['rescue-ambulance' => ['SKP 114', 'Halvane rescue ambulance'], 'school-minibus' => ['SKP 207', 'Corvik school minibus']];

    public function run(): void
    {
        Shop::query()->create(['name' => 'Skarnmoor Pass Depot', 'elevation_m' => 1420, 'rules' => (new HouseRules)->toArray()]);
        foreach ([['Imre Tovald', 'imre', 'technician'], ['Sunniva Karr', 'sunniva', 'lead']] as [$name, $login, $role]) {
            Person::query()->create(['name' => $name, 'login' => $login, 'password' => self::PASSWORD, 'role' => $role, 'units' => 'metric']);
        }
        foreach (self::VEHICLES as $key => [$plate, $name]) {
            $document = json_decode((string) file_get_contents(database_path("demo/circuits/{$key}.json")), true, 64, JSON_THROW_ON_ERROR);
            $circuit = Circuit::query()->create(['key' => $key, 'revision' => 1, 'name' => $document['name'], 'document' => $document]);
            Vehicle::query()->create(['circuit_id' => $circuit->id, 'plate' => $plate, 'name' => $name]);
        }
    }
}
