<?php

declare(strict_types=1);

namespace Tests\Core\Mixing;

use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Mixing\RinseChain;
use PHPUnit\Framework\TestCase;

/** Dilution by rinsing. */
final class RinseChainTest extends TestCase
{
    public function test_a_rinse_chain_conserves_volume_and_thins_the_old_by_the_same_share_each_time(): void
    {
        mt_srand(11);
        for ($chain = 0; $chain < 200; $chain++) {
            $capacity = mt_rand(2000, 80000);
            $keeps = mt_rand(5, 60) / 100;
            $lines = [
                new Line('found', $capacity, 0, 0.5, old: 1.0),
                new Line('out', -(1 - $keeps) * $capacity, 0, null),
            ];
            for ($n = 1; $n <= 4; $n++) {
                $lines = [
                    ...$lines,
                    new Line('in', (1 - $keeps) * $capacity, 0, 0.0),
                    new Line('out', -(1 - $keeps) * $capacity, 0, null),
                ];
                $ledger = new Ledger($capacity, 0.0, $lines);
                self::assertEqualsWithDelta($keeps ** ($n + 1), $ledger->oldShare(), 1e-9);
                self::assertEqualsWithDelta($keeps * $capacity, $ledger->contentMl, 1e-6);
                self::assertEqualsWithDelta($ledger->inMl() - $ledger->outMl(), $ledger->contentMl, 1e-6);
                self::assertEqualsWithDelta(
                    0.5 * $ledger->oldMl,
                    $ledger->glycolMl,
                    1e-6,
                    'glycol leaves with the old coolant, never by itself',
                );
            }
            $target = mt_rand(1, 40) / 100;
            $wanted = RinseChain::until((float) $capacity, $keeps * $capacity, $target);
            self::assertLessThanOrEqual($target + 1e-9, $wanted->oldFraction);
            self::assertTrue(
                $wanted->rinses === 0 || $wanted->oldFraction / $keeps > $target - 1e-9,
                'one fewer would not do',
            );
            self::assertEqualsWithDelta(
                $wanted->rinses,
                RinseChain::from($keeps, $keeps, (float) $capacity, $target)->rinses,
                0,
            );
        }
    }
}
