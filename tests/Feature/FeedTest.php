<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Instruments\SeriesStore;
use App\Models\Feed;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** The door instruments send through: what comes twice, wrong, late, too fast or as a table. */
final class FeedTest extends FeedTestCase
{
    public function test_a_batch_sent_twice_counts_once_and_bad_lines_are_answered_by_line_and_field(): void
    {
        [$job, $feed] = $this->fed('');
        Carbon::setTestNow(now()->addSeconds(20));
        $batch = [
            'channel,time,value,unit',
            'coolant_c,10,40,°C',
            'coolant_c,11,106,F',
            'pid:05,12,52',
            '{"channel":"rpm","time":12,"value":812}',
            'pid:0C,13,0D48',
        ];
        $this->send($feed, $batch)
            ->assertOk()
            ->assertExactJson(['kept' => 5, 'known' => 0, 'refused' => []]);
        $this->send($feed, $batch)
            ->assertOk()
            ->assertExactJson(['kept' => 0, 'known' => 5, 'refused' => []]);
        $stored = SeriesStore::here()->stretch($job->id, 0, PHP_INT_MAX - 1);
        self::assertEqualsWithDelta([40.0, 41.111, 42.0], array_column($stored['coolant_c'], 1), 0.01);
        self::assertSame([812.0, 850.0], array_column($stored['rpm'], 1));
        self::assertSame((float) now()->getTimestamp(), $stored['rpm'][1][0], 'its newest point is of now');
        $this->send($feed, [
            'coolant_c,14,41',
            'warmth_c,14,41',
            'coolant_c,soon,41',
            'coolant_c,15,hot',
            'coolant_c',
            'rpm,15,900,furlongs',
            'pid:42,15,00',
            '{broken',
        ])
            ->assertStatus(207)
            ->assertJson([
                'kept' => 1,
                'refused' => [
                    ['line' => 2, 'field' => 'channel'],
                    ['line' => 3, 'field' => 'time'],
                    ['line' => 4, 'field' => 'value'],
                    ['line' => 5, 'field' => 'line'],
                    ['line' => 6, 'field' => 'value'],
                    ['line' => 7, 'field' => 'channel'],
                    ['line' => 8, 'field' => 'line'],
                ],
            ]);
    }

    public function test_what_cannot_be_is_kept_and_is_no_evidence(): void
    {
        [$job, $feed] = $this->fed('');
        Carbon::setTestNow(now()->addSeconds(120));
        // What a scan tool shows without a sensor, and what no coolant comes to.
        $this->send($feed, ['coolant_c,118,-40', 'coolant_c,119,900', 'far_side_c,119,20'])
            ->assertOk()
            ->assertJson(['kept' => 3]);
        self::assertSame([], $this->lines($job));
        self::assertCount(2, SeriesStore::here()->stretch($job->id, 0, PHP_INT_MAX - 1)['coolant_c']);
    }

    public function test_a_clock_that_jumps_is_laid_anew_and_what_was_missed_is_taken_as_of_its_time(): void
    {
        [$job, $feed] = $this->fed('');
        Carbon::setTestNow(now()->addSeconds(100));
        $this->send($feed, ['coolant_c,100,40'])->assertOk();
        // It was cut off, and brings what it kept.
        Carbon::setTestNow(now()->addSeconds(100));
        $this->send($feed, ['coolant_c,150,45', 'coolant_c,200,50'])
            ->assertOk()
            ->assertJsonMissing(['clock' => 'jumped']);
        // It began again at nought.
        Carbon::setTestNow(now()->addSeconds(60));
        $this->send($feed, ['coolant_c,100,55', 'coolant_c,101,55'])
            ->assertOk()
            ->assertJson(['clock' => 'jumped', 'kept' => 2]);
        $at = array_column(SeriesStore::here()->stretch($job->id, 0, PHP_INT_MAX - 1)['coolant_c'], 0);
        self::assertSame(
            [-160.0, -110.0, -60.0, -1.0, 0.0],
            array_map(fn (float $t) => $t - now()->getTimestamp(), $at),
        );
        self::assertSame(1, $feed->refresh()->jumps);
        // A year ahead.
        $this->send($feed, ['coolant_c,31536000,56'])->assertJson(['clock' => 'jumped']);
        self::assertSame(2, $feed->refresh()->jumps);
    }

    public function test_dates_of_a_clock_beside_the_shops_are_laid_on_it(): void
    {
        [$job, $feed] = $this->fed('');
        $this->send($feed, ['coolant_c,'.now()->addHour()->format('Y-m-d\TH:i:s.vP').',40'])
            ->assertOk()
            ->assertJson(['kept' => 1]);
        self::assertSame(
            (float) now()->getTimestamp(),
            SeriesStore::here()->stretch($job->id, 0, PHP_INT_MAX - 1)['coolant_c'][0][0],
        );
    }

    public function test_more_than_is_promised_is_told_to_slow_down_and_can_be_sent_again(): void
    {
        [, $feed] = $this->fed('');
        $many = fn (int $from): array => array_map(fn (int $i) => 'rpm,'.($from + $i / 100.0).',800', range(0, 1199));
        $this->send($feed, $many(0))->assertOk()->assertJson(['kept' => 1200]);
        $this->send($feed, $many(12))->assertStatus(429)->assertHeader('Retry-After', '60');
        Carbon::setTestNow(now()->addSeconds(60));
        $this->send($feed, $many(12))->assertOk()->assertJson(['kept' => 1200]);
        $this->send($feed, [...$many(24), 'rpm,40,800'])->assertStatus(413);
    }

