<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Person;
use App\Models\Role;

/** A second person, their first password, what they may do, and the day they leave. */
final class PeopleTest extends ShopTestCase
{
    private Person $lead;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = Person::query()->where('login', 'sunniva')->firstOrFail();
    }

    public function test_a_lead_adds_somebody_who_first_chooses_a_password_of_their_own(): void
    {
        $this->actingAs($this->lead)->get('/people')->assertOk()->assertSee('Imre Tovald');
        $this->post('/people', [
            'name' => 'Oda Fenn',
            'login' => 'oda',
            'role' => 'technician',
            'password' => 'for the first day',
        ])->assertSessionHasNoErrors();
        $this->post('/sign-out');

        $this->post('/sign-in', ['login' => 'oda', 'password' => 'for the first day'])->assertRedirect('/');
        $this->get('/')->assertRedirect('/password');
        $this->postJson('/units', [])->assertUnauthorized();
        $this->from('/password')
            ->post('/password', ['current' => 'wrong', 'password' => 'quite another one'])
            ->assertSessionHasErrors('current');
        $this->post('/password', [
            'current' => 'for the first day',
            'password' => 'for the first day',
        ])->assertSessionHasErrors('password');
        $this->post('/password', ['current' => 'for the first day', 'password' => 'short'])->assertSessionHasErrors(
            'password',
        );
        $this->post('/password', ['current' => 'for the first day', 'password' => 'quite another one'])->assertRedirect(
            '/',
        );
        $this->get('/')->assertOk();
        $this->get('/people')->assertOk()->assertDontSee('Add somebody')->assertSee('Change your password');
        $this->post('/sign-out');
        $this->post('/sign-in', ['login' => 'oda', 'password' => 'for the first day'])->assertSessionHasErrors('login');
        $this->post('/sign-in', ['login' => 'oda', 'password' => 'quite another one'])->assertRedirect('/');
    }

    public function test_what_cannot_be_is_refused_at_its_field(): void
    {
        $good = ['name' => 'Oda Fenn', 'login' => 'oda', 'role' => 'technician', 'password' => 'for the first day'];
        foreach (
            [
                'name' => ['', 'Imre Tovald', ['x']],
                'login' => ['', 'imre', 'o d a'],
                'role' => ['', 'owner'],
                'password' => ['', 'short', str_repeat('x', 201)],
            ] as $field => $bad
        ) {
            foreach ($bad as $value) {
                $this->actingAs($this->lead)
                    ->post('/people', [...$good, $field => $value])
                    ->assertSessionHasErrors($field);
            }
        }
        $this->actingAs($this->imre)->post('/people', $good)->assertForbidden();
        self::assertSame(2, Person::query()->count());
    }

    public function test_who_left_is_out_with_the_next_request_and_stays_in_the_records(): void
    {
        $this->actingAs($this->lead)->post("/people/{$this->imre->id}", ['disable' => '1'])->assertSessionHasNoErrors();
        $this->actingAs($this->imre->refresh())->get('/')->assertRedirect('/sign-in');
        $this->actingAs($this->imre)->postJson('/units', [])->assertUnauthorized();
        $this->assertGuest();
        $this->post('/sign-in', ['login' => 'imre', 'password' => 'bleed-it-dry'])->assertSessionHasErrors('login');
        self::assertSame('Imre Tovald', Person::query()->whereKey($this->imre->id)->value('name'));
        $this->actingAs($this->lead)->post("/people/{$this->imre->id}", ['disable' => '0']);
        $this->post('/sign-out');
        $this->post('/sign-in', ['login' => 'imre', 'password' => 'bleed-it-dry'])->assertRedirect('/');
    }

    public function test_somebody_who_leads_is_always_left(): void
    {
        foreach ([['role' => 'technician'], ['disable' => '1']] as $change) {
            $this->actingAs($this->lead)->post("/people/{$this->lead->id}", $change)->assertSessionHasErrors('person');
        }
        self::assertSame(Role::Lead, $this->lead->refresh()->role);
        self::assertNull($this->lead->disabled_at);
        $this->post("/people/{$this->imre->id}", ['role' => 'lead'])->assertSessionHasNoErrors();
        $this->post("/people/{$this->lead->id}", ['role' => 'technician'])->assertSessionHasNoErrors();
    }

    public function test_a_new_first_password_ends_the_sessions_there_are(): void
    {
        $this->post('/sign-in', ['login' => 'imre', 'password' => 'bleed-it-dry']);
        $this->get('/')->assertOk();
        $this->imre->update(['password' => 'set by somebody else']);
        $this->app?->make('auth')->forgetGuards();
        $this->get('/')->assertRedirect('/sign-in');
    }
}
