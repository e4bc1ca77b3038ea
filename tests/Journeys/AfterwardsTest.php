<?php

declare(strict_types=1);

namespace Tests\Journeys;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What happened counts, and not when it was typed. */
final class AfterwardsTest extends TestCase
{
    #[TestWith(['rescue-ambulance', 'gravity'])]
    #[TestWith(['rescue-ambulance', 'vacuum'])]
    #[TestWith(['rescue-ambulance', 'loose_cap'])]
    #[TestWith(['school-minibus', 'funnel'])]
    #[TestWith(['compact-loader', 'engine_first:upper_end'])]
    public function test_a_job_that_is_written_up_step_by_step_comes_to_the_same(string $circuit, string $school): void
    {
        $answers = [];
        foreach ([false, true] as $afterwards) {
            $journey = new Journey([
                'about' => '', 'circuit' => $circuit, 'lines' => [],
                'choices' => ['school' => $school, 'elevation_m' => 1420],
            ]);
            while ($journey->state()->stepInHand() !== null) {
                $journey->go($afterwards);
            }
            $answers[] = $journey->answer();
        }
        self::assertSame($answers[0], $answers[1]);
    }
}
