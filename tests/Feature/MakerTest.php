<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\Person;
use Aqbel\Core\Circuit\Maker\Layouts;
use Aqbel\Core\Quantity\UnitSystem;

/** A circuit of one's own, from the list, at the vehicle and before there is any. */
final class MakerTest extends ShopTestCase
{
    private Person $lead;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        $this->actingAs($this->lead);
    }

    public function test_it_is_offered_where_a_circuit_is_wanted(): void
    {
        $this->get('/circuits')->assertSee('/circuits/make', false);
        $this->get('/vehicles/new')->assertSee('/circuits/make?for=vehicle', false);
        $page = $this->get('/circuits/make')->assertOk();
        foreach (Layouts::all() as $layout) {
            $page->assertSee($layout->title);
            $this->get("/circuits/make/{$layout->id}")
                ->assertOk()
                ->assertSee('From the manual')
                ->assertSee('el-asked', false);
            self::assertStringContainsString(
                '<svg',
                (string) $this->get("/circuits/make/{$layout->id}.svg")
                    ->assertOk()
                    ->getContent(),
            );
        }
        $this->get('/circuits/make/steam_engine')->assertNotFound();
    }

    public function test_answers_go_in_as_they_are_typed_and_make_a_circuit(): void
    {
        $made = $this->post('/circuits/make/expansion_tank', [
            'has' => ['second_drain', 'vent_line', 'no_such_thing'],
            'answers' => [
                'name' => 'Harrow van',
                'capacity_ml' => '8.4',
                'cap_kpa' => '1.1 bar',
                'z_stat' => '33 in',
                'z_tank_neck' => '96 cm',
                'thermostat_start_c' => '',
                'base' => 'propylene_glycol',
                'torque_block_plug' => '30',
                'routine' => "Cap off, pour to the mark\nRun 10 min",
                'z_rear_in' => '700',
            ],
        ])->assertSessionHasNoErrors();
        $stored = Circuit::query()->where('name', 'Harrow van')->firstOrFail();
        $made->assertRedirect("/circuits/{$stored->id}");
        $this->get("/circuits/{$stored->id}")
            ->assertOk()
            ->assertSee('Not measured yet: Block plug')
            ->assertSee('Harrow van');
        $circuit = $stored->read();
        self::assertEqualsWithDelta(8400.0, $circuit->capacityMl(), 3.0);
        self::assertEqualsWithDelta(838.2, $circuit->nodes['stat']->zMm, 0.1);
        self::assertSame(
            [960.0, 110, null, 30.0, 'propylene_glycol', 2],
            [
                $circuit->nodes['tank_neck']->zMm,
                (int) round((float) $circuit->facts->capKpa),
                $circuit->facts->thermostatStartC,
                $circuit->ports['block_plug']->torqueNm,
                $circuit->facts->base->value,
                count($circuit->facts->routine),
            ],
        );
        self::assertArrayHasKey('vent_line', $circuit->passages);
        // It can be worked on at once.
        $this->post('/vehicles', [
            'plate' => 'SKP 911',
            'name' => 'Harrow van',
            'circuit' => 'Harrow van',
            'notes' => '',
        ])->assertSessionHasNoErrors();
        $vehicle = \App\Models\Vehicle::query()->where('plate', 'SKP 911')->firstOrFail();
        $this->get("/jobs/new?vehicle={$vehicle->id}&fragment=ranges")
            ->assertOk()
            ->assertSee('How sure')
            ->assertSee('Air that stays');
    }

    public function test_everything_that_cannot_be_is_said_at_its_field_and_nothing_is_lost_or_made(): void
    {
        $before = Circuit::query()->count();
        $ask = '/circuits/make/radiator_cap';
        $this->from($ask)
            ->post($ask, [
                'has' => ['rear_heater'],
                'answers' => ['capacity_ml' => 'a lot', 'z_stat' => '5 bar', 'cap_kpa' => '90', 'name' => 'Kept'],
            ])
            ->assertRedirect($ask)
            ->assertSessionHasErrors(['answers.capacity_ml', 'answers.z_stat']);
        $this->get($ask)
            ->assertSee('2 answers cannot be right')
            ->assertSee('value="a lot"', false)
            ->assertSee('value="Kept"', false)
            ->assertSeeInOrder(['value="rear_heater"', 'checked'], false);
        // In the right unit, and impossible.
        $this->from($ask)
            ->post($ask, ['answers' => ['cap_kpa' => '9000']])
            ->assertRedirect($ask)
            ->assertSessionHasErrors('answers.cap_kpa');
        // In centimetres, a temperature for the other, and the right unit.
        $this->from($ask)
            ->post($ask, ['answers' => ['z_stat' => '82']])
            ->assertSessionHasErrors([
                'answers.z_stat' => '82 mm cannot be right here. Enter between 205 mm and 3280 mm, or leave it out.',
            ]);
        $this->from($ask)
            ->post($ask, ['answers' => ['thermostat_start_c' => '94', 'thermostat_full_c' => '82']])
            ->assertSessionHasErrors('answers.thermostat_full_c');
        $this->from($ask)
            ->post($ask, ['answers' => ['fan_on_c' => '92', 'fan_off_c' => '97']])
            ->assertSessionHasErrors('answers.fan_on_c');
        $this->from($ask)
            ->post($ask, ['answers' => ['base' => 'whisky']])
            ->assertSessionHasErrors('answers.base');
        $this->from($ask)
            ->post($ask, ['answers' => 'none', 'has' => 'rear_heater'])
            ->assertSessionHasNoErrors();
        self::assertSame($before + 1, Circuit::query()->count(), 'nobody has to know anything');
    }

    public function test_a_vehicle_waits_for_its_circuit_and_gets_it(): void
    {
        $this->lead->update(['units' => UnitSystem::UsCustomary]);
        $this->get('/circuits/make/small_twin?for=vehicle')->assertSee('usually')->assertSee('qt');
        $this->post('/circuits/make/small_twin', [
            'for' => 'vehicle',
            'answers' => ['name' => 'Mower', 'capacity_ml' => '3'],
        ])->assertRedirect('/vehicles/new?circuit=Mower');
        // Another of that name: the vehicle gets the one that was made for it.
        $again = (string) $this->post('/circuits/make/small_twin', [
            'for' => 'vehicle',
            'answers' => ['name' => 'Mower'],
        ])->headers->get('Location');
        $key = Circuit::query()->where('name', 'Mower')->orderByDesc('id')->firstOrFail()->key;
        self::assertStringEndsWith('circuit='.urlencode($key), $again);
        $this->get('/vehicles/new?circuit=Mower')->assertOk()->assertSee('value="Mower"', false);
        self::assertEqualsWithDelta(
            3 * 946.35,
            Circuit::query()->where('name', 'Mower')->orderBy('id')->firstOrFail()->read()->capacityMl(),
            3.0,
        );
    }

    public function test_who_may_not_change_circuits_makes_none(): void
    {
        $this->actingAs($this->imre)->get('/circuits/make')->assertForbidden();
        $this->post('/circuits/make/small_twin', [])->assertForbidden();
        $this->get('/circuits')->assertDontSee('/circuits/make', false);
    }
}
