<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\Job;
use App\Models\Person;
use App\Models\Vehicle;

/** A shop's own vehicles: added, found, planned for, changed and retired. */
final class VehicleTest extends ShopTestCase
{
    public function test_a_vehicle_is_added_found_by_part_of_anything_and_planned_for(): void
    {
        $circuit = Circuit::query()->where('name', 'like', '%tractor%')->value('id');
        $this->actingAs($this->imre)->get('/vehicles/new')->assertOk()->assertSee('Add a vehicle');
        $this->post('/vehicles', ['plate' => '  yt  9 ', 'name' => 'Orchard tractor', 'circuit' => $circuit, 'notes' => 'Belly plate left off'])
            ->assertSessionHasNoErrors()->assertRedirect();
        $vehicle = Vehicle::query()->where('plate', 'YT 9')->sole();
        foreach (['yt 9', 'orch', 'belly', 'tractor orchard', 'YT plate'] as $part) {
            $this->get('/vehicles?q='.urlencode($part))->assertSee('Orchard tractor');
        }
        foreach (['%', '_', 'nothing like it', '\\'] as $part) {
            $this->get('/vehicles?q='.urlencode($part))->assertOk()->assertDontSee('Orchard tractor');
        }
        $this->get("/vehicles/{$vehicle->id}")->assertOk()->assertSee('Nobody has signed a job on it yet')->assertSee('Belly plate left off');
        $this->get("/jobs/new?vehicle={$vehicle->id}")->assertOk()->assertSee('Orchard tractor')->assertSee('Belly plate left off');
    }

    public function test_what_cannot_be_is_refused_at_its_field_and_nothing_typed_is_lost(): void
    {
        $circuit = Circuit::query()->value('id');
        $good = ['plate' => 'NEW 1', 'name' => 'Van', 'circuit' => $circuit];
        foreach ([
            'plate' => ['', 'SKP 114', 'skp  114', '<b>', str_repeat('X', 21), ['a']], 'name' => ['', str_repeat('n', 121)],
            'circuit' => ['', '0', '999999', 'x'], 'notes' => [str_repeat('n', 2001)],
        ] as $field => $bad) {
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
        $this->get('/vehicles?q=SKP+114&retired=1')->assertSee('SKP 114');
        $this->get("/jobs/new?vehicle={$vehicle->id}")->assertRedirect('/vehicles');
        $this->post('/jobs', ['vehicle' => $vehicle->id, 'kind' => 'repair', 'chosen' => '1'])->assertSessionHasErrors('vehicle');
        $this->get("/jobs/{$job->id}/record")->assertOk();
        $this->post("/vehicles/{$vehicle->id}/retire");
        $this->get("/jobs/new?vehicle={$vehicle->id}")->assertOk();
    }

    public function test_a_changed_circuit_counts_for_the_next_job_and_not_for_the_one_under_way(): void
    {
        $job = $this->plan();
        $other = Circuit::query()->whereKeyNot($job->circuit_id)->value('id');
        $vehicle = $job->vehicle;
        $this->post("/vehicles/{$vehicle->id}", ['plate' => $vehicle->plate, 'name' => 'Renamed', 'circuit' => $other, 'notes' => ''])
            ->assertSessionHasNoErrors();
        self::assertSame($job->circuit_id, Job::query()->findOrFail($job->id)->circuit_id);
        $this->get("/jobs/{$job->id}")->assertOk()->assertSee('Renamed');
    }

    public function test_of_three_hundred_vehicles_none_stands_in_a_list_of_options(): void
    {
        $circuit = Circuit::query()->value('id');
        Vehicle::query()->insert(array_map(
            fn (int $i) => ['plate' => "BUS {$i}", 'name' => 'Town bus', 'circuit_id' => $circuit, 'notes' => ''],
            range(1, 300),
        ));
        $id = Vehicle::query()->where('plate', 'BUS 300')->value('id');
        $page = $this->actingAs($this->imre)->get("/jobs/new?vehicle={$id}")->assertOk()->assertSee('Another vehicle');
        self::assertStringNotContainsString('<option', (string) preg_replace('/^.*?<form/s', '', (string) $page->getContent()));
        $this->get('/vehicles')->assertSee('more. Type another word');
        $this->get('/vehicles?q=BUS+300')->assertSee('BUS 300')->assertDontSee('more. Type');
    }
}
