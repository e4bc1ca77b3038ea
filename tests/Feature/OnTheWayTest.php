<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\Job;
use Aqbel\Core\Heat\Shelter;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Writing\Replanning;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** Work that changes in the middle, over HTTP: kept as it is sent, told when it cannot be, and never a 500. */
final class OnTheWayTest extends ShopTestCase
{
    public function test_another_way_is_kept_with_its_plan_and_read_again(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('fill_level');
        $send = fn (array $fields) => $this->post("/jobs/{$job->id}/another-way", [
            'key' => bin2hex(random_bytes(8)),
            ...$fields,
        ]);
        foreach (
            [[], ['school' => ['x']], ['school' => 'somehow'], ['school' => 'gravity'], ['school' => 'vacuum']] as $bad
        ) {
            $send($bad)->assertSessionHasErrors('school');
        }
        foreach (['a lot', '61 %', '-3', ['x' => 'y']] as $bad) {
            $send(['school' => 'gravity', 'target' => $bad])->assertSessionHasErrors(
                is_array($bad) ? 'school' : 'target',
            );
        }
        self::assertSame('gravity', Plan::of($job->state())->school->id());

        $key = bin2hex(random_bytes(8));
        foreach (['once', 'and the same press again'] as $_) {
            $this->post("/jobs/{$job->id}/another-way", [
                'key' => $key,
                'school' => 'loose_cap',
                'target' => '55 %',
                'why' => 'No tester here',
            ])
                ->assertSessionHasNoErrors()
                ->assertRedirect("/jobs/{$job->id}");
        }
        $state = ($job = Job::query()->findOrFail($job->id))->state();
        self::assertCount(1, $state->cameUp());
        self::assertSame('loose_cap', Plan::of($state)->school->id());
        self::assertEqualsWithDelta(0.55, Plan::of($state)->choices->targetFraction, 1e-9);
        self::assertSame('gravity', Plan::of($state->withOnly([]))->school->id(), 'as it was planned');
        $this->get("/jobs/{$job->id}")->assertOk();
        $this->get("/jobs/{$job->id}/manage")->assertOk()->assertSee('Another way from here');
        $this->get("/jobs/{$job->id}/record")->assertOk()->assertSee('to 55 % glycol')->assertSee('No tester here');
        $this->walk($job)->until(null);
        self::assertNotNull($job->refresh()->signed_at);
        $this->post("/jobs/{$job->id}/another-way", [
            'key' => bin2hex(random_bytes(8)),
            'school' => 'gravity',
        ])->assertSessionHasErrors();
    }

    public function test_a_job_that_turned_does_not_go_by_a_newer_circuit(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('mix');
        $this->post("/jobs/{$job->id}/another-way", [
            'key' => bin2hex(random_bytes(8)),
            'school' => 'loose_cap',
        ])->assertSessionHasNoErrors();
        Circuit::query()->create([
            'key' => $job->circuit->key,
            'revision' => 9,
            'name' => 'x',
            'document' => $job->circuit->document,
        ]);
        $this->post("/jobs/{$job->id}/merge")->assertSessionHasErrors('merge');
        self::assertSame($job->circuit_id, $job->refresh()->circuit_id);
    }

    public function test_what_came_up_is_corrected_taken_back_and_watched(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('close_up');
        $this->enter($job, 'close_up', 'finding', ['what' => '', 'then' => 'watch'])->assertSessionHasErrors('what');
        $this->enter($job, 'close_up', 'finding', [
            'what' => 'Shroud cracked',
            'then' => 'watch',
            'part' => 'no such part',
        ])->assertSessionHasErrors('part');
        $this->enter($job, 'close_up', 'finding', [
            'what' => 'Shroud cracked',
            'then' => 'watch',
        ])->assertSessionHasNoErrors();
        self::assertContains('Shroud cracked', Job::query()->findOrFail($job->id)->summary->watch ?? []);
        $seq = $job->state()->cameUp()[0]->seq;
        $this->get("/jobs/{$job->id}/entries/{$seq}")
            ->assertOk()
            ->assertSee('Shroud cracked');
        $this->post("/jobs/{$job->id}/entries/{$seq}", [
            'key' => bin2hex(random_bytes(8)),
            'fields' => ['what' => 'Shroud cracked, left', 'part' => '', 'then' => 'now', 'until' => ''],
        ])->assertSessionHasNoErrors();
        self::assertSame(
            "extra:{$seq}",
            Job::query()->findOrFail($job->id)->state()->stepInHand()?->id,
            'the correction asks for it now',
        );
        $this->post("/jobs/{$job->id}/entries/{$seq}", [
            'key' => bin2hex(random_bytes(8)),
            'take_back' => '1',
        ])->assertSessionHasNoErrors();
        self::assertSame('close_up', Job::query()->findOrFail($job->id)->state()->stepInHand()?->id);
        self::assertSame([], Job::query()->findOrFail($job->id)->summary->watch ?? []);
        $this->enter($job, 'close_up', 'replan', ['said' => 'by nobody'])->assertSessionHasErrors();
    }

