<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Person;
use App\People\NewPassword;
use Illuminate\Support\Facades\RateLimiter;
use PHPUnit\Framework\Attributes\TestWith;

/** Passwords, PINs and sessions: which are taken, how long they open, and what is kept of those that do not. */
final class SecretsTest extends ShopTestCase
{
    private Person $lead;

    private string $log;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        $this->log = sys_get_temp_dir().'/aqbel-security-'.getmypid().'.log';
        config(['logging.channels.security' => ['driver' => 'single', 'path' => $this->log, 'level' => 'warning']]);
    }

    protected function tearDown(): void
    {
        @unlink($this->log);
        parent::tearDown();
    }

    private function logged(): string
    {
        return (string) @file_get_contents($this->log);
    }

    #[TestWith(['4815162342', 'Digits alone'])]
    #[TestWith(['2026-11-29 10', 'Digits alone'])]
    #[TestWith(['Password123!', 'guess that one'])]
    #[TestWith(['qwertyuiop', 'guess that one'])]
    #[TestWith(['imre1234567', 'guess that one'])]
    #[TestWith(['abababababab', 'three different'])]
    #[TestWith(['too short', 'at least 10'])]
    public function test_a_password_that_others_guess_is_taken_nowhere(string $password, string $why): void
    {
        self::assertStringContainsString($why, (string) NewPassword::why($password, 'imre'));
        $this->actingAs($this->imre)
            ->post('/password', ['current' => 'bleed-it-dry', 'password' => $password])
            ->assertSessionHasErrors('password');
        $this->actingAs($this->lead)
            ->post('/people', [
                'name' => 'Oda Fenn',
                'login' => 'imre-two',
                'role' => 'technician',
                'password' => str_replace('imre', 'imre-two', $password),
            ])
            ->assertSessionHasErrors('password');
        $this->post("/people/{$this->imre->id}", ['password' => $password]);
        self::assertSame(
            ['imre' => false],
            Person::query()->where('login', 'imre')->pluck('must_change', 'login')->all(),
            'nor as a first one',
        );
    }

    public function test_a_first_password_opens_for_three_days_and_once(): void
    {
        $this->actingAs($this->lead)
            ->post("/people/{$this->imre->id}", ['password' => 'for the first day'])
            ->assertSessionHasNoErrors();
        $this->post('/sign-out');
        $this->travel(71)->hours();
        $this->post('/sign-in', ['login' => 'imre', 'password' => 'for the first day'])->assertRedirect('/');
        $this->post('/sign-out');
        $this->travel(2)->hours();
        $this->post('/sign-in', ['login' => 'imre', 'password' => 'for the first day'])->assertSessionHasErrors(
            'login',
        );
        $this->assertGuest();
        self::assertStringContainsString('A lead gives another', session('errors')->first('login'));
        self::assertStringContainsString('first password too old', $this->logged());
    }

    public function test_a_password_asked_again_is_limited_wherever_it_is_asked(): void
    {
        $this->actingAs($this->lead);
        foreach (range(1, 8) as $try) {
            $this->post($try % 2 === 0 ? '/password/pin' : '/shop/rights', [
                'known' => "wrong {$try}",
            ])->assertSessionHasErrors('known');
        }
        $this->post('/password', [
            'current' => 'bleed-it-dry',
            'password' => 'quite another one',
        ])->assertSessionHasErrors('current');
        self::assertStringContainsString('Too many tries', session('errors')->first('current'));
        $this->travel(61)->seconds();
        $this->post('/password', [
            'current' => 'bleed-it-dry',
            'password' => 'quite another one',
        ])->assertSessionHasNoErrors();
        self::assertSame(8, substr_count($this->logged(), 'known password refused'));
        RateLimiter::clear("known|{$this->lead->id}");
    }

    public function test_who_was_refused_stands_in_a_log_of_its_own_without_their_secret(): void
    {
        $this->post('/sign-in', ['login' => "imre\nforged line", 'password' => 'a-secret-of-mine']);
        $this->actingAs($this->imre)->post('/people', [])->assertForbidden();
        $log = $this->logged();
        self::assertStringContainsString('sign-in refused', $log);
        self::assertStringContainsString('manage_people refused', $log);
        self::assertStringNotContainsString('a-secret-of-mine', $log);
        self::assertSame(2, substr_count($log, "\n"), 'a line each, whatever was typed');
    }

    public function test_a_session_lasts_a_shift_however_busy_it_is(): void
    {
        $this->post('/sign-in', ['login' => 'imre', 'password' => 'bleed-it-dry'])->assertRedirect('/');
        foreach (range(1, 5) as $_) {
            $this->travel(140)->minutes();
            $this->get('/')->assertOk();
        }
        $this->travel(30)->minutes();
        $this->get('/')->assertRedirect('/sign-in');
    }
}
