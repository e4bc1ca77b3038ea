<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Instruments\Door;
use App\Instruments\StandIn;
use App\Models\Feed;
use App\Models\Person;
use App\Models\Practice;
use App\Practice\Ground;
use App\Practice\Walk;
use Aqbel\Core\Instruments\Batch;
use Aqbel\Core\Practice\Exercises;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;

/** Exercises on vehicles that are not there: on the real pages, and nowhere near what the shop keeps. */
final class PracticeTest extends ShopTestCase
{
    private string $file;

    protected function setUp(): void
    {
        parent::setUp();
        $this->file = (string) tempnam(sys_get_temp_dir(), 'aqbel-practice-');
        unlink($this->file);
        config(['database.connections.practice.database' => $this->file]);
        DB::purge('practice');
        Carbon::setTestNow('2026-11-29 09:00:00');
    }

    protected function tearDown(): void
    {
        DB::purge('practice');
        array_map(unlink(...), glob("{$this->file}*") ?: []);
        parent::tearDown();
    }

    public function test_nothing_of_it_stands_in_the_shop(): void
    {
        $count = fn (): array => array_map(
            fn (string $table) => DB::table($table)->count(),
            array_combine(
                $tables = [
                    'jobs',
                    'journal_lines',
                    'vehicles',
                    'circuits',
                    'feeds',
                    'series',
                    'visits',
                    'containers',
                    'container_movements',
                    'practices',
                    'people',
                ],
                $tables,
            ),
        );
        $before = $count();
        $job = $this->begin('thermostat-shut');
        self::assertGreaterThanOrEqual(Ground::FIRST, $job);
        $this->get("/jobs/{$job}")
            ->assertOk()
            ->assertSee('Practice: An easy one.')
            ->assertSee('At the vehicle you see and read')
            ->assertDontSee('thermostat:shut');
        $this->write($job, 'start', ['place' => 'extraction', 'neck' => 'sealed']);
        self::assertSame($before, $count());
        self::assertFalse(Ground::isHere(), 'afterwards one stands in the shop again');
        $this->get('/')->assertOk()->assertDontSee('PRACTICE');
        $this->get('/records')->assertOk()->assertDontSee('PRACTICE');
        $this->get('/jobs/'.(Ground::FIRST + 77))->assertNotFound();
    }

    public function test_a_hidden_fault_is_told_by_the_gauges_and_scored_by_what_was_done(): void
    {
        $job = $this->begin('thermostat-shut');
        $this->write($job, 'start', ['place' => 'extraction', 'neck' => 'sealed']);
        $shown = false;
        for ($minute = 1; $minute <= 40 && ! $shown; $minute++) {
            Carbon::setTestNow(now()->addMinute());
            $this->get("/feeds/{$this->feed($job)}/stand-in")->assertNoContent();
            $shown = str_contains((string) $this->get("/jobs/{$job}")->getContent(), 'Shut off');
            $shown = $shown
                && $this->verdict($job) !== null
                && in_array($this->verdict($job), Exercises::of('thermostat-shut')->shows ?? [], true);
        }
        self::assertTrue($shown, 'the gauges told of it within forty minutes');
        Carbon::setTestNow(now()->addSeconds(20));
        $this->write($job, 'shut_off', []);
        $this->post("/jobs/{$job}/practice/end")->assertRedirect("/jobs/{$job}/practice");
        $this->get("/jobs/{$job}/practice")
            ->assertOk()
            ->assertSee('As it should be')
            ->assertSee('The thermostat stayed shut')
            ->assertSee('was acted on within');
        $this->get('/practice')->assertOk()->assertSee('Done by Imre');
    }

    public function test_who_looks_away_is_told_so(): void
    {
        $job = $this->begin('thermostat-shut');
        $this->write($job, 'start', ['place' => 'extraction', 'neck' => 'sealed']);
        for ($minute = 1; $minute <= 40; $minute++) {
            Carbon::setTestNow(now()->addMinute());
            $this->get("/feeds/{$this->feed($job)}/stand-in")->assertNoContent();
        }
        $this->post("/jobs/{$job}/practice/end");
        $this->get("/jobs/{$job}/practice")->assertOk()->assertSee('Not yet')->assertSee('nobody acted on it');
    }

