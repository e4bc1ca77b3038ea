<?php

declare(strict_types=1);

namespace Tests\App;

use App\Run\Level;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Range;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Origin;
use PHPUnit\Framework\TestCase;

/** A number in its tube, and how sure it is. */
final class LevelTest extends TestCase
{
    private function level(?Range $within, float $base = 6000.0): Level
    {
        return new Level(
            new Figure('Stays inside', $base, Dimension::Volume, Origin::Measured, 8000.0, 'full', $within),
            UnitSystem::Metric,
        );
    }

    public function test_the_band_lies_about_the_surface_and_is_said_beside_the_number(): void
    {
        $level = $this->level(Range::within(6000.0, 400.0));
        self::assertSame(' ± 0.40', $level->within());
        [$top, $height] = $level->band() ?? [0.0, 0.0];
        $surface = Level::HEIGHT - $level->wet();
        self::assertEqualsWithDelta($surface, $top + $height / 2.0, 0.2);
        self::assertEqualsWithDelta(Level::HEIGHT * 800.0 / (8000.0 * 1.15), $height, 0.2);
    }

    public function test_what_is_surer_on_one_side_is_said_from_where_to_where(): void
    {
        $drained = Range::of(2000.0, [1900.0, 2000.0, 2500.0, 2600.0]);
        $needed = $drained->restOf(6000.0);
        self::assertGreaterThan(
            $needed->high - 6000.0,
            6000.0 - $needed->low,
            'where more may stay inside, less may be needed',
        );
        self::assertSame(', 5.40 to 6.10', $this->level($needed)->within());
        self::assertSame(', 0.00 to 0.30', $this->level(Range::of(100.0, [0.0, 0.0, 100.0, 300.0]), 100.0)->within());
    }

    public function test_where_nothing_is_doubted_nothing_is_said(): void
    {
        foreach ([null, Range::sure(6000.0), Range::within(6000.0, 1.0)] as $sure) {
            self::assertSame('', $this->level($sure)->within());
            self::assertNull($this->level($sure)->band());
        }
    }
}
