<?php

declare(strict_types=1);

namespace Tests\Core;

use FilesystemIterator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** What makes the house readable and no tool of its own keeps: one idea a line, and no class for everything. */
final class StyleTest extends TestCase
{
    private const WIDTH = 120;

    /** One line in so many may be wider. */
    private const ONE_IN = 200;

    #[DataProvider('rooms')]
    public function test_hardly_a_line_is_wider_than_a_page(string $room): void
    {
        [$lines, $wide] = [0, []];
        foreach (self::files($room) as $file => $text) {
            foreach ($text as $i => $line) {
                $lines++;
                if (mb_strlen(rtrim($line, "\r\n")) > self::WIDTH) {
                    $wide[] = "{$file}:".($i + 1);
                }
            }
        }
        self::assertGreaterThan(10_000, $lines);
        self::assertLessThanOrEqual($lines / self::ONE_IN, count($wide), implode("\n", $wide));
    }

    /** @return iterable<string, array{string}> */
    public static function rooms(): iterable
    {
        yield 'the core' => ['core'];
        yield 'the application' => ['app'];
        yield 'the tests' => ['tests'];
    }

    #[DataProvider('limits')]
    public function test_what_grew_too_long_before_stays_short(string $room, int $most): void
    {
        $long = array_filter(
            array_map(fn (array $text) => count($text), self::files($room)),
            fn (int $lines) => $lines > $most,
        );
        self::assertSame([], $long);
    }

    /** @return iterable<string, array{string, int}> */
    public static function limits(): iterable
    {
        yield 'kinds of step' => ['core/Steps', 300];
        yield 'the run page' => ['app/Run', 300];
        yield 'the elevation view' => ['app/Elevation', 200];
    }

    /** @return non-empty-array<string, list<string>> lines by file, from the project's root */
    private static function files(string $room): array
    {
        $root = dirname(__DIR__, 2);
        $files = [];
        $all = new RecursiveDirectoryIterator("{$root}/{$room}", FilesystemIterator::SKIP_DOTS);
        foreach (new RecursiveIteratorIterator($all) as $file) {
            assert($file instanceof SplFileInfo);
            if ($file->getExtension() === 'php') {
                $files[substr($file->getPathname(), strlen($root) + 1)] = file($file->getPathname()) ?: [];
            }
        }
        self::assertNotEmpty($files);

        return $files;
    }
}
