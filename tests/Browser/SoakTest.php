<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\TestCase;

/**
 * The short part of the rough treatment, against a server of its own: many at once, bent requests, the server killed.
 */
final class SoakTest extends TestCase
{
    public function test_nothing_is_lost_nothing_doubled_and_nothing_ends_in_a_5xx(): void
    {
        $clean = 'env -i PATH='
            .escapeshellarg((string) getenv('PATH'))
            .' HOME='
            .escapeshellarg((string) getenv('HOME'));
        exec("{$clean} ".dirname(__DIR__, 2).'/aqbel soak --short 2>&1', $said, $code);
        $said = implode("\n", $said);
        self::assertSame(0, $code, $said);
        self::assertStringContainsString('0 refused, 0 lost, 0 doubled', $said);
        self::assertStringContainsString('0 answers of 5xx', $said);
        self::assertStringContainsString(
            '0 lost, 0 doubled, 0 silent; 0 refused, 0 still kept',
            $said,
            'whatever answers in the shop’s place',
        );
    }
}
