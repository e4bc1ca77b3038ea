<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Person;
use Illuminate\Support\Carbon;

/** What is never waved through, and what needs a reason. */
final class SafetyTest extends ShopTestCase
{
    public function test_a_hot_neck_sealed_while_warming_is_never_opened_whatever_the_reason(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('cool_down:1');
        $this->enter($job, 'cool_down:1', 'reading', ['ect' => '92', 'air' => '15'])->assertSessionHasNoErrors();
        $this->finish($job, 'cool_down:1', 'The driver is waiting outside')->assertSessionHasErrors('finish');
        self::assertSame('cool_down:1', $job->state()->stepInHand()?->id);
        Carbon::setTestNow(now()->addHours(3));
        $this->enter($job, 'cool_down:1', 'reading', ['ect' => '40', 'air' => '15']);
        $this->finish($job, 'cool_down:1')->assertSessionHasNoErrors();
        $this->enter($job, 'cold_level:1', 'opened', ['ect' => '60'])->assertSessionHasErrors('ect');
    }

    public function test_a_neck_under_a_funnel_may_be_topped_up_hot(): void
    {
        $job = $this->plan('SKP 207');
        $this->walk($job)->until('heat_cycle:1')->enter('start', ['place' => 'outdoors', 'neck' => 'funnel'])
            ->enter(
                'reading',
                [
                    'ect' => '88',
                    'far' => '81',
                    'outlet_front' => '66',
                    'outlet_rear' => '61',
                    'bubbles' => 'none',
                    'sign' => 'none',
                ],
            );
        $this->enter($job, 'heat_cycle:1', 'topped', ['volume' => '0.3', 'vessel' => 'jug'])
            ->assertSessionHasNoErrors();
    }

    public function test_an_engine_never_runs_in_a_closed_room(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('heat_cycle:1');
        $this->enter($job, 'heat_cycle:1', 'start', ['place' => 'closed', 'neck' => 'sealed'])
            ->assertSessionHasErrors('place');
        self::assertSame([], $job->state()->entriesOf('heat_cycle:1', 'start'));
    }

    public function test_steam_is_told_with_nothing_beside_it_also_when_somebody_else_has_shut_the_engine_off(): void
    {
        foreach ([false, true] as $isOff) {
            $job = $this->plan($isOff ? 'SKP 660' : 'SKP 114');
            $this->walk($job)->until('heat_cycle:1')->enter('start', ['place' => 'outdoors', 'neck' => 'sealed']);
            if ($isOff) {
                $this->enter($job, 'heat_cycle:1', 'shut_off', [])->assertSessionHasNoErrors();
            }
            $calm = ['ect' => '', 'far' => '', 'outlet_front' => '', 'bubbles' => 'hidden', 'sign' => 'none'];
            $this->enter($job, 'heat_cycle:1', 'reading', $calm)->assertSessionHasErrors();
            $this->enter($job, 'heat_cycle:1', 'reading', ['sign' => 'steam'] + $calm)->assertSessionHasNoErrors();
            $this->get("/jobs/{$job->id}")->assertOk()->assertSee('Steam ends the run');
        }
    }

    public function test_steps_ahead_cannot_be_worked_past_the_cold_check(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('cold_check');
        $this->enter($job, 'drain:radiator_cock', 'out', ['volume' => '3'])->assertSessionHasErrors('finish');
        $this->finish($job, 'cold_check', 'It feels cold to the hand')->assertSessionHasErrors('finish');
    }

    public function test_cautions_are_acknowledged_once_a_job(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('make_safe');
        $this->actingAs($this->imre)->get("/jobs/{$job->id}")->assertSee('Chock the wheels');
        $this->finish($job, 'make_safe')->assertSessionHasErrors('finish');
        $this->walk($job)->until('leak_check');
        $this->actingAs($this->imre)->get("/jobs/{$job->id}")->assertOk()->assertDontSee('Chock the wheels');
        $this->actingAs($this->imre)
            ->post(
                "/jobs/{$job->id}/cautions",
                ['key' => 'caution-0001', 'step' => 'leak_check', 'hazards' => ['gravity' => 'leak_check']],
            )
            ->assertSessionHasErrors('hazard');
    }

