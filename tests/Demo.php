<?php

declare(strict_types=1);

namespace Tests;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;

/** The invented vehicles that the application ships with. */
final class Demo
{
    private const FOLDER = __DIR__.'/../database/demo/circuits';

    /** @var array<string, Circuit> */
    private static array $read = [];

    /** @return list<string> */
    public static function keys(): array
    {
        return array_map(fn (string $file) => basename($file, '.json'), glob(self::FOLDER.'/*.json') ?: []);
    }

    public static function circuit(string $key): Circuit
    {
        return self::$read[$key] ??= CircuitReader::read(self::document($key));
    }

    /** @param  list<string>  $lines */
    public static function withRoutine(string $key, array $lines): Circuit
    {
        $document = self::document($key);

        return CircuitReader::read([...$document, 'facts' => [...$document['facts'], 'routine' => $lines]]);
    }

    /** @return array<string, mixed> */
    public static function document(string $key): array
    {
        return json_decode((string) file_get_contents(self::FOLDER."/{$key}.json"), true, 64, JSON_THROW_ON_ERROR);
    }

    public static function planner(): Planner
    {
        return new Planner(StepCatalogue::standard(), SchoolCatalogue::standard());
    }
}
