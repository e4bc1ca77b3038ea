<?php

declare(strict_types=1);

namespace Tests\Core\Judged;

use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Heat\StopReason;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\JobKind;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** Where a run ends, whatever of its engine is known. */
final class StopLimitAtNeckTest extends TestCase
{
    public function test_an_engine_of_which_nobody_said_how_hot_it_may_get_is_not_run_up_to_its_boiling_point(): void
    {
        // 115 °C: common practice, no source.
        self::assertSame([115.0, StopReason::Usual], self::limit([]));
        self::assertSame([108.0, StopReason::Vehicle], self::limit(['limit_c' => 108]));
        self::assertSame([104.0, StopReason::Fan], self::limit(['fan_on_c' => 99]));
        [$open, $because] = self::limit([], Neck::Open);
        self::assertLessThan(100.0, $open);
        self::assertSame(StopReason::Boiling, $because);
    }

    /**
     * @param  array<string, float|int>  $facts
     * @return array{float, StopReason}
     */
    private static function limit(array $facts, Neck $neck = Neck::Sealed): array
    {
        $document = Demo::document('post-van');
        unset($document['facts']['fan_on_c'], $document['facts']['fan_off_c'], $document['facts']['limit_c']);
        $circuit = CircuitReader::read([...$document, 'facts' => [...$document['facts'], ...$facts]]);
        $choices = new Choices(
            jobKind: JobKind::Repair,
            complaint: Complaint::None,
            school: 'gravity',
            opened: ['upper_hose'],
            drains: ['radiator_cock'],
            elevationM: 310.0,
            noseLiftMm: 0.0,
            targetFraction: 0.5,
            cureMinutes: 0.0,
            rules: new HouseRules(),
        );
        $planner = Demo::planner();
        $job = new JobState($circuit, $planner->plan($circuit, $choices), $planner->kinds);
        $limit = StopLimitAtNeck::of($job->at($job->steps['heat_cycle:1'], 0), $neck);

        return [$limit->limit->degC(), $limit->because];
    }
}
