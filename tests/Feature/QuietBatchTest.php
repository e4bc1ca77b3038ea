<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Instruments\Door;
use App\Instruments\QuietBatch;
use App\Instruments\Receipt;
use App\Instruments\SeriesStore;
use App\Instruments\StandIn;
use App\Models\Feed;
use App\Models\Job;
use App\Models\JournalLine;
use Aqbel\Core\Evidence\HotStream;
use Aqbel\Core\Evidence\RunFacts;
use Aqbel\Core\Instruments\Batch;
use Aqbel\Core\Instruments\Quiet;
use Aqbel\Core\Instruments\Sender;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;

/** The door's short way keeps what the whole door would keep, and lets no danger pass. */
final class QuietBatchTest extends ShopTestCase
{
    private int $short = 0;

    private int $whole = 0;

    /** @var ?array<string, list<array{float, float}>> */
    private ?array $shows = null;

    /** Two seconds is what a danger may take to be said. */
    #[DataProvider('faults')]
    #[Group('one-database')]
    public function test_a_danger_is_said_as_soon_and_most_goes_the_short_way(string $fault): void
    {
        [$job, $feed] = $this->fed($fault);
        $began = $feed->created_at->getTimestamp();
        $limit = null;
        $all = [];
        for ($second = 0; $second < 30 * 60; $second += 2) {
            $batch = $this->comes($feed, $second);
            $limit ??= Quiet::fromJson((string) $feed->refresh()->quiet)?->facts;
            foreach (Batch::of($batch)->points as $point) {
                $all[$point->channel][] = [$point->seconds, $point->value];
            }
            if ($job->refresh()->danger_since !== null) {
                break;
            }
        }
        self::assertGreaterThan(0.6 * ($this->short + $this->whole), $this->short);
        self::assertNotNull($limit);
        $said = $job->danger_since === null ? null : now()->getTimestamp() - $began;
        self::assertSame($fault !== '', $said !== null);
        // Two batches before, the same judge over all of it had found none.
        $before = array_map(
            fn (array $points) => array_values(array_filter($points, fn (array $point) => $point[0] <= ($said ?? INF) - 4)),
            $all,
        );
        self::assertFalse((new HotStream(new RunFacts($limit->startC, $limit->fullC, null, null, $limit->limitC), $before))->danger);
        self::assertSame(
            array_sum(array_map(count(...), $all)),
            array_sum(array_map(count(...), SeriesStore::here()->stretch($job->id, 0, 1000 * (now()->getTimestamp() + 60)))),
            'every point is kept once, whichever way it went',
        );
    }

    /** @return array<string, array{string}> */
    public static function faults(): array
    {
        return [
            'none' => [''],
            'thermostat shut' => ['thermostat:shut'],
            'air at the sensor' => ['pocket:sensor'],
        ];
    }

    #[Group('one-database')]
    public function test_both_ways_leave_the_same_behind(): void
    {
        [$job, $feed] = $this->fed('');
        $this->comes($feed, 0);
        $this->comes($feed, 2);
        $now = now()->getTimestampMs();
        foreach (["coolant_c,4,31.5\nfar_side_c,4,20", "coolant_c,4,31.5\n\ncoolant_c,5,32"] as $body) {
            $both = [];
            foreach (['short', 'whole'] as $way) {
                DB::beginTransaction();
                $receipt = $way === 'short'
                    ? (new QuietBatch(DB::getPdo()))->take($feed->token, $body, $now)
                    : Door::take($feed->refresh(), Batch::read($body));
                self::assertInstanceOf(Receipt::class, $receipt);
                $stands = array_diff_key($feed->refresh()->getAttributes(), ['judged_at' => 0, 'quiet' => 0]);
                $both[] = [
                    $receipt->toArray(),
                    ['allowed_at' => null] + $stands,
                    DB::table('series')->where('job_id', $job->id)->orderBy('channel')->get(['channel', 'minute', 'points', 'packed'])->all(),
                ];
                DB::rollBack();
            }
            self::assertEquals($both[1], $both[0]);
        }
    }

    /** @param  \Closure(self, Job, Feed): (string|array{string, int})  $slip  the body, and ms later than now */
    #[DataProvider('others')]
    #[Group('one-database')]
    public function test_whatever_may_be_more_goes_the_whole_way_with_nothing_written(\Closure $slip): void
    {
        [$job, $feed] = $this->fed('');
        $this->comes($feed, 0);
        $this->comes($feed, 2);
        $nowMs = now()->getTimestampMs();
        $told = $slip($this, $job, $feed);
        [$body, $laterMs] = is_array($told) ? $told : [$told, 0];
        $before = [DB::table('series')->get()->all(), DB::table('feeds')->get()->all()];
        self::assertNull((new QuietBatch(DB::getPdo()))->take($feed->token, $body, $nowMs + $laterMs));
        self::assertEquals($before, [DB::table('series')->get()->all(), DB::table('feeds')->get()->all()]);
    }

