<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Journal\OneWriter;
use App\Models\Job;
use App\Models\Person;
use Aqbel\Core\Instruments\ChannelKind;
use Aqbel\Core\Instruments\LoggerFile;
use Aqbel\Core\InvalidField;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Str;

/**
 * A logger's table: shown first as it was understood, kept when
 * somebody says so, and judged as if it had come minute by minute.
 */
final readonly class LoggerImport
{
    public const MOST_BYTES = 4_000_000;

    private const SHOWN_S = 1800;

    private function __construct(public Job $job, public string $key, public string $name, public LoggerFile $file)
    {
    }

    /** @throws InvalidField */
    public static function from(Job $job, ?UploadedFile $file): self
    {
        if ($file === null || ! $file->isValid() || $file->getSize() > self::MOST_BYTES) {
            throw new InvalidField('file', 'Choose a CSV of at most 4 MB.');
        }
        $text = (string) $file->get();
        $read = LoggerFile::read($text);
        $key = Str::random(24);
        Cache::put(self::place($job, $key), ['name' => $file->getClientOriginalName(), 'text' => $text], self::SHOWN_S);

        return new self($job, $key, $file->getClientOriginalName(), $read);
    }

    /**
     * @param  array<int, string>  $channels  what each column is taken for, where somebody said so
     *
     * @throws InvalidField
     */
    public static function shown(Job $job, string $key, array $channels = []): self
    {
        $kept = Cache::get(self::place($job, $key));
        if (! is_array($kept) || ! is_string($kept['text'] ?? null)) {
            throw new InvalidField('file', 'It was shown too long ago. Choose the file once more.');
        }
        $file = LoggerFile::read($kept['text']);

        return new self($job, $key, (string) $kept['name'], $channels === [] ? $file : $file->taken($channels));
    }

    /** How many points there are. */
    public static function count(LoggerFile $file): int
    {
        return array_sum(array_map(count(...), $file->points()));
    }

    /**
     * @param  int  $beganAt  of its first line, Unix seconds
     *
     * @throws InvalidField
     */
    public function keep(Person $person, int $beganAt): int
    {
        $points = $this->file->points();
        $seconds = max([0.0, ...array_map(fn (array $of): float => $of[count($of) - 1][0], array_values($points))]);
        if ($beganAt + $seconds > now()->getTimestamp() + 5) {
            throw new InvalidField('began', 'It would end after now. Say when it began.');
        }
        $feed = Door::open($this->job, $person, "File {$this->name}");
        [$fromMs, $toMs] = [1000 * $beganAt, (int) (1000 * ($beganAt + $seconds))];
        $kept = OneWriter::run(function () use ($feed, $points, $beganAt, $fromMs, $toMs): int {
            $laid = array_map(
                fn (array $of): array => array_combine(
                    array_map(fn (array $point) => (int) round(1000 * ($beganAt + $point[0])), $of),
                    array_column($of, 1),
                ),
                $points,
            );
            $feed->update(['offset_ms' => $fromMs, 'first_ms' => $fromMs, 'last_ms' => $toMs, 'ended_at' => now()]);

            return SeriesStore::here()->add($feed->job_id, $feed->id, $laid);
        });
        (new Watch($feed))->replay($fromMs, $toMs);
        Cache::forget(self::place($this->job, $this->key));

        return $kept;
    }

    /** @return array<string, string> what a column may be taken for */
    public static function choices(): array
    {
        $channels = array_combine(
            array_column(ChannelKind::cases(), 'value'),
            array_map(fn (ChannelKind $kind) => $kind->label(), ChannelKind::cases()),
        );

        return ['' => 'left out', 'time' => 'the time'] + $channels + ['outlet_c.rear' => 'air at the rear outlet'];
    }

    private static function place(Job $job, string $key): string
    {
        return "logger.{$job->id}.".preg_replace('/[^A-Za-z0-9]/', '', $key);
    }
}
