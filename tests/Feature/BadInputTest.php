<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Person;
use PHPUnit\Framework\Attributes\DataProvider;

final class BadInputTest extends ShopTestCase
{
    /** @return array<string, array{mixed, string}> */
    public static function volumes(): array
    {
        return [
            'empty' => ['', 'Enter a value'],
            'letters' => ['a lot', 'Enter a number'],
            'absurd' => ['900 gal', 'cannot be right'],
            'more than a circuit holds' => ['40 L', 'cannot be right'],
            'negative' => ['-3', 'cannot be right'],
            'a pressure' => ['3 bar', 'measures pressure'],
            'a list' => [['3'], 'Enter one value'],
            'markup' => ['<b>3</b>', 'Enter a number'],
            'endless' => [str_repeat('9', 5000), 'cannot be right'],
            'broken text' => ["\xff\xfe", 'cannot be read'],
        ];
    }

    #[DataProvider('volumes')]
    public function test_a_volume_that_cannot_be_is_refused_at_its_field_and_kept(mixed $typed, string $remedy): void
    {
        $job = $this->plan();
        $this->walk($job)->until('drain:radiator_cock');
        $before = $job->lines()->count();
        $this->enter($job, 'drain:radiator_cock', 'out', ['volume' => $typed, 'vessel' => 'pan', 'flow' => 'ran'])
            ->assertRedirect("/jobs/{$job->id}")
            ->assertSessionHasErrors('volume');
        self::assertStringContainsString($remedy, session('errors')->first('volume'));
        self::assertSame($before, $job->lines()->count());
        $this->actingAs($this->imre)->get("/jobs/{$job->id}")->assertOk()->assertSee($remedy);
    }

    public function test_nothing_breaks_on_forms_of_any_shape(): void
    {
        $job = $this->plan();
        foreach ([
            [],
            ['step' => ['x']],
            ['step' => 'found', 'form' => 'drop table'],
            ['step' => 'found', 'form' => 'found', 'fields' => 'x'],
            ['step' => 'found', 'form' => 'found', 'fields' => ['content' => 'sideways']],
            ['step' => 'found', 'form' => 'found', 'key' => '!', 'fields' => ['content' => 'full']],
        ] as $body) {
            foreach (['entries', 'finish', 'cautions'] as $path) {
                $this->actingAs($this->imre)
                    ->from("/jobs/{$job->id}")
                    ->post("/jobs/{$job->id}/{$path}", $body)
                    ->assertStatus(302)
                    ->assertSessionHasErrors();
            }
        }
        self::assertSame(0, $job->lines()->count());
        foreach ([
            '/jobs/999', '/jobs/999/record', '/jobs/abc', '/circuits/999', "/jobs/{$job->id}/entries/99",
        ] as $path) {
            $this->actingAs($this->imre)->get($path)->assertNotFound();
        }
        $this->actingAs($this->imre)->get("/jobs/{$job->id}?step[]=x")->assertOk();
        $this->actingAs($this->imre)->get('/records?q[]=x')->assertOk();
    }

    public function test_a_plan_takes_only_what_the_vehicle_has(): void
    {
        $this->actingAs($this->imre);
        $this->post('/jobs', ['vehicle' => 999])->assertSessionHasErrors('vehicle');
        $this->post('/jobs', ['vehicle' => 1, 'school' => 'hope'])->assertSessionHasErrors('school');
        $this->post('/jobs', ['vehicle' => 1, 'lift' => '9 m'])->assertSessionHasErrors('lift');
        $this->post('/jobs', ['vehicle' => 1, 'target' => '90 %'])->assertSessionHasErrors('target');
        $this->get('/jobs/new?vehicle=1&chosen=1&lift=sideways')->assertRedirect();
        $this->get('/jobs/new?vehicle[]=1')->assertRedirect();
        $this->get('/jobs/new?vehicle=1&fragment[]=plan')->assertOk();
        $this->get('/jobs/new?vehicle=1&chosen=1&kind=%20&complaint=&content=&school=&target=')->assertOk();
        self::assertSame(0, Job::query()->count());
        $this->post('/jobs', ['vehicle' => 1, 'drains' => ['radiator_cock', 'neck', 'nowhere'], 'lift' => '12 in'])
            ->assertSessionHasNoErrors();
        $plan = Job::query()->first()->plan['choices'];
        self::assertSame(['radiator_cock'], $plan['drains']);
        self::assertEqualsWithDelta(304.8, $plan['noseLiftMm'], 1e-6);
        $this->post('/jobs', ['vehicle' => 1])->assertSessionHasErrors('vehicle');
    }

