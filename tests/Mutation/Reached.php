<?php

declare(strict_types=1);

namespace Tests\Mutation;

use SebastianBergmann\CodeCoverage\CodeCoverage;

/** Which tests come by which line of the core: told by one run of them all, kept until the core or a test changes. */
final readonly class Reached
{
    private const FOLDER = 'storage/mutation';

    /** So long all tests of one mutant may take, s as they were covered, of which four are one; then it is not noticed. */
    private const MOST_S = 240.0;

    /** So much longer a test of another subject may take before its own is tried. */
    private const OWN_FIRST = 0.1;

    /**
     * @param  array<string, float>  $seconds  by test, as PHPUnit names it
     * @param  array<string, array<int, list<int>>>  $tests  places in `$seconds`, by file and line
     */
    private function __construct(private array $seconds, private array $tests)
    {
    }

    public static function by(string $root): self
    {
        $kept = "{$root}/".self::FOLDER.'/reached-'.self::now($root).'.json';
        if (! is_file($kept)) {
            shell_exec('rm -rf '.escapeshellarg(dirname($kept)));
            mkdir(dirname($kept), recursive: true);
            file_put_contents($kept, json_encode(self::run($root, dirname($kept)), JSON_THROW_ON_ERROR));
        }

        return new self(...json_decode((string) file_get_contents($kept), true, flags: JSON_THROW_ON_ERROR));
    }

    /**
     * @return array<string, float> tests that come to where it can be noticed, with what each takes at the most, s; those of
     * its own subject first, and the quickest before others
     */
    public function tests(Mutant $mutant): array
    {
        $reached = [];
        foreach ($mutant->within as [$file, $from, $to]) {
            foreach ($this->tests[$file] ?? [] as $line => $tests) {
                $reached += $line >= $from && $line <= $to ? array_fill_keys($tests, true) : [];
            }
        }
        $names = array_keys($this->seconds);
        $costs = [];
        foreach (array_keys($reached) as $i) {
            $own = str_starts_with($names[$i], 'Tests\\Core\\'.explode('/', $mutant->file)[1].'\\');
            $costs[$names[$i]] = $this->seconds[$names[$i]] * ($own ? self::OWN_FIRST : 1.0);
        }
        asort($costs);
        $left = self::MOST_S;

        return array_filter(
            array_replace($costs, array_intersect_key($this->seconds, $costs)),
            function (float $seconds) use (&$left): bool {
                $left -= $seconds;

                return $left > 0.0;
            },
        );
    }

    /** What would have to be run anew when it changes. */
    private static function now(string $root): string
    {
        $files = [];
        foreach (['core', 'tests/App', 'tests/Core', 'tests/Journeys'] as $folder) {
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("{$root}/{$folder}")) as $file) {
                if ($file->isFile()) {
                    $files[$file->getPathname()] = hash_file('xxh128', $file->getPathname());
                }
            }
        }
        ksort($files);

        return hash('xxh128', (string) json_encode(array_values($files)));
    }

    /** @return array{seconds: array<string, float>, tests: array<string, array<int, list<int>>>} */
    private static function run(string $root, string $folder): array
    {
        $covering = ['-d', 'memory_limit=4G', '-d', 'extension=pcov.so', '-d', "pcov.directory={$root}/core"];
        passthru(implode(' ', array_map(escapeshellarg(...), [
            PHP_BINARY,
            ...$covering,
            "{$root}/vendor/bin/paratest",
            '--passthru-php='.implode(' ', array_map(fn (string $part) => "'{$part}'", $covering)),
            '--configuration',
            "{$root}/phpunit.xml",
            '--testsuite',
            'core',
            '--coverage-php',
            "{$folder}/coverage.php",
            '--log-junit',
            "{$folder}/junit.xml",
        ])), $failed);
        if ($failed !== 0) {
            throw new \RuntimeException('The tests are not green as it is: nothing can be told by them.');
        }
        $coverage = require "{$folder}/coverage.php";
        assert($coverage instanceof CodeCoverage);
        $places = [];
        $tests = [];
        foreach ($coverage->getData()->lineCoverage() as $file => $lines) {
            foreach ($lines as $line => $by) {
                foreach ($by ?? [] as $test) {
                    $tests[substr($file, strlen($root) + 1)][$line][] = $places[self::named($test)] ??= count($places);
                }
            }
        }
        $seconds = [];
        foreach (simplexml_load_file("{$folder}/junit.xml")->xpath('//testcase') as $case) {
            $seconds["{$case['class']}::{$case['name']}"] = (float) $case['time'];
        }
        $seconds = array_map(
            fn (string $test) => $seconds[$test] ?? throw new \RuntimeException("There is no test {$test}."),
            array_flip($places),
        );
        $seconds = array_combine(array_keys($places), $seconds);
        array_map(unlink(...), ["{$folder}/coverage.php", "{$folder}/junit.xml"]);

        return ['seconds' => $seconds, 'tests' => $tests];
    }

    /** A test as `--filter` knows it. */
    private static function named(string $id): string
    {
        [$test, $set] = explode('#', $id, 2) + [1 => null];

        return match (true) {
            $set === null => $test,
            ctype_digit($set) => "{$test} with data set #{$set}",
            default => "{$test} with data set \"{$set}\"",
        };
    }
}
