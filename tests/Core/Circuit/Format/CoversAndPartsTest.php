<?php

declare(strict_types=1);

namespace Tests\Core\Circuit\Format;

use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\InvalidField;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** Covers and parts as a circuit file carries them. */
final class CoversAndPartsTest extends TestCase
{
    /** @return array<string, array{\Closure(array<string, mixed>): array<string, mixed>, string}> */
    public static function brokenCovers(): array
    {
        $port = fn (array $change) => fn (array $doc) => [
            ...$doc, 'ports' => [[...$doc['ports'][0], ...$change], ...array_slice($doc['ports'], 1)],
        ];
        $passage = fn (array $change) => fn (array $doc) => [
            ...$doc, 'passages' => [[...$doc['passages'][0], ...$change], ...array_slice($doc['passages'], 1)],
        ];

        return [
            'no such cover' => [
                $port(['behind' => ['bonnet']]), 'ports.0.behind.0',
            ], 'cover no name' => [$port(['behind' => 'undertray']), 'ports.0.behind'], 'minutes' => [
                $port(['minutes' => -3]), 'ports.0.minutes',
            ],
            'parts no list' => [$passage(['parts' => 'gasket']), 'passages.0.parts'], 'part no text' => [
                $passage(['parts' => [7]]), 'passages.0.parts.0',
            ], 'torque' => [$passage(['torque_nm' => 9000]), 'passages.0.torque_nm'],
            'two of one id' => [
                fn (array $doc) => [...$doc, 'covers' => [['id' => 'a'], ['id' => 'a']]], 'covers.1.id',
            ],
        ];
    }

    #[DataProvider('brokenCovers')]
    public function test_a_circuit_with_broken_covers_or_parts_is_refused_at_its_place(
        \Closure $break,
        string $field,
    ): void {
        $document = Demo::document('rescue-ambulance');
        try {
            CircuitReader::read($break($document));
            self::fail('read');
        } catch (InvalidField $refused) {
            self::assertSame($field, $refused->field);
        }
    }
}
