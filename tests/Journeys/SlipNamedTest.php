<?php

declare(strict_types=1);

namespace Tests\Journeys;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Whole jobs in which one number slipped: where they stand, it is that number which is asked for, and no other. */
final class SlipNamedTest extends TestCase
{
    private const A_GALLON = 1.0 / 3.785;

    private const ASKS = '/“[^”]+ ([\d.]+) L”: .*?([\d.]+) L\? That alone would account for it/u';

    /** @return iterable<string, array{string, string, array{string, int, float}}> circuit, school, slip */
    public static function slips(): iterable
    {
        foreach (['rescue-ambulance', 'footpath-sweeper', 'post-van'] as $circuit) {
            foreach (['gravity', 'vacuum'] as $school) {
                $of = "{$circuit}, {$school}";
                yield "{$of}: a tenth out" => [$circuit, $school, ['out', 0, 0.1]];
                yield "{$of}: gallons out" => [$circuit, $school, ['out', 0, self::A_GALLON]];
                yield "{$of}: four times out" => [$circuit, $school, ['out', 1, 1.0 / self::A_GALLON]];
            }
            yield "{$circuit}: a tenth in" => [$circuit, 'gravity', ['at_mark', 0, 0.1]];
        }
        yield 'a generator' => ['standby-generator', 'gravity', ['out', 0, 0.1]];
    }

    /** @param  array{string, int, float}  $slip */
    #[DataProvider('slips')]
    public function test_the_number_that_slipped_is_asked_for(
        string $circuit,
        string $school,
        array $slip,
    ): void {
        $world = new World($circuit, $school, 7, slip: $slip);
        $stands = (string) $world->play();
        [$told, $was] = $world->slipped ?? self::fail('Nobody slipped');
        self::assertSame(1, preg_match(self::ASKS, $world->says(), $asked), "{$stands}: {$world->says()}");
        self::assertEqualsWithDelta($told, (float) $asked[1], 0.011);
        self::assertEqualsWithDelta($was, (float) $asked[2], 0.02 * $was + 0.011);
    }

    public function test_at_the_sign_off_no_number_is_offered_for_air_that_is_missing(): void
    {
        foreach (['footpath-sweeper', 'post-van'] as $circuit) {
            $world = new World($circuit, 'vacuum', 7, slip: ['at_mark', 0, 0.1]);
            self::assertSame('sign_off: air_unaccounted', $world->play());
            self::assertStringNotContainsString('That alone', $world->says());
        }
    }

    /** @return iterable<string, array{string}> */
    public static function circuits(): iterable
    {
        foreach (['rescue-ambulance', 'compact-loader', 'footpath-sweeper', 'piste-groomer', 'post-van'] as $circuit) {
            yield $circuit => [$circuit];
        }
    }

    #[DataProvider('circuits')]
    public function test_air_that_is_there_is_no_slip(string $circuit): void
    {
        foreach (['gravity', 'vacuum'] as $seed => $school) {
            foreach ([0.05, 0.08, 0.12, 0.16] as $stays) {
                $world = new World($circuit, $school, $seed, $stays, 0.0);
                $world->play();
                self::assertStringNotContainsString('That alone', $world->says());
            }
        }
    }
}
