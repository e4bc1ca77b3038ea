<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\Job;
use App\Models\Person;
use App\Models\Vehicle;
use App\Vehicles\VehicleFile;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\UnitSystem;

/** A shop's own vehicles: added, found, planned for, changed and retired. */
final class VehicleTest extends ShopTestCase
{
    public function test_a_vehicle_is_added_found_by_part_of_anything_and_planned_for(): void
    {
        $circuit = Circuit::query()->where('name', 'like', '%tractor%')->value('id');
        $this->actingAs($this->imre)->get('/vehicles/new')->assertOk()->assertSee('Add a vehicle');
        $this->post('/vehicles', [
            'plate' => '  yt  9 ',
            'name' => 'Orchard tractor',
            'circuit' => $circuit,
            'notes' => 'Belly plate left off',
        ])
            ->assertSessionHasNoErrors()
            ->assertRedirect();
        $vehicle = Vehicle::query()->where('plate', 'YT 9')->sole();
        foreach (['yt 9', 'orch', 'belly', 'tractor orchard', 'YT plate'] as $part) {
            $this->followingRedirects()->get('/vehicles?q='.urlencode($part))->assertSee('Orchard tractor');
        }
        foreach (['%', '_', 'nothing like it', '\\'] as $part) {
            $this->get('/vehicles?q='.urlencode($part))->assertOk()->assertDontSee('Orchard tractor');
        }
        $this->get("/vehicles/{$vehicle->id}")
            ->assertOk()
            ->assertSee('Nobody has signed a job on it yet')
            ->assertSee('Belly plate left off');
        $this->get("/jobs/new?vehicle={$vehicle->id}")
            ->assertOk()
            ->assertSee('Orchard tractor')
            ->assertSee('Belly plate left off');
    }

    public function test_what_cannot_be_is_refused_at_its_field_and_nothing_typed_is_lost(): void
    {
        $circuit = Circuit::query()->value('id');
        $good = ['plate' => 'NEW 1', 'name' => 'Van', 'circuit' => $circuit];
        foreach (
            [
                'plate' => ['', 'SKP 114', 'skp  114', '<b>', str_repeat('X', 21), ['a']],
                'name' => ['', str_repeat('n', 121)],
                'circuit' => ['', '0', '999999', 'x'],
                'notes' => [str_repeat('n', 2001)],
            ] as $field => $bad
        ) {
            foreach ($bad as $value) {
                $this->actingAs($this->imre)->from('/vehicles/new')->post('/vehicles', [...$good, $field => $value])
                    ->assertRedirect('/vehicles/new')->assertSessionHasErrors($field);
            }
        }
        self::assertSame('Van', session()->getOldInput('name'));
        self::assertSame(0, Vehicle::query()->where('plate', 'NEW 1')->count());
    }

    public function test_planning_says_which_job_is_open_and_never_takes_another_vehicle(): void
    {
        $job = $this->plan();
        $this->get("/jobs/new?vehicle={$job->vehicle_id}")->assertSee("{$job->number()} is open on this vehicle");
        $this->get("/vehicles/{$job->vehicle_id}")->assertSee("Go on with {$job->number()}");
        $this->get('/vehicles')->assertSee("Go on with {$job->number()}");
        foreach (['99999', '0', 'x'] as $unknown) {
            $this->get("/jobs/new?vehicle={$unknown}")->assertRedirect();
        }
    }

    public function test_a_retired_vehicle_keeps_its_records_and_is_planned_for_no_more(): void
    {
        $lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        $vehicle = Vehicle::query()->where('plate', 'SKP 114')->firstOrFail();
        $this->actingAs($this->imre)->post("/vehicles/{$vehicle->id}/retire")->assertForbidden();
        $job = $this->plan();
        $this->actingAs($lead)->post("/vehicles/{$vehicle->id}/retire")->assertSessionHasErrors('retire');
        $job->update(['signed_at' => now()]);
        $this->post("/vehicles/{$vehicle->id}/retire")->assertSessionHasNoErrors();
        $this->get('/vehicles?q=SKP+114')->assertDontSee('SKP 114</span>', false);
        $this->followingRedirects()->get('/vehicles?q=SKP+114&retired=1')->assertSee('SKP 114');
        $this->get("/jobs/new?vehicle={$vehicle->id}")->assertRedirect('/vehicles');
        $this->post('/jobs', ['vehicle' => $vehicle->id, 'kind' => 'repair', 'chosen' => '1'])->assertSessionHasErrors(
            'vehicle',
        );
        $this->get("/jobs/{$job->id}/record")->assertOk();
        $this->post("/vehicles/{$vehicle->id}/retire");
        $this->get("/jobs/new?vehicle={$vehicle->id}")->assertOk();
    }