    public function test_what_happened_earlier_at_the_step_in_hand_is_told_of_its_own_time(): void
    {
        Carbon::setTestNow(now()->subHours(10));
        $job = $this->plan();
        $walk = $this->walk($job)->until('heat_cycle:1');
        $walk->enter('start', ['place' => 'outdoors', 'neck' => 'sealed']);
        $started = (int) now()->getTimestamp();
        $this->get("/jobs/{$job->id}")->assertOk()->assertDontSee('nothing was entered for');
        Carbon::setTestNow(now()->addHours(9));

        $this->get("/jobs/{$job->id}")->assertOk()->assertSee('nothing was entered for 9 h 0');
        $this->get("/jobs/{$job->id}?step=heat_cycle:1&earlier=1")
            ->assertOk()
            ->assertSee("/jobs/{$job->id}/late", false)
            ->assertSee('Engine is off, then');
        // A danger is acted on now, whatever else somebody wanted to tell.
        $walk->enter('reading', ['sign' => 'steam']);
        $this->get("/jobs/{$job->id}?step=heat_cycle:1&earlier=1")
            ->assertOk()
            ->assertDontSee('Engine is off, then')
            ->assertSee('value="shut_off"', false);
        $steam = Job::query()->findOrFail($job->id)->state()->journal->last();
        $this->post("/jobs/{$job->id}/entries/{$steam}", [
            'key' => bin2hex(random_bytes(8)), 'take_back' => '1', 'reason' => 'Another vehicle',
        ])->assertSessionHasNoErrors();
        $off = fn (int $when) => $this->post("/jobs/{$job->id}/late", [
            'key' => bin2hex(random_bytes(8)), 'step' => 'heat_cycle:1', 'form' => 'shut_off',
            'when' => date('Y-m-d\TH:i', $when),
        ]);
        foreach ([$started - 3600, $started - 60, $started + 86400] as $cannotBe) {
            $off($cannotBe)->assertSessionHasErrors('when');
        }
        $off($started + 1800)->assertSessionHasNoErrors();
        $line = array_slice(Job::query()->findOrFail($job->id)->state()->entriesOf('heat_cycle:1'), -1)[0];
        self::assertSame('shut_off', $line->form);
        self::assertEqualsWithDelta($started + 1800, $line->at, 60);
        $this->get("/jobs/{$job->id}")->assertOk()->assertDontSee('nothing was entered for')->assertSee('Tell a reading of its own time');
    }

    public function test_a_danger_told_of_a_time_that_cannot_be_is_taken_as_of_now(): void
    {
        Carbon::setTestNow(now()->subHours(10));
        $job = $this->plan();
        $this->walk($job)->until('heat_cycle:1')->enter('start', ['place' => 'outdoors', 'neck' => 'sealed']);
        $started = (int) now()->getTimestamp();
        Carbon::setTestNow(now()->addMinutes(30));
        $late = fn (string $when, array $of) => $this->post("/jobs/{$job->id}/late", [
            'key' => bin2hex(random_bytes(8)), 'step' => 'heat_cycle:1', 'form' => 'reading', 'when' => $when, 'fields' => $of,
        ]);
        $times = [date('Y-m-d\TH:i', $started - 3600), date('Y-m-d\TH:i', $started + 86400), 'yesterday', ''];
        foreach ($times as $when) {
            $late($when, ['ect' => '84', 'sign' => 'none'])->assertSessionHasErrors('when');
        }
        $lines = fn (): array => Job::query()->findOrFail($job->id)->state()->entriesOf('heat_cycle:1');
        self::assertCount(1, $lines());
        foreach ($times as $n => $when) {
            $late($when, ['sign' => 'steam'])
                ->assertSessionHasNoErrors()
                ->assertSessionHas('notice', 'Taken as of now: it could not be at the time that was told.');
            self::assertCount($n + 2, $lines());
            self::assertEqualsWithDelta(now()->getTimestamp(), $lines()[$n + 1]->at, 1);
        }
        $this->get("/jobs/{$job->id}")->assertOk()->assertSee('value="shut_off"', false);
        $this->walk($job)->enter('shut_off', []);
        $this->post("/jobs/{$job->id}/finish", ['key' => bin2hex(random_bytes(8)), 'step' => 'heat_cycle:1']);
        self::assertArrayHasKey('heat_cycle:1', Job::query()->findOrFail($job->id)->state()->closed);
        $late($times[1], ['ect' => '84', 'sign' => 'none'])->assertSessionHasErrors('when');
        $late($times[1], ['sign' => 'steam'])->assertSessionHasNoErrors();
        self::assertCount(7, $lines());
    }

