<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Person;
use App\Models\Shop;
use App\Models\SignIn;
use App\Models\Tablet;
use Illuminate\Testing\TestResponse;

/** A tablet that several people share: admitted by a lead, opened by a PIN, locked when nobody touches it. */
final class TabletTest extends ShopTestCase
{
    private Person $lead;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = Person::query()->where('login', 'sunniva')->firstOrFail();
    }

    public function test_a_pin_is_ones_own_and_none_that_others_guess_first(): void
    {
        $this->actingAs($this->imre)->get('/password')->assertOk()->assertSee('PIN for shared tablets');
        $keep = fn (array $fields): TestResponse => $this->post('/password/pin', [
            'known' => 'bleed-it-dry',
            ...$fields,
        ]);
        foreach (['123', '123456789', '1111', '1234', '8765', 'abcd', ['x']] as $bad) {
            $keep(['pin' => $bad])->assertSessionHasErrors('pin');
        }
        $keep(['known' => 'wrong', 'pin' => '4071'])->assertSessionHasErrors('known');
        self::assertNull(session()->getOldInput('pin'), 'never kept for showing again');
        self::assertNull(session()->getOldInput('known'));
        $keep(['pin' => '4071'])->assertSessionHasNoErrors();
        self::assertStringStartsWith('$2', (string) $this->imre->refresh()->pin);
        $keep(['pin' => ''])->assertSessionHasNoErrors();
        self::assertNull($this->imre->refresh()->pin);
    }

    public function test_a_pin_opens_only_a_tablet_that_a_lead_has_admitted(): void
    {
        $this->imre->update(['pin' => '4071']);
        $this->post('/sign-in/pin', ['person' => $this->imre->id, 'pin' => '4071'])->assertSessionHasErrors('login');
        $this->assertGuest();
        $this->actingAs($this->imre)
            ->post('/tablets', ['tablet' => 'lift 2'])
            ->assertForbidden();
        $this->actingAs($this->lead)
            ->post('/tablets', ['tablet' => ''])
            ->assertSessionHasErrors('tablet');
        $cookie = $this->post('/tablets', ['tablet' => 'lift 2'])
            ->assertSessionHasNoErrors()
            ->getCookie(Tablet::COOKIE)
            ?->getValue();
        $tablet = Tablet::query()->sole();
        self::assertNotSame($cookie, $tablet->token, 'only its hash is kept');
        $this->post('/sign-out');

        $this->withCookie(Tablet::COOKIE, (string) $cookie)
            ->get('/sign-in')
            ->assertSee('Who is at lift 2?')
            ->assertSee($this->imre->name)
            ->assertDontSee($this->lead->name);
        $this->post('/sign-in/pin', ['person' => $this->imre->id, 'pin' => '4071'])->assertRedirect('/');
        $this->assertAuthenticatedAs($this->imre);
        $this->get('/people')->assertSee('Signed in at lift 2');
        $this->post('/sign-out');

        $this->actingAs($this->lead)->post("/tablets/{$tablet->id}/end");
        $this->post('/sign-out');
        $this->post('/sign-in/pin', ['person' => $this->imre->id, 'pin' => '4071'])->assertSessionHasErrors('login');
    }

    public function test_five_wrong_pins_and_only_the_password_opens(): void
    {
        $this->imre->update(['pin' => '4071']);
        [, $token] = Tablet::admit('lift 2');
        $this->withCookie(Tablet::COOKIE, $token);
        foreach (range(1, 5) as $try) {
            $this->post('/sign-in/pin', ['person' => $this->imre->id, 'pin' => '9999'])->assertSessionHasErrors('pin');
        }
        $this->travel(2)->minutes();
        $this->post('/sign-in/pin', ['person' => $this->imre->id, 'pin' => '4071'])->assertSessionHasErrors('pin');
        $this->assertGuest();
        foreach ([$this->lead->id, '0', 'x', ['y']] as $without) {
            $this->post('/sign-in/pin', ['person' => $without, 'pin' => ''])->assertSessionHasErrors('pin');
        }
        $this->post('/sign-in', ['login' => 'imre', 'password' => 'bleed-it-dry'])->assertRedirect('/');
        $this->post('/sign-out');
        $this->travel(2)->minutes();
        $this->post('/sign-in/pin', ['person' => $this->imre->id, 'pin' => '4071'])->assertRedirect('/');
    }

    public function test_it_locks_when_nobody_touched_it_and_leads_back_to_where_one_was(): void
    {
        $this->imre->update(['pin' => '4071']);
        [, $token] = Tablet::admit('lift 2');
        $this->withCookie(Tablet::COOKIE, $token);
        $this->post('/sign-in', ['login' => 'imre', 'password' => 'bleed-it-dry']);
        $this->get('/vehicles')->assertOk()->assertSee('data-locks-after="300"', false);
        $this->travel(4)->minutes();
        $this->get('/vehicles')->assertOk();
        $this->travel(6)->minutes();
        $this->withCredentials()->postJson('/units', [])->assertUnauthorized();
        $this->assertGuest();
        $this->get('/vehicles')->assertRedirect('/sign-in');
        $this->post('/sign-in/pin', ['person' => $this->imre->id, 'pin' => '4071'])->assertRedirect(url('/vehicles'));

        Shop::query()->firstOrFail()->update(['lock_minutes' => 0]);
        $this->travel(60)->minutes();
        $this->get('/vehicles')->assertOk();
    }

    public function test_somebody_s_own_tablet_never_locks(): void
    {
        $this->post('/sign-in', ['login' => 'imre', 'password' => 'bleed-it-dry']);
        $this->get('/')->assertOk()->assertSee('data-locks-after=""', false);
        $this->travel(60)->minutes();
        $this->get('/')->assertOk();
    }

    public function test_a_sign_in_is_seen_and_ended_from_elsewhere(): void
    {
        $this->post('/sign-in', ['login' => 'imre', 'password' => 'bleed-it-dry']);
        $begun = SignIn::query()->sole();
        $this->get('/people')->assertSee('Signed in at')->assertSee('here');
        $other = SignIn::query()->create([
            'person_id' => $this->lead->id,
            'browser' => 'Mozilla (Linux)',
            'at' => now(),
        ]);
        $this->post("/sign-ins/{$other->id}/end")->assertForbidden();
        $begun->update(['ended_at' => now()]);
        $this->get('/')->assertRedirect('/sign-in');
        $this->assertGuest();
        $this->actingAs($this->lead)->get('/people')->assertSee('a computer');
        $this->post("/sign-ins/{$other->id}/end")->assertRedirect('/people');
        self::assertNotNull($other->refresh()->ended_at);
    }
}