    /** @return array<string, array{\Closure(self, Job, Feed): (string|array{string, int})}> */
    public static function others(): array
    {
        $quiet = 'coolant_c,4,31.5';

        return [
            'a line that cannot be read' => [fn () => "{$quiet}\nwarmth_c,4,31"],
            'no point at all' => [fn () => "channel,time,value,unit\n"],
            'no UTF-8' => [fn () => "{$quiet}\n\xff"],
            'more than may be sent at once' => [fn () => implode("\n", array_fill(0, Sender::AT_ONCE + 1, $quiet))],
            'a clock that jumped ahead' => [fn () => 'coolant_c,400,31.5'],
            'a count that began again' => [fn () => 'coolant_c,-30,31.5'],
            'what was kept while a cable was out' => [fn () => "coolant_c,-90,30\n{$quiet}"],
            'the limit' => [fn () => 'coolant_c,4,125'],
            'hot on the far side alone' => [fn () => 'far_side_c,4,125'],
            'a look that is long past' => [fn () => [$quiet, Quiet::LOOK_MS]],
            'a clock that went back since' => [fn () => [$quiet, -60_000]],
            'a line written since' => [function (self $test, Job $job) use ($quiet): string {
                $test->enter($job, 'heat_cycle:1', 'fan_on')->assertSessionHasNoErrors();

                return $quiet;
            }],
            'danger' => [function (self $test, Job $job) use ($quiet): string {
                $job->forceFill(['danger_since' => now()->getTimestamp()])->save();

                return $quiet;
            }],
            'a job that was given up' => [function (self $test, Job $job) use ($quiet): string {
                $job->forceFill(['abandoned_at' => now()])->save();

                return $quiet;
            }],
            'an instrument that was ended' => [function (self $test, Job $job, Feed $feed) use ($quiet): string {
                Door::end($feed);

                return $quiet;
            }],
        ];
    }

    public function test_what_came_last_counts_before_somebody_shuts_off(): void
    {
        [$job, $feed] = $this->fed('');
        $this->comes($feed, 0);
        $this->comes($feed, 2);
        foreach ([70 => 40.0, 72 => 41.0] as $second => $celsius) {
            Carbon::setTestNow($feed->created_at->addSeconds($second));
            $this->sends($feed, ["coolant_c,{$second},{$celsius}"]);
        }
        Carbon::setTestNow($feed->created_at->addSeconds(74));
        $this->sends($feed, ['coolant_c,74,55']);
        $readings = fn (): int => JournalLine::query()->where('job_id', $job->id)->where('form', 'reading')->count();
        $before = $readings();
        self::assertGreaterThan(0, $this->short);
        $this->enter($job, 'heat_cycle:1', 'shut_off')->assertSessionHasNoErrors();
        self::assertSame($before + 1, $readings(), 'ten degrees more than the last, not looked at until then');
        self::assertSame('shut_off', JournalLine::query()->where('job_id', $job->id)->orderByDesc('seq')->value('form'));
    }

    /**
     * What a vehicle that is not there shows in two seconds.
     *
     * @return list<string>
     */
    private function comes(Feed $feed, int $second): array
    {
        $this->shows ??= (new StandIn($feed))->trace(31 * 60)->channels;
        Carbon::setTestNow($feed->created_at->addSeconds($second + 2));
        $lines = [];
        foreach ($this->shows as $channel => $points) {
            foreach ($points as [$t, $value]) {
                if ($t > $second && $t <= $second + 2 && fmod($t, 1.0) < 0.25) {
                    $lines[] = "{$channel},{$t},{$value}";
                }
            }
        }
        $this->sends($feed, $lines);

        return $lines;
    }

    /** @param  list<string>  $lines */
    private function sends(Feed $feed, array $lines): void
    {
        $quiet = (new QuietBatch(DB::getPdo()))->take($feed->token, implode("\n", $lines), now()->getTimestampMs());
        $quiet === null ? $this->whole++ : $this->short++;
        $quiet ?? Door::take($feed->refresh(), Batch::of($lines)) ?? self::fail('too much at once');
    }
}