    public function test_a_wrong_address_an_ended_one_and_one_of_a_job_that_stands(): void
    {
        [$job, $feed] = $this->fed('');
        $this->call('POST', '/feeds/'.str_repeat('a', 40), [], [], [], [], 'rpm,1,800')->assertNotFound();
        $this->actingAs($this->imre)->post("/feeds/{$feed->id}/end")->assertRedirect();
        $this->send($feed, ['rpm,1,800'])->assertStatus(410);
        $this->post("/jobs/{$job->id}/feeds", ['name' => 'Scan tool'])->assertSessionHasNoErrors();
        $other = Feed::query()->latest('id')->firstOrFail();
        self::assertNotSame(
            $other->token,
            DB::table('feeds')->where('id', $other->id)->value('token'),
            'nobody who reads the database may send',
        );
        $this->get("/jobs/{$job->id}")->assertSee("/feeds/{$other->token}", false);
        $this->send($other, ['rpm,1,800'])->assertOk();
        $job->update(['abandoned_at' => now(), 'abandoned_because' => 'sold']);
        $this->send($other, ['rpm,2,800'])->assertStatus(410);
        $this->post("/jobs/{$job->id}/feeds", ['name' => 'Scan tool'])->assertSessionHasErrors('feed');
    }

    public function test_the_page_gets_a_curve_of_an_hour_in_thirty_kilobytes_with_its_peaks(): void
    {
        [$job, $feed] = $this->fed('');
        $points = [];
        for ($second = 0; $second < 3600; $second++) {
            foreach (
                ['coolant_c' => 60.0, 'far_side_c' => 50.0, 'outlet_c' => 40.0, 'ambient_c' => 18.0, 'rpm' => 800.0] as $channel => $value
            ) {
                $points[$channel][1000 * ($feed->created_at->getTimestamp() + $second)]
                    = $second === 1801 && $channel === 'coolant_c'
                        ? 99.5
                        : $value + sin($second / 50.0) + ($second % 3) / 10.0;
            }
        }
        SeriesStore::here()->add($feed->job_id, $feed->id, $points);
        Carbon::setTestNow(now()->addSeconds(3599));
        $answer = $this->actingAs($this->imre)->get("/jobs/{$job->id}/series")->assertOk();
        self::assertLessThan(30_000, strlen((string) $answer->getContent()));
        self::assertContains(99.5, $answer->json('channels.coolant_c.v'));
        self::assertSame('shut off', collect($answer->json('levels'))->last()['text']);
        $new = $this->get("/jobs/{$job->id}/series?since=".(now()->getTimestampMs() - 5000))->assertOk();
        self::assertCount(5, $new->json('channels.coolant_c.v'));
    }

    public function test_a_loggers_table_is_shown_first_and_judged_as_if_it_had_come(): void
    {
        [$job] = $this->fed('');
        $start = now()->getTimestamp();
        Carbon::setTestNow(now()->addSeconds(1300));
        $rows = ['Elapsed s;ECT (°F);Radiator hose;Comment'];
        for ($second = 0; $second <= 1200; $second += 2) {
            $celsius = min(90.0, 20.0 + $second / 12.0);
            $rows[] = "{$second};"
                .number_format(1.8 * $celsius + 32, 1, ',', '')
                .';'
                .number_format($second < 860 ? 20.0 : min(86.0, 20.0 + ($second - 860) / 2.0), 1, ',', '')
                .';';
        }
        $upload = fn (string $text) => \Illuminate\Http\UploadedFile::fake()->createWithContent('run 7.csv', $text);
        $this->actingAs($this->imre)
            ->from("/jobs/{$job->id}")
            ->post("/jobs/{$job->id}/logger", ['file' => $upload("time;ect\n1;80\n2;hot\n")])
            ->assertSessionHasErrors(['file' => 'Line 3, column 2: “hot” is no number.']);
        $page = $this->post("/jobs/{$job->id}/logger", ['file' => $upload(implode("\n", $rows))])
            ->assertOk()
            ->assertSee('601 lines over 20 min')
            ->assertSee('semicolon, decimal comma, in °F')
            ->assertSee('<polyline', false);
        self::assertSame(0, DB::table('series')->count(), 'nothing is kept yet');
        preg_match('/name="import" value="([^"]+)"/', (string) $page->getContent(), $import);
        $columns = ['time', 'coolant_c', 'far_side_c', ''];
        $this->post("/jobs/{$job->id}/logger/keep", [
            'import' => $import[1],
            'columns' => $columns,
            'began' => date('Y-m-d\TH:i:s', $start + 200),
        ])
            ->assertOk()
            ->assertSee('It would end after now');
        $this->post("/jobs/{$job->id}/logger/keep", [
            'import' => $import[1],
            'columns' => ['', 'coolant_c', '', ''],
            'began' => 'soon',
        ])
            ->assertOk()
            ->assertSee('which column is the time');
        $this->post("/jobs/{$job->id}/logger/keep", [
            'import' => $import[1],
            'columns' => $columns,
            'began' => date('Y-m-d\TH:i:s', $start),
        ])
            ->assertSessionHasNoErrors()
            ->assertRedirect();
        self::assertSame(1202, (int) DB::table('series')->sum('points'));
        self::assertContains('thermostat_open', array_column($this->lines($job), 'shows'));
        $this->post("/jobs/{$job->id}/logger/keep", [
            'import' => $import[1],
            'columns' => $columns,
            'began' => date('Y-m-d\TH:i:s', $start),
        ])->assertSessionHasErrors('file');
    }
}
