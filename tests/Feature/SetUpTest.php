<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Instruments\Door;
use App\Models\Job;
use Aqbel\Core\Judged\StillSetUp;
use Aqbel\Core\Observed\SetUp;
use Aqbel\Core\Plan\LeftBehind;
use Aqbel\Core\Steps\GivenUp;
use Illuminate\Support\Carbon;

/** What was set up for the work stands until somebody says that it is set back, whoever was passed over. */
final class SetUpTest extends ShopTestCase
{
    private Job $job;

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow(Carbon::now()->startOfSecond());
        $this->job = $this->plan('SKP 660');
        $this->actingAs($this->imre);
    }

    public function test_pumped_up_and_called_away_is_let_off_before_anything_runs(): void
    {
        $this->walk($this->job)->until('pressure_test');
        $this->enter($this->job, 'pressure_test', 'pumped', ['start' => '60 kPa'])->assertSessionHasNoErrors();
        $this->get("/jobs/{$this->job->id}/manage")->assertOk()->assertSee('Still under pressure.');
        $this->enter($this->job, 'pressure_test', 'declined', ['why' => 'Called away'])->assertSessionHasNoErrors();
        $this->post("/jobs/{$this->job->id}/cautions", ['key' => 'caution-read-01', 'hazards' => ['overpressure' => 'pressure_test']]);
        $this->finish($this->job, 'pressure_test')->assertSessionHasNoErrors();
        $this->walk($this->job)->until('heat_cycle:1');
        $this->get("/jobs/{$this->job->id}")->assertOk()
            ->assertSee('nobody has said that the pressure is off')
            ->assertSee('The pressure is off')
            ->assertDontSee('It stands on level ground');
        $start = ['place' => 'outdoors', 'neck' => 'sealed', 'outside' => '18'];
        $this->enter($this->job, 'heat_cycle:1', 'start', $start)->assertSessionHasErrors('finish');
        $this->enter($this->job, 'heat_cycle:1', 'set_back', ['what' => 'nose'])->assertSessionHasErrors();
        $this->enter($this->job, 'heat_cycle:1', 'set_back', ['what' => 'pressure'])->assertSessionHasNoErrors();
        $this->get("/jobs/{$this->job->id}")->assertOk()->assertSee('Now the pressure is off')->assertDontSee('nobody has said');
        $this->enter($this->job, 'heat_cycle:1', 'start', $start)->assertSessionHasNoErrors();
        $this->get("/jobs/{$this->job->id}/manage")->assertOk()->assertDontSee('Still under pressure.');
    }

    public function test_a_danger_is_not_given_up_with_the_job(): void
    {
        $this->walk($this->job)->until('heat_cycle:1')->enter('start', ['place' => 'outdoors', 'neck' => 'sealed']);
        $steam = ['sign' => 'steam', 'bubbles' => 'hidden'];
        $this->enter($this->job, 'heat_cycle:1', 'reading', $steam)->assertSessionHasNoErrors();
        $this->enter($this->job, 'heat_cycle:1', 'shut_off', [])->assertSessionHasNoErrors();
        $next = $this->givenUpAndPlannedAnew($this->job);
        $this->get("/jobs/{$next->id}?step=found")->assertSee('had to be stopped, and nobody has said why');
        // Given up once more before anybody looked, it goes on.
        $again = $this->givenUpAndPlannedAnew($next);
        $this->walk($again)->until(LeftBehind::CAUSE);
        $this->finish($again, LeftBehind::CAUSE, 'It was fine afterwards')->assertSessionHasErrors('finish');
        $cause = ['cause' => 'air', 'how' => 'a litre short'];
        $this->enter($again, LeftBehind::CAUSE, 'cause', $cause)->assertSessionHasNoErrors();
        $this->finish($again, LeftBehind::CAUSE)->assertSessionHasNoErrors();
        $last = $this->givenUpAndPlannedAnew($again);
        self::assertArrayNotHasKey(LeftBehind::CAUSE, $last->state()->steps);
        $this->get("/jobs/{$last->id}?step=found")->assertDontSee('had to be stopped');
    }

    public function test_what_still_stands_when_a_job_is_given_up_is_set_back_in_the_next(): void
    {
        $this->walk($this->job)->until('pressure_test');
        $this->enter($this->job, 'pressure_test', 'pumped', ['start' => '60 kPa'])->assertSessionHasNoErrors();
        $out = ['way' => 'hose', 'volume' => '0.3 L', 'vessel' => 'jug', 'part' => ''];
        $this->enter($this->job, 'pressure_test', 'outlet', $out)->assertSessionHasNoErrors();
        $next = $this->givenUpAndPlannedAnew($this->job);
        $this->get("/jobs/{$next->id}?step=found")->assertSee('under pressure; with a hose off');
        $standing = fn (Job $job): array => StillSetUp::standing($job->refresh()->state());
        $again = $this->givenUpAndPlannedAnew($next);
        self::assertSame([SetUp::UnderPressure, SetUp::JointOff], $standing($again));
        $this->walk($again)->until('baseline');
        $this->get("/jobs/{$again->id}")->assertSee('nobody has said that the pressure is off');
        $this->enter($again, 'baseline', 'set_back', ['what' => 'pressure'])->assertSessionHasNoErrors();
        self::assertSame([SetUp::JointOff], $standing($again));
        $this->get("/jobs/{$again->id}")->assertSee('what the job before left off. Put it back');
        $this->enter($again, 'baseline', 'not_run', [])->assertSessionHasNoErrors();
        $this->finish($again, 'baseline')->assertSessionHasNoErrors();
        $this->walk($again)->until('mix');
        self::assertSame([], $standing($again), 'closing up puts back what is off');
        self::assertSame([], GivenUp::leaves($again->refresh()->state(), 'J0001', now()->getTimestamp())->setUp);
    }

    private function givenUpAndPlannedAnew(Job $job): Job
    {
        Carbon::setTestNow(now()->addHours(14));
        $why = ['why' => 'Waits for a part', 'anew' => '0'];
        $this->post("/jobs/{$job->id}/abandon", $why)->assertSessionHasNoErrors();
        $this->get("/jobs/new?vehicle={$job->vehicle_id}")->assertOk()->assertSee("{$job->number()} was given up.");
        $next = $this->plan('SKP 660');
        $this->actingAs($this->imre);

        return $next;
    }

    public function test_however_much_is_to_be_put_right_first_each_has_its_own_key(): void
    {
        $this->walk($this->job)->until('drain:radiator_cock');
        $this->enter($this->job, 'drain:radiator_cock', 'opened', ['cap' => 'off'])->assertSessionHasNoErrors();
        $lost = ['way' => 'spill', 'volume' => '5 L'];
        $this->enter($this->job, 'drain:radiator_cock', 'outlet', $lost)->assertSessionHasNoErrors();
        while (($step = $this->job->refresh()->state()->stepInHand()) !== null && $step->kind !== 'heat_cycle') {
            if ($step->kind === 'pressure_test') {
                $this->enter($this->job, $step->id, 'pumped', ['start' => '60 kPa'])->assertSessionHasNoErrors();
            }
            $this->finish($this->job, $step->id, 'Passed over on purpose')->assertSessionHasNoErrors();
        }
        $feed = Door::open($this->job, $this->imre, 'Plug');
        for ($i = 0; $i < 5; $i++) {
            Carbon::setTestNow(now()->addSecond());
            $this->call('POST', "/feeds/{$feed->token}", content: 'rpm,'.now()->getTimestamp().',780')->assertOk();
        }
        $page = (string) $this->get("/jobs/{$this->job->id}")->assertOk()
            ->assertSee('Poured on')->assertSee('It is off')->assertSee('The pressure is off')
            ->getContent();
        preg_match_all('/data-key="(\w)"/', $page, $keys);
        self::assertSame([], array_filter(array_count_values($keys[1]), fn (int $often) => $often > 1));
        self::assertSame(['z', 'r', 'x', 'v'], array_values(array_intersect($keys[1], ['v', 'x', 'z', 'r'])));
    }
}