    public function test_a_changed_circuit_counts_for_the_next_job_and_not_for_the_one_under_way(): void
    {
        $job = $this->plan();
        $other = Circuit::query()->whereKeyNot($job->circuit_id)->value('id');
        $vehicle = $job->vehicle;
        $this->post("/vehicles/{$vehicle->id}", [
            'plate' => $vehicle->plate,
            'name' => 'Renamed',
            'circuit' => $other,
            'notes' => '',
        ])->assertSessionHasNoErrors();
        self::assertSame($job->circuit_id, Job::query()->findOrFail($job->id)->circuit_id);
        $this->get("/jobs/{$job->id}")->assertOk()->assertSee('Renamed');
    }

    public function test_a_circuit_is_chosen_by_its_name_or_by_its_key_where_two_share_one(): void
    {
        $circuit = Circuit::query()->firstOrFail();
        $this->actingAs($this->imre)
            ->get('/vehicles/new')
            ->assertSee("<option value=\"{$circuit->name}\">", false);
        $add = fn (string $plate, string $called) => $this->post('/vehicles', [
            'plate' => $plate,
            'name' => 'Van',
            'circuit' => $called,
        ]);
        $add('BY 1', mb_strtoupper(" {$circuit->name}"))->assertSessionHasNoErrors();
        $sweeper = Circuit::query()->where('key', 'footpath-sweeper')->firstOrFail();
        $add('BY 4', 'sweep')->assertSessionHasNoErrors();
        self::assertSame(
            $sweeper->id,
            Vehicle::query()->where('plate', 'BY 4')->firstOrFail()->circuit_id,
            'a part that only one has',
        );
        $add('BY 5', 'taxi')->assertSessionHasErrors('circuit');
        $add('BY 6', 'sw')->assertSessionHasErrors('circuit');
        $twin = Circuit::query()->create([
            'key' => 'its-twin',
            'revision' => 1,
            'name' => $circuit->name,
            'document' => $circuit->document,
        ]);
        $add('BY 2', $circuit->name)->assertSessionHasErrors('circuit');
        $add('BY 3', 'its-twin')->assertSessionHasNoErrors();
        self::assertSame($twin->id, Vehicle::query()->where('plate', 'BY 3')->firstOrFail()->circuit_id);
        $this->get('/vehicles/'.Vehicle::query()->where('plate', 'BY 3')->value('id').'/edit')->assertSee(
            'value="its-twin"',
            false,
        );
    }

    public function test_of_three_hundred_vehicles_none_stands_in_a_list_of_options(): void
    {
        $circuit = Circuit::query()->value('id');
        Vehicle::query()->insert(array_map(
            fn (int $i) => ['plate' => "BUS {$i}", 'name' => 'Town bus', 'circuit_id' => $circuit, 'notes' => ''],
            range(1, 300),
        ));
        $id = Vehicle::query()->where('plate', 'BUS 300')->value('id');
        $page = $this->actingAs($this->imre)
            ->get("/jobs/new?vehicle={$id}")
            ->assertOk()
            ->assertSee('Another vehicle');
        self::assertStringNotContainsString(
            '<option',
            (string) preg_replace('/^.*?<form/s', '', (string) $page->getContent()),
        );
        $this->get('/vehicles')->assertSee('more. Type another word');
        $this->followingRedirects()->get('/vehicles?q=BUS+300')->assertSee('BUS 300')->assertDontSee('more. Type');
    }

    public function test_how_far_it_has_run_and_its_own_interval_say_when_it_is_due(): void
    {
        $vehicle = Vehicle::query()->where('plate', 'SKP 115')->firstOrFail();
        $circuit = $vehicle->circuit_id;
        $base = ['plate' => 'SKP 115', 'name' => 'Ambulance', 'circuit' => $circuit];
        $this->actingAs($this->imre)
            ->get("/vehicles/{$vehicle->id}")
            ->assertSee('The shop’s interval')
            ->assertSee('80,000 km, 36 months or 2,000 h');
        $this->post("/vehicles/{$vehicle->id}", [
            ...$base,
            'fields' => ['odometer' => '81400', 'interval_distance' => '50000', 'interval_months' => '24'],
        ])->assertSessionHasNoErrors();
        $vehicle->refresh();
        self::assertSame(
            [81_400.0, null, 50_000.0, 24.0],
            [$vehicle->odometer_km, $vehicle->hours, $vehicle->interval_km, $vehicle->interval_months],
        );
        self::assertSame(now()->format('Y-m-d'), $vehicle->read_on?->format('Y-m-d'));
        $this->get("/vehicles/{$vehicle->id}")
            ->assertSee('Its own interval')
            ->assertSee('50,000 km, 24 months or 2,000 h')
            ->assertSee('81400 km');

        // Planned and signed at 82,000 km: due at 132,000, and the plan went by the vehicle’s own interval.
        $this->post('/jobs', [
            'vehicle' => $vehicle->id,
            'kind' => 'change',
            'chosen' => '1',
            'drains' => ['radiator_cock'],
            'odometer' => '82000',
        ])->assertSessionHasNoErrors();
        $job = Job::query()->latest('id')->firstOrFail();
        self::assertSame(50_000.0, Plan::of($job->state())->rules()->changeLater->km);
        self::assertSame(82_000.0, $vehicle->refresh()->odometer_km);
        $job->update(['signed_at' => now()]);
        $this->travel(6)->months();
        $vehicle->update(['odometer_km' => 128_000.0]);
        $this->get("/vehicles/{$vehicle->id}")->assertSee('132,000 km')->assertSee('92 % used up, by distance');
        $vehicle->update(['odometer_km' => 8_200.0]);
        $this->get("/vehicles/{$vehicle->id}")->assertSee('% used up, by time')->assertDontSee('by distance');
    }

