<?php

declare(strict_types=1);

namespace Tests\Core\Judged;

use Aqbel\Core\Judged\LikelySlip;
use Aqbel\Core\Judged\SlipKind;
use Aqbel\Core\Ledger\Line;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One number, slipped as numbers do, that alone is what the sums are off by; or none. */
final class LikelySlipTest extends TestCase
{
    /** @return array<string, array{list<float>, float, ?SlipKind, float}> told, off by, kind, would have been; mL */
    public static function sums(): array
    {
        return [
            'a decimal point too far' => [[4000.0, 230.0], 2100.0, SlipKind::ATenth, 2300.0],
            'one too few' => [[4000.0, 2300.0], -2000.0, SlipKind::TenTimes, 230.0],
            'gallons' => [[1060.0, 5000.0], 2950.0, SlipKind::Gallons, 4012.5],
            'litres' => [[4000.0, 9000.0], -2950.0, SlipKind::Litres, 1056.7],
            'twice' => [[2500.0, 800.0, 2500.0], -2600.0, SlipKind::Twice, 0.0],
            'what came out' => [[6000.0, -300.0], -2700.0, SlipKind::ATenth, -3000.0],
            'no number would do' => [[4000.0, 230.0], 900.0, null, 0.0],
            'two would' => [[230.0, 240.0], 2100.0, null, 0.0],
            'within what is known' => [[40.0], 360.0, null, 0.0],
        ];
    }

    /** @param  list<float>  $told */
    #[DataProvider('sums')]
    public function test_it_is_the_one_that_fits(array $told, float $off, ?SlipKind $kind, float $was): void
    {
        $slip = LikelySlip::in(array_map(fn (float $ml) => new Line('Poured', $ml, 20.0, 0.5), $told), $off, 250.0);
        self::assertSame($kind, $slip?->kind);
        self::assertEqualsWithDelta($was, $slip === null ? 0.0 : $slip->wasMl, 1.0);
    }

    public function test_what_was_found_or_has_gone_was_told_by_nobody(): void
    {
        $lines = [new Line('Content found', 230.0, 20.0, null, found: true), Line::gone('Gone', 230.0)];
        self::assertNull(LikelySlip::in($lines, 2070.0, 250.0));
    }

    public function test_two_drains_that_gave_alike_are_not_one_told_twice(): void
    {
        $lines = [new Line('Out: left', -750.0, 20.0, null), new Line('Out: right', -750.0, 20.0, null)];
        self::assertNull(LikelySlip::in($lines, 750.0, 250.0));
    }
}
