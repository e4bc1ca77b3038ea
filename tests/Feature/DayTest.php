<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Floor\DayPage;
use App\Models\Visit;
use Aqbel\Core\Day\Slot;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Support\Carbon;

/** The plan of the day, as the floor stands. */
final class DayTest extends ShopTestCase
{
    public function test_open_jobs_and_due_visits_are_laid_out_over_people_and_shared_tools(): void
    {
        $this->actingAs($this->imre)->get('/day')->assertOk()->assertSee('Nothing is open');
        $one = $this->plan('SKP 660');
        $two = $this->plan('SKP 207', 'vacuum');
        $page = $this->get('/day')
            ->assertOk()
            ->assertSee('Imre Tovald')
            ->assertSee('SKP 660')
            ->assertSee('with the extraction');
        $page
            ->assertSee("/jobs/{$one->id}", false)
            ->assertSee("/jobs/{$two->id}", false)
            ->assertSee('Put first');
        $this->post("/day/{$two->id}", ['place' => '1'])->assertRedirect('/day');
        self::assertSame(1, $two->refresh()->day_rank);
        $this->get('/day')->assertOk()->assertSee('Let the plan decide')->assertDontSee('Earlier');
        // One more before it: what had a place keeps its order behind.
        $this->post("/day/{$one->id}", ['place' => '1'])->assertRedirect('/day');
        self::assertSame([1, 2], [$one->refresh()->day_rank, $two->refresh()->day_rank]);
        $this->get('/day')->assertOk()->assertSee('Later: SKP 660')->assertSee('Earlier: SKP 207');
        $this->post("/day/{$one->id}", ['place' => '9']);
        self::assertSame([2, 1], [$one->refresh()->day_rank, $two->refresh()->day_rank], 'the last place there is');
        foreach (['0', '-1', 'first', '1000'] as $nowhere) {
            $this->post("/day/{$two->id}", ['place' => $nowhere])->assertSessionHasErrors('place');
        }
        $this->post("/day/{$two->id}", ['place' => '']);
        self::assertNull($two->refresh()->day_rank);
        self::assertSame(1, $one->refresh()->day_rank);
        $this->post("/day/{$one->id}", ['place' => '']);
        // What is done is no longer laid out.
        $this->walk($one)->until(null);
        $this->get('/day')->assertOk()->assertDontSee("href=\"/jobs/{$one->id}\"", false);
        $this->get('/')->assertOk()->assertSee('/day', false);
    }

    public function test_a_clock_that_runs_already_is_waited_for_once(): void
    {
        Carbon::setTestNow(Carbon::now()->startOfHour());
        $job = $this->plan('SKP 660');
        $this->walk($job)
            ->until('heat_cycle:1')
            ->enter('start', ['place' => 'extraction', 'neck' => 'sealed'], 14)
            ->enter(
                'reading',
                ['ect' => '90', 'far' => '84', 'outlet_front' => '64', 'bubbles' => 'hidden', 'sign' => 'none'],
                2,
            )
            ->enter('shut_off', [], 0)
            ->finish('No time for the fan')
            ->enter('reading', ['ect' => '88', 'air' => '18'], 5);
        Carbon::setTestNow(now()->addMinutes(30));
        $left = ((int) $job->refresh()->waits_until - now()->getTimestamp()) / 60.0;
        self::assertGreaterThan(20.0, $left);
        $slots = (new DayPage(app(StepCatalogue::class), now()->getTimestamp()))->plan->slots;
        self::assertEqualsWithDelta($left, $slots[0]->fromMin, 1.1, 'hands come when the neck is free');
        // What is still to be waited for is the cool-down after the drive alone.
        self::assertCount(1, array_filter($slots, fn (Slot $slot) => $slot->task->waitMin > 0.0));
        Carbon::setTestNow();
    }

    public function test_a_vehicle_that_is_worked_on_is_looked_at_there_and_the_signature_takes_the_look_over(): void
    {
        $job = $this->plan('SKP 660');
        $this->walk($job)->until(null);
        $visit = Visit::query()->where('job_id', $job->id)->sole();
        Carbon::setTestNow(now()->addDays(5));
        $this->actingAs($this->imre)->get('/day')->assertOk()->assertSee('Cold level, visit');
        $this->get('/')->assertSee("/jobs/{$job->id}/visits", false);
        // Planned alone, it is still looked at; once it is worked on, not beside that.
        $next = $this->plan('SKP 660');
        $this->actingAs($this->imre)->get('/day')->assertSee('Cold level, visit');
        $this->walk($next)->until('make_safe');
        $this->actingAs($this->imre)->get('/day')->assertDontSee('Cold level, visit');
        $this->get('/')->assertDontSee("/jobs/{$job->id}/visits", false);
        $this->get('/visits')->assertOk()->assertSee('In the shop now')->assertSee("with {$next->number()}");
        $this->get("/vehicles/{$job->vehicle_id}")->assertOk()->assertSee("with {$next->number()}");
        self::assertTrue($visit->refresh()->isDue());
        $this->walk($next)->until(null);
        self::assertSame("Taken over by {$next->number()}.", $visit->refresh()->skipped_because);
        self::assertSame([$next->id], Visit::query()->due()->pluck('job_id')->all());
        Carbon::setTestNow();
    }
}
