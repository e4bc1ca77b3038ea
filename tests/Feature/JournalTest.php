<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Person;
use App\Models\Role;
use Aqbel\Core\Job\Lines;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

final class JournalTest extends ShopTestCase
{
    public function test_a_repeated_send_counts_once(): void
    {
        $job = $this->plan();
        foreach ([1, 2, 3] as $_) {
            $this->enter($job, 'found', 'found', ['content' => 'full'], 'same-key-00001')
                ->assertRedirect()
                ->assertSessionHasNoErrors();
        }
        self::assertSame(1, $job->lines()->count());
    }

    public function test_two_tablets_add_to_one_journal_and_a_stale_form_says_so(): void
    {
        $job = $this->plan();
        $this->enter($job, 'found', 'found', ['content' => 'full'])->assertSessionHasNoErrors();
        $this->enter($job, 'found', 'found', ['content' => 'low', 'missing' => '1 L'])->assertSessionHasNoErrors();
        self::assertSame(2, $job->lines()->count());
        $this->finish($job, 'found')->assertSessionHasNoErrors();
        $this->finish($job, 'found')->assertSessionHasErrors('finish');
        self::assertStringContainsString('finished this step', session('errors')->first('finish'));
        $this->enter($job, 'nonsense', 'found')->assertSessionHasErrors('finish');
    }

    public function test_one_pour_that_two_people_write_counts_twice_only_where_the_second_says_so_again(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('fill_level');
        $press = fn (string $login, string $volume): TestResponse => $this->actingAs(Person::query()->where('login', $login)->firstOrFail())
            ->from("/jobs/{$job->id}")
            ->post("/jobs/{$job->id}/entries", [
                'key' => (string) Str::uuid(), 'step' => 'fill_level', 'form' => 'poured',
                'fields' => ['volume' => $volume, 'vessel' => 'jug'],
            ]);
        $poured = fn (): int => $job->lines()->where('step', 'fill_level')->where('form', 'poured')->count();
        $press('imre', '2 L')->assertSessionHasNoErrors();
        $press('imre', '2 L')->assertSessionHasNoErrors();
        self::assertSame(2, $poured(), 'who pours two jugs writes two');
        $press('sunniva', '1.5 L')->assertSessionHasNoErrors();
        $press('sunniva', '2 L')->assertSessionHasErrors(['volume' => 'Imre Tovald has just written the same. Where this is another one, send it once more.']);
        self::assertSame(3, $poured());
        Carbon::setTestNow(now()->addMinutes(3));
        $press('sunniva', '2 L')->assertSessionHasNoErrors();
        self::assertSame(4, $poured());
    }

    public function test_the_second_press_counts(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('fill_level');
        $sunniva = Person::query()->where('login', 'sunniva')->firstOrFail();
        $this->enter($job, 'fill_level', 'poured', ['volume' => '2 L', 'vessel' => 'jug'])->assertSessionHasNoErrors();
        $again = fn () => $this->actingAs($sunniva)->post("/jobs/{$job->id}/entries", [
            'key' => (string) Str::uuid(), 'step' => 'fill_level', 'form' => 'poured', 'fields' => ['volume' => '2000 mL', 'vessel' => 'jug'],
        ]);
        $again()->assertSessionHasErrors('volume');
        $again()->assertSessionHasNoErrors();
        self::assertSame(2, $job->lines()->where('step', 'fill_level')->where('form', 'poured')->count());
    }

