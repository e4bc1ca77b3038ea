<?php

declare(strict_types=1);

namespace App\Backups;

/** What a backup holds: its shop, its schema, and every file with its size and checksum. */
final readonly class Manifest
{
    public const FORMAT = 'aqbel-backup/1';

    public const NAME = 'manifest.json';

    /**
     * @param  string  $madeAt  ISO 8601
     * @param  list<string>  $migrations  that the database has had
     * @param  array<string, array{bytes: int, sha256: string}>  $files  by their place in the backup
     * @param  string  $version  of Aqbel that made it; empty where it did not say
     */
    public function __construct(
        public string $madeAt,
        public string $shop,
        public array $migrations,
        public array $files,
        public string $version = '',
    ) {
    }

    /** @throws NoBackup on anything that is no manifest of this format */
    public static function read(string $json): self
    {
        $data = json_decode($json, true);
        if (! is_array($data) || ($data['format'] ?? null) !== self::FORMAT) {
            throw new NoBackup('This is not a backup that this version of Aqbel can read.');
        }
        $files = [];
        foreach (is_array($data['files'] ?? null) ? $data['files'] : [] as $place => $file) {
            if (! is_array($file) || ! is_int($file['bytes'] ?? null) || ! is_string($file['sha256'] ?? null)) {
                throw new NoBackup('The list of files in this backup is damaged.');
            }
            $files[(string) $place] = ['bytes' => $file['bytes'], 'sha256' => $file['sha256']];
        }
        $texts = fn (string $name): array => array_values(array_filter((array) ($data[$name] ?? []), is_string(...)));

        return new self(
            $texts('made_at')[0] ?? '',
            $texts('shop')[0] ?? '',
            $texts('migrations'),
            $files,
            $texts('version')[0] ?? '',
        );
    }

    public function json(): string
    {
        return (string) json_encode(
            [
                'format' => self::FORMAT,
                'version' => $this->version,
                'made_at' => $this->madeAt,
                'shop' => $this->shop,
                'migrations' => $this->migrations,
                'files' => $this->files,
            ],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        );
    }
}
