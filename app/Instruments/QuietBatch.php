<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Journal\OneWriter;
use Aqbel\Core\Instruments\Batch;
use Aqbel\Core\Instruments\Quiet;
use Aqbel\Core\Instruments\Sender;
use PDO;

/**
 * The door's short way, on nothing but a connection (public/feed.php): most of what an instrument sends says nothing
 * new, and is only kept. Whatever may be more goes the whole way.
 */
final readonly class QuietBatch
{
    private const ASKED = 'select feeds.id, job_id, offset_ms, first_ms, last_ms, jumps, allowance, allowed_at, outlet, quiet, '
        .'(select coalesce(max(seq), 0) from journal_lines where journal_lines.job_id = feeds.job_id) as line '
        .'from feeds join jobs on jobs.id = feeds.job_id where token_hash = ? and ended_at is null and quiet is not null '
        .'and signed_at is null and abandoned_at is null and document is null and danger_since is null';

    private const KEPT = 'update feeds set first_ms = ?, last_ms = ?, allowance = ?, allowed_at = ? where id = ?';

    public function __construct(private PDO $shop)
    {
    }

    /** Null where the whole door is to take it: nothing of it is written then. */
    public function take(string $token, string $body, int $nowMs): ?Receipt
    {
        $stands = $this->stands($token);
        $quiet = Quiet::fromJson((string) ($stands['quiet'] ?? ''));
        if ($stands === null || $quiet?->stillHolds((int) $stands['line'], $nowMs) !== true) {
            return null;
        }
        $batch = strlen($body) > Batch::MOST_BYTES || ! mb_check_encoding($body, 'UTF-8') ? null : Batch::read($body);
        if ($batch === null || $batch->points === [] || $batch->refused !== []) {
            return null;
        }
        $sender = self::sender($stands)->allowed($batch->lines, $nowMs);
        if ($sender?->goesOn($batch->points, $nowMs) !== true) {
            return null;
        }
        $points = $sender->onTheClock($batch->points);
        $series = new SeriesStore($this->shop);
        [$feed, $job] = [(int) $stands['id'], (int) $stands['job_id']];
        $sinceMs = $nowMs - 1000 * Quiet::SHOWS_S;
        if (min([$nowMs, ...array_merge(...array_map(array_keys(...), array_values($points)))]) < $sinceMs
            || $quiet->mayBeDanger(self::with($points, $series->stretch($job, $sinceMs, $nowMs)))) {
            return null;
        }

        return OneWriter::on($this->shop, function () use ($token, $stands, $batch, $sender, $points, $series, $feed, $job, $nowMs): ?Receipt {
            if ($this->stands($token) !== $stands) {
                return null;
            }
            $new = $series->add($job, $feed, $points);
            $after = $sender->after($batch->points, $nowMs, fn (): array => [], SeriesStore::asStored(...));
            $this->shop->prepare(self::KEPT)->execute(
                [$after->firstMs, $after->lastMs, $after->allowance, $after->allowedAt, $feed],
            );

            return new Receipt($new, count($batch->points) - $new, [], false, false);
        });
    }

    /** @return ?array<string, mixed> of an instrument that sends to a job in hand, as it stands; null of any other */
    private function stands(string $token): ?array
    {
        $asked = $this->shop->prepare(self::ASKED);
        $asked->execute([hash('sha256', $token)]);
        $row = $asked->fetch(PDO::FETCH_ASSOC);

        return is_array($row) ? $row : null;
    }

    /** @param  array<string, mixed>  $row */
    private static function sender(array $row): Sender
    {
        $number = fn (string $name): ?int => is_numeric($row[$name]) ? (int) $row[$name] : null;

        return new Sender(
            $number('offset_ms'),
            $number('first_ms'),
            $number('last_ms'),
            (int) $number('jumps'),
            is_numeric($row['allowance']) ? (float) $row['allowance'] : 0.0,
            $number('allowed_at'),
            is_string($row['outlet']) ? $row['outlet'] : null,
        );
    }

    /**
     * @param  array<string, array<int, float>>  $points  value by Unix ms, by channel
     * @param  array<string, list<array{float, float}>>  $stored  Unix seconds and value, by channel
     * @return array<string, list<array{float, float}>>
     */
    private static function with(array $points, array $stored): array
    {
        foreach ($points as $channel => $values) {
            ksort($values);
            foreach ($values as $ms => $value) {
                $stored[$channel][] = [$ms / 1000.0, $value];
            }
        }

        return $stored;
    }
}
