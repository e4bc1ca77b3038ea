<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Vehicle;
use Aqbel\Core\Heat\Shelter;
use Aqbel\Core\Plan\Plan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** What is chosen on the Plan page, and what the plan makes of it. */
final class PlanTest extends ShopTestCase
{
    /** @return array<string, array{string, list<string>}> query, shown */
    public static function choices(): array
    {
        return [
            'coolant lost' => ['kind=lost', ['Find the drip first']], 'unknown coolant' => [
                'kind=change&content=unknown', ['Unknown coolant', 'Jar test', 'At most 5 % may stay'],
            ],
            'frost within reach' => [
                'frost=-30', ['for −30 °C', '45 %'],
            ], 'mild frost keeps the inhibitor' => ['frost=-10', ['40 %']], 'premix' => [
                'kind=change&stock=premix', ['Premix 50 %'],
            ],
            'premix against retained water' => [
                'kind=repair&content=water&stock=premix', ['out of reach'],
            ], 'premix after a rinse' => [
                'kind=change&content=family&stock=premix', ['out of reach', 'Reaches only'],
            ], 'overdue' => [
                'odometer=200000&last_odometer=100000&last_month=2026-01', ['overdue', '125 %', 'by distance'],
            ],
            'no drain chosen' => ['drains_auto=0', ['No drain is chosen', 'or say that it arrives empty']],
            'none, and a hose off' => ['drains_auto=0&opened[]=upper_hose', ['What runs out where it is opened']],
            'arriving empty' => [
                'content=empty', ['It arrives empty', 'Ask why it is empty', '11.73'],
            ],
            'time left' => ['odometer=120000&last_odometer=100000', ['time left', '25 %']], 'bleeding only' => [
                'kind=bleed',
                ['Nothing is drained', 'Air a fill leaves here', 'Fill until it runs', 'needs the circuit drained'],
            ],
        ];
    }

    /** @param  list<string>  $shown */
    #[DataProvider('choices')]
    public function test_the_plan_says(string $query, array $shown): void
    {
        $page = $this->actingAs($this->imre)->get("/jobs/new?vehicle=1&chosen=1&drains_auto=1&{$query}")->assertOk();
        foreach ($shown as $text) {
            $page->assertSee($text);
        }
    }

    public function test_kept_fills_say_the_same_as_fresh_ones(): void
    {
        $part = fn (string $fragment, string $query): string => (string) $this->actingAs($this->imre)
            ->get("/jobs/new?vehicle=1&chosen=1&fragment={$fragment}&drains[]=radiator_cock&{$query}")
            ->assertOk()
            ->getContent();
        $ask = fn (string $query): array => [$part('plan', $query), $part('besides', $query)];
        $fresh = $ask('target=44&lift=120');
        self::assertStringContainsString('The sequence', $fresh[0]);
        self::assertStringContainsString('Which way', $fresh[1]);
        Cache::flush();
        $ask('target=50&lift=0');
        self::assertSame($fresh, $ask('target=44&lift=120'));
    }

    public function test_bleeding_only_drains_nothing_whatever_was_ticked(): void
    {
        $this->actingAs($this->imre)
            ->post('/jobs', ['vehicle' => 1, 'chosen' => '1', 'kind' => 'bleed', 'drains' => ['radiator_cock']])
            ->assertSessionHasNoErrors();
        self::assertSame([], Job::query()->sole()->plan['choices']['drains']);
        $this->post('/jobs', ['vehicle' => 2, 'chosen' => '1', 'kind' => 'bleed', 'school' => 'vacuum'])
            ->assertSessionHasErrors('school');
    }

    public function test_the_drains_are_those_worth_it_until_somebody_chooses(): void
    {
        $drains = fn (array $form): array => tap(
            $this->actingAs($this->imre)->post('/jobs', ['vehicle' => 1, 'chosen' => '1', ...$form]),
            fn () => null,
        )->isRedirect() ? Job::query()->latest('id')->firstOrFail()->plan['choices']['drains'] : [];
        self::assertSame(['radiator_cock'], $drains(['drains_auto' => '1', 'drains' => ['left_plug']]));
        Job::query()->delete();
        self::assertSame(
            ['radiator_cock', 'left_plug', 'right_plug'],
            $drains(['drains_auto' => '1', 'kind' => 'change']),
        );
        Job::query()->delete();
        self::assertSame(['left_plug'], $drains(['drains_auto' => '0', 'drains' => ['left_plug']]));
    }

