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
        'Circuit/Maker' => ['Circuit', 'Circuit/Format', 'Matter'],
        'Flow' => ['Circuit', 'Matter'],
        'Ledger' => [],
        'Stores' => ['Matter', 'Mixing'],
        'Saying' => ['Quantity'],
        'Job' => ['Quantity', 'Circuit', 'Ledger', 'Stores', 'Saying'],
        'Plan' => ['Quantity', 'Matter', 'Mixing', 'Circuit', 'Flow', 'Heat', 'Vacuum', 'Stores', 'Job'],
        'Plan/Format' => ['Quantity', 'Matter', 'Mixing', 'Circuit', 'Flow', 'Heat', 'Stores', 'Job', 'Plan'],
        'Schools' => ['Quantity', 'Matter', 'Circuit', 'Flow', 'Heat', 'Vacuum', 'Job', 'Plan'],
        'Observed' => ['Quantity', 'Matter', 'Circuit', 'Saying', 'Job', 'Plan'],
        'Judged' => [
            'Quantity',
            'Matter',
            'Mixing',
            'Heat',
            'Vacuum',
            'Circuit',
            'Flow',
            'Ledger',
            'Job',
            'Plan',
            'Observed',
        ],
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
        'Writing' => ['Heat', 'Quantity', 'Saying', 'Job', 'Observed', 'Judged', 'Plan', 'Steps', 'Steps/AnyTime'],
        'Visits' => ['Quantity', 'Matter', 'Heat', 'Circuit', 'Saying', 'Job', 'Plan', 'Observed', 'Judged'],
        'Day' => [],
        'Learned' => ['Circuit', 'Flow', 'Heat', 'Job', 'Observed', 'Judged', 'Plan'],
        'Evidence' => ['Circuit'],
        'Instruments' => ['Quantity', 'Matter', 'Circuit', 'Job', 'Observed', 'Judged', 'Evidence'],
        'Virtual' => ['Quantity', 'Matter', 'Circuit', 'Flow', 'Heat'],
        'Practice' => ['Quantity', 'Heat', 'Job', 'Saying', 'Observed', 'Judged', 'Virtual'],
    ];

    private const FORBIDDEN
        = '/(?<![\w>:$\\\\])\\\\?(time|date|mktime|strtotime|hrtime|microtime|now|env|getenv|config|fopen|file|file_get_contents|file_put_contents'
        .'|rand|mt_rand|random_int|exec|shell_exec|curl_init|header|echo|print|var_dump)\(|new '
        .'\\\\?Date\w*|\$_(SERVER|GET|POST|ENV|COOKIE|FILES|SESSION|REQUEST)|\$GLOBALS/';

    public function test_every_folder_uses_only_what_it_may(): void
    {
        $files = 0;
        foreach (self::files() as $path => $code) {
            $files++;
            $folder = self::folder($path);
            $may = self::MAY_USE[$folder] ?? self::MAY_USE[explode('/', $folder)[0]] ?? null;
            self::assertNotNull($may, "{$path} stands in a folder without a rule");
            preg_match_all('/(?<=[;\s])use ([A-Z][\w\\\\]+)|(?<![\w\\\\])\\\\([A-Z]\w+\\\\[\w\\\\]+)/m', $code, $names);
            // PHP's own chance is none: the same seed draws the same.
            $seeded = ['Random\\Randomizer', 'Random\\Engine\\Mt19937'];
            foreach (array_diff(array_filter([...$names[1], ...$names[2]]), $seeded) as $name) {
                self::assertStringStartsWith('Aqbel\\Core\\', $name, "{$path} reaches outside the core");
                $parts = array_slice(explode('\\', $name), 2, -1);
                $used = implode('/', $parts);
                // The steps of one stage know those of no other; only the catalogue knows them all.
                $ofAStage = ($parts[0] ?? '') === 'Steps' && count($parts) > 1;
                $own = $ofAStage
                    ? $used === $folder || $path === 'Steps/StepCatalogue.php'
                    : explode('/', $folder)[0] === ($parts[0] ?? '');
                $mine = $own || $parts === [];
                self::assertTrue($mine || in_array($used, $may, true), "{$path} may not use {$name}");
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

    public function test_no_two_files_of_the_steps_need_each_other(): void
    {
        $uses = [];
        foreach (self::files() as $path => $code) {
            if (str_starts_with($path, 'Steps/') && $path !== 'Steps/StepCatalogue.php') {
                preg_match_all('/(?<=[;\s])use Aqbel\\\\Core\\\\(Steps\\\\[\w\\\\]+)/', $code, $named);
                preg_match_all('/(?:new|extends) (\w+)|(?<![\w\\\\])([A-Z]\w+)::/', $code, $beside);
                $folder = dirname($path);
                $near = array_map(
                    fn (string $name) => "{$folder}/{$name}.php",
                    array_filter([...$beside[1], ...$beside[2]]),
                );
                $far = array_map(fn (string $name) => strtr($name, '\\', '/').'.php', $named[1]);
                $there = array_filter(
                    [...$near, ...$far],
                    fn (string $file) => $file !== $path && is_file(self::CORE."/{$file}"),
                );
                $uses[$path] = array_values(array_unique($there));
            }
        }
        self::assertGreaterThan(60, count($uses));
        $done = [];
        foreach (array_keys($uses) as $path) {
            self::assertNull(self::cycle($uses, $path, [], $done));
        }
    }

    /**
     * @param  array<string, list<string>>  $uses
     * @param  list<string>  $way
     * @param  array<string, true>  $done
     */
    private static function cycle(array $uses, string $path, array $way, array &$done): ?string
    {
        if (in_array($path, $way, true)) {
            return implode(' → ', [...array_slice($way, (int) array_search($path, $way, true)), $path]);
        }
        foreach (isset($done[$path]) ? [] : $uses[$path] ?? [] as $next) {
            $found = self::cycle($uses, $next, [...$way, $path], $done);
            if ($found !== null) {
                return $found;
            }
        }
        $done[$path] = true;

        return null;
    }

    /** The folder whose rule holds; those below a listed one follow it. */
    private static function folder(string $path): string
    {
        $parts = explode('/', $path);
        $two = implode('/', array_slice($parts, 0, 2));

        return match (true) {
            count($parts) === 1 => 'Quantity',
            isset(self::MAY_USE[$two]) => $two,
            // One row for every stage: what all steps may use, and themselves.
            $parts[0] === 'Steps' && count($parts) > 2 => $two,
            default => $parts[0],
        };
    }
}
