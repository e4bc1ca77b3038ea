<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Floor\Danger;
use App\Instruments\Door;
use App\Instruments\SeriesStore;
use App\Models\Feed;
use App\Models\JournalLine;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;

/** Steps that an instrument writes: runs, holds, tests, a bucket on a scale, a thermometer that walks. */
final class FedRunTest extends FeedTestCase
{
    #[Group('one-database')]
    public function test_a_warm_up_by_a_stand_in_proves_what_it_shows_in_a_few_lines(): void
    {
        [$job, $feed] = $this->fed('');
        $this->drive($feed, 50 * 60, until: fn (): bool => $this->verdict($job) === 'proven');
        self::assertSame('proven', $this->verdict($job));
        self::assertNull($job->refresh()->danger_since);
        $lines = $this->lines($job);
        self::assertLessThan(30, count($lines), 'points stay beside the journal');
        self::assertContains('thermostat_open', array_column($lines, 'shows'));
        self::assertSame(
            ['fan_on', 'fan_off'],
            array_slice(
                array_values(array_filter(array_column($lines, 'form'), fn ($form) => str_starts_with($form, 'fan'))),
                0,
                2,
            ),
        );
        $page = (string) $this->get("/jobs/{$job->id}?step=heat_cycle:1")
            ->assertOk()
            ->getContent();
        self::assertStringContainsString('by instrument', $page);
        // On paper stands what the screen showed.
        $record = (string) $this->get("/jobs/{$job->id}/record")
            ->assertOk()
            ->assertSee('as instruments sent it')
            ->getContent();
        self::assertSame(3, preg_match_all('/<polyline points="[\d., ]{400,}"/', $record));
        self::assertGreaterThan(1, substr_count($record, '>fan</text>'));
        self::assertStringStartsWith(
            '%PDF',
            (string) $this->get("/jobs/{$job->id}/record.pdf")
                ->assertOk()
                ->getContent(),
        );
        // The record says of each proof what it rests on, and no point of it is a line.
        self::assertGreaterThan(3000, (int) DB::table('series')->where('job_id', $job->id)->sum('points'));
        self::assertLessThan(400, (int) DB::table('series')->where('job_id', $job->id)->count());
    }

    public function test_a_shut_thermostat_is_danger_on_every_page_within_two_seconds(): void
    {
        [$job, $feed] = $this->fed('thermostat:shut');
        $this->drive($feed, 40 * 60, until: fn (): bool => $job->refresh()->danger_since !== null);
        self::assertSame([$job->id], array_column(Danger::now(), 'job'));
        $last = $this->lines($job);
        self::assertContains($last[count($last) - 1]['shows'], ['thermostat_shut', 'limit_reached']);
        $this->get('/')->assertSee('Shut off now');
        // The first danger stands, whatever calmer points follow.
        Carbon::setTestNow(now()->addSeconds(60));
        $this->send($feed, ['coolant_c,'.(now()->getTimestamp() - $feed->created_at->getTimestamp()).',80']);
        self::assertNotNull($job->refresh()->danger_since);
    }

    #[Group('one-database')]
    public function test_air_at_the_sensor_is_danger_before_anything_boils(): void
    {
        [$job, $feed] = $this->fed('pocket:sensor');
        $this->drive($feed, 45 * 60, until: fn (): bool => $job->refresh()->danger_since !== null);
        self::assertSame('sensor_in_air', collect($this->lines($job))->last()['shows']);
        self::assertNotSame([], Danger::now());
    }

    #[DataProvider('holds')]
    #[Group('one-database')]
    public function test_a_hold_is_read_by_its_gauge(string $fault, string $comesTo): void
    {
        Carbon::setTestNow(Carbon::now()->startOfSecond());
        $job = $this->plan('SKP 114', 'vacuum');
        $this->walk($job)->until('pull:1');
        Carbon::setTestNow(
            Carbon::createFromTimestamp((int) JournalLine::query()->where('job_id', $job->id)->max('at') + 5),
        );
        $feed = Door::open($job, $this->imre, 'Stand-in', $fault);
        $this->enter($job, 'pull:1', 'started')->assertSessionHasNoErrors();
        $this->drive($feed, 60, until: fn (): bool => false);
        self::assertContains('reading', array_column($this->lines($job), 'form'));
        $this->get("/jobs/{$job->id}?step=pull:1")
            ->assertSee('data-draws="vacuum_inhg"', false)
            ->assertSee('Target reached');
        $this->post("/jobs/{$job->id}/cautions", ['key' => 'cautions-0001', 'hazards' => ['collapse' => 'pull:1']]);
        $this->finish($job, 'pull:1')->assertSessionHasNoErrors();
        $hold = $job->refresh()->state()->stepInHand();
        self::assertSame('hold', $hold?->kind);
        $this->drive($feed, 11 * 60, until: fn (): bool => false);
        $state = $job->refresh()->state();
        self::assertSame($comesTo, $state->verdictOf($state->steps[$hold->id], now()->getTimestamp())?->code);
    }