    public function test_a_refused_plan_keeps_what_was_chosen(): void
    {
        $back = $this->actingAs($this->imre)
            ->from('/jobs/new')
            ->post(
                '/jobs',
                [
                    'vehicle' => 1,
                    'chosen' => '1',
                    'kind' => 'change',
                    'drains' => ['left_plug'],
                    'opened' => ['upper_hose'],
                    'frost' => '-90',
                ],
            );
        $back->assertSessionHasErrors('frost');
        $page = $this->get((string) $back->headers->get('Location'))->assertOk();
        $page->assertSee('value="left_plug" checked', false)
            ->assertSee('value="upper_hose" checked', false)
            ->assertDontSee('value="right_plug" checked', false);
        self::assertSame(0, Job::query()->count());
        foreach ([
            'frost' => '-55',
            'last_month' => '2031-01',
            'odometer' => 'far',
            'content' => 'soup',
            'stock' => 'neat',
            'hours' => '-3',
        ] as $field => $bad) {
            $this->post('/jobs', ['vehicle' => 1, 'chosen' => '1', $field => $bad])->assertSessionHasErrors($field);
            $this->getJson("/jobs/new?vehicle=1&chosen=1&fragment=choice&{$field}={$bad}")
                ->assertStatus(422)
                ->assertJsonValidationErrors($field);
        }
    }

    public function test_nothing_has_run_backwards(): void
    {
        Vehicle::query()->whereKey(5)->update(['odometer_km' => 91_000.0, 'read_on' => '2026-11-02']);
        $ask = fn (string $also) => $this->actingAs($this->imre)->getJson("/jobs/new?vehicle=5&chosen=1&fragment=choice&{$also}");
        $ask('odometer=9100')->assertStatus(422)->assertJsonValidationErrors(['odometer' => '91000 km on 2026-11-02']);
        $ask('odometer=91000&last_odometer=98000')->assertStatus(422)->assertJsonValidationErrors('last_odometer');
        $ask('odometer=91000&last_odometer=9800')->assertOk();
        $this->post('/jobs', ['vehicle' => 5, 'chosen' => '1', 'odometer' => '9100'])->assertSessionHasErrors('odometer');
    }

    public function test_what_is_shown_is_what_is_started(): void
    {
        $tractor = Vehicle::query()->where('plate', 'YT 2')->firstOrFail();
        $page = $this->actingAs($this->imre)
            ->get("/jobs/new?vehicle={$tractor->id}")
            ->assertOk();
        $page
            ->assertSee('name="school" value="vacuum" checked', false)
            ->assertDontSee('name="school" value="gravity" checked', false)
            ->assertSee('Set up the vacuum filler');
        // A template, or a hand, asks for what leaves a jacket dry: it
        // is said, and not started under another’s picture.
        $this->get("/jobs/new?vehicle={$tractor->id}&chosen=1&school=gravity")
            ->assertOk()
            ->assertSee('What was asked for does not fit here')
            ->assertSee('Gravity leaves pump or jackets');
        $this->post('/jobs', [
            'vehicle' => $tractor->id,
            'chosen' => '1',
            'school' => 'gravity',
        ])->assertSessionHasErrors('school');
        $this->post('/jobs', ['vehicle' => $tractor->id, 'chosen' => '1'])->assertSessionHasNoErrors();
        self::assertSame('vacuum', Plan::of(Job::query()->latest('id')->firstOrFail()->state())->school->id());
    }

    public function test_a_circuit_that_no_way_at_hand_fills_is_planned_all_the_same(): void
    {
        $tractor = Vehicle::query()->with('circuit')->where('plate', 'YT 2')->firstOrFail();
        $tractor->circuit->document = [
            ...$tractor->circuit->document,
            'ports' => array_values(
                array_filter($tractor->circuit->document['ports'], fn (array $port) => $port['id'] !== 'upper_end'),
            ),
        ];
        $tractor->circuit->save();
        $bare = ['vehicle' => $tractor->id, 'chosen' => '1', 'tools_chosen' => '1'];
        $this->actingAs($this->imre)
            ->get('/jobs/new?'.http_build_query($bare))
            ->assertOk()
            ->assertSee('No way fills every jacket of this circuit');
        $this->post('/jobs', $bare)->assertSessionHasNoErrors();
        $this->walk(Job::query()->latest('id')->firstOrFail())->until('heat_cycle:1');
        $this->enter(Job::query()->latest('id')->firstOrFail(), 'heat_cycle:1', 'started', [
            'place' => 'outdoors',
            'neck' => 'sealed',
        ])->assertSessionHasErrors('finish');
    }