    public function test_an_engine_that_runs_stays_in_hand_whatever_somebody_puts_right_meanwhile(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('heat_cycle:1')->enter('start', ['place' => 'outdoors', 'neck' => 'sealed']);
        $state = fn (): JobState => Job::query()->findOrFail($job->id)->state();
        $ran = $state()->entriesOf('drain:radiator_cock', 'out')[0];
        $this->post("/jobs/{$job->id}/entries/{$ran->seq}", [
            'key' => bin2hex(random_bytes(8)), 'take_back' => '1', 'reason' => 'Read in the wrong pan',
        ])->assertSessionHasNoErrors();
        self::assertNotSame([], $state()->turn()->openBefore($state()->steps['heat_cycle:1']));
        self::assertSame('heat_cycle:1', $state()->stepInHand()?->id);
        $enter = fn (string $form, array $of = [], int $age = 0): TestResponse => $this->post(
            "/jobs/{$job->id}/entries",
            [
                'key' => bin2hex(random_bytes(8)),
                'step' => 'heat_cycle:1',
                'form' => $form,
                'fields' => $of,
                'age' => (string) $age,
            ],
        );
        $enter('reading', ['sign' => 'steam'])->assertSessionHasNoErrors();
        $this->get("/jobs/{$job->id}")->assertSee('Steam ends the run')->assertSee('value="shut_off"', false);
        $this->get('/vehicles')->assertSee("/jobs/{$job->id}", false)->assertSee('Shut off now');
        $this->post("/jobs/{$job->id}/finish", ['key' => bin2hex(random_bytes(8)), 'step' => 'heat_cycle:1'])
            ->assertSessionHasErrors(['finish' => 'The engine is still running. Shut it off first.']);
        Carbon::setTestNow(now()->addMinutes(2));
        $enter('shut_off')->assertSessionHasNoErrors();
        Carbon::setTestNow(now()->addSeconds(10));
        self::assertSame('drain:radiator_cock', $state()->stepInHand()?->id);
        $calm = ['ect' => '80', 'far' => '70', 'fan' => 'none', 'bubbles' => 'hidden', 'sign' => 'none'];
        $enter('reading', $calm)->assertSessionHasErrors('finish');
        // A tablet that was cut off sends what it heard while the engine ran; a danger is taken at any time.
        $lines = count($state()->entriesOf('heat_cycle:1'));
        $enter('reading', $calm, 20)->assertSessionHasNoErrors();
        $enter('reading', ['sign' => 'lamp'])->assertSessionHasNoErrors();
        $this->get("/jobs/{$job->id}?step=heat_cycle:1")->assertSee('Begun, not finished')->assertSee('Steam ends the run');
        self::assertCount($lines + 2, $state()->entriesOf('heat_cycle:1'));
        self::assertSame('drain:radiator_cock', $state()->stepInHand()?->id);
    }

    public function test_a_danger_at_a_step_that_somebody_else_has_finished_puts_it_in_hand_again(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('cool_down:1');
        $tell = fn (string $sign) => $this->post("/jobs/{$job->id}/entries", [
            'key' => bin2hex(random_bytes(8)), 'step' => 'heat_cycle:1', 'form' => 'reading',
            'fields' => ['ect' => '90', 'far' => '86', 'fans' => '2', 'sign' => $sign],
        ]);
        $inHand = fn (): ?string => Job::query()->findOrFail($job->id)->state()->stepInHand()?->id;
        $tell('none')->assertSessionHasErrors('finish');
        self::assertSame('cool_down:1', $inHand());
        $tell('steam')->assertSessionHasNoErrors();
        self::assertSame('heat_cycle:1', $inHand());
        $this->get("/jobs/{$job->id}")->assertOk()->assertSee('In hand again')->assertSee('Steam ends the run');
    }

