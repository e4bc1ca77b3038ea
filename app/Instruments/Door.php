<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Journal\OneWriter;
use App\Models\Feed;
use App\Models\Job;
use App\Models\Person;
use Aqbel\Core\Instruments\Batch;
use Aqbel\Core\Instruments\Sender;
use Aqbel\Core\InvalidField;
use Illuminate\Support\Str;

/** Where instruments send to: addresses are made and ended here, and what comes in is put on the server's clock. */
final class Door
{
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
                'allowance' => Sender::AT_ONCE,
                'created_at' => now(),
            ]);
        });
    }

    /** Nothing more is taken from it, and what came last is looked at. */
    public static function end(Feed $feed): void
    {
        Watch::upToNow($feed->job);
        OneWriter::run(fn () => $feed->update(['ended_at' => $feed->ended_at ?? now()]));
    }

    /** Null where nobody may send there. */
    public static function feed(string $token): ?Feed
    {
        return Feed::query()->with('job')->where('token_hash', hash('sha256', $token))->first();
    }

    /** Null where it is too much at once: nothing of it was taken, and it is to be sent again a little later. */
    public static function take(Feed $feed, Batch $batch): ?Receipt
    {
        $nowMs = now()->getTimestampMs();
        $taken = OneWriter::run(function () use ($feed, $batch, $nowMs): ?array {
            $before = $feed->refresh()->sender();
            $sender = $before->allowed($batch->lines, $nowMs);
            if ($sender === null) {
                return null;
            }
            [$series, $new, $points] = [SeriesStore::here(), 0, []];
            if ($batch->points !== []) {
                $sender = $sender->after(
                    $batch->points,
                    $nowMs,
                    fn (int $fromMs, int $toMs): array => $series->stretch($feed->job_id, $fromMs, $toMs, $feed->id),
                    SeriesStore::asStored(...),
                );
                $points = $sender->onTheClock($batch->points);
                $new = $series->add($feed->job_id, $feed->id, $points);
            }
            $feed->stands($sender)->save();

            return [$new, $sender->jumps > $before->jumps, $points];
        });
        if ($taken === null) {
            return null;
        }
        [$new, $jumped, $points] = $taken;
        $danger = $points !== [] && (new Watch($feed))->look($nowMs, $points);

        return new Receipt($new, count($batch->points) - $new, $batch->refused, $jumped, $danger);
    }
}
