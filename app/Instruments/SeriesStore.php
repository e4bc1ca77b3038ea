<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Models\Feed;
use Illuminate\Support\Facades\DB;

/**
 * What instruments sent, beside the journal: a row for each channel and minute, six bytes a point. A point sent twice,
 * of the same channel at the same time, counts once; of two values at one time the later one counts.
 */
final class SeriesStore
{
    /** Two of offset, four of value. */
    private const POINT_BYTES = 6;

    private const MINUTE_MS = 60_000;

    /**
     * @param  array<string, array<int, float>>  $points  Unix ms and value, by channel
     * @return int how many were new
     */
    public static function add(Feed $feed, array $points): int
    {
        $blocks = [];
        foreach ($points as $channel => $values) {
            foreach ($values as $ms => $value) {
                $minute = (int) floor($ms / self::MINUTE_MS);
                $blocks[$channel][$minute][$ms - $minute * self::MINUTE_MS] = $value;
            }
        }
        $minutes = array_unique(array_merge(...array_map(array_keys(...), array_values($blocks))));
        $known = DB::table('series')
            ->where('job_id', $feed->job_id)
            ->where('feed_id', $feed->id)
            ->whereIn('channel', array_map(strval(...), array_keys($blocks)))
            ->whereIn('minute', $minutes)
            ->get(['channel', 'minute', 'packed']);
        $stored = [];
        foreach ($known as $row) {
            $stored[$row->channel][(int) $row->minute] = self::unpacked($row->packed);
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
                $rows[] = [
                    'job_id' => $feed->job_id,
                    'feed_id' => $feed->id,
                    'channel' => $channel,
                    'minute' => $minute,
                    'points' => count($all),
                    'packed' => self::packed($all),
                ];
            }
        }
        foreach (array_chunk($rows, 50) as $some) {
            DB::table('series')->upsert($some, ['job_id', 'channel', 'minute', 'feed_id'], ['points', 'packed']);
        }

        return $new;
    }

    /**
     * A stretch of all channels of a job, or of one feed.
     *
     * @return array<string, list<array{float, float}>> Unix seconds and value, in order, by channel
     */
    public static function stretch(int $job, int $fromMs, int $toMs, ?int $feed = null): array
    {
        $rows = DB::table('series')
            ->where('job_id', $job)
            ->whereBetween('minute', [intdiv($fromMs, self::MINUTE_MS), intdiv($toMs, self::MINUTE_MS)])
            ->when($feed !== null, fn ($query) => $query->where('feed_id', $feed))
            ->orderBy('channel')
            ->orderBy('minute')
            ->get(['channel', 'minute', 'packed']);
        $channels = [];
        foreach ($rows->groupBy('channel') as $channel => $minutes) {
            [$points, $last, $mixed] = [[], 0, false];
            foreach ($minutes as $row) {
                $base = (int) $row->minute * self::MINUTE_MS;
                foreach (self::unpacked($row->packed) as $offset => $value) {
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

    public static function has(int $job): bool
    {
        return DB::table('series')->where('job_id', $job)->exists();
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