    public function test_the_last_visit_s_notes_and_odometer_come_back(): void
    {
        $this->actingAs($this->imre)
            ->post(
                '/jobs',
                ['vehicle' => 5, 'chosen' => '1', 'kind' => 'change', 'drains_auto' => '1', 'odometer' => '98000'],
            );
        $job = Job::query()->sole();
        $this->walk($job)->until('inspect')->enter(
            'condition',
            [
                'hoses' => 'watch',
                'clamps' => 'marked',
                'cap' => 'good',
                'fins' => 'clear',
                'tank' => 'readable',
                'pipes' => 'rusty',
                'watch' => 'fan bearing sings',
            ],
        )->finish()->until(null);
        $this->actingAs($this->imre)
            ->get('/jobs/new?vehicle=5')
            ->assertSee("To watch, from {$job->number()}")
            ->assertSee('fan bearing sings')
            ->assertSee('value="98000"', false);
        $this->get('/jobs/new?vehicle=5&chosen=1&odometer=180000&last_odometer=98000')->assertSee('overdue');
        $this->get("/jobs/{$job->id}/record")
            ->assertSee('Next change of the coolant: after 80,000 km (at 178,000 km)')
            ->assertSee('Watch at the next visit: hoses ageing; metal pipes rusty; fan bearing sings');
    }

    public function test_how_sure_the_numbers_are_follows_the_plan_and_a_measurement_goes_into_the_circuit(): void
    {
        $vehicle = \App\Models\Vehicle::query()->where('plate', 'SKP 440')->first()
            ?? \App\Models\Vehicle::query()->firstOrFail();
        $sweeper = \App\Models\Circuit::query()->where('key', 'footpath-sweeper')->firstOrFail();
        $vehicle->update(['circuit_id' => $sweeper->id]);
        $page = "/jobs/new?vehicle={$vehicle->id}";
        $lead = \App\Models\Person::query()->where('login', 'sunniva')->firstOrFail();
        $this->actingAs($lead)
            ->get($page)
            ->assertOk()
            ->assertSee('data-fragment="ranges"', false)
            ->assertDontSee('One measurement settles most');
        $this->get("{$page}&fragment=ranges")
            ->assertOk()
            ->assertSee('data-level', false)
            ->assertSee('tube-band', false)
            ->assertSee('How sure')
            ->assertSee('Air that stays');
        // Where it arrives empty: where coolant stayed in the cab's pipes, no height of theirs decides.
        $sure = $this->get("{$page}&content=empty&fragment=ranges")
            ->assertOk()
            ->assertSee('One measurement settles most');
        self::assertMatchesRegularExpression('/name="node" value="pipe_hot_/', (string) $sure->getContent());
        preg_match('/name="node" value="(\w+)"/', (string) $sure->getContent(), $node);
        $measured = fn (string $typed) => $this->from($page)->post("/circuits/{$sweeper->id}/measured", [
            'node' => $node[1],
            'measured' => $typed,
            'vehicle' => (string) $vehicle->id,
        ]);
        $measured('high')->assertRedirect($page)->assertSessionHasErrors('measured');
        $this->get($page)->assertSee('Not measured:');
        $measured('-5')->assertSessionHasErrors('measured');
        // A wrong unit, and a digit too few.
        foreach (['0.42', '42', '420 cm'] as $slip) {
            $measured($slip)->assertRedirect($page)->assertSessionHasErrors('measured');
        }
        self::assertSame($sweeper->id, $vehicle->refresh()->circuit_id);
        $measured('43 cm')->assertRedirect($page)->assertSessionHasNoErrors();
        $vehicle->refresh();
        self::assertNotSame($sweeper->id, $vehicle->circuit_id);
        $now = $vehicle->circuit->read()->nodes[$node[1]];
        self::assertSame([430.0, 3.0], [$now->zMm, $now->plusMinusMm]);
        // Somebody else, from a page of before it: both stay; and twice is once.
        foreach ([1, 2] as $_) {
            $this->from($page)
                ->post("/circuits/{$sweeper->id}/measured", ['node' => 'stat', 'measured' => '955'])
                ->assertSessionHasNoErrors();
        }
        $newest = $sweeper->newestRevision();
        self::assertSame(
            [3, 430.0, 955.0],
            [$newest->revision, $newest->read()->nodes[$node[1]]->zMm, $newest->read()->nodes['stat']->zMm],
        );
        // Who may not change circuits is told what to measure, and asks.
        $this->actingAs($this->imre)
            ->get("{$page}&content=empty&fragment=ranges")
            ->assertOk()
            ->assertDontSee('Put it into the circuit');
        $this->post("/circuits/{$vehicle->circuit_id}/measured", [
            'node' => $node[1],
            'measured' => '900',
        ])->assertForbidden();
    }