    public function test_every_page_but_the_door_needs_a_person(): void
    {
        foreach (['/', '/jobs/new', '/jobs/1', '/jobs/1/record', '/records', '/circuits', '/circuits/1'] as $path) {
            $this->get($path)->assertRedirect('/sign-in');
        }
        $this->post('/jobs/1/entries')->assertRedirect('/sign-in');
        $this->get('/sign-in')->assertOk()->assertSee('Skarnmoor Pass Depot')->assertDontSee('bleed-it-dry');
        config(['aqbel.demo' => true]);
        $this->get('/sign-in')->assertSee('bleed-it-dry');
    }

    public function test_sign_in_tells_nothing_and_is_limited(): void
    {
        foreach (range(1, 8) as $_) {
            $this->post('/sign-in', ['login' => 'imre', 'password' => 'wrong'])
                ->assertSessionHasErrors(
                    ['login' => 'Name and password do not go together. Check both and try again.'],
                );
        }
        $this->post('/sign-in', ['login' => 'imre', 'password' => 'bleed-it-dry'])
            ->assertSessionHasErrors(['login' => 'Too many tries. Wait a minute, then try again.']);
        $this->assertGuest();
        $this->post('/sign-in', ['login' => ['x'], 'password' => ''])->assertSessionHasErrors(['login', 'password']);
        $this->post('/sign-in', ['login' => 'sunniva', 'password' => 'bleed-it-dry'])->assertRedirect('/');
    }

    public function test_an_empty_installation_leads_to_the_first_start_once(): void
    {
        $this->get('/first-start')->assertRedirect('/sign-in');
        $this->post('/first-start', [])->assertNotFound();
        \App\Models\ContainerMovement::query()->delete();
        Person::query()->delete();
        \App\Models\Shop::query()->delete();
        $this->get('/sign-in')->assertRedirect('/first-start');
        $this->get('/first-start')->assertOk();
        $this->post('/first-start', [
            'code' => ['x'],
            'login' => ['x'],
            'password' => 'long enough',
        ])->assertSessionHasErrors(['name', 'login']);
        $this->post('/first-start', [
            'shop' => '',
            'name' => '',
            'login' => 'a b',
            'password' => 'x',
            'units' => 'old',
            'currency' => 'thalers',
        ])->assertSessionHasErrors(['name', 'login', 'password', 'units', 'currency']);
        $who = ['name' => 'A', 'login' => 'a', 'password' => 'ten letters'];
        foreach (
            ['elevation_m' => ['high', '9000', ['x']], 'barometer' => ['20', 'low'], 'shop' => [str_repeat('s', 121)]] as $field => $bad
        ) {
            foreach ($bad as $value) {
                $this->post('/first-start', [...$who, $field => $value])->assertSessionHasErrors($field);
            }
        }
        self::assertNull(session()->getOldInput('password'));
        self::assertSame(0, Person::query()->count());
        $this->post('/first-start', [
            'shop' => 'Lower yard',
            'elevation_m' => '310',
            'name' => 'A',
            'login' => 'a',
            'password' => 'ten letters',
            'units' => 'us',
            'currency' => 'Mk',
            'tools_said' => '1',
            'tools' => ['funnel'],
            'layouts' => '1',
        ])->assertRedirect('/vehicles/new');
        self::assertSame(
            1,
            \App\Models\SignIn::query()->whereNull('ended_at')->count(),
            'the first session is listed, and can be ended',
        );
        $shop = \App\Models\Shop::here();
        self::assertSame([310.0, 'Mk', ['funnel']], [$shop->elevation_m, $shop->houseRules()->currency, $shop->tools]);
        self::assertSame('us', Person::query()->sole()->units->value);
        self::assertEqualsWithDelta(
            473.18,
            $shop->houseRules()->vessels->of('pan')->graduationMl,
            0.01,
            'half a quart, where people read quarts',
        );
        $this->assertAuthenticated();
        $this->get('/')->assertSee('Lower yard');
        $this->get('/jobs/new')->assertOk();
    }

    public function test_pages_forbid_inline_script_and_other_places(): void
    {
        $policy = (string) $this->get('/sign-in')->headers->get('Content-Security-Policy');
        self::assertStringContainsString("script-src 'self'", $policy);
        self::assertStringNotContainsString('unsafe', $policy);
    }
}
