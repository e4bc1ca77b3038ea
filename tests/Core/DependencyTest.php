<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which folder may use which, and that the core knows no clock, no input or output and no superglobal. */
final class DependencyTest extends TestCase
{
    private const CORE = __DIR__.'/../../core';

    /** A folder may use those named after it, itself, and the few classes that stand beside the folders. */
    private const MAY_USE = [
        'Quantity' => [],
        'Matter' => ['Quantity'],
        'Mixing' => ['Quantity'],
        'Heat' => ['Quantity'],
        'Vacuum' => ['Quantity', 'Matter'],
        'Circuit' => ['Matter'],
        'Circuit/Format' => ['Circuit', 'Matter', 'Flow'],
        'Flow' => ['Circuit', 'Matter'],
        'Ledger' => [],
        'Stores' => ['Matter', 'Mixing'],
        'Saying' => ['Quantity'],
        'Job' => ['Quantity', 'Circuit', 'Ledger', 'Stores', 'Saying'],
        'Plan' => ['Quantity', 'Matter', 'Mixing', 'Circuit', 'Flow', 'Stores', 'Job'],
        'Plan/Format' => ['Quantity', 'Matter', 'Mixing', 'Circuit', 'Flow', 'Stores', 'Job', 'Plan'],
        'Schools' => ['Quantity', 'Matter', 'Circuit', 'Flow', 'Heat', 'Vacuum', 'Job', 'Plan'],
        'Observed' => ['Quantity', 'Matter', 'Circuit', 'Saying', 'Job', 'Plan'],
        'Judged' => ['Quantity', 'Matter', 'Mixing', 'Heat', 'Vacuum', 'Circuit', 'Flow', 'Ledger', 'Job', 'Plan', 'Observed'],
        'Steps' => [
            'Quantity',
            'Observed',
            'Judged',
            'Matter',
            'Mixing',
            'Heat',
            'Vacuum',
            'Circuit',
            'Flow',
            'Ledger',
            'Stores',
            'Saying',
            'Job',
            'Plan',
        ],
        'Writing' => ['Quantity', 'Saying', 'Job', 'Observed', 'Judged', 'Plan', 'Steps', 'Steps/Findings', 'Steps/AnyTime'],
    ];

    private const FORBIDDEN = '/(?<![\w>:$\\\\])\\\\?(time|date|mktime|strtotime|hrtime|microtime|now|env|getenv|config|fopen|file|file_get_contents|file_put_contents'
        .'|rand|mt_rand|random_int|exec|shell_exec|curl_init|header|echo|print|var_dump)\(|new '
        .'\\\\?Date\w*|\$_(SERVER|GET|POST|ENV|COOKIE|FILES|SESSION|REQUEST)|\$GLOBALS/';

    public function test_every_folder_uses_only_what_it_may(): void
    {
        $files = 0;
        foreach (self::files() as $path => $code) {
            $files++;
            $folder = self::folder($path);
            self::assertArrayHasKey($folder, self::MAY_USE, "{$path} stands in a folder without a rule");
            preg_match_all('/(?<=[;\s])use ([A-Z][\w\\\\]+)|(?<![\w\\\\])\\\\([A-Z]\w+\\\\[\w\\\\]+)/m', $code, $names);
            foreach (array_filter([...$names[1], ...$names[2]]) as $name) {
                self::assertStringStartsWith('Aqbel\\Core\\', $name, "{$path} reaches outside the core");
                $parts = array_slice(explode('\\', $name), 2, -1);
                $used = implode('/', $parts);
                $mine = explode('/', $folder)[0] === ($parts[0] ?? '') || $parts === [];
                self::assertTrue($mine || in_array($used, self::MAY_USE[$folder], true), "{$path} may not use {$name}");
            }
        }
        self::assertGreaterThan(150, $files);
    }

    public function test_the_core_reads_no_clock_no_file_no_chance_and_no_superglobal(): void
    {
        foreach (self::files() as $path => $code) {
            self::assertDoesNotMatchRegularExpression(self::FORBIDDEN, $code, $path);
        }
    }

    #[DataProvider('impure')]
    public function test_it_would_notice(string $code): void
    {
        self::assertMatchesRegularExpression(self::FORBIDDEN, $code);
    }

    /** @return list<array{string}> */
    public static function impure(): array
    {
        return [
            ['$a = time();'],
            ['new \DateTime'],
            ['new \DateTimeImmutable()'],
            ['$_SERVER["x"]'],
            ['fopen("x", "r")'],
            ['\file_get_contents("x")'],
            ['mt_rand(1, 2)'],
        ];
    }

    /** @return iterable<string, string> code without comments, by path within the core */
    private static function files(): iterable
    {
        $all = new \RecursiveIteratorIterator(
            new \RecursiveDirectoryIterator(self::CORE, \FilesystemIterator::SKIP_DOTS),
        );
        foreach ($all as $file) {
            yield substr(
                $file->getPathname(),
                strlen(self::CORE) + 1,
            ) => (string) php_strip_whitespace($file->getPathname());
        }
    }

    /** The folder whose rule holds; those below a listed one follow it. */
    private static function folder(string $path): string
    {
        $parts = explode('/', $path);
        $two = implode('/', array_slice($parts, 0, 2));

        return match (true) {
            count($parts) === 1 => 'Quantity',
            isset(self::MAY_USE[$two]) => $two,
            default => $parts[0],
        };
    }
}
