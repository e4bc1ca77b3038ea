<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Floor\Danger;
use App\Floor\Tick;
use App\Journal\Recorder;
use App\Models\Job;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\View;

/** Danger on every page, and the question by which an open page knows that something changed. */
final class LiveTest extends ShopTestCase
{
    private function tick(string $about): string
    {
        return Tick::of(DB::connection()->getPdo(), $about, 'key');
    }

    private function running(): Job
    {
        $job = $this->plan();
        $this->walk($job)->until('heat_cycle:1')->enter('start', ['place' => 'outdoors', 'neck' => 'sealed'], 12);

        return $job->refresh();
    }

    private function reads(Job $job, string $celsius): void
    {
        $this->enter($job, 'heat_cycle:1', 'reading', [
            'ect' => $celsius,
            'far' => '60',
            'outlet_front' => '50',
            'outlet_rear' => '50',
            'bubbles' => 'hidden',
            'sign' => 'none',
            'fan' => 'none',
        ])->assertSessionHasNoErrors();
    }

    public function test_an_engine_to_be_shut_off_stands_on_every_page_until_it_is(): void
    {
        $job = $this->running();
        $this->reads($job, '70');
        $this->get('/vehicles')->assertDontSee('Shut off now');
        self::assertSame([], Danger::now());
        $this->travel(3)->minutes();
        $this->reads($job, '116');
        foreach (['/', '/vehicles', '/shop', "/jobs/{$job->id}/manage"] as $page) {
            $this->get($page)->assertOk()->assertSeeInOrder(['Shut off now', 'SKP 114', 'outdoors']);
        }
        $this->get("/jobs/{$job->id}")->assertSee('is-danger', false)->assertSee('Shut off now');
        // A calmer line takes nothing of it away.
        $this->travel(20)->minutes();
        $this->reads($job, '90');
        self::assertSame([$job->id], array_column(Danger::now(), 'job'));
        $this->enter($job, 'heat_cycle:1', 'shut_off')->assertSessionHasNoErrors();
        self::assertSame([], Danger::now());
        $this->get('/')->assertDontSee('Shut off now');
    }

    public function test_a_page_is_told_that_what_it_shows_has_changed_and_of_nothing_else(): void
    {
        [$one, $other] = [$this->plan(), $this->plan('SKP 115')];
        $of = fn (): array => [
            $this->tick('shop'),
            $this->tick((string) $one->id),
            $this->tick((string) $other->id),
            $this->tick(''),
        ];
        $before = $of();
        self::assertSame($before, $of());
        $this->enter($one, 'found', 'found', ['content' => 'full'])->assertSessionHasNoErrors();
        [$shop, $mine, $others, $rest] = $of();
        self::assertNotSame($before[0], $shop);
        self::assertNotSame($before[1], $mine);
        self::assertSame([$before[2], $before[3]], [$others, $rest]);
        $this->actingAs($this->imre)
            ->post("/jobs/{$one->id}/rest", ['until' => now()->addHours(3)->format('Y-m-d\TH:i')])
            ->assertSessionHasNoErrors();
        self::assertNotSame($mine, $this->tick((string) $one->id), 'it rests');
        $this->get('/')->assertSee('data-about="shop" data-tick="', false);
        self::assertStringNotContainsString(
            (string) DB::table('journal_lines')->max('id').' ',
            $shop,
            'no count is told',
        );
    }

    public function test_what_is_written_while_a_page_is_made_is_not_told_as_seen(): void
    {
        $job = $this->plan();
        foreach (["/jobs/{$job->id}", "/jobs/{$job->number()}", "/jobs/{$job->id}/manage", '/'] as $i => $page) {
            $this->travel(1)->minutes();
            // After the page has read the journal, and before it is written out.
            View::creator('layouts.app', function () use ($job, &$i): void {
                if ($i !== null) {
                    $i = null;
                    (new Recorder($job->refresh(), $this->imre, \Illuminate\Support\Str::random(32)))->record(
                        'found',
                        'found',
                        ['content' => 'full'],
                    );
                }
            });
            preg_match(
                '/data-about="(\w+)" data-tick="(\w+)"/',
                (string) $this->actingAs($this->imre)->get($page)->assertOk()->getContent(),
                $told,
            );
            self::assertNull($i, 'it was written meanwhile');
            self::assertNotSame(
                Tick::of(DB::connection()->getPdo(), $told[1], (string) config('app.key')),
                $told[2],
                "{$page} asks once more",
            );
        }
    }

    public function test_what_is_asked_about_nothing_that_is_answers_all_the_same(): void
    {
        foreach (['', 'x', '99999999999999999999', "1' or 1=1", '-1'] as $odd) {
            self::assertMatchesRegularExpression('/^[0-9a-f]{16}$/', $this->tick($odd));
        }
    }

    public function test_a_page_that_asks_for_itself_takes_no_refusal_from_whoever_made_it(): void
    {
        $job = $this->plan();
        $this->enter($job, 'found', 'found', ['content' => 'low', 'missing' => 'much'])->assertSessionHasErrors();
        $page = "/jobs/{$job->id}?step=found";
        $this->get($page, ['X-Live' => '1'])
            ->assertOk()
            ->assertCookieMissing((string) config('session.cookie'));
        $this->get($page)
            ->assertOk()
            ->assertCookie((string) config('session.cookie'))
            ->assertSee('aria-invalid="true"', false)
            ->assertSee('much');
        $this->get($page)->assertOk()->assertDontSee('aria-invalid="true"', false);
    }

    public function test_a_page_that_asks_for_itself_keeps_no_tablet_awake(): void
    {
        $lead = \App\Models\Person::query()->where('login', 'sunniva')->firstOrFail();
        $cookie = $this->actingAs($lead)
            ->post('/tablets', ['tablet' => 'lift 2'])
            ->getCookie(\App\Models\Tablet::COOKIE)
            ?->getValue();
        \App\Models\Shop::query()
            ->firstOrFail()
            ->update(['lock_minutes' => 10]);
        $this->withCookie(\App\Models\Tablet::COOKIE, (string) $cookie)->get('/')->assertOk();
        foreach (range(1, 3) as $_) {
            $this->travel(4)->minutes();
            $answer = $this->get('/', ['X-Live' => '1']);
        }
        self::assertNotSame(200, $answer->getStatusCode(), 'twelve minutes without a hand on it');
    }
}
