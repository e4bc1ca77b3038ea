<?php

declare(strict_types=1);

namespace Tests\Core\Stores;

use Aqbel\Core\Stores\Moved;
use Aqbel\Core\Stores\Movement;
use Aqbel\Core\Stores\Stock;
use PHPUnit\Framework\TestCase;

/** What is in a can by everything that moved, and how well that is known. */
final class StockTest extends TestCase
{
    public function test_litres_add_up_and_so_does_what_is_unsure_of_them(): void
    {
        $stock = Stock::of([
            new Movement(Moved::Shelved, 5000.0, plusMinusMl: 60.0),
            new Movement(Moved::ByJob, -2000.0, plusMinusMl: 80.0),
            new Movement(Moved::GivenAlong, -500.0, plusMinusMl: 0.0),
        ]);
        self::assertEqualsWithDelta([2500.0, 100.0], [$stock->ml, $stock->plusMinusMl], 1e-9);
    }

    public function test_a_count_stands_and_ends_what_was_unsure_before_it(): void
    {
        $before = [new Movement(Moved::Shelved, 5000.0), new Movement(Moved::Spilled, -1000.0)];
        $counted = new Movement(Moved::Counted, 0.0, 3700.0, 50.0);
        $stock = Stock::of([...$before, $counted]);
        self::assertSame([3700.0, 50.0], [$stock->ml, $stock->plusMinusMl]);
        // What was before it may be put right as often as one likes.
        self::assertEquals($stock, Stock::of([new Movement(Moved::Shelved, 50_000.0), $counted]));
        self::assertSame(3200.0, Stock::of([...$before, $counted, new Movement(Moved::ByJob, -500.0)])->ml);
    }

    public function test_a_guess_is_worth_less_than_a_look(): void
    {
        self::assertSame(500.0, (new Movement(Moved::Spilled, -1000.0))->plusMinusMl);
        self::assertSame(50.0, (new Movement(Moved::GivenAlong, -1000.0))->plusMinusMl);
        self::assertSame(200.0, (new Movement(Moved::Counted, -1000.0, 4000.0))->plusMinusMl);
    }
}
