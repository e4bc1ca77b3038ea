<?php

declare(strict_types=1);

namespace App\Backups;

use Illuminate\Support\Carbon;

/** How the last backup went: kept beside the database, and shown to those whose work it is. */
final readonly class LastBackup
{
    /** A nightly one that is older than this did not run. */
    private const FRESH_HOURS = 26;

    private const FILE = 'last-backup.json';

    private function __construct(public ?Carbon $at, public bool $worked, public string $said)
    {
    }

    public static function here(): self
    {
        $data = json_decode((string) @file_get_contents(self::file()), true);
        $at = is_array($data) && is_int($data['at'] ?? null) ? Carbon::createFromTimestamp($data['at']) : null;

        return new self(
            $at,
            is_array($data) && ($data['worked'] ?? false) === true,
            is_array($data) && is_string($data['said'] ?? null) ? $data['said'] : '',
        );
    }

    public static function worked(string $file): void
    {
        self::keep(true, basename($file));
    }

    public static function failed(string $why): void
    {
        self::keep(false, $why);
    }

    /** Whether nobody need do anything. */
    public function isFresh(): bool
    {
        return $this->worked && $this->at !== null && $this->at->greaterThan(now()->subHours(self::FRESH_HOURS));
    }

    private static function keep(bool $worked, string $said): void
    {
        @file_put_contents(
            self::file(),
            (string) json_encode(['at' => now()->getTimestamp(), 'worked' => $worked, 'said' => $said]),
        );
    }

    private static function file(): string
    {
        return config('aqbel.folder').'/'.self::FILE;
    }
}