    public function test_a_forgotten_line_stands_at_its_own_time(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('close_up');
        $closed = $job->state()->closed['look']->at;
        $late = fn (mixed $when, string $volume = '0.1') => $this->post("/jobs/{$job->id}/late", [
            'key' => bin2hex(random_bytes(8)), 'step' => 'drain:left_plug', 'form' => 'elsewhere', 'when' => $when,
            'fields' => ['way' => 'spill', 'volume' => $volume, 'vessel' => 'jug', 'part' => ''],
        ]);
        foreach (
            ['', 'noon', ['x'], date('Y-m-d\TH:i', $closed + 86400), date('Y-m-d\TH:i', $closed - 30 * 86400)] as $bad
        ) {
            $late($bad)->assertSessionHasErrors('when');
        }
        $before = $job->state()->ledger()->contentMl;
        $drained = $job->state()->closed['drain:left_plug']->at;
        $late(date('Y-m-d\TH:i', $drained - 60))->assertSessionHasNoErrors();
        $state = Job::query()->findOrFail($job->id)->state();
        self::assertEqualsWithDelta($before - 100.0, $state->ledger()->contentMl, 1e-6);
        $line = array_values(array_filter($state->entriesOf('drain:left_plug'), fn ($e) => $e->form === 'elsewhere'))[0];
        self::assertLessThan($drained, $line->at);
        self::assertFalse($line->closes());
        $this->get("/jobs/{$job->id}?step=drain:left_plug")->assertOk()->assertSee('Something was forgotten here');

        // What that changes stands where the job goes on, with a press to each.
        $late(date('Y-m-d\TH:i', $drained - 60), '2.0')->assertSessionHasNoErrors();
        $this->get("/jobs/{$job->id}")
            ->assertOk()
            ->assertSee('Changed by what was put right')
            ->assertSee("/jobs/{$job->id}?step=reconcile%3A1", false);
    }

    public function test_the_place_of_a_job_is_changed_in_the_middle_of_it_and_its_limits_follow(): void
    {
        $job = $this->plan('SKP 660');
        $this->walk($job)->until('heat_cycle:1');
        $limit = fn (): float => StopLimitAtNeck::of(
            $job
                ->refresh()
                ->state()
                ->at($job->state()->steps['heat_cycle:1'], now()->getTimestamp()),
            Neck::Open,
        )->limit->degC();
        $before = $limit();
        $this->actingAs($this->imre)
            ->get("/jobs/{$job->id}/manage")
            ->assertOk()
            ->assertSee('Elevation above sea level')
            ->assertSee('1420');
        $go = fn (array $more) => $this->from("/jobs/{$job->id}/manage")->post("/jobs/{$job->id}/another-way", [
            'key' => (string) Str::uuid(),
            'why' => 'towed',
            ...$more,
        ]);
        $go(['elevation' => '1420', 'shelter' => 'open'])->assertSessionHasErrors('school');
        $go(['elevation' => '12000'])->assertSessionHasErrors('elevation');
        self::assertSame($before, $limit());
        $go(['elevation' => '3,000 m', 'shelter' => 'wind'])->assertSessionHasNoErrors();
        self::assertLessThan($before - 3.0, $limit(), 'water boils lower up there');
        self::assertSame(
            [3000.0, Shelter::Wind],
            [Plan::of($job->state())->choices->elevationM, Plan::of($job->state())->choices->shelter],
        );
        $this->get("/jobs/{$job->id}")
            ->assertOk()
            ->assertSee('at 3,000 m, in the wind');
        // A second page, drawn before that, would take it back without a word.
        $go(['seen' => '0', 'elevation' => '1420', 'shelter' => 'open', 'target' => '45 %'])->assertSessionHasErrors([
            'school' => 'Imre Tovald has planned it anew since this page was opened: '
                .$job->refresh()->state()->journal->lines[Replanning::newest($job->state()) - 1]->text('said')
                .'. Look at it, and choose once more.',
        ]);
        self::assertSame(3000.0, Plan::of($job->refresh()->state())->choices->elevationM);
        $this->get("/jobs/{$job->id}/manage")->assertSee(
            'name="seen" value="'.Replanning::newest($job->state()).'"',
            false,
        );
        $go(['seen' => (string) Replanning::newest($job->state()), 'elevation' => '1420'])->assertSessionHasNoErrors();
    }
}