    public function test_a_pour_that_waited_is_held_against_all_that_was_written_without_sight_of_it(): void
    {
        Carbon::setTestNow(now()->startOfSecond());
        $job = $this->plan();
        $this->walk($job)->until('fill_level');
        $sunniva = Person::query()->where('login', 'sunniva')->firstOrFail();
        $kept = fn (string $age, string $volume) => $this->actingAs($sunniva)->post("/jobs/{$job->id}/entries", [
            'key' => (string) Str::uuid(), 'age' => $age, 'step' => 'fill_level', 'form' => 'poured',
            'fields' => ['volume' => $volume, 'vessel' => 'jug'],
        ]);
        Carbon::setTestNow(now()->addMinutes(20));
        $this->enter($job, 'fill_level', 'poured', ['volume' => '2 L', 'vessel' => 'jug'])->assertSessionHasNoErrors();
        Carbon::setTestNow(now()->addMinutes(10));
        $kept('900', '2 L')->assertSessionHasErrors('volume');
        $kept('300', '2 L')->assertSessionHasNoErrors(); // five minutes after it somebody else saw it there
        $kept('900', '1.5 L')->assertSessionHasNoErrors();
        Carbon::setTestNow(now()->addHours(3));
        $kept('11700', '2 L')->assertSessionHasNoErrors();
    }

    public function test_a_correction_counts_and_what_was_written_stays(): void
    {
        $job = $this->plan();
        $this->enter($job, 'found', 'found', ['content' => 'low', 'missing' => '10 L']);
        $this->actingAs($this->imre)->get("/jobs/{$job->id}/entries/1")->assertOk()->assertSee('10 L');
        $this->actingAs($this->imre)
            ->post(
                "/jobs/{$job->id}/entries/1",
                [
                    'key' => 'correct-0001',
                    'fields' => ['content' => 'low', 'missing' => '1 L'],
                    'reason' => 'a zero too many',
                ],
            )
            ->assertSessionHasNoErrors();
        self::assertEqualsWithDelta(10730, $job->state()->ledger()->contentMl, 1);
        self::assertSame(['found', 'correct'], $job->lines()->pluck('form')->all());
        self::assertSame(['content' => 'low', 'missing' => 10000, 'freeze' => null], $job->lines()->first()->values);
        $this->actingAs($this->imre)
            ->post("/jobs/{$job->id}/entries/1", ['key' => 'withdraw-001', 'take_back' => '1'])
            ->assertSessionHasNoErrors();
        self::assertSame([], $job->state()->ledger()->lines);
        $this->actingAs($this->imre)
            ->from('/x')
            ->post("/jobs/{$job->id}/entries/1", ['key' => 'withdraw-002', 'take_back' => '1'])
            ->assertSessionHasErrors('finish');
    }

    public function test_lines_cannot_be_changed_or_removed(): void
    {
        $job = $this->plan();
        $this->enter($job, 'found', 'found', ['content' => 'full']);
        $line = $job->lines()->first();
        foreach ([fn () => $line->update(['form' => 'x']), fn () => $line->delete()] as $tamper) {
            try {
                $tamper();
                self::fail('the journal gave way');
            } catch (\LogicException $refused) {
                self::assertStringContainsString('only grows', $refused->getMessage());
            }
        }
        self::assertSame(1, DB::table('journal_lines')->count());
    }

    public function test_the_ledger_counts_every_volume_once(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('look');
        $ledger = $job->state()->ledger();
        self::assertSame(
            ['Content found', 'Out: Radiator drain cock', 'Out: Left block plug', 'Out: Right block plug'],
            array_map(fn ($line) => $line->label, $ledger->lines),
        );
        self::assertEqualsWithDelta($ledger->contentMl, $ledger->inMl() - $ledger->outMl(), 1e-6);
    }

