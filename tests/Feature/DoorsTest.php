<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Person;
use App\Models\Right;
use App\Models\Role;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Route;

/** Who comes in, under which name, and what every answer carries. */
final class DoorsTest extends ShopTestCase
{
    public function test_every_answer_carries_the_headers_errors_included(): void
    {
        foreach (['/sign-in', '/nothing-here', '/jobs/99999999999999999999', '/photos/999999'] as $path) {
            $answer = $this->actingAs($this->imre)->get($path);
            self::assertStringContainsString(
                "default-src 'self'",
                (string) $answer->headers->get('Content-Security-Policy'),
                $path,
            );
            self::assertSame('nosniff', $answer->headers->get('X-Content-Type-Options'), $path);
        }
    }

    public function test_numbers_no_table_has_are_not_found(): void
    {
        $job = $this->plan();
        foreach (
            [
                "/jobs/{$job->id}/entries/99999999999999999999",
                '/circuits/99999999999999999999',
                '/jobs/0',
                '/photos/0/small',
            ] as $path
        ) {
            $this->actingAs($this->imre)->get($path)->assertNotFound();
        }
        $this->post("/jobs/{$job->id}/entries/99999999999999999999", [])->assertNotFound();
    }

    public function test_sign_in_leads_nowhere_else(): void
    {
        foreach (['https://elsewhere.example/', '//elsewhere.example/', '/\\elsewhere.example'] as $wanted) {
            $this->withSession(['url.intended' => $wanted])
                ->post('/sign-in', ['login' => 'imre', 'password' => 'bleed-it-dry'])
                ->assertRedirect('/');
            $this->post('/sign-out');
        }
        $this->withSession(['url.intended' => url('/records')])
            ->post('/sign-in', ['login' => 'imre', 'password' => 'bleed-it-dry'])
            ->assertRedirect('/records');
    }

    public function test_a_full_disk_is_said_in_words(): void
    {
        $full = new \PDOException('SQLSTATE[HY000]: General error: 13 database or disk is full');
        Route::get('/full', fn () => throw new QueryException('sqlite', 'insert', [], $full));
        Route::get('/full-at-commit', fn () => throw $full);
        foreach (['/full', '/full-at-commit'] as $path) {
            $answer = $this->get($path);
            self::assertSame(507, $answer->getStatusCode());
            self::assertStringContainsString('disk of this machine is full', (string) $answer->getContent());
        }
    }

    public function test_every_error_is_said_in_this_houses_words_with_the_way_back(): void
    {
        foreach ([403, 404, 419, 429, 500, 503, 507] as $status) {
            Route::get(
                "/fails-with-{$status}",
                fn () => abort($status, headers: $status === 429 ? ['Retry-After' => '30'] : []),
            );
            $page = $this->get("/fails-with-{$status}")
                ->assertStatus($status)
                ->assertSee('To the floor')
                ->assertSee("Number {$status}.");
            self::assertStringContainsString('/build/assets/', (string) $page->getContent(), 'in its own look');
            self::assertStringNotContainsString('Symfony', (string) $page->getContent());
            $this->getJson("/fails-with-{$status}")->assertStatus($status)->assertJsonStructure(['message', 'key']);
        }
        self::assertSame('30', $this->get('/fails-with-429')->headers->get('Retry-After'));
        $this->get('/nothing-is-here')->assertNotFound()->assertSee('Nothing stands here');
    }

    public function test_a_disk_that_takes_no_session_any_more_is_said_on_every_page(): void
    {
        foreach (['No space left on device', 'Read-only file system'] as $i => $why) {
            Route::get(
                "/unwritable-{$i}",
                fn () => throw new \ErrorException("file_put_contents(/x/sessions/abc): Failed to open stream: {$why}"),
            );
            $this->get("/unwritable-{$i}")
                ->assertStatus(507)
                ->assertSee('The disk of this machine is full');
        }
    }

    public function test_a_job_is_found_by_its_number(): void
    {
        $job = $this->plan();
        $this->get("/jobs/{$job->number()}")->assertOk();
        $this->get('/jobs/'.strtolower($job->number()))->assertOk();
        $this->get('/jobs/J9999')->assertNotFound();
        $this->get('/jobs/Jx')->assertNotFound();
    }

    public function test_who_has_no_name_here_waits_as_long_as_who_has_the_wrong_password(): void
    {
        $checked = 0;
        app('hash')->extend('counted', function () use (&$checked) {
            return new class($checked) extends \Illuminate\Hashing\BcryptHasher
            {
                public function __construct(private int &$checked)
                {
                    parent::__construct(['rounds' => 4]);
                }

                public function check(#[\SensitiveParameter] $value, $hashedValue, array $options = []): bool
                {
                    $this->checked++;

                    return parent::check($value, $hashedValue, $options);
                }
            };
        });
        config(['hashing.driver' => 'counted']);
        app('hash')->forgetDrivers();
        $this->post('/sign-in', ['login' => 'nobody-here', 'password' => 'bleed-it-dry'])->assertSessionHasErrors(
            'login',
        );
        self::assertSame(1, $checked, 'as many checks as for somebody who is here');
    }

    public function test_who_may_do_what_stands_in_one_place_and_is_told(): void
    {
        $technician = Person::query()->where('role', Role::Technician)->firstOrFail();
        foreach (Right::cases() as $right) {
            self::assertTrue(Person::query()->where('role', Role::Lead)->firstOrFail()->may($right), $right->value);
            self::assertFalse($technician->may($right), $right->value);
            self::assertStringContainsString('lead', $right->refusal());
        }
        $this->actingAs($technician)
            ->get('/circuits/new')
            ->assertForbidden()
            ->assertSee(Right::ChangeCircuits->refusal());
        $this->post('/stores/products', [])->assertForbidden();
    }

    public function test_what_opens_without_a_server_is_named_and_belongs_to_one_person(): void
    {
        $worker = $this->get('/worker.js')->assertOk()->assertHeader('Content-Type', 'text/javascript; charset=utf-8');
        self::assertSame([], $worker->headers->getCookies(), 'it starts no session');
        preg_match('/const ASSETS = (\[.*\]);/', (string) $worker->getContent(), $found);
        foreach (json_decode($found[1] ?? '[]') as $file) {
            self::assertFileExists(public_path(ltrim($file, '/')));
        }
        $this->get('/sign-in')->assertHeader('Aqbel-Person', '');
        $this->get('/outbox')->assertRedirect('/sign-in');
        $this->actingAs($this->imre)
            ->get('/outbox')
            ->assertOk()
            ->assertHeader('Aqbel-Person', (string) $this->imre->id);
    }

    public function test_a_correction_of_a_signed_job_is_not_offered(): void
    {
        $job = $this->plan();
        $this->enter($job, 'found', 'found', ['content' => 'full']);
        $this->get("/jobs/{$job->id}/entries/1")->assertOk();
        $job->update(['signed_at' => now()]);
        $this->get("/jobs/{$job->id}/entries/1")->assertRedirect("/jobs/{$job->id}/record");
    }
}