    /** @return array<string, array{string, string}> */
    public static function holds(): array
    {
        return ['tight' => ['', 'tight'], 'with a leak' => ['leak:60', 'leak']];
    }

    #[DataProvider('pressed')]
    #[Group('one-database')]
    public function test_a_pressure_test_is_read_by_its_gauge(float $fallsTo, string $comesTo, int $after): void
    {
        Carbon::setTestNow(Carbon::now()->startOfSecond());
        $job = $this->plan('SKP 114');
        $this->walk($job)->until('pressure_test');
        Carbon::setTestNow(
            Carbon::createFromTimestamp((int) JournalLine::query()->where('job_id', $job->id)->max('at') + 5),
        );
        $feed = Door::open($job, $this->imre, 'Gauge');
        for ($second = 0; $second <= 340; $second += 4) {
            $kpa = $second < 20 ? 5.0 * $second : 100.0 - (100.0 - $fallsTo) * ($second - 20) / 320.0;
            $this->send($feed, ["pressure_kpa,{$second},{$kpa}"])->assertOk();
            Carbon::setTestNow(now()->addSeconds(4));
        }
        self::assertSame(['pumped', 'stood'], array_column($this->lines($job), 'form'));
        $state = $job->refresh()->state();
        self::assertSame($comesTo, $state->verdictOf($state->steps['pressure_test'], now()->getTimestamp())?->code);
        $at = array_column(
            array_filter(
                JournalLine::query()->where('job_id', $job->id)->orderBy('seq')->get()->toArray(),
                fn (array $line) => in_array($line['form'], ['pumped', 'stood'], true),
            ),
            'at',
        );
        self::assertEqualsWithDelta($after, $at[count($at) - 1] - $at[count($at) - 2], 12);
        $this->get("/jobs/{$job->id}?step=pressure_test")->assertOk()->assertSee('by instrument');
    }

    /** @return array<string, array{float, string, int}> */
    public static function pressed(): array
    {
        return [
            'it holds' => [99.0, 'holds', 300],
            'it falls' => [85.0, 'falls', 300],
            'it is lost before its time' => [-60.0, 'lost', 100],
        ];
    }

    public function test_the_limit_latches_with_the_point_that_reached_it(): void
    {
        [$job, $feed] = $this->fed('');
        Carbon::setTestNow(now()->addSeconds(300));
        $this->send($feed, ['coolant_c,300,90,°C'])->assertOk()->assertJsonMissing(['danger' => true]);
        Carbon::setTestNow(now()->addSeconds(2));
        $this->send($feed, ['coolant_c,302,257 °F'])->assertJson(['kept' => 1, 'danger' => true]);
        self::assertNotNull($job->refresh()->danger_since);
    }

    #[Group('one-database')]
    public function test_the_times_of_revs_and_idle_begin_and_end_by_the_count(): void
    {
        [$job, $feed] = $this->fed('');
        $began = now()->getTimestamp();
        $seconds = 0;
        $turns = function (int $rpm, int $for) use ($feed, $began, &$seconds): void {
            for ($until = $seconds + $for; $seconds < $until;) {
                $batch = array_map(
                    fn (int $s): string => 'rpm,'.$s.','.($rpm + ($s % 3)),
                    range($seconds + 1, $seconds + 10),
                );
                Carbon::setTestNow(Carbon::createFromTimestamp($began + ($seconds += 10)));
                $this->send($feed, [...$batch, "coolant_c,{$seconds},70"])->assertOk();
            }
        };
        $held = fn (): array => JournalLine::query()
            ->where('job_id', $job->id)
            ->where('form', 'hold')
            ->orderBy('at')
            ->get()
            ->map(
                fn (JournalLine $line) => [
                    'at' => $line->at,
                    'speed' => $line->values['speed'],
                    'shows' => $line->values['shows'] ?? null,
                ],
            )
            ->all();
        $page = fn (): string => (string) $this->get("/jobs/{$job->id}")
            ->assertOk()
            ->getContent();
        $turns(850, 60);
        self::assertSame([], $held(), 'idling from the start is nobody’s hold');
        $turns(1500, 60);
        self::assertSame([], $held(), 'a fast idle drives no air out');
        $turns(850, 20);
        $turns(2500, 60);
        self::assertSame(['revs'], array_column($held(), 'speed'));
        self::assertEqualsWithDelta($began + 141, $held()[0]['at'], 2.0);
        self::assertStringContainsString('2,000–3,000 rpm: drives air out', $page());
        $turns(850, 30);
        self::assertSame(['revs', 'idle'], array_column($held(), 'speed'));
        self::assertEqualsWithDelta($began + 200, $held()[1]['at'], 2.0);
        self::assertStringContainsString('Idle: air rises', $page());
        // What somebody said by hand is not said again by the count.
        $this->walk($job)->enter('hold', ['speed' => 'revs'], 0);
        $turns(2600, 50);
        self::assertSame(
            [['revs', 'rpm_hold'], ['idle', 'rpm_hold'], ['revs', null]],
            array_map(fn (array $one) => [$one['speed'], $one['shows']], $held()),
        );
        $turns(850, 20);
        self::assertSame('idle', $held()[3]['speed']);
    }

