<?php

declare(strict_types=1);

namespace App\Instruments;

use Illuminate\Support\Facades\DB;
use PDO;

/**
 * What instruments sent, beside the journal: a row for each channel and minute, six bytes a point. A point sent twice,
 * of the same channel at the same time, counts once; of two values at one time the later one counts.
 */
final readonly class SeriesStore
{
    /** Two of offset, four of value. */
    private const POINT_BYTES = 6;

    private const MINUTE_MS = 60_000;

    /** Rows written by one statement. */
    private const AT_ONCE = 50;

    public function __construct(private PDO $on)
    {
    }

    /** Where this request reads and writes. */
    public static function here(): self
    {
        return new self(DB::getPdo());
    }

    /**
     * @param  array<string, array<int, float>>  $points  Unix ms and value, by channel
     * @return int how many were new
     */
    public function add(int $job, int $feed, array $points): int
    {
        $blocks = [];
        foreach ($points as $channel => $values) {
            foreach ($values as $ms => $value) {
                $minute = (int) floor($ms / self::MINUTE_MS);
                $blocks[$channel][$minute][$ms - $minute * self::MINUTE_MS] = $value;
            }
        }
        $minutes = array_unique(array_merge(...array_map(array_keys(...), array_values($blocks))));
        $channels = array_map(strval(...), array_keys($blocks));
        $stored = [];
        foreach ($this->rows(
            'job_id = ? and feed_id = ? and channel in ('.self::places($channels).') and minute in ('.self::places($minutes).')',
            [$job, $feed, ...$channels, ...array_values($minutes)],
        ) as [$channel, $minute, $packed]) {
            $stored[$channel][(int) $minute] = self::unpacked($packed);
        }
        [$rows, $new] = [[], 0];
        foreach ($blocks as $channel => $ofChannel) {
            foreach ($ofChannel as $minute => $values) {
                $before = $stored[$channel][$minute] ?? [];
                $new += count(array_diff_key($values, $before));
                $all = $values + $before;
                if (
                    count($all) === count($before)
                    && array_diff_assoc(array_map(self::asStored(...), $values), $before) === []
                ) {
                    continue;
                }
                ksort($all);
                $rows[] = [$job, $feed, (string) $channel, $minute, count($all), self::packed($all)];
            }
        }
        foreach (array_chunk($rows, self::AT_ONCE) as $some) {
            $this->on->prepare(
                'insert into series (job_id, feed_id, channel, minute, points, packed) values '
                    .implode(', ', array_fill(0, count($some), '(?, ?, ?, ?, ?, ?)'))
                    .' on conflict (job_id, channel, minute, feed_id) do update set points = excluded.points, packed = excluded.packed',
            )->execute(array_merge(...$some));
        }

        return $new;
    }

    /**
     * A stretch of all channels of a job, or of one feed.
     *
     * @return array<string, list<array{float, float}>> Unix seconds and value, in order, by channel
     */
    public function stretch(int $job, int $fromMs, int $toMs, ?int $feed = null): array
    {
        $minutes = [];
        foreach ($this->rows(
            'job_id = ? and minute between ? and ?'.($feed === null ? '' : ' and feed_id = ?').' order by channel, minute',
            [$job, intdiv($fromMs, self::MINUTE_MS), intdiv($toMs, self::MINUTE_MS), ...$feed === null ? [] : [$feed]],
        ) as [$channel, $minute, $packed]) {
            $minutes[$channel][] = [(int) $minute * self::MINUTE_MS, $packed];
        }
        $channels = [];
        foreach ($minutes as $channel => $rows) {
            [$points, $last, $mixed] = [[], 0, false];
            foreach ($rows as [$base, $packed]) {
                foreach (self::unpacked($packed) as $offset => $value) {
                    $ms = $base + $offset;
                    if ($ms >= $fromMs && $ms <= $toMs) {
                        $points[] = [$ms / 1000.0, $value];
                        $mixed = $mixed || $ms < $last;
                        $last = $ms;
                    }
                }
            }
            // Where two instruments sent one channel.
            $mixed && usort($points, fn (array $one, array $other) => $one[0] <=> $other[0]);
            if ($points !== []) {
                $channels[(string) $channel] = $points;
            }
        }

        return $channels;
    }

    public function has(int $job): bool
    {
        return $this->rows('job_id = ? limit 1', [$job]) !== [];
    }

    /**
     * @param  list<int|string>  $with
     * @return list<array{string, int, string}> channel, minute and what of it is packed
     */
    private function rows(string $where, array $with): array
    {
        $asked = $this->on->prepare("select channel, minute, packed from series where {$where}");
        $asked->execute($with);

        /** @var list<array{string, int, string}> */
        return $asked->fetchAll(PDO::FETCH_NUM);
    }

    /** @param  array<mixed>  $values */
    private static function places(array $values): string
    {
        return implode(', ', array_fill(0, count($values), '?'));
    }

    /** A value as it comes back: to four bytes, and shown to three places. */
    public static function asStored(float $value): float
    {
        return round(unpack('g', pack('g', $value))[1] ?? 0.0, 3);
    }

    /** @param  array<int, float>  $values  by ms of the minute, in order */
    private static function packed(array $values): string
    {
        $bytes = '';
        foreach ($values as $offset => $value) {
            $bytes .= pack('vg', $offset, $value);
        }

        return base64_encode($bytes);
    }

    /** @return array<int, float> by ms of the minute */
    private static function unpacked(string $packed): array
    {
        $bytes = base64_decode($packed);
        $read = array_values(unpack(self::format(intdiv(strlen($bytes), self::POINT_BYTES)), $bytes) ?: []);
        $values = [];
        for ($i = 0, $count = count($read); $i < $count; $i += 2) {
            $values[(int) $read[$i]] = round((float) $read[$i + 1], 3);
        }

        return $values;
    }

    /** Of so many points in one go: an offset and a value each. */
    private static function format(int $points): string
    {
        static $known = [];

        return $known[$points] ??= implode(
            '/',
            array_map(fn (int $i): string => "vo{$i}/gv{$i}", $points === 0 ? [] : range(1, $points)),
        );
    }
}
