<?php

declare(strict_types=1);

namespace Tests;

use App\Calc\TopicList;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Plan\Tool;
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

    /**
     * A repair by gravity, through all drains, in the shop.
     *
     * @param  list<Tool>  $tools
     */
    public static function repair(Circuit $circuit, HouseRules $rules, array $tools): Choices
    {
        return new Choices(
            JobKind::Repair,
            Complaint::None,
            'gravity',
            [],
            $circuit->portIds(PortKind::Drain),
            1420.0,
            0.0,
            0.5,
            0.0,
            $rules,
            $tools,
        );
    }

    /** A layout as it comes, of which nobody has answered anything. */
    public static function layout(string $id): Circuit
    {
        return self::$read[$id] ??= CircuitReader::read(self::layoutDocument($id));
    }

    /** @return array<string, mixed> */
    public static function layoutDocument(string $id): array
    {
        return TopicList::answer(
            'layout',
            (string) json_encode(['layout' => $id, 'answers' => new \stdClass(), 'has' => []]),
        )['circuit'];
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
