<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use App\Calc\Input;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\NeckLimit;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Plan\WarmUp;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** Where a run ends before its thermostat has opened, no number of runs shows what is behind it. */
final class NeckLimitTest extends TestCase
{
    public function test_a_thermostat_has_to_open_by_three_kelvin_below_the_limit(): void
    {
        $groomer = Demo::circuit('piste-groomer');
        $boiling = fn (float $celsius): StopLimit => new StopLimit(Temperature::celsius($celsius));

        self::assertSame(82.0, $groomer->opensAtC());
        self::assertTrue(NeckLimit::showsTheFarSide($groomer, $boiling(95.0)));
        self::assertFalse(NeckLimit::showsTheFarSide($groomer, $boiling(94.9)));
        self::assertTrue(NeckLimit::showsTheFarSide(Demo::circuit('taxi-electronics'), $boiling(60.0)), 'it has none');
    }

    public function test_only_what_stays_unsealed_ends_too_early_and_only_up_there(): void
    {
        $groomer = Demo::circuit('piste-groomer');
        $endsEarly = fn (float $metres, WarmUp $by): bool => NeckLimit::endsTooEarly(
            $groomer,
            self::choices($groomer, $metres),
            $by,
        );

        self::assertTrue($endsEarly(3_900.0, WarmUp::LooseCap));
        self::assertTrue($endsEarly(3_900.0, WarmUp::UnderFunnel));
        self::assertFalse($endsEarly(3_900.0, WarmUp::OpenNeck), 'its cap goes on hot');
        self::assertFalse($endsEarly(3_900.0, WarmUp::Usual));
        self::assertFalse($endsEarly(1_420.0, WarmUp::LooseCap));
        $capless = Demo::layout('radiator_cap');
        self::assertFalse(
            NeckLimit::endsTooEarly($capless, self::choices($capless, 5_000.0, 0.3), WarmUp::LooseCap),
            'of a cap nobody knows it gets no hotter: sealed is no remedy',
        );
    }

    public function test_such_a_way_is_not_offered_and_says_why(): void
    {
        $groomer = Demo::circuit('piste-groomer');
        $planner = new Planner(StepCatalogue::standard(), SchoolCatalogue::standard());
        $on = $planner->groundwork($groomer, self::choices($groomer, 3_900.0));

        $misfit = fn (string $school): ?string => $planner->misfit($planner->schools->of($school), $on)?->code;
        self::assertSame('ends_too_early', $misfit('loose_cap'));
        self::assertNull($misfit('gravity'));
    }

    private static function choices(Circuit $circuit, float $metres, float $fraction = 0.4): Choices
    {
        return (new Input(['choices' => ['elevation_m' => $metres, 'target_fraction' => $fraction]]))->choices($circuit);
    }
}