    public function test_a_far_side_alone_at_the_limit_is_danger_too_and_an_address_alone_hides_no_form(): void
    {
        [$job, $feed] = $this->fed('');
        $this->get("/jobs/{$job->id}")->assertSee('Record reading')->assertDontSee('Read by hand…');
        Carbon::setTestNow(now()->addSeconds(300));
        $this->send($feed, ['far_side_c,300,90'])->assertJsonMissing(['danger' => true]);
        $this->get("/jobs/{$job->id}")->assertSee('Read by hand…');
        Carbon::setTestNow(now()->addSeconds(2));
        $this->send($feed, ['far_side_c,302,120'])->assertJson(['danger' => true]);
        // It has gone silent: it is read by hand again.
        Carbon::setTestNow(now()->addSeconds(200));
        $this->get("/jobs/{$job->id}")->assertDontSee('Read by hand…');
    }

    public function test_the_last_batch_is_looked_at_however_soon_it_comes(): void
    {
        [$job, $feed] = $this->fed('');
        Carbon::setTestNow(now()->addSeconds(300));
        $this->send($feed, ['coolant_c,300,90'])->assertOk();
        // Within the same second, and nothing more after it.
        $this->send($feed, ['coolant_c,300.5,125'])->assertJson(['danger' => true]);
        self::assertNotNull($job->refresh()->danger_since);
    }

    public function test_what_was_kept_while_a_cable_was_out_is_looked_at_all_through(): void
    {
        [$job, $feed] = $this->fed('');
        Carbon::setTestNow(now()->addSeconds(60));
        $this->send($feed, ['coolant_c,60,30'])->assertOk();
        Carbon::setTestNow(now()->addSeconds(3000));
        $kept = array_map(
            fn (int $second) => "coolant_c,{$second},".($second === 600 ? 125 : 80),
            range(120, 3060, 20),
        );
        $this->send($feed, $kept)->assertJson(['danger' => true]);
        self::assertNotNull($job->refresh()->danger_since);
        self::assertSame(
            -2460,
            (int) JournalLine::query()
                ->where('job_id', $job->id)
                ->get()
                ->first(fn (JournalLine $line) => ($line->values['shows'] ?? '') === 'limit_reached')?->at
                - now()->getTimestamp(),
            'at its own time',
        );
        // Counted from a time before there was any.
        $this->send($feed, ['rpm,-9000000000,800', 'rpm,3061,800'])->assertOk()->assertJson(['kept' => 2]);
    }

    public function test_the_limit_is_danger_on_the_road_too(): void
    {
        Carbon::setTestNow(Carbon::now()->startOfSecond());
        $job = $this->plan('SKP 660');
        $this->walk($job)->until('drive');
        Carbon::setTestNow(
            Carbon::createFromTimestamp((int) JournalLine::query()->where('job_id', $job->id)->max('at') + 60),
        );
        $feed = Door::open($job, $this->imre, 'Scan tool');
        $this->send($feed, ['coolant_c,10,90', 'speed_kmh,10,50'])->assertJsonMissing(['danger' => true]);
        self::assertSame([], $this->lines($job), 'that it ran cool nobody said');
        Carbon::setTestNow(now()->addSeconds(240));
        $this->send($feed, ['coolant_c,250,118'])->assertOk();
        self::assertSame([['form' => 'driven', 'shows' => 'limit_reached']], $this->lines($job));
        $state = $job->refresh()->state();
        self::assertSame('limit', $state->verdictOf($state->steps['drive'], now()->getTimestamp())?->code);
        Carbon::setTestNow(now()->addSeconds(240));
        $this->send($feed, ['coolant_c,490,90'])->assertOk();
        self::assertSame(
            'limit',
            $job->refresh()->state()->verdictOf($state->steps['drive'], now()->getTimestamp())?->code,
            'the first danger stands',
        );
    }

