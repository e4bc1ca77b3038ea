<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Elevation\Box;
use App\Elevation\Drawing;
use App\Elevation\Label;
use App\Elevation\PlacedPort;
use App\Models\Circuit;
use App\Models\Job;
use App\Models\Vehicle;
use Database\Seeders\DemoSeeder;
use Illuminate\Support\Facades\DB;

final class FloorTest extends ShopTestCase
{
    public function test_jobs_stand_in_the_order_hands_are_needed(): void
    {
        DemoSeeder::fillTheFloor();
        $page = $this->actingAs($this->imre)->get('/')->assertOk();
        $page->assertSeeInOrder(['SKP 208', 'Let the sealant cure', 'SKP 114', 'Hold the vacuum', 'now', 'SKP 115']);
        [$first, $second] = array_map(
            Job::numbered(...),
            array_map(intval(...), Job::query()->orderBy('id')->limit(2)->pluck('id')->all()),
        );
        $this->actingAs($this->imre)->get('/records')->assertOk()->assertSee($first)->assertSee($second);
        $this->actingAs($this->imre)->get('/records?q=207')->assertSee($second)->assertDontSee($first);
        $this->actingAs($this->imre)->get('/records?q=nothing')->assertSee('Nothing found');
    }

    public function test_the_plan_answers_in_the_units_of_the_person(): void
    {
        $this->actingAs($this->imre)->get('/jobs/new?vehicle=1&kind=change')->assertSee('10.94')->assertSee('12.39 L');
        $this->actingAs($this->imre)->post('/units');
        $this->actingAs($this->imre->refresh())->get('/jobs/new?vehicle=1&kind=change')->assertSee('13.09 qt');
    }

    public function test_the_sequence_follows_the_tools_at_hand(): void
    {
        $this->actingAs($this->imre)->get('/jobs/new?vehicle=1&chosen=1&tools_chosen=1&school=vacuum')->assertOk()
            ->assertSee('needs the vacuum filler')
            ->assertDontSee('Pressure test, cold')
            ->assertDontSee('Measure the mixture');
        $this->post(
            '/jobs',
            [
                'vehicle' => 1,
                'school' => 'vacuum',
                'chosen' => '1',
                'tools_chosen' => '1',
                'tools' => ['refractometer'],
            ],
        )
            ->assertSessionHasErrors('school');
        $this->post('/jobs', ['vehicle' => 1, 'chosen' => '1', 'tools_chosen' => '1', 'tools' => ['hammer']])
            ->assertSessionHasErrors('tools.0');
        self::assertSame(0, Job::query()->count());
    }

    public function test_nothing_overlaps_in_the_elevation_view(): void
    {
        foreach (Circuit::query()->get() as $model) {
            foreach ([false, true] as $tall) {
                $drawing = new Drawing($model->read(), null, tall: $tall);
                $boxes = [
                    ...array_map(fn (Label $label) => $label->box(), $drawing->labels()),
                    ...array_map(
                        fn (PlacedPort $port) => new Box($port->x - 13.0, $port->y - 13.0, 26.0, 26.0),
                        $drawing->ports,
                    ),
                ];
                foreach ($boxes as $i => $box) {
                    self::assertGreaterThanOrEqual(-0.1, min($box->x, $box->y), $model->name);
                    self::assertLessThanOrEqual($drawing->scale->height, $box->y + $box->height, $model->name);
                    self::assertLessThanOrEqual(520.1, $box->x + $box->width, $model->name);
                    foreach (array_slice($boxes, $i + 1) as $other) {
                        self::assertEqualsWithDelta(0.0, $box->over($other), 12.0, $model->name);
                    }
                }
            }
        }
    }

    public function test_circuits_show_what_the_manual_says(): void
    {
        $this->actingAs($this->imre)->get('/circuits')->assertOk()->assertSee('Rescue ambulance');
        $this->actingAs($this->imre)
            ->get('/circuits/1')
            ->assertOk()
            ->assertSee('12.39 L')
            ->assertSee('25.0 N·m')
            ->assertSee('by feel');
    }

    public function test_more_open_jobs_than_fit_are_said_and_none_vanishes(): void
    {
        $job = $this->plan('GEN 1');
        $rows = [];
        foreach (range(1, 205) as $i) {
            $vehicle = Vehicle::query()->create([
                'circuit_id' => $job->circuit_id,
                'plate' => "MANY {$i}",
                'name' => 'One of many',
            ]);
            $rows[] = [...array_diff_key($job->refresh()->getAttributes(), ['id' => 0]), 'vehicle_id' => $vehicle->id];
        }
        foreach (array_chunk($rows, 40) as $some) {
            DB::table('jobs')->insert($some);
        }
        $all = Job::query()->open()->count();
        $this->get('/')->assertOk()->assertSee("{$all} vehicles waiting for hands")->assertSee('rel="next"', false);
        $seen = [];
        foreach (range(1, 4) as $page) {
            preg_match_all(
                '#href="/jobs/(\d+)"#',
                (string) $this->get("/?page={$page}")
                    ->assertOk()
                    ->getContent(),
                $found,
            );
            self::assertLessThanOrEqual(61, count($found[1]), 'no page holds more than sixty');
            $seen = [...$seen, ...$found[1]];
        }
        self::assertCount($all, array_unique($seen));
        $this->get('/vehicles')->assertSee("Go on with {$job->number()}");
    }
}
