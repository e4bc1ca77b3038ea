<?php

declare(strict_types=1);

namespace Tests\App\Calc;

use App\Calc\TopicList;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Whatever stands in a document: an answer that is JSON, or a field and its remedy; nothing breaks. */
final class BrokenInputTest extends TestCase
{
    private const RUNS = 300;

    /** A whole circuit takes its time. */
    private const RUNS_OF_A_CIRCUIT = 25;

    private const JUNK = [
        null, -1, 0, 1e308, '', '9', [], [[]], ['a' => 1], true, 0.5, [1, 2, 3], 'radiator', PHP_INT_MAX,
    ];

    /** @param  array<string, mixed>  $whole */
    #[DataProvider('documents')]
    public function test_a_broken_document_is_answered_or_refused_in_words(string $topic, array $whole): void
    {
        self::assertNotSame([], TopicList::answer($topic, self::json($whole)), 'whole it is answered');
        $chance = new Randomizer(new Mt19937(crc32($topic)));
        for ($run = isset($whole['circuit']) ? self::RUNS_OF_A_CIRCUIT : self::RUNS; $run > 0; $run--) {
            $broken = self::json($this->broken($whole, $chance));
            try {
                self::assertIsString(json_encode(TopicList::answer($topic, $broken), JSON_THROW_ON_ERROR));
            } catch (InvalidField|InvalidFields $refused) {
                self::assertNotSame('', $refused->getMessage());
            } catch (\Throwable $broke) {
                self::fail($broke->getMessage()." at {$broke->getFile()}:{$broke->getLine()} by {$broken}");
            }
        }
    }

    /** @return array<string, array{string, array<string, mixed>}> */
    public static function documents(): array
    {
        $van = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/fixtures/post-van.json'), true);
        $circuit = $van['circuit'] ?? $van;
        $coolant = ['base' => 'ethylene_glycol', 'volume_fraction' => 0.5];
        $hold = ['elevation_m' => 1420, 'void_ml' => 8000, 'gauge_resolution_inhg' => 0.5, 'target_inhg' => 21];
        $all = [
            'coolant' => [...$coolant, 'pressure_kpa' => 85],
            'vacuum-plan' => [...$coolant, 'elevation_m' => 1420, 'void_ml' => 8000, 'temp_c' => 20],
            'vacuum-hold' => [...$hold, 'readings' => self::rows('inhg', [0, 21.5], [300, 21.4], [600, 21.4])],
            'pressure-hold' => [
                'cap_kpa' => 110, 'gas_ml' => 500, 'readings' => self::rows('kpa', [0, 100], [600, 98]),
            ],
            'cooldown' => [
                'ambient_c' => 20, 'readings' => [['t_min' => 0, 'temp_c' => 97], ['t_min' => 20, 'temp_c' => 80]],
            ],
            'top-ups' => ['top_ups' => [
                ['ml' => 300, 'plus_minus_ml' => 20, 'at_h' => 0], ['ml' => 90, 'plus_minus_ml' => 20, 'at_h' => 24],
            ]],
            'ledger' => ['capacity_ml' => 8500, 'lines' => [['ml' => 3000, 'graduation_ml' => 100, 'fraction' => 0.5]]],
            'drain' => ['circuit' => $circuit, 'drains' => ['petcock']],
            'fill' => ['circuit' => $circuit, 'at' => 'neck', 'nose_lift_mm' => 100],
            'plan' => ['circuit' => $circuit, 'choices' => ['school' => 'gravity', 'elevation_m' => 1420]],
        ];

        $topics = array_keys($all);

        return array_map(fn (string $topic): array => [$topic, $all[$topic]], array_combine($topics, $topics));
    }

    /**
     * @param  array{int, float}  ...$points
     * @return list<array<string, float|int>>
     */
    private static function rows(string $what, array ...$points): array
    {
        return array_map(fn (array $point): array => ['t_s' => $point[0], $what => $point[1]], array_values($points));
    }

    /** @param  array<mixed>  $document */
    private static function json(array $document): string
    {
        return (string) json_encode($document);
    }

    /**
     * @param  array<mixed>  $document
     * @return array<mixed> with one to three places of it turned into something else, or gone
     */
    private function broken(array $document, Randomizer $chance): array
    {
        for ($i = $chance->getInt(1, 3); $i > 0; $i--) {
            $at = &$document;
            while ($at !== [] && is_array($at)) {
                $key = $chance->pickArrayKeys($at, 1)[0];
                if (! is_array($at[$key]) || $at[$key] === [] || $chance->getInt(0, 5) === 0) {
                    $at[$key] = self::JUNK[$chance->getInt(0, count(self::JUNK) - 1)];
                    break;
                }
                $at = &$at[$key];
            }
            unset($at);
        }

        return $document;
    }
}