    public function test_a_scale_under_the_bucket_tells_what_came_out_and_what_went_in(): void
    {
        Carbon::setTestNow(Carbon::now()->startOfSecond());
        $job = $this->plan('SKP 660');
        $this->walk($job)->until('drain:radiator_cock');
        $this->actingAs($this->imre)->get("/jobs/{$job->id}")->assertOk()->assertDontSee('on the scale');
        $this->post("/jobs/{$job->id}/feeds", ['name' => 'Scale'])->assertRedirect();
        $this->get("/jobs/{$job->id}/manage")
            ->assertOk()
            ->assertSee('Connect an instrument')
            ->assertSee('/feeds/', false);
        $feed = Feed::query()->sole();
        $weigh = function (float $kg) use ($feed): void {
            Carbon::setTestNow(now()->addSeconds(10));
            $now = now()->getTimestamp();
            $this->send(
                $feed->refresh(),
                array_map(fn (int $ago) => 'weight_kg,'.($now - $ago).",{$kg}", [3, 2, 1, 0]),
            )->assertOk();
        };
        $scale = fn (string $query = '') => $this->get("/jobs/{$job->id}/scale{$query}")->assertOk();
        $weigh(0.0);
        $this->get("/jobs/{$job->id}")->assertSee('on the scale');
        $weigh(1.2); // the bucket
        $zero = $scale()->json('now');
        $weigh(1.2 + 5.3);
        $told = $scale("?zeroed={$zero}")->json();
        self::assertSame(['6.50 kg', true], [$told['kg'], $told['still']]);
        // Half glycol of 1.07 kg/L or so: 5.3 kg are five litres less a bit.
        self::assertEqualsWithDelta(4.95, (float) $told['value'], 0.1);
        $this->enter($job, 'drain:radiator_cock', 'out', [
            'volume' => $told['value'],
            'vessel' => 'scale',
            'flow' => 'ran',
        ])->assertSessionHasNoErrors();
        $weigh(1.2 + 5.3 + 0.5);
        self::assertEqualsWithDelta(
            0.47,
            (float) $scale("?zeroed={$zero}")->json('value'),
            0.03,
            'what was weighed once is not weighed again',
        );
        Carbon::setTestNow(now()->addSeconds(1));
        $now = now()->getTimestamp();
        $this->send($feed->refresh(), ["weight_kg,{$now},9.4"])->assertOk();
        self::assertFalse($scale()->json('still'), 'a hand on it');
        $weigh(0.0);
        self::assertArrayNotHasKey('takes', (array) $scale()->json(), 'the bucket was lifted off');
        Carbon::setTestNow(now()->addMinutes(5));
        self::assertArrayNotHasKey('kg', (array) $scale()->json(), 'nothing was weighed lately');
    }

    public function test_one_thermometer_walks_from_outlet_to_outlet_by_a_press_each(): void
    {
        Carbon::setTestNow(Carbon::now()->startOfSecond());
        $job = $this->plan('SKP 207');
        $this->walk($job)
            ->until('heat_cycle:1')
            ->enter('start', ['place' => 'outdoors', 'neck' => 'sealed', 'outside' => '18 °C'], 0);
        $feed = Door::open($job, $this->imre, 'Thermometer');
        $page = $this->actingAs($this->imre)->get("/jobs/{$job->id}")->assertOk()->assertSee('its thermometer at');
        foreach (['front' => 61.5, 'rear' => 58.0] as $outlet => $celsius) {
            $this->post("/feeds/{$feed->id}/outlet", ['outlet' => $outlet])->assertRedirect(
                "/jobs/{$job->id}#instruments",
            );
            Carbon::setTestNow(now()->addSeconds(20));
            $this->send($feed->refresh(), [
                'coolant_c,'.now()->getTimestamp().',86',
                'outlet_c,'.now()->getTimestamp().",{$celsius}",
            ])->assertOk();
        }
        $channels = SeriesStore::here()->stretch($job->id, 0, now()->getTimestampMs());
        self::assertEqualsWithDelta(61.5, $channels['outlet_c.front'][0][1], 0.05);
        self::assertEqualsWithDelta(58.0, $channels['outlet_c.rear'][0][1], 0.05);
        self::assertArrayNotHasKey('outlet_c', $channels);
        $this->from("/jobs/{$job->id}")
            ->post("/feeds/{$feed->id}/outlet", ['outlet' => 'roof'])
            ->assertSessionHasErrors('feed');
        // What says itself where it is, is believed.
        $this->send($feed, ['outlet_c.front,'.(now()->getTimestamp() + 1).',63'])->assertOk();
        self::assertCount(2, SeriesStore::here()->stretch($job->id, 0, now()->getTimestampMs() + 5_000)['outlet_c.front']);
    }
}
