<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

/** The browser's own modules, by node's test runner. */
final class JavaScriptTest extends TestCase
{
    public function test_the_modules_pass(): void
    {
        exec('cd '.escapeshellarg(dirname(__DIR__, 2)).' && node --test tests/js 2>&1', $output, $code);
        $said = implode("\n", $output);
        self::assertSame(0, $code, $said);
        self::assertMatchesRegularExpression('/^# fail 0$/m', $said);
        $written = preg_match_all(
            '/^test\(/m',
            implode('', array_map(file_get_contents(...), glob(dirname(__DIR__).'/js/*.mjs') ?: [])),
        );
        self::assertGreaterThan(0, $written);
        self::assertStringContainsString("# pass {$written}\n", "{$said}\n", 'every test that is written ran');
    }
}
