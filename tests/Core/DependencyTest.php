<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

final class DependencyTest extends TestCase
{
    public function test_the_core_names_nothing_outside_itself_and_php(): void
    {
        $files = 0;
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(__DIR__.'/../../core', \FilesystemIterator::SKIP_DOTS)) as $file) {
            $files++;
            $code = (string) php_strip_whitespace($file->getPathname());
            preg_match_all('/^\s*use ([A-Z][\w\\\\]+)|(?<![\w\\\\])\\\\([A-Z]\w+\\\\[\w\\\\]+)/m', $code, $names);
            foreach (array_filter([...$names[1], ...$names[2]]) as $name) {
                self::assertStringStartsWith('Aqbel\\Core\\', $name, "{$file->getFilename()} reaches outside the core");
            }
            self::assertDoesNotMatchRegularExpression('/(?<![\w>:$])(time|date|microtime|now|env|config|file_get_contents|rand|mt_rand|random_int)\(/', $code, "{$file->getFilename()} reads a clock, a file or chance");
        }
        self::assertGreaterThan(60, $files);
    }
}
