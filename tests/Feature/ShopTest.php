<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Audit\Subject;
use App\Backups\LastBackup;
use App\Models\AuditLine;
use App\Models\Circuit;
use App\Models\JobTemplate;
use App\Models\Person;
use App\Models\Right;
use App\Models\Shop;
use App\Models\Vehicle;
use App\Plan\Tick;
use App\Shop\LabourSheet;
use App\Shop\RuleBook;
use App\Shop\Sweep;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\Format\RulesCodec;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Labour;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Testing\TestResponse;

/** Where the shop stands, what is at hand, how it works, who may what, and who changed it. */
final class ShopTest extends ShopTestCase
{
    private Person $lead;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = Person::query()->where('login', 'sunniva')->firstOrFail();
    }

    public function test_what_a_lead_keeps_is_there_and_stands_in_the_audit(): void
    {
        $this->actingAs($this->lead)
            ->get('/shop')
            ->assertOk()
            ->assertSee('Skarnmoor Pass Depot')
            ->assertSee('None yet');
        $this->post('/shop', [
            'fields' => ['name' => 'Lower Depot', 'elevation' => '900', 'currency' => 'Mk'],
            'tools' => ['funnel', 'crane'],
        ])->assertSessionHasNoErrors();
        $shop = Shop::here();
        self::assertSame([Tool::Funnel], $shop->toolsAtHand());
        self::assertSame(
            [900.0, 'Mk', 'Lower Depot'],
            [$shop->elevation_m, $shop->houseRules()->currency, $shop->name],
        );
        $line = AuditLine::query()->latest('id')->firstOrFail();
        self::assertSame([Subject::Shop, $this->lead->id], [$line->what, $line->person->id]);
        self::assertContains(['elevation_m', '1420', '900'], $line->changes);
        $this->get('/shop/changes')->assertOk()->assertSee('1420 → 900')->assertSee($this->lead->name);
        $this->get('/shop/changes?what=price')->assertOk()->assertDontSee('1420 → 900')->assertSee('Nothing yet');
        $ticks = $this->get('/jobs/new?vehicle=1')->assertOk()->viewData('page')->tools();
        self::assertSame(['funnel'], array_column(array_filter($ticks, fn (Tick $tick) => $tick->ticked), 'value'));
    }

    public function test_who_reads_quarts_tells_in_feet_how_high_it_lies_and_reads_it_so(): void
    {
        $this->lead->update(['units' => UnitSystem::UsCustomary]);
        $this->actingAs($this->lead)->get('/shop')->assertOk()->assertSee('4,659 ft')->assertSee('value="4658.8"', false);
        $this->keepShop(['elevation' => '4658.8'])->assertSessionHasNoErrors();
        self::assertSame(1420.0, Shop::here()->elevation_m, 'kept as it stood, it has not moved');
        $this->keepShop(['elevation' => '2,000'])->assertSessionHasNoErrors();
        self::assertSame(609.6, Shop::here()->elevation_m);
        $this->keepShop(['elevation' => '900 m'])->assertSessionHasNoErrors();
        self::assertSame(900.0, Shop::here()->elevation_m, 'another unit is typed out');
        $this->get('/jobs/new?vehicle=1&chosen=1&drains[]=radiator_cock&elevation=8000')
            ->assertOk()
            ->assertSee('8,000 ft');
    }

    public function test_a_barometer_says_the_elevation(): void
    {
        // ICAO standard atmosphere: 89.874 kPa at 1000 m.
        $this->keepShop(['barometer' => '89.874 kPa'])->assertSessionHasNoErrors();
        self::assertEqualsWithDelta(1000.0, Shop::here()->elevation_m, 5.0);
        $this->keepShop(['barometer' => '20 kPa'])->assertSessionHasErrors('barometer');
        $this->keepShop(['elevation' => '9000'])->assertSessionHasErrors('elevation');
        $this->keepShop(['name' => ''])->assertSessionHasErrors('name');
        self::assertEqualsWithDelta(1000.0, Shop::here()->elevation_m, 5.0);
    }

    public function test_rules_are_kept_for_new_jobs_and_those_under_way_keep_their_own(): void
    {
        $job = $this->plan();
        $this->actingAs($this->lead)
            ->get('/shop/rules')
            ->assertOk()
            ->assertSee('A sealed neck is opened below')
            ->assertSee('Usual:');
        $this->keepRules([
            'safe' => '40',
            'close_bleed' => 'first_coolant',
            'later_km' => '60000',
        ])->assertSessionHasNoErrors();
        $rules = Shop::here()->houseRules();
        self::assertSame(
            [40.0, 'first_coolant', 60_000.0],
            [$rules->safeTemperatureC, $rules->closeBleed->value, $rules->changeLater->km],
        );
        self::assertSame(45.0, Plan::of($job->refresh()->state())->rules()->safeTemperatureC);
        self::assertContains(
            ['safeTemperatureC', '45', '40'],
            AuditLine::query()->latest('id')->firstOrFail()->changes,
        );
        $this->get('/shop/rules')->assertSee('This shop’s own.', false);
    }

    public function test_each_gate_has_a_right_of_its_own(): void
    {
        self::assertSame([[], Gate::cases()], [$this->imre->passes(), $this->lead->passes()]);
        $this->actingAs($this->lead)
            ->post('/shop/rights', ['known' => 'bleed-it-dry', 'granted' => [Right::PassOverFrost->value]])
            ->assertSessionHasNoErrors();
        self::assertSame([Gate::Frost], $this->imre->passes());
        // What was given when both were one.
        Shop::here()->update(['granted' => ['change_prices', 'pass_over_leads']]);
        (require database_path('migrations/2026_11_27_200000_a_right_for_each_gate.php'))->up();
        self::assertSame(['change_prices', 'pass_over_sums', 'pass_over_frost'], Shop::query()->firstOrFail()->granted);
    }

    public function test_minutes_of_labour_are_the_shop_s_and_plans_add_them_up(): void
    {
        foreach (Labour::activities() as $activity) {
            self::assertNotSame($activity, LabourSheet::label($activity));
        }
        $this->actingAs($this->imre)
            ->get('/shop/labour')
            ->assertOk()
            ->assertSee('One rinse: fill, warm up, cool, drain');
        $this->post('/shop/labour', ['labour' => ['mix' => ['hands' => '20']]])->assertForbidden();
        $keep = fn (array $labour) => $this->actingAs($this->lead)
            ->from('/shop/labour')
            ->post('/shop/labour', ['labour' => $labour]);
        foreach (['a lot', '-3', '9000'] as $bad) {
            $keep(['mix' => ['hands' => $bad]])->assertSessionHasErrors('labour.mix');
        }
        $keep(['mix' => 'x', 'nothing' => ['hands' => '3'], 'drain' => ['wait' => '']])->assertSessionHasNoErrors();
        self::assertSame([], Shop::here()->houseRules()->labour->own, 'as usual is nothing of its own');
        $before = app(Planner::class)->plan(...$this->choices())->minutes(app(StepCatalogue::class));
        $keep(['mix' => ['hands' => '26', 'wait' => '1']])
            ->assertSessionHasNoErrors()
            ->assertRedirect('/shop/labour');
        self::assertMatchesRegularExpression(
            '/name="labour\[mix\]\[hands\]"[^>]*value="26"/',
            (string) $this->get('/shop/labour')->getContent(),
            'what is kept stands in its field',
        );
        self::assertEquals(['mix' => new Minutes(26.0, 1.0)], Shop::here()->houseRules()->labour->own);
        self::assertContains(
            ['Mix a batch', '6 + 0 min', '26 + 1 min'],
            AuditLine::query()->latest('id')->firstOrFail()->changes,
        );
        $after = app(Planner::class)->plan(...$this->choices())->minutes(app(StepCatalogue::class));
        self::assertEqualsWithDelta([20.0, 1.0], [$after->hands - $before->hands, $after->wait - $before->wait], 0.001);
        $this->get('/shop/labour')->assertSee('usual 6 + 0');
        $this->keepRules(['fan_cycles' => '3'])->assertSessionHasNoErrors();
        self::assertArrayHasKey('mix', Shop::here()->houseRules()->labour->own, 'another rule leaves them alone');
    }

    /** @return array{\Aqbel\Core\Circuit\Circuit, Choices} */
    private function choices(): array
    {
        $circuit = Circuit::query()->firstOrFail()->read();

        return [
            $circuit,
            new Choices(
                JobKind::Change,
                Complaint::None,
                'gravity',
                [],
                $circuit->portIds(PortKind::Drain),
                0.0,
                0.0,
                0.5,
                0.0,
                Shop::here()->houseRules(),
            ),
        ];
    }

    public function test_what_is_kept_unchanged_stays_to_the_last_digit_in_either_units(): void
    {
        $odd = RulesCodec::write(
            new HouseRules(safeTemperatureC: 43.217, airShare: 0.012345, gaugeResolutionInHg: 0.123456),
        );
        Shop::query()
            ->firstOrFail()
            ->update(['rules' => $odd]);
        foreach (UnitSystem::cases() as $units) {
            $this->lead->update(['units' => $units]);
            $this->keepRules([])->assertSessionHasNoErrors();
            self::assertEquals($odd, RulesCodec::write(Shop::here()->houseRules()));
        }
        self::assertSame(0, AuditLine::query()->where('what', Subject::Rule)->count());
    }

    public function test_a_rule_out_of_reason_is_refused_at_its_field_and_nothing_is_kept(): void
    {
        $before = Shop::here()->rules;
        foreach (
            [
                'safe' => ['60', '', '20', 'warm'],
                'air_share' => ['50', '0'],
                'fan_cycles' => ['9', '0'],
                'close_bleed' => ['never'],
                'hold' => ['0', '4 min'],
                'glance' => ['0'],
                'vacuum' => ['0', '10 inHg', '30 inHg'],
                'gauge' => ['0'],
                'first_km' => [['x'], '-5'],
            ] as $field => $bad
        ) {
            foreach ($bad as $value) {
                $this->keepRules([$field => $value, 'follow_up_days' => '7'])->assertSessionHasErrors($field);
            }
        }
        self::assertSame($before, Shop::here()->rules);
    }

    public function test_vessels_keep_their_ids_and_one_is_always_left(): void
    {
        $rows = fn (array $more): array => [
            'vessels' => [['id' => 'jug', 'name' => 'Big jug', 'marks' => '0.2', 'use' => 'measure'], ...$more],
        ];
        $this->actingAs($this->lead)
            ->post(
                '/shop/vessels',
                $rows([['id' => '', 'name' => 'Bowl', 'marks' => '50 mL', 'use' => 'fine'], ['name' => '']]),
            )
            ->assertSessionHasNoErrors();
        $vessels = Shop::here()->houseRules()->vessels->all;
        self::assertSame(['jug', 'bowl'], array_map(fn ($v) => $v->id, $vessels));
        self::assertSame([200.0, 50.0], array_map(fn ($v) => $v->graduationMl, $vessels));
        $this->post(
            '/shop/vessels',
            $rows([['name' => 'Bucket', 'marks' => 'some', 'use' => 'mix']]),
        )->assertSessionHasErrors('vessels.1');
        $this->post(
            '/shop/vessels',
            $rows([['name' => 'Bucket', 'marks' => '0', 'use' => 'mix']]),
        )->assertSessionHasErrors('vessels.1');
        $this->post('/shop/vessels', ['vessels' => [['name' => ' ']]])->assertSessionHasErrors('vessels');
        $this->post('/shop/vessels', ['vessels' => 'x'])->assertSessionHasErrors('vessels');
        self::assertCount(2, Shop::here()->houseRules()->vessels->all);
    }

    public function test_a_right_that_is_given_to_technicians_is_theirs_and_the_last_two_never_are(): void
    {
        $circuit = Circuit::query()->firstOrFail();
        $this->actingAs($this->imre)->get("/circuits/{$circuit->id}/edit")->assertForbidden();
        $this->post('/shop/rights', ['granted' => ['change_circuits']])->assertForbidden();
        $this->post('/shop/rules', [])->assertForbidden();
        $this->post('/shop', [])->assertForbidden();
        $this->get('/shop')->assertOk()->assertDontSee('Keep the vessels');
        $this->actingAs($this->lead)->post('/shop/rights', [
            'known' => 'bleed-it-dry',
            'granted' => ['change_circuits', 'manage_people', 'change_shop', 'x'],
        ]);
        $this->actingAs($this->imre)
            ->get("/circuits/{$circuit->id}/edit")
            ->assertOk();
        self::assertFalse($this->imre->may(Right::ManagePeople));
        self::assertFalse($this->imre->may(Right::ChangeShop));
        self::assertSame(['change_circuits'], Shop::here()->granted);
    }

    public function test_people_vehicles_circuits_and_prices_leave_their_line_and_no_password(): void
    {
        $this->actingAs($this->lead)->post('/people', [
            'name' => 'Oda Fenn',
            'login' => 'oda',
            'role' => 'technician',
            'password' => 'for the first day',
        ]);
        $this->post('/vehicles', [
            'plate' => 'SKP 900',
            'name' => 'Post van',
            'circuit' => Circuit::query()->firstOrFail()->id,
        ]);
        $this->post('/circuits', ['document' => json_encode(Circuit::query()->firstOrFail()->document)]);
        $this->post('/stores/products', [
            'fields' => [
                'kind' => 'water',
                'ml' => '5',
                'price' => '2',
                'base' => Glycol::Ethylene->value,
                'inhibitor' => '',
                'fraction' => '50',
            ],
        ])->assertSessionHasNoErrors();
        $lines = AuditLine::query()->orderBy('id')->get();
        self::assertSame(
            ['person', 'vehicle', 'circuit', 'price'],
            $lines->map(fn (AuditLine $l) => $l->what->value)->all(),
        );
        self::assertStringNotContainsString('first day', (string) json_encode($lines));
        $this->get('/shop/changes')->assertOk()->assertSee('SKP 900');
        $this->expectException(\LogicException::class);
        $lines->first()?->delete();
    }

    public function test_how_the_backup_went_is_shown(): void
    {
        config(['aqbel.folder' => sys_get_temp_dir().'/aqbel-shop-'.getmypid()]);
        @mkdir(config('aqbel.folder'));
        LastBackup::worked('/somewhere/aqbel-20261125-020000.zip');
        $this->actingAs($this->imre)
            ->get('/shop')
            ->assertSee('Whole,')
            ->assertSee('aqbel-20261125-020000.zip')
            ->assertDontSee('/somewhere');
        $this->travel(30)->hours();
        $this->get('/shop')->assertSee('Old, 1 day ago');
        LastBackup::failed('The disk is full.');
        $this->get('/shop')->assertSee('Failed,')->assertSee('The disk is full.');
    }

    public function test_health_is_told_to_anybody_and_tells_nothing_of_the_shop(): void
    {
        self::assertMatchesRegularExpression('/^\d+\.\d+\.\d+$/', config('aqbel.version'));
        self::assertStringContainsString(
            '## '.config('aqbel.version').', ',
            (string) file_get_contents(base_path('CHANGELOG.md')),
        );
        $this->get('/health')
            ->assertOk()
            ->assertJson([
                'works' => true,
                'version' => config('aqbel.version'),
                'database' => 'ok',
                'backup' => 'none yet',
            ])
            ->assertDontSee('Skarnmoor')
            ->assertHeader('Cache-Control', 'no-store, private');
        config(['aqbel.photos' => '/proc/1/nowhere/photos']);
        $this->get('/health')->assertOk();
        DB::beginTransaction();
        DB::statement('alter table shops rename to gone');
        $this->get('/health')->assertStatus(503)->assertJson(['works' => false, 'database' => 'cannot be read']);
        DB::rollBack();
    }

    public function test_how_to_connect_a_tablet_is_said_where_one_can_and_where_none_can_yet(): void
    {
        $this->actingAs($this->imre)->get('/shop/connect')->assertOk()->assertSee('serve --host');
        config([
            'aqbel.address' => 'https://aqbel.lan:8300',
            'aqbel.trust_address' => 'http://aqbel.lan:8301/aqbel.crt',
        ]);
        $this->get('/shop/connect')
            ->assertOk()
            ->assertSee('data-qr="https://aqbel.lan:8300"', false)
            ->assertSee('not known here');
    }

    public function test_a_template_starts_any_plan_and_leaves_what_is_the_vehicle_s_own(): void
    {
        $chosen = [
            'vehicle' => '1',
            'chosen' => '1',
            'kind' => 'change',
            'content' => 'unknown',
            'school' => 'gravity',
            'stock' => 'premix',
            'target' => '40',
            'drains' => ['radiator_cock'],
        ];
        $this->actingAs($this->imre)
            ->post('/templates', [...$chosen, 'template' => 'Change, quick'])
            ->assertForbidden();
        $this->actingAs($this->lead)
            ->post('/templates', [...$chosen, 'template' => ' '])
            ->assertSessionHasErrors('template');
        $this->post('/templates', [...$chosen, 'template' => str_repeat('x', 61)])->assertSessionHasErrors('template');
        $this->post('/templates', [...$chosen, 'kind' => 'party', 'template' => 'Bad'])->assertSessionHasErrors('kind');
        $this->post('/templates', [...$chosen, 'template' => 'Change, quick'])->assertSessionHasNoErrors();
        $template = JobTemplate::query()->latest('id')->firstOrFail();
        self::assertSame(
            ['kind' => 'change', 'content' => 'unknown', 'school' => 'gravity', 'stock' => 'premix'],
            $template->choices,
        );
        $this->actingAs($this->imre)
            ->get('/jobs/new?vehicle=3')
            ->assertSee('Change, quick')
            ->assertDontSee('Keep as a template');
        $page = $this->get($template->plan(Vehicle::query()->findOrFail(3)))->assertOk()->viewData('page');
        self::assertSame(['change', 'unknown'], [$page->kind()->current, $page->questions()[1]->current]);
        self::assertNotSame(
            [],
            array_filter($page->drains(), fn (Tick $drain) => $drain->ticked),
            'the drains are those of this vehicle',
        );
        $this->delete("/templates/{$template->id}")->assertForbidden();
        $this->actingAs($this->lead)->get('/shop/rules')->assertSee('Templates of jobs');
        $this->delete("/templates/{$template->id}")->assertRedirect('/shop/rules');
        self::assertFalse(JobTemplate::query()->whereKey($template->id)->exists());
        self::assertSame(2, AuditLine::query()->where('subject', 'Change, quick')->count());
    }

    public function test_what_was_remembered_for_a_while_is_swept_and_what_still_counts_stays(): void
    {
        $folder = sys_get_temp_dir().'/aqbel-sweep-'.getmypid();
        config(['cache.default' => 'file', 'cache.stores.file.path' => $folder]);
        app('cache')->forgetDriver('file');
        $cache = app('cache')->store('file');
        $cache->put('soon', str_repeat('x', 1000), 1);
        $cache->put('later', 'still here', 3600);
        $cache->forever('always', 'for good');
        file_put_contents("{$folder}/strange", 'not a number');
        self::assertSame(0, Sweep::cache());
        foreach (glob("{$folder}/*/*/*") ?: [] as $file) {
            $text = (string) file_get_contents($file);
            str_contains($text, 'xxx') && file_put_contents($file, (time() - 5).substr($text, 10));
        }
        self::assertSame(1, Sweep::cache());
        self::assertSame(
            ['still here', 'for good', null],
            [$cache->get('later'), $cache->get('always'), $cache->get('soon')],
        );
        self::assertFileExists("{$folder}/strange");
        File::deleteDirectory($folder);
        config(['cache.default' => 'array']);
        self::assertSame(0, Sweep::cache());
    }

    /** @param  array<string, mixed>  $fields */
    private function keepShop(array $fields): TestResponse
    {
        return $this->actingAs($this->lead)->post('/shop', [
            'fields' => ['name' => 'Depot', 'elevation' => '1420', ...$fields],
            'tools' => [],
        ]);
    }

    /** @param  array<string, mixed>  $fields */
    private function keepRules(array $fields): TestResponse
    {
        $shown = [];
        foreach (RuleBook::all() as $rule) {
            $shown[$rule->field->name] = $rule->text(RulesCodec::write(Shop::here()->houseRules()), $this->lead->units);
        }

        return $this->actingAs($this->lead)->post('/shop/rules', ['fields' => [...$shown, ...$fields]]);
    }

    public function test_what_is_no_text_in_the_place_of_one_is_refused_and_no_error_page(): void
    {
        $lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        $rows = [
            'vessels' => [
                ['id' => ['x'], 'name' => ['x'], 'marks' => ['x'], 'holds' => ['x'], 'use' => ['x']],
                ['name' => 'Pail', 'marks' => 'far', 'holds' => ['x']],
            ],
        ];
        $this->actingAs($lead)->from('/shop')->post('/shop/vessels', $rows)->assertSessionHasErrors();
        $this->get('/shop')->assertOk();
        $this->from('/vehicles/new')
            ->post('/vehicles', ['plate' => ['x'], 'circuit' => ['x']])
            ->assertSessionHasErrors();
        $this->get('/vehicles/new?circuit[]=x')->assertOk();
    }

    public function test_a_vessel_says_what_it_holds(): void
    {
        $lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        $row = fn (string $holds): array => [
            'vessels' => [['id' => 'bucket', 'name' => 'Pail', 'marks' => '0.25', 'holds' => $holds, 'use' => 'mix']],
        ];
        $this->actingAs($lead)->from('/shop')->post('/shop/vessels', $row('0.1'))->assertSessionHasErrors('vessels.0');
        $this->post('/shop/vessels', $row('12'))->assertSessionHasNoErrors();
        $this->get('/shop')->assertSee('value="12', false);
        self::assertSame(12_000.0, Shop::here()->houseRules()->vessels->of('bucket')->holdsMl());
    }
}
