<?php

declare(strict_types=1);

namespace Tests\Journeys;

use Aqbel\Core\Writing\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every journey says at each point what it must. */
final class JourneyTest extends TestCase
{
    /** @return array<string, array{string}> file by its name */
    public static function journeys(): array
    {
        $files = glob(__DIR__.'/jobs/*.json') ?: [];

        return array_combine(
            array_map(fn (string $file) => basename($file, '.json'), $files),
            array_map(fn (string $file) => [$file], $files),
        );
    }

    #[DataProvider('journeys')]
    public function test_a_job_goes(string $file): void
    {
        $journey = Journey::read($file);
        $journey->play(
            fn (array $expected, array $answer, int $line) => $this->holds(
                $expected,
                $answer,
                "line {$line}: {$journey->about()}",
            ),
            function (?string $field, ?Refusal $refusal, int $line) use ($journey): void {
                $where = "line {$line}: {$journey->about()} ".($refusal->message ?? '');
                self::assertSame($field, $refusal?->field, $where);
            },
        );
    }

    /**
     * @param  array<string, mixed>  $expected
     * @param  array<string, mixed>  $answer
     */
    private function holds(array $expected, array $answer, string $where): void
    {
        $steps = array_combine(array_column($answer['steps'], 'step'), $answer['steps']);
        $step = $steps[$expected['step'] ?? ''] ?? null;
        foreach ($expected as $what => $value) {
            match ($what) {
                'step' => self::assertNotNull($step, "{$where}: {$value}"),
                'state', 'verdict' => self::assertSame($value, $step[$what], $where),
                'said' => self::assertStringContainsString($value, (string) $step['said'], $where),
                'silent_on' => self::assertStringNotContainsString($value, (string) $step['said'], $where),
                'obstacles' => self::assertSame(
                    [], array_diff($value, array_column($step['obstacles'], 'code')), self::codes($step, $where),
                ),
                'hard' => self::assertSame(
                    [], array_diff($value, self::hard($step)), self::codes($step, $where),
                ),
                'passes' => self::assertSame($value, $step['obstacles'] === [], self::codes($step, $where)),
                'steps' => self::assertSame([], array_diff($value, array_keys($steps)), $where),
                'no_steps' => self::assertSame([], array_intersect($value, array_keys($steps)), $where),
                'next', 'neck' => self::assertSame($value, $answer[$what], $where),
                'content_ml', 'trapped_air_ml', 'glycol_fraction', 'old_share' => self::assertBetween(
                    $value, $answer['ledger'][$what], "{$where}: {$what}",
                ),
                default => self::fail("A journey cannot expect “{$what}”."),
            };
        }
    }

    /** @param  array{float, float}  $range */
    private static function assertBetween(array $range, float $value, string $where): void
    {
        self::assertGreaterThanOrEqual($range[0], $value, $where);
        self::assertLessThanOrEqual($range[1], $value, $where);
    }

    /**
     * @param  array<string, mixed>  $step
     * @return list<string>
     */
    private static function hard(array $step): array
    {
        return array_column(array_filter($step['obstacles'], fn (array $o) => $o['hard']), 'code');
    }

    /** @param  array<string, mixed>  $step */
    private static function codes(array $step, string $where): string
    {
        return $where."\nobstacles: ".json_encode($step['obstacles'], JSON_UNESCAPED_UNICODE);
    }
}
