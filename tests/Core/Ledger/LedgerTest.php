<?php

declare(strict_types=1);

namespace Tests\Core\Ledger;

use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Ledger\Line;
use PHPUnit\Framework\TestCase;

final class LedgerTest extends TestCase
{
    public function test_content_strength_and_trapped_air_with_their_uncertainty(): void
    {
        $ledger = new Ledger(
            10000,
            500,
            [new Line('found', 9000, 300, 0.4), new Line('out', -8000, 250, null), new Line('in', 8000, 125, 0.5)],
        );
        self::assertEqualsWithDelta(9000, $ledger->contentMl, 1e-9);
        self::assertEqualsWithDelta((400 + 4000) / 9000, $ledger->fraction(), 1e-9);
        self::assertEqualsWithDelta(500, $ledger->trappedAirMl(), 1e-9);
        self::assertEqualsWithDelta(sqrt(300 ** 2 + 250 ** 2 + 125 ** 2), $ledger->plusMinusMl, 1e-9);
        self::assertGreaterThan($ledger->plusMinusMl, $ledger->trappedAirPlusMinusMl());
    }

    public function test_volume_and_glycol_are_conserved_over_random_jobs(): void
    {
        mt_srand(7);
        for ($job = 0; $job < 200; $job++) {
            $lines = [new Line('found', 8000.0, 0, 0.5)];
            [$content, $glycol] = [8000.0, 4000.0];
            for ($i = 0; $i < 12; $i++) {
                $ml = mt_rand(-900, 900);
                $fraction = mt_rand(0, 100) / 100;
                $glycol += $ml > 0 ? $ml * $fraction : $ml * $glycol / $content;
                $content += $ml;
                $lines[] = new Line('x', $ml, 0, $ml > 0 ? $fraction : null);
                if ($content < 1000) {
                    break;
                }
            }
            $ledger = new Ledger(10000, 0, $lines);
            self::assertEqualsWithDelta($content, $ledger->inMl() - $ledger->outMl(), 1e-6);
            self::assertEqualsWithDelta($glycol, $ledger->contentMl * $ledger->fraction(), 1e-6);
        }
    }

    public function test_an_empty_ledger_knows_no_strength(): void
    {
        self::assertNull((new Ledger(10000, 500, []))->fraction());
    }

    public function test_the_sum_hangs_on_the_one_line_that_was_told_more_roughly_than_all_the_rest(): void
    {
        $ledger = fn (float $rough, float $second = 0.0): Ledger => new Ledger(10000, 500, [
            new Line('found', 9000, 300, 0.4),
            new Line('out', -5000, 250, null, roughMl: $rough),
            new Line('in', 5000, 125, 0.5, roughMl: $second),
        ]);
        self::assertNull($ledger(0.0)->hangsOn(), 'read off');
        self::assertNull($ledger(350.0)->hangsOn(), 'what was found is as unsure');
        self::assertSame('out', $ledger(1250.0)->hangsOn()?->label);
        self::assertSame(1250.0, $ledger(1250.0)->hangsOn()->toldWithinMl());
        self::assertNull($ledger(1250.0, 1300.0)->hangsOn(), 'one exact number would not settle it');
    }
}