    public function test_a_thermostat_nobody_looked_at_is_one_look_and_one_press(): void
    {
        $lead = \App\Models\Person::query()->where('login', 'sunniva')->firstOrFail();
        $this->actingAs($lead)
            ->post('/circuits/make/bleed_thermostat', [
                'answers' => [
                    'name' => 'Ridge carrier',
                    'z_rad_top' => '71 cm',
                    'z_heater_in' => '88 cm',
                    'capacity_ml' => '6.4',
                ],
            ])
            ->assertSessionHasNoErrors();
        $made = \App\Models\Circuit::query()->where('name', 'Ridge carrier')->firstOrFail();
        $vehicle = \App\Models\Vehicle::query()->create([
            'plate' => 'RC 1',
            'name' => 'Carrier',
            'circuit_id' => $made->id,
        ]);
        $page = "/jobs/new?vehicle={$vehicle->id}&chosen=1&school=gravity";
        $this->get("{$page}&fragment=ranges")
            ->assertOk()
            ->assertSee('One look settles most')
            ->assertSee('lets air by while it is shut')
            ->assertSee('name="gate" value="thermostat"', false);
        $seen = fn (string $answer) => $this->from($page)->post("/circuits/{$made->id}/measured", [
            'gate' => 'thermostat',
            'weeps' => $answer,
            'vehicle' => (string) $vehicle->id,
        ]);
        $seen('perhaps')->assertSessionHasErrors('measured');
        $seen('no')->assertRedirect("/jobs/new?vehicle={$vehicle->id}")->assertSessionHasNoErrors();
        $gate = $made->newestRevision()->read()->gates['thermostat'];
        self::assertSame([false, true], [$gate->weeps, $gate->sure]);
        $this->get("{$page}&fragment=ranges")->assertOk()->assertDontSee('One look settles most');
    }

    public function test_at_the_bleed_points_how_sure_it_is_stands_one_press_away(): void
    {
        $job = $this->plan('SKP 318', more: ['content' => 'empty']);
        $this->get("/jobs/{$job->id}?step=found")
            ->assertOk()
            ->assertDontSee('/how-sure', false);
        $bleed = array_values(
            array_filter(array_keys($job->state()->steps), fn (string $step) => str_starts_with($step, 'bleed:')),
        )[0];
        $this->get("/jobs/{$job->id}?step={$bleed}")
            ->assertOk()
            ->assertSee("/jobs/{$job->id}/how-sure", false);
        $lead = \App\Models\Person::query()->where('login', 'sunniva')->firstOrFail();
        $page = $this->actingAs($lead)
            ->get("/jobs/{$job->id}/how-sure")
            ->assertOk()
            ->assertSee('Air that stays')
            ->assertSee('One measurement settles most')
            ->assertSee('keeps the circuit it was planned on');
        preg_match('/name="node" value="(\w+)"/', (string) $page->getContent(), $node);
        $this->post("/circuits/{$job->circuit_id}/measured", [
            'node' => $node[1],
            'measured' => '421',
            'vehicle' => (string) $job->vehicle_id,
            'job' => (string) $job->id,
        ])
            ->assertRedirect("/jobs/{$job->id}")
            ->assertSessionHasNoErrors();
        self::assertSame($job->circuit_id, $job->refresh()->circuit_id);
        self::assertNotSame($job->circuit_id, $job->vehicle->refresh()->circuit_id);
    }

