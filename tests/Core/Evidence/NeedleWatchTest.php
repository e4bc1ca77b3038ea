<?php

declare(strict_types=1);

namespace Tests\Core\Evidence;

use Aqbel\Core\Instruments\NeedleWatch;
use Aqbel\Core\Instruments\RunLine;
use PHPUnit\Framework\TestCase;
use Tests\Core\JobOnPaper;

/** What of a streamed needle is written down. */
final class NeedleWatchTest extends TestCase
{
    public function test_a_plug_that_was_touched_is_no_reading_and_a_hose_that_is_off_is_one(): void
    {
        self::assertSame([], self::written([21.4, 21.4, 0.0]));
        self::assertSame([21.4], self::written([21.4, 0.0, 21.4, 21.4]));
        self::assertSame([0.0], self::written([21.4, 21.4, 0.0, 0.0]));
        self::assertSame([17.5], self::written([21.4, 21.4, 17.5]), 'so far it falls in a moment');
    }

    /**
     * @param  list<float>  $inHg  second by second
     * @return list<float> what is written at the end of them, inHg
     */
    private static function written(array $inHg): array
    {
        $at = JobOnPaper::on('rescue-ambulance', school: 'vacuum')->at('hold:1');
        $points = array_map(
            fn (int $i, float $shown): array => [$at->now - count($inHg) + 1.0 + $i, $shown],
            array_keys($inHg),
            $inHg,
        );

        return array_map(
            fn (RunLine $line) => round((float) $line->values->number('vacuum') / 3.386389, 3),
            NeedleWatch::lines($at, ['vacuum_inhg' => $points]),
        );
    }
}