    public function test_its_clock_runs_faster_and_skips_a_wait(): void
    {
        $job = $this->begin('first-warm-up');
        $now = fn (): int => (int) Ground::on(
            fn () => Practice::query()->where('job_id', $job)->firstOrFail()->now()->getTimestamp(),
        );
        $began = $now();
        Carbon::setTestNow(now()->addSeconds(10));
        self::assertSame($began + 10, $now());
        $this->post("/jobs/{$job}/practice/clock", ['speed' => 20])->assertRedirect("/jobs/{$job}");
        Carbon::setTestNow(now()->addSeconds(10));
        self::assertSame($began + 210, $now());
        $this->post("/jobs/{$job}/practice/clock", ['speed' => 1000]);
        self::assertSame(20, Ground::on(fn () => Practice::query()->where('job_id', $job)->value('speed')));
        $this->get("/jobs/{$job}")->assertOk()->assertSee('data-speed="20"', false);
        self::assertSame('2026-11-29 09:00:20', now()->format('Y-m-d H:i:s'), 'the shop’s clock is its own');
    }

    #[Group('one-database')]
    public function test_every_exercise_begins_where_it_says_and_somebody_else_may_look_on(): void
    {
        foreach (Exercises::all() as $exercise) {
            $this->actingAs($this->imre);
            $job = $this->begin($exercise->id);
            self::assertSame(
                $exercise->from,
                Ground::on(
                    fn () => Practice::query()->where('job_id', $job)->firstOrFail()->job->state()->stepInHand()?->id,
                ),
                $exercise->id,
            );
            $this->get("/jobs/{$job}")
                ->assertOk()
                ->assertSee($exercise->title);
            $this->get("/jobs/{$job}/practice")->assertRedirect("/jobs/{$job}");
            // How sure it is takes a second, and asks nothing of the exercise.
            $pages = ['manage', 'record', 'job.json', 'readings.csv', ...($exercise->grade === 1 ? ['how-sure'] : [])];
            foreach ($pages as $page) {
                $this->get("/jobs/{$job}/{$page}")->assertSuccessful();
            }
            $vehicle = DB::connection('practice')->table('jobs')->where('id', $job)->value('vehicle_id');
            $this->get("/vehicles/{$vehicle}")
                ->assertOk()
                ->assertSee('PRACTICE');
            $this->get(
                '/circuits/'.DB::connection('practice')->table('jobs')->where('id', $job)->value('circuit_id'),
            )->assertOk();
            $this->actingAs(Person::query()->where('login', 'sunniva')->firstOrFail());
            $this->get("/jobs/{$job}")->assertOk();
            $this->post("/jobs/{$job}/entries", [
                'key' => (string) Str::uuid(),
                'step' => $exercise->from,
                'form' => 'finding',
                'fields' => ['what' => 'A look from beside', 'then' => 'note'],
            ])->assertSessionHasNoErrors();
        }
        self::assertSame(range(1, 10), array_map(fn ($exercise) => $exercise->grade, Exercises::all()));
        $this->post('/practice/no-such')->assertNotFound();
        $this->get('/jobs/1/practice')->assertNotFound();
    }

    /** @return iterable<string, array{string}> */
    public static function faulty(): iterable
    {
        foreach (Exercises::all() as $exercise) {
            if (! $exercise->isSound()) {
                yield $exercise->id => [$exercise->id];
            }
        }
    }

    #[DataProvider('faulty')]
    #[Group('one-database')]
    public function test_what_is_hidden_shows_to_who_works_as_usual(string $id): void
    {
        $exercise = Exercises::of($id) ?? throw new \LogicException();
        $codes = $this->watched(
            $this->begin($id),
            fn (array $codes): bool => array_intersect($codes, $exercise->shows) !== [],
        );
        self::assertNotSame(
            [],
            array_intersect($codes, $exercise->shows),
            implode(' ', array_unique(array_filter($codes))),
        );
    }

    #[TestWith(['first-warm-up', 'proven'])]
    #[TestWith(['vacuum-that-holds', 'tight'])]
    #[Group('one-database')]
    public function test_what_is_sound_is_told_so(string $id, string $code): void
    {
        $job = $this->begin($id);
        self::assertContains($code, $this->watched($job, fn (array $codes): bool => in_array($code, $codes, true)));
        $this->post("/jobs/{$job}/practice/end");
        $this->get("/jobs/{$job}/practice")
            ->assertOk()
            ->assertSee(Exercises::of($id)->truth ?? '')
            ->assertDontSee('Coolant lost</dt><dd class="text-stop"', false);
    }