    public function test_a_way_is_put_together_from_how_it_is_filled_warmed_up_helped_and_ended(): void
    {
        $vehicle = \App\Models\Vehicle::query()->where('plate', 'SKP 660')->firstOrFail();
        $with = fn (array $more): string => '/jobs/new?'
            .http_build_query(['vehicle' => $vehicle->id, 'chosen' => '1', 'school' => 'gravity', ...$more]);
        $this->actingAs($this->imre)
            ->get($with([]))
            ->assertOk()
            ->assertSee('As usual with this way')
            ->assertSee('Helped by');
        $page = $this->get($with(['warm_up' => 'open_neck', 'end' => 'one_run', 'aids' => ['raise']]))->assertOk();
        $page->assertSee('Nose raised')->assertSee('neck open, topped up as it sinks');
        $this->get(
            $with([
                'school' => 'vacuum',
                'aids' => ['raise'],
                'tools_chosen' => '1',
                'tools' => ['vacuum_filler', 'ramps'],
            ]),
        )
            ->assertOk()
            ->assertSee('What was asked for does not fit here')
            ->assertSee('leaves no less air with the nose up');
        // Where the lift brings nothing it is not raised in silence.
        $ambulance = \App\Models\Vehicle::query()->where('plate', 'SKP 114')->firstOrFail();
        $this->get(
            '/jobs/new?'
                .http_build_query([
                    'vehicle' => $ambulance->id,
                    'chosen' => '1',
                    'school' => 'gravity',
                    'aids' => ['raise'],
                ]),
        )
            ->assertOk()
            ->assertSee('no less air stays in this circuit');
        $this->get($with(['warm_up' => 'wishful']))->assertRedirect();
        $this->get($with(['school' => 'loose_cap', 'warm_up' => 'open_neck']))->assertRedirect();
        $this->post('/jobs', [
            'vehicle' => $vehicle->id,
            'school' => 'gravity',
            'kind' => 'repair',
            'chosen' => '1',
            'drains' => ['radiator_cock'],
            'warm_up' => 'open_neck',
            'end' => 'one_run',
            'aids' => ['raise'],
        ])->assertSessionHasNoErrors();
        $job = \App\Models\Job::query()->latest('id')->firstOrFail();
        self::assertSame(
            'way:gravity+open_neck+raise+one_run',
            $job->state()->plan instanceof \Aqbel\Core\Plan\Plan ? $job->state()->plan->school->id() : '',
        );
        $this->walk($job)->until(null);
        self::assertNotNull($job->refresh()->signed_at);
        $this->get("/jobs/{$job->id}/record")->assertOk()->assertSee('nose raised');
    }

    public function test_a_job_elsewhere_goes_by_its_own_height_and_shelter(): void
    {
        $vehicle = Vehicle::query()->where('plate', 'SKP 114')->firstOrFail();
        $with = fn (array $more): array => [
            'vehicle' => $vehicle->id,
            'school' => 'gravity',
            'kind' => 'repair',
            'chosen' => '1',
            'drains' => ['radiator_cock'],
            ...$more,
        ];
        $this->actingAs($this->imre)
            ->get('/jobs/new?'.http_build_query($with([])))
            ->assertOk()
            ->assertSee('In the shop');
        $this->get('/jobs/new?'.http_build_query($with(['elevation' => '2500', 'shelter' => 'wind'])))
            ->assertOk()
            ->assertSee('2,500 m, in the wind');
        $this->get('/jobs/new?'.http_build_query($with(['elevation' => '9000'])))->assertSessionHasErrors(
            'elevation',
        );
        $this->post('/jobs', $with(['elevation' => '2500', 'shelter' => 'blanket']))->assertSessionHasNoErrors();
        $choices = Plan::of(Job::query()->latest('id')->firstOrFail()->state())->choices;
        self::assertSame([2500.0, Shelter::Blanket], [$choices->elevationM, $choices->shelter], 'kept with the plan');
        self::assertLessThan(76.0, $choices->atmosphere()->pressure->kPa());
    }

    public function test_each_aid_says_what_it_brings_to_this_fill_on_this_circuit(): void
    {
        $brings = function (string $plate): array {
            $vehicle = Vehicle::query()->where('plate', $plate)->firstOrFail();
            $page = (string) $this->actingAs($this->imre)
                ->get(
                    '/jobs/new?'
                        .http_build_query([
                            'vehicle' => $vehicle->id,
                            'school' => 'gravity',
                            'chosen' => '1',
                            'drains_auto' => '1',
                        ]),
                )
                ->assertOk()
                ->getContent();
            self::assertSame(1, preg_match('/data-brings="([^"]+)"/', $page, $found));

            return (array) json_decode(html_entity_decode($found[1]), true);
        };
        self::assertSame('brings nothing here', $brings('SKP 114')['raise']);
        self::assertStringContainsString('less air', $brings('SKP 660')['raise']);
    }

    public function test_a_leak_that_is_replaced_is_not_hunted_again_and_nothing_more_is_drained(): void
    {
        $page = fn (string $more): TestResponse => $this->actingAs($this->imre)
            ->get("/jobs/new?vehicle=1&chosen=1&drains_auto=1&kind=lost{$more}")
            ->assertOk();
        $page('')
            ->assertSee('Replaced already, where it was lost')
            ->assertSee('Find the drip first.')
            ->assertDontSee('The leak is found.');
        $page('&opened%5B%5D=upper_hose')
            ->assertSee('The leak is found.')
            ->assertDontSee('Find the drip first.')
            ->assertDontSee('No drain is chosen.');
    }
}
