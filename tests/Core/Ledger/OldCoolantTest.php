<?php

declare(strict_types=1);

namespace Tests\Core\Ledger;

use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Ledger\Line;
use PHPUnit\Framework\TestCase;

/** Old coolant in the ledger. */
final class OldCoolantTest extends TestCase
{
    public function test_old_coolant_only_ever_gets_less(): void
    {
        mt_srand(12);
        for ($job = 0; $job < 200; $job++) {
            $lines = [new Line('found', 9000.0, 0, 0.5, old: 1.0)];
            $before = 9000.0;
            for ($i = 0; $i < 10; $i++) {
                $content = (new Ledger(10000, 0, $lines))->contentMl;
                $lines[] = mt_rand(0, 1)
                    ? new Line('out', -mt_rand(0, (int) $content), 0, null)
                    : new Line('in', (float) mt_rand(0, 900), 0, mt_rand(0, 100) / 100);
                $ledger = new Ledger(10000, 0, $lines);
                self::assertLessThanOrEqual($before + 1e-6, $ledger->oldMl);
                self::assertLessThanOrEqual($ledger->contentMl + 1e-6, $ledger->oldMl);
                self::assertCount(count($lines), $ledger->steps);
                $before = $ledger->oldMl;
            }
        }
    }
}