    /**
     * Begun as usual, then looked at by its gauges alone.
     *
     * @param  \Closure(list<?string>): bool  $enough
     * @return list<?string> codes of the verdicts that stood there
     */
    private function watched(int $job, \Closure $enough): array
    {
        return Ground::on(function () use ($job, $enough): array {
            $practice = Practice::query()->where('job_id', $job)->firstOrFail();
            Carbon::setTestNow($practice->now());
            $walk = new Walk($practice->job, $this->imre);
            $feed = Feed::query()->where('job_id', $job)->firstOrFail();
            while (! in_array($walk->job->state()->stepInHand()?->kind, ['pull', 'pressure_test', 'heat_cycle'], true)) {
                $walk->step();
            }
            foreach (
                [
                    ['started', []],
                    ['pumped', ['start' => '100']],
                    ['start', ['place' => 'extraction', 'neck' => 'sealed']],
                ] as [$form, $fields]
            ) {
                $step = $walk->job->state()->stepInHand() ?? throw new \LogicException();
                if (
                    app(StepCatalogue::class)
                        ->of($step)
                        ->form($walk->job->state()->at($step, now()->getTimestamp()), $form) !== null
                ) {
                    $walk->enter($form, $fields, 0.0);
                    break;
                }
            }
            for ($codes = [], $since = -1.0, $i = 0; $i < 90 && ! $enough($codes); $i++) {
                Carbon::setTestNow(now()->addSeconds(50));
                $lines = (new StandIn($feed))->lines($since, now()->getTimestamp());
                $lines === [] || Door::take($feed, Batch::of($lines));
                $since = (float) (now()->getTimestamp() - $feed->created_at->getTimestamp());
                $state = $walk->job->state();
                $step = $state->stepInHand() ?? throw new \LogicException();
                if (
                    $step->kind === 'pull'
                    && app(StepCatalogue::class)->of($step)->obstacles($state->at($step, now()->getTimestamp())) === []
                ) {
                    $walk->finish();
                }
                $codes[] = $state->verdictOf($step, now()->getTimestamp())?->code;
            }
            $practice->setClock(now()->getTimestamp(), 1);

            return $codes;
        });
    }

    public function test_a_first_fill_is_signed_by_what_is_seen(): void
    {
        $job = $this->begin('first-fill');
        Ground::on(function () use ($job): void {
            $practice = Practice::query()->where('job_id', $job)->firstOrFail();
            Carbon::setTestNow($practice->now());
            (new Walk($practice->job, $this->imre))->until(null);
            self::assertTrue($practice->job->refresh()->stands());
            $practice->setClock(now()->getTimestamp(), 1);
        });
        Carbon::setTestNow('2026-11-29 09:00:01');
        $this->post("/jobs/{$job}/practice/end")->assertRedirect();
        $this->get("/jobs/{$job}/practice")
            ->assertOk()
            ->assertSee('As it should be')
            ->assertSee('Nothing was wrong with it');
        self::assertSame(0, DB::table('jobs')->where('id', $job)->count());
    }

    private function begin(string $exercise): int
    {
        $to = $this->actingAs($this->imre)
            ->post("/practice/{$exercise}")
            ->assertSessionHasNoErrors()
            ->headers->get('Location');

        return (int) basename((string) $to);
    }

    /** @param  array<string, string>  $fields */
    private function write(int $job, string $form, array $fields): void
    {
        $this->post("/jobs/{$job}/entries", [
            'key' => (string) Str::uuid(), 'step' => 'heat_cycle:1', 'form' => $form, 'fields' => $fields,
            'hazards' => array_fill_keys(['exhaust', 'moving', 'scald'], 'heat_cycle:1'),
        ])->assertSessionHasNoErrors();
    }

    private function feed(int $job): int
    {
        return (int) DB::connection('practice')->table('feeds')->where('job_id', $job)->value('id');
    }

    private function verdict(int $job): ?string
    {
        return Ground::on(function () use ($job): ?string {
            $practice = Practice::query()->where('job_id', $job)->firstOrFail();
            $state = $practice->job->state();

            return $state->verdictOf($state->steps['heat_cycle:1'], $practice->now()->getTimestamp())?->code;
        });
    }
}