    public function test_what_a_tablet_read_without_a_connection_counts_after_somebody_else_shut_it_off(): void
    {
        $job = $this->plan('SKP 660');
        $start = ['place' => 'outdoors', 'neck' => 'sealed', 'outside' => '18'];
        $this->walk($job)->until('heat_cycle:1')->enter('start', $start, 20);
        $shutOff = ['key' => 'shut-off-by-another', 'step' => 'heat_cycle:1', 'form' => 'shut_off'];
        $this->actingAs(Person::query()->where('login', 'sunniva')->firstOrFail())
            ->post("/jobs/{$job->id}/entries", $shutOff)->assertSessionHasNoErrors();
        $read = ['ect' => '128', 'far' => '60', 'outlet_front' => '66', 'bubbles' => 'hidden', 'sign' => 'none'];
        $this->actingAs($this->imre)->post("/jobs/{$job->id}/entries", [
            'key' => 'kept-without-a-line', 'age' => '300', 'step' => 'heat_cycle:1', 'form' => 'reading', 'fields' => $read,
        ])->assertSessionHasNoErrors();
        $state = $job->refresh()->state();
        self::assertSame('limit', $state->verdictOf($state->steps['heat_cycle:1'], now()->getTimestamp())?->code);
        $finish = fn (string $key, string $age) => $this->post("/jobs/{$job->id}/finish", [
            'key' => $key, 'age' => $age, 'step' => 'make_safe',
        ]);
        $lines = $job->lines()->count();
        $finish('kept-and-done-by-another', '300')->assertSessionHasNoErrors();
        $finish('pressed-on-an-old-page', '0')->assertSessionHasErrors('finish');
        self::assertSame($lines, $job->lines()->count());
        $this->post("/jobs/{$job->id}/entries", [
            'key' => 'nobody-reads-it-now', 'step' => 'heat_cycle:1', 'form' => 'reading', 'fields' => ['ect' => '90'] + $read,
        ])->assertSessionHasErrors();
    }

    public function test_the_stop_limit_follows_neck_and_elevation(): void
    {
        $job = $this->plan('SKP 207');
        $this->walk($job)->until('heat_cycle:1')->enter('start', ['place' => 'outdoors', 'neck' => 'funnel']);
        // Half and half boils near 103 °C at 1,420 m: the fan at 96 °C cannot be waited for.
        $this->actingAs($this->imre)->get("/jobs/{$job->id}")->assertSee('the fan cannot be the proof');
        $this->enter(
            $job,
            'heat_cycle:1',
            'reading',
            [
                'ect' => '95',
                'far' => '90',
                'outlet_front' => '66',
                'outlet_rear' => '61',
                'bubbles' => 'none',
                'sign' => 'none',
            ],
        );
        $this->actingAs($this->imre)->get("/jobs/{$job->id}")->assertSee('Shut off now');
    }

    public function test_cure_time_gates_and_a_typed_reason_is_kept(): void
    {
        $this->actingAs($this->imre)
            ->post('/jobs', ['vehicle' => 1, 'chosen' => '1', 'drains' => ['radiator_cock'], 'cure' => '90']);
        $job = \App\Models\Job::query()->latest('id')->firstOrFail();
        $this->walk($job)->until('cure')->enter('started')->finish();
        $this->walk($job)->until('cured');
        $this->actingAs($this->imre)->get("/jobs/{$job->id}")->assertSee('no vacuum and no pressure');
        $this->finish($job, 'cured')->assertSessionHasErrors('finish');
        $this->finish($job, 'cured', 'Dry gasket after all, no sealant used')->assertSessionHasNoErrors();
        $this->actingAs($this->imre)->get("/jobs/{$job->id}/record")->assertSee('Dry gasket after all');
    }
}
