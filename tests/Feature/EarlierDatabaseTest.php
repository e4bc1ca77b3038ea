<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Person;
use App\Record\Seal;
use App\Run\OutOfOrder;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/**
 * The demo shop as versions of 2026-11-23, -24 and -26 left it, with
 * its eight jobs: every page opens, in either system of units.
 */
#[Group('one-database')]
final class EarlierDatabaseTest extends TestCase
{
    private function upgraded(string $of = '2026-11-24'): void
    {
        config(
            [
                'database.connections.earlier' => [
                    'driver' => 'sqlite', 'database' => ':memory:', 'foreign_key_constraints' => false,
                ],
            ],
        );
        DB::setDefaultConnection('earlier');
        DB::connection()->getPdo()->exec(
            (string) gzdecode((string) file_get_contents(__DIR__."/../fixtures/shop-of-{$of}.sql.gz")),
        );
        Artisan::call('migrate', ['--force' => true]);
    }

    #[TestWith(['2026-11-23'])]
    #[TestWith(['2026-11-24'])]
    #[TestWith(['2026-11-26'])]
    public function test_every_page_opens(string $of): void
    {
        $this->upgraded($of);
        $this->openAll();
    }

    #[TestWith(['2026-11-23'])]
    #[TestWith(['2026-11-26'])]
    public function test_of_lines_written_before_nobody_says_when_they_arrived(string $of): void
    {
        $this->upgraded($of);
        self::assertSame(0, DB::table('journal_lines')->whereNotNull('arrived')->count());
        $job = Job::query()->with('circuit')->whereNull('signed_at')->orderBy('id')->firstOrFail();
        // One of them stands before the line it follows.
        $line = DB::table('journal_lines')->where('job_id', $job->id)->orderByDesc('seq')->skip(1)->first();
        self::assertNotNull($line);
        DB::table('journal_lines')->where('id', $line->id)->update(['at' => $line->at - 7200]);
        $state = $job->state();
        self::assertNotSame([], $state->journal->backwards());
        $table = OutOfOrder::tables($state, app(StepCatalogue::class), now()->getTimestamp(), UnitSystem::Metric)[0];
        self::assertContains('not known', array_merge(...$table->rows));
        $this->actingAs(Person::query()->where('login', 'sunniva')->firstOrFail())
            ->get("/jobs/{$job->id}/record")
            ->assertOk()
            ->assertDontSee('came in ');
        self::assertNull(Seal::holds(Job::query()->whereNotNull('signed_at')->firstOrFail()), 'nor was it sealed');
    }

    public function test_a_key_nobody_knows_breaks_no_page(): void
    {
        $this->upgraded();
        foreach (DB::table('jobs')->get() as $job) {
            $plan = json_decode($job->plan, true);
            $plan['later'] = $plan['input']['later'] = $plan['predicted']['later'] = $plan['input']['rules'][
                'later'
            ] = ['x' => 1];
            $plan['steps'] = array_map(fn (array $step): array => [...$step, 'later' => [1]], $plan['steps']);
            $plan['steps'][] = ['id' => 'later', 'kind' => 'kind_of_a_later_version', 'stage' => 11, 'params' => []];
            $summary = [...(array) json_decode((string) $job->summary, true), 'later' => ['x']];
            DB::table('jobs')->where('id', $job->id)->update(
                ['plan' => json_encode($plan), 'summary' => json_encode($summary)],
            );
        }
        $this->openAll();
    }

    public function test_a_step_this_version_does_not_know_is_passed_over_only_with_a_reason(): void
    {
        $this->upgraded();
        $job = Job::query()->whereNull('signed_at')->orderBy('id')->firstOrFail();
        $inHand = (string) $job->load('circuit')->state()->stepInHand()?->id;
        $plan = $job->plan;
        $plan['steps'] = array_map(
            fn (array $step): array => $step['id'] === $inHand ? [...$step, 'kind' => 'kind_of_a_later_version'] : $step,
            $plan['steps'],
        );
        $job->update(['plan' => $plan]);
        self::assertContains($inHand, array_column($plan['steps'], 'id'), 'it was planned, not ordered on the way');
        $send = fn (string $reason) => $this->actingAs($job->planner()->firstOrFail())->from("/jobs/{$job->id}")
            ->post("/jobs/{$job->id}/finish", ['key' => (string) Str::uuid(), 'step' => $inHand, 'reason' => $reason]);
        $send('')->assertSessionHasErrors('finish');
        $send('Done by the manual, held twenty minutes')->assertSessionHasNoErrors();
        self::assertArrayHasKey($inHand, $job->refresh()->load('circuit')->state()->closed);
    }

    private function openAll(): void
    {
        $pages = [
            '/',
            '/circuits',
            '/stores',
            '/records',
            '/records?q=114',
            '/jobs/new?vehicle=1',
            '/jobs/new?vehicle=3&kind=change&content=family&chosen=1&drains_auto=1',
        ];
        foreach (DB::table('circuits')->pluck('id') as $circuit) {
            array_push(
                $pages,
                "/circuits/{$circuit}",
                "/circuits/{$circuit}/edit",
                "/circuits/{$circuit}/elevation.svg",
            );
        }
        $jobs = Job::query()->with('circuit')->get();
        self::assertCount(8, $jobs);
        foreach ($jobs as $job) {
            array_push($pages, "/jobs/{$job->id}", "/jobs/{$job->id}/record");
            foreach ($job->state()->steps as $step) {
                $pages[] = "/jobs/{$job->id}?step=".urlencode($step->id);
            }
            foreach (
                DB::table('journal_lines')->where('job_id', $job->id)->where('form', 'out')->pluck('seq') as $seq
            ) {
                $pages[] = "/jobs/{$job->id}/entries/{$seq}";
            }
        }
        $lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        foreach ($pages as $i => $page) {
            $lead->units = $i % 2 === 0 ? UnitSystem::Metric : UnitSystem::UsCustomary;
            self::assertContains($this->actingAs($lead)->get($page)->status(), [200, 302], $page);
        }
        self::assertGreaterThan(250, count($pages));
    }
}
