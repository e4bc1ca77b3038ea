<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Journal\OneWriter;
use App\Models\Feed;
use App\Models\Job;
use App\Models\Person;
use Aqbel\Core\Instruments\ChannelKind;
use Aqbel\Core\Instruments\SentLine;
use Aqbel\Core\Instruments\SentPoint;
use Aqbel\Core\InvalidField;
use Illuminate\Support\Str;

/** Where instruments send to: addresses are made and ended here, and what comes in is put on the server's clock. */
final class Door
{
    /** Lines a second that every instrument may send. */
    public const A_SECOND = 20;

    /** And so many at once, after it was silent for a minute. */
    public const AT_ONCE = 1200;

    /** An instrument whose clock is so near the server's is believed, ms. */
    private const NEAR_MS = 2_000;

    /** Further ahead of the server than that, its clock has jumped, ms. */
    private const AHEAD_MS = 5_000;

    private const MOST_FEEDS = 20;

    private const MOST_NAME = 60;

    /** @throws InvalidField of a job that is not in hand */
    public static function open(Job $job, Person $person, string $name, ?string $standIn = null): Feed
    {
        return OneWriter::run(function () use ($job, $person, $name, $standIn): Feed {
            if ($job->refresh()->stands()) {
                throw new InvalidField('feed', 'This job is signed or given up: nothing more is measured on it.');
            }
            if (Feed::query()->sending()->where('job_id', $job->id)->count() >= self::MOST_FEEDS) {
                throw new InvalidField('feed', 'Twenty instruments send to this job already. End one first.');
            }
            $token = Str::random(40);

            return Feed::query()->create([
                'job_id' => $job->id,
                'name' => mb_substr(trim($name), 0, self::MOST_NAME) ?: 'Instrument',
                'token' => $token,
                'token_hash' => hash('sha256', $token),
                'made_by' => $person->id,
                'stand_in' => $standIn,
                'allowance' => self::AT_ONCE,
                'created_at' => now(),
            ]);
        });
    }

    public static function end(Feed $feed): void
    {
        OneWriter::run(fn () => $feed->update(['ended_at' => $feed->ended_at ?? now()]));
    }

    /** Null where nobody may send there. */
    public static function feed(string $token): ?Feed
    {
        return Feed::query()->with('job')->where('token_hash', hash('sha256', $token))->first();
    }

    /**
     * Null where it is too much at once: nothing of it was taken, and it is to be sent again a little later.
     *
     * @param  list<string>  $lines  as they were sent
     */
    public static function take(Feed $feed, array $lines): ?Receipt
    {
        [$points, $refused] = [[], []];
        foreach ($lines as $i => $line) {
            try {
                $point = SentLine::read($line);
                if ($point !== null) {
                    $points[] = $point;
                }
            } catch (InvalidField $wrong) {
                $refused[] = ['line' => $i + 1, 'field' => $wrong->field, 'problem' => $wrong->getMessage()];
            }
        }
        $nowMs = now()->getTimestampMs();
        $taken = OneWriter::run(function () use ($feed, $lines, $points, $nowMs): ?array {
            $feed->refresh();
            if (! self::allows($feed, count($lines), $nowMs)) {
                return null;
            }
            [$byChannel, $jumped] = self::onTheClock($feed, $points, $nowMs);
            $new = $byChannel === [] ? 0 : SeriesStore::add($feed, $byChannel);
            $feed->save();

            return [$new, $jumped, $byChannel];
        });
        if ($taken === null) {
            return null;
        }
        $danger = $points !== [] && (new Watch($feed))->look($nowMs, $taken[2]);

        return new Receipt($taken[0], count($points) - $taken[0], $refused, $taken[1], $danger);
    }

    private static function allows(Feed $feed, int $lines, int $nowMs): bool
    {
        $since = $feed->allowed_at === null ? 0 : max(0, $nowMs - $feed->allowed_at);
        $allowance = min((float) self::AT_ONCE, $feed->allowance + self::A_SECOND * $since / 1000.0);
        if ($lines > $allowance) {
            return false;
        }
        $feed->fill(['allowance' => $allowance - $lines, 'allowed_at' => $nowMs]);

        return true;
    }

    /**
     * The instrument's own count laid over the server's clock, once; anew where it has jumped or begun again.
     *
     * @param  list<SentPoint>  $points
     * @return array{array<string, array<int, float>>, bool} Unix ms and value by channel; whether its clock has jumped
     */
    private static function onTheClock(Feed $feed, array $points, int $nowMs): array
    {
        if ($points === []) {
            return [[], false];
        }
        $newest = max(array_map(fn (SentPoint $point) => (int) round($point->seconds * 1000.0), $points));
        $laid = fn (int $offset): array => self::laid($points, $offset, $feed->outlet);
        $jumped = false;
        if ($feed->offset_ms === null) {
            $feed->offset_ms = abs($nowMs - $newest) <= self::NEAR_MS ? 0 : $nowMs - $newest;
        } elseif (
            $newest + $feed->offset_ms > $nowMs + self::AHEAD_MS
            || self::beganAgain($feed, $laid($feed->offset_ms), $newest)
        ) {
            $jumped = true;
            $feed->offset_ms = $nowMs - $newest;
            $feed->jumps++;
        }
        $ms = $newest + $feed->offset_ms;
        $feed->first_ms ??= $ms;
        $feed->last_ms = max($feed->last_ms ?? 0, $ms);

        return [$laid($feed->offset_ms), $jumped];
    }

    /**
     * @param  list<SentPoint>  $points
     * @return array<string, array<int, float>>
     */
    private static function laid(array $points, int $offset, ?string $outlet): array
    {
        $laid = [];
        foreach ($points as $point) {
            $channel = $point->channel === ChannelKind::Outlet->value && $outlet !== null
                    ? "{$point->channel}.{$outlet}"
                    : $point->channel;
            $laid[$channel][(int) round($point->seconds * 1000.0) + $offset] = $point->value;
        }

        return $laid;
    }

    /**
     * Its count goes back to where it has been, and says something else
     * of that time: what was only sent twice says the same.
     *
     * @param  array<string, array<int, float>>  $laid
     */
    private static function beganAgain(Feed $feed, array $laid, int $newest): bool
    {
        $ms = $newest + (int) $feed->offset_ms;
        if ($feed->last_ms === null || $ms >= $feed->last_ms - self::NEAR_MS) {
            return false;
        }
        if ($ms < (int) $feed->first_ms - self::AHEAD_MS) {
            return true;
        }
        $all = array_merge([$ms], ...array_map(array_keys(...), array_values($laid)));
        $known = SeriesStore::stretch($feed->job_id, min($all), $ms, $feed->id);
        [$same, $other] = [0, 0];
        foreach ($laid as $channel => $values) {
            $was = array_column(
                array_map(fn (array $point) => [(int) round($point[0] * 1000.0), $point[1]], $known[$channel] ?? []),
                1,
                0,
            );
            foreach ($values as $at => $value) {
                isset($was[$at]) && ($was[$at] === SeriesStore::asStored($value) ? $same++ : $other++);
            }
        }

        return $other > $same;
    }
}