    public function test_an_entry_finishes_its_step_in_the_same_press_where_nothing_is_missing(): void
    {
        $job = $this->plan();
        $send = fn (string $step, string $form, array $fields, string $key) => $this->actingAs($this->imre)
            ->from("/jobs/{$job->id}")
            ->post("/jobs/{$job->id}/entries", [
                'key' => $key,
                'step' => $step,
                'form' => $form,
                'fields' => $fields,
                'stay' => '1',
                'done' => '1',
            ]);
        $this->get("/jobs/{$job->id}?step=found")->assertSee('and done');
        // How much is missing is still to be said: recorded, and not finished.
        $send('found', 'found', ['content' => 'low', 'missing' => 'a lot'], 'first-press')->assertSessionHasErrors(
            'missing',
        );
        self::assertSame(0, $job->lines()->count());
        $send('found', 'found', ['content' => 'low', 'missing' => '0.2 L'], 'second-press')->assertRedirect(
            "/jobs/{$job->id}",
        );
        self::assertSame(['found', 'finish'], $job->lines()->pluck('form')->all());
        // Sent twice by a tablet that was cut off, it counts once.
        $send('found', 'found', ['content' => 'low', 'missing' => '0.2 L'], 'second-press');
        self::assertSame(2, $job->lines()->count());
        self::assertSame('baseline', $job->state()->stepInHand()?->id);

        // A caution that was not read, and a verdict that does not pass, hold it.
        $this->walk($job)->until('make_safe');
        $send(
            'make_safe',
            'ticked',
            array_fill_keys(['ground', 'chocks', 'ignition', 'glasses', 'heater'], '1'),
            'ticks-at-once',
        )->assertRedirect("/jobs/{$job->id}?step=make_safe");
        self::assertSame('make_safe', $job->fresh()?->state()->stepInHand()?->id);
        $this->walk($job)->until('cold_check');
        $send('cold_check', 'reading', ['ect' => '80', 'air' => '16'], 'hot-reading')->assertRedirect(
            "/jobs/{$job->id}?step=cold_check",
        );
        self::assertSame('cold_check', $job->fresh()?->state()->stepInHand()?->id);

        // An engine that has only been started, a drain that is only open: nothing is done with that.
        $job = $this->plan('SKP 031');
        $drain = array_values($job->state()->stepsOf('drain'))[0]->id;
        foreach ([$drain, 'heat_cycle:1'] as $step) {
            $this->walk($job)->until($step);
            self::assertSame($step, $job->fresh()?->state()->stepInHand()?->id);
            $this->get("/jobs/{$job->id}")->assertDontSee('and done');
        }
    }

    public function test_a_correction_opens_its_step_and_the_gates_behind_it_again(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('sign_off');
        $drained = $job->lines()->where('step', 'drain:radiator_cock')->where('form', 'out')->first();
        $this->actingAs($this->imre)
            ->post(
                "/jobs/{$job->id}/entries/{$drained->seq}",
                ['key' => 'correct-0001', 'fields' => ['volume' => '2', 'vessel' => 'pan', 'flow' => 'early']],
            )
            ->assertSessionHasNoErrors();
        $this->finish($job, 'sign_off')->assertSessionHasErrors('finish');
        self::assertSame('drain:radiator_cock', $job->state()->stepInHand()?->id);
        $this->get("/jobs/{$job->id}")
            ->assertSee('In hand again')
            ->assertSee('Imre Tovald');
        $this->get("/jobs/{$job->id}")
            ->assertSee('Changed by what was put right')
            ->assertSeeInOrder(['What stayed inside', 'was: ']);
        $this->finish($job, 'drain:radiator_cock')->assertSessionHasErrors('finish');
        $this->finish($job, 'drain:radiator_cock', 'no')->assertSessionHasErrors('reason');
        $again = [];
        $this->finish($job, 'drain:radiator_cock', 'The pan leaked on the floor')->assertSessionHasErrors('reason');
        self::assertStringContainsString('Only a lead', session('errors')->first('reason'));
        $this->get("/jobs/{$job->id}")->assertSee('A lead passes this over');
        $this->imre->update(['role' => Role::Lead]);
        while (($step = $job->state()->stepInHand()) !== null) {
            $again[] = $step->id;
            $this->finish($job, $step->id, 'Read twice, the pan leaked on the floor')->assertSessionHasNoErrors();
        }
        self::assertContains('cool_down:1', $again, 'gates behind it');
        self::assertNotContains('gather', $again, 'nothing that guards nothing');
        self::assertNotNull($job->refresh()->signed_at);
        self::assertSame(Lines::Override->value, $job->state()->closed['sign_off']->form);
        $this->enter($job, 'found', 'found', ['content' => 'full'])->assertSessionHasErrors('finish');
        $this->actingAs($this->imre)
            ->get("/jobs/{$job->id}/record")
            ->assertOk()
            ->assertSee('the pan leaked on the floor');
    }
}
