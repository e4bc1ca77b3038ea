<?php

declare(strict_types=1);

namespace Tests\Core\Judged;

use Aqbel\Core\Judged\VacuumHeld;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** The figures by which pressure and vacuum are judged, each tried a little on this side of its edge and a little on that. */
final class TightnessEdgesTest extends TestCase
{
    public function test_a_pressure_test_is_timed_to_fifteen_seconds(): void
    {
        $held = fn (int $seconds, float $said = 300.0): ?string => JobOnPaper::on('rescue-ambulance')
            ->write('fill_level', 'at_mark')
            ->finish('fill_level')
            ->wait($seconds - 60)
            ->write('pressure_test', 'test', ['start' => 100.0, 'end' => 100.0, 'held' => $said], 0)
            ->judge('pressure_test')?->code;
        self::assertSame('holds', $held(286));
        self::assertSame('not_so_long', $held(284));
        self::assertSame('too_short', $held(600, 295.0));
        self::assertSame('holds', $held(600, 305.0));
    }

    /** @return array<string, array{array<string, float>, string}> */
    public static function pressures(): array
    {
        return [
            'hoses give' => [['start' => 100.0, 'end' => 98.05], 'holds'],
            'more than hoses' => [['start' => 100.0, 'end' => 97.95], 'falls'],
            'enough of what was asked' => [['start' => 80.5, 'end' => 80.5], 'holds'],
            'too little' => [['start' => 79.5, 'end' => 79.5], 'no_test'],
            'hardly warm' => [['start' => 100.0, 'end' => 100.0, 'ect' => 34.5], 'holds'],
            'warm' => [['start' => 100.0, 'end' => 100.0, 'ect' => 35.5], 'warm'],
            // Two of the hoses, and one a minute of cooling.
            'warm for two minutes' => [['start' => 100.0, 'end' => 96.1, 'ect' => 45.0, 'held' => 120.0], 'warm'],
            'warm, and more' => [['start' => 100.0, 'end' => 95.9, 'ect' => 45.0, 'held' => 120.0], 'falls'],
            'warm for five minutes' => [['start' => 100.0, 'end' => 93.1, 'ect' => 45.0, 'held' => 300.0], 'warm'],
            'warm for five minutes, and more' => [
                ['start' => 100.0, 'end' => 92.9, 'ect' => 45.0, 'held' => 300.0],
                'falls',
            ],
        ];
    }

    /** @param  array<string, float>  $test */
    #[DataProvider('pressures')]
    public function test_a_pressure_test_reads_so(array $test, string $code): void
    {
        $job = JobOnPaper::on('rescue-ambulance')->write('fill_level', 'at_mark')->finish('fill_level')->wait(600);
        self::assertSame(
            $code,
            $job->write('pressure_test', 'test', ['held' => 400.0, ...$test])->judge('pressure_test')?->code,
        );
    }

    /** The ambulance, pulled to 71 kPa: by Boyle’s law it then draws 10.52 L into its void. */
    private static function drawn(float $needleKpa, float $ml): ?string
    {
        return JobOnPaper::on('rescue-ambulance', school: 'vacuum')
            ->write('hold:1', 'reading', ['vacuum' => 71.0])
            ->write('vacuum_fill', 'poured', ['volume' => $ml, 'vessel' => 'bucket', 'vacuum' => $needleKpa])
            ->judge('vacuum_fill')?->code;
    }

    public function test_a_needle_at_zero_or_at_rest_tells_so_from_there_on(): void
    {
        self::assertSame('air_came_in', self::drawn(1.6, 0.74 * 10_519.8));
        self::assertSame('full', self::drawn(1.6, 0.76 * 10_519.8));
        self::assertSame('filling', self::drawn(70.9, 0.29 * 10_519.8));
        self::assertSame('needle_stands', self::drawn(70.9, 0.31 * 10_519.8));
        self::assertSame('needle_stands', self::drawn(67.5, 6_000.0));
        self::assertSame('filling', self::drawn(67.3, 6_000.0));
    }

    public function test_a_valve_closes_within_a_minute(): void
    {
        $pulled = fn (int $seconds): JobOnPaper => JobOnPaper::on('rescue-ambulance', school: 'vacuum')->write(
            'pull:1',
            'reading',
            ['vacuum' => 71.0],
            $seconds,
        );
        $read = fn (JobOnPaper $job): int => count(
            VacuumHeld::of($job->write('hold:1', 'reading', ['vacuum' => 71.0])->at('hold:1'))->readings ?? [],
        );
        self::assertSame(2, $read($pulled(59)->finish('pull:1')), 'the pull’s last is its first');
        self::assertSame(1, $read($pulled(61)->finish('pull:1')));
        self::assertSame(1, $read($pulled(59)), 'read as it was closed');
        self::assertSame(2, $read($pulled(61)));
    }

    public function test_ten_minutes_are_a_test_and_less_is_a_glance(): void
    {
        $proved = fn (float $seconds): ?bool => VacuumHeld::proved(
            JobOnPaper::on('rescue-ambulance', school: 'vacuum')
                ->write('pull:1', 'reading', ['vacuum' => 71.0], 30)
                ->finish('pull:1')
                ->write('hold:1', 'school', ['minutes' => $seconds, 'length' => 'real'])
                ->write('hold:1', 'reading', ['vacuum' => 71.0], 900)
                ->write('hold:1', 'reading', ['vacuum' => 71.0])
                ->state(),
        );
        self::assertTrue($proved(601.0));
        self::assertFalse($proved(599.0));
    }
}
