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
        self::assertSame(0, $code, implode("\n", $output));
        self::assertMatchesRegularExpression('/# pass [4-9]/', implode("\n", $output));
    }
}
