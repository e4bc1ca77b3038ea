<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Record\Facts;
use App\Record\RecordSearch;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Illuminate\Support\Facades\DB;

/** Finished jobs: found by anything that was said of them, month by month, a page at a time. */
final class RecordsTest extends ShopTestCase
{
    public function test_jobs_are_found_by_what_was_said_of_them(): void
    {
        $this->twoSigned();
        foreach ([
            'part of a plate' => ['660', ['SKP 660']],
            'the vehicle' => ['minibus', ['SKP 207']],
            'a person' => ['Imre TOV', ['SKP 660', 'SKP 207']],
            'a finding' => ['weeping seam', ['SKP 207']],
            'beginnings of words of two lines' => ['weep minibus', ['SKP 207']],
            'a verdict' => ['proven heat', ['SKP 660', 'SKP 207']],
            'way and mixture' => ['gravity 50', ['SKP 660', 'SKP 207']],
            'signs that mean something to a database' => ['SKP "207" *', ['SKP 207']],
            'nothing' => ['zebra', []],
            'words that mean something to a database' => ['OR AND NOT', []],
        ] as $what => [$typed, $found]) {
            $page = (string) $this->get('/records?'.http_build_query(['q' => $typed]))->assertOk()->getContent();
            foreach (['SKP 660', 'SKP 207'] as $plate) {
                self::assertSame(
                    in_array($plate, $found, true),
                    str_contains($page, "<span class=\"plate\">{$plate}</span>"),
                    "{$what}: {$plate}",
                );
            }
            self::assertSame($found === [], str_contains($page, 'Nothing found'), $what);
        }
    }

    public function test_a_result_says_why(): void
    {
        $this->twoSigned();
        $this->get('/records?q=weeping')->assertOk()->assertSee('finding: weeping seam at the pump');
        self::assertSame(['person: Ina Ö.'], RecordSearch::why("plate: A 1\nperson: Ina Ö.\nnote: öl", 'ina'));
    }

    public function test_the_months_are_summed_up_and_filters_are_links(): void
    {
        [$one, $two] = $this->twoSigned();
        $month = $one->signed_at?->format('Y-m') ?? '';
        $page = $this->get('/records')->assertOk()->assertSeeInOrder(['Month by month', $month, 'Came back']);
        $page->assertSee("/records?month={$month}", false);
        // Poured is what was poured: what stood in it before is not.
        $poured = array_sum(
            array_map(
                fn (Job $job): float => $job->state()->ledger()->contentMl
                    + $job->state()->ledger()->outMl()
                    - $job->state()->ledger()->foundMl(),
                [$one, $two],
            ),
        );
        self::assertGreaterThan(1000.0, $one->state()->ledger()->foundMl());
        $page->assertSee(UnitSystem::Metric->format($poured, Dimension::Volume));
        $this->get('/records?month=2001-01')->assertOk()->assertSee('Nothing found');
        $this->get("/records?month={$month}&kind=repair")
            ->assertOk()
            ->assertSee($one->vehicle->plate);
        $this->get('/records?kind=repair')
            ->assertOk()
            ->assertSee($one->vehicle->plate)
            ->assertSee($two->vehicle->plate);
        // A job for a complaint soon after: the one before came back.
        $this->post('/jobs', [
            'vehicle' => $one->vehicle_id,
            'school' => 'gravity',
            'kind' => 'lost',
            'chosen' => '1',
            'complaint' => 'falling',
        ])->assertSessionHasNoErrors();
        $this->get('/records?back=1')->assertOk()->assertSee($one->vehicle->plate)->assertDontSee($two->vehicle->plate);
    }

    public function test_the_list_goes_on_from_page_to_page(): void
    {
        [$one] = $this->twoSigned();
        Facts::keepMissing();
        $facts = (array) DB::table('job_facts')->where('job_id', $one->id)->first();
        for ($i = 0; $i < 60; $i++) {
            $copy = $one->replicate();
            $copy->forceFill(['signed_at' => now()->subDays(400 + $i)])->save();
            DB::table('job_facts')->insert([...array_diff_key($facts, ['id' => 0]), 'job_id' => $copy->id]);
        }
        preg_match_all('#/jobs/(\d+)/record#', (string) $this->get('/records')->assertOk()->getContent(), $first);
        preg_match_all(
            '#/jobs/(\d+)/record#',
            (string) $this->get('/records?page=2')->assertOk()->getContent(),
            $second,
        );
        self::assertCount(40, array_unique($first[1]));
        self::assertCount(22, array_unique($second[1]));
        self::assertSame([], array_intersect($first[1], $second[1]));
    }

    public function test_what_is_missing_is_made_anew(): void
    {
        $this->twoSigned();
        self::assertSame(2, Facts::keepMissing());
        $kept = DB::table('job_facts')->orderBy('job_id')->get(['job_id', 'month', 'text'])->all();
        Job::query()->whereNotNull('signed_at')->pluck('id')->each(Facts::forget(...));
        self::assertSame(0, DB::table('job_facts')->count());
        self::assertSame(2, Facts::keepMissing());
        self::assertEquals($kept, DB::table('job_facts')->orderBy('job_id')->get(['job_id', 'month', 'text'])->all());
        $this->get('/records?q=weeping')->assertSee('SKP 207');
    }

    /** @return array{Job, Job} */
    private function twoSigned(): array
    {
        $one = $this->plan('SKP 660');
        $this->walk($one)->until(null);
        $two = $this->plan('SKP 207');
        $this->walk($two)
            ->until('inspect')
            ->enter('finding', ['what' => 'weeping seam at the pump', 'then' => 'watch'])
            ->until(null);

        return [$one->refresh(), $two->refresh()];
    }
}