    public function test_a_file_is_looked_at_first_and_brings_in_all_of_it_or_nothing(): void
    {
        $this->actingAs($this->imre);
        $circuit = Circuit::query()->newest()->where('name', 'like', '%tractor%')->value('name');
        $count = Vehicle::query()->count();
        $good = "Plate;Name;Circuit;Odometer;Interval months\r\nyt 21;\"Tractor; "
            ."the green one\";{$circuit};12 mi;\r\n\r\nYT 22;Other;{$circuit};;18\r\n";
        $this->post('/vehicles/import', ['text' => $good])
            ->assertOk()
            ->assertSee('YT 21')
            ->assertSee('Bring them in');
        self::assertSame($count, Vehicle::query()->count(), 'looked at only');
        $bad = $good
            ."YT 22;Twice;{$circuit};;\nYT 23;No circuit;Nothing like it;;\n;No "
            ."plate;{$circuit};-5;\nYT 24;a;{$circuit};;;;more\n";
        $this->post('/vehicles/import', ['text' => $bad])
            ->assertOk()
            ->assertSee('5 mistakes')
            ->assertDontSee('Bring them in')
            ->assertSeeInOrder(
                [
                    '<td>5</td>',
                    'stands in line 4 already',
                    '<td>6</td>',
                    'No circuit here is called',
                    '<td>7</td>',
                    'plate',
                    'odometer',
                    '<td>8</td>',
                    'More cells',
                ],
                false,
            );
        $this->post('/vehicles/import', ['text' => $bad, 'keep' => '1'])->assertOk();
        self::assertSame($count, Vehicle::query()->count());
        $this->post('/vehicles/import', ['text' => $good, 'keep' => '1'])->assertRedirect('/vehicles');
        self::assertSame($count + 2, Vehicle::query()->count());
        $green = Vehicle::query()->where('plate', 'YT 21')->sole();
        self::assertSame('Tractor; the green one', $green->name);
        self::assertEqualsWithDelta(19.312, $green->odometer_km, 0.001);
        self::assertSame(18.0, Vehicle::query()->where('plate', 'YT 22')->sole()->interval_months);
    }

    public function test_what_is_exported_comes_back_unchanged_in_either_units(): void
    {
        Vehicle::query()
            ->where('plate', 'SKP 115')
            ->update([
                'name' => '=SUM(A1)',
                'notes' => "two\nlines, \"quoted\"",
                'odometer_km' => 81_433.217,
                'hours' => 12.5,
            ]);
        foreach (UnitSystem::cases() as $units) {
            $this->imre->update(['units' => $units]);
            $file = (string) $this->actingAs($this->imre)
                ->get('/vehicles/vehicles.csv')
                ->assertOk()
                ->assertHeader('Content-Type', 'text/csv; charset=utf-8')
                ->getContent();
            self::assertStringContainsString("'=SUM(A1)", $file);
            $import = VehicleFile::read($file, $units, true);
            self::assertSame([[], [], []], [$import->refused, $import->new, $import->changed]);
            self::assertSame(Vehicle::query()->count(), $import->unchanged);
        }
    }

    public function test_a_file_that_is_no_table_of_vehicles_is_refused_in_words(): void
    {
        $many = "plate,name,circuit\n".str_repeat("A,b,c\n", 501);
        foreach (
            [
                '' => 'Choose a CSV',
                'plate,name' => 'must be there',
                "plate,plate,name,circuit\n" => 'each once',
                "P\0K" => 'no table',
                "a,b,c\n" => 'Not known: a, b, c',
                $many => 'more than 500',
                str_repeat('x', 1_000_001) => 'larger than 1 MB',
            ] as $text => $why
        ) {
            $this->actingAs($this->imre)
                ->from('/vehicles')
                ->post('/vehicles/import', ['text' => (string) $text])
                ->assertRedirect('/vehicles')
                ->assertSessionHasErrors('file');
            self::assertStringContainsString($why, session('errors')->first('file'));
        }
        $this->post('/vehicles/import', ['text' => ['x']])->assertSessionHasErrors('file');
    }
}
