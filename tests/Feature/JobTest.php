<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Floor\FloorJob;
use App\Floor\FloorWords;
use App\Floor\Summary;
use App\Models\AuditLine;
use App\Models\Circuit;
use App\Models\Job;
use App\Models\Person;
use Aqbel\Core\Flow\CellState;
use Aqbel\Core\Flow\Run;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Tone;
use Illuminate\Testing\TestResponse;

/** A job in the shop’s hands: handed over, rested, given up, and planned anew from where it stands. */
final class JobTest extends ShopTestCase
{
    public function test_a_job_changes_hands_and_the_floor_and_the_audit_say_so(): void
    {
        $job = $this->plan();
        $to = Person::query()->where('login', 'sunniva')->firstOrFail();
        $this->get("/jobs/{$job->id}/manage")->assertOk()->assertSee('In hand: '.$this->imre->name);
        foreach (['', '99999', 'x'] as $nobody) {
            $this->post("/jobs/{$job->id}/hand-over", ['to' => $nobody])->assertSessionHasErrors('to');
        }
        $to->update(['disabled_at' => now()]);
        $this->post("/jobs/{$job->id}/hand-over", ['to' => $to->id])->assertSessionHasErrors('to');
        $to->update(['disabled_at' => null]);
        $this->post("/jobs/{$job->id}/hand-over", ['to' => $to->id])->assertRedirect("/jobs/{$job->id}");
        $this->get("/jobs/{$job->id}/manage")->assertSee("In hand: {$to->name}");
        $this->get('/')->assertSee("Repair · {$to->name}");
        self::assertSame(
            [['in hand of', $this->imre->name, $to->name]],
            AuditLine::query()->latest('id')->firstOrFail()->changes,
        );
    }

    public function test_a_resting_job_waits_on_the_floor_and_the_next_entry_wakes_it(): void
    {
        $job = $this->plan();
        foreach (
            ['', 'tomorrow', now()->subHour()->format('Y-m-d\TH:i'), now()->addDays(40)->format('Y-m-d\TH:i')] as $never
        ) {
            $this->post("/jobs/{$job->id}/rest", ['until' => $never])->assertSessionHasErrors('until');
        }
        $this->post("/jobs/{$job->id}/rest", ['until' => now()->addHours(12)->format('Y-m-d\TH:i')])
            ->assertSessionHasNoErrors()
            ->assertRedirect('/');
        $this->get('/')->assertSee('rests');
        $this->get("/jobs/{$job->id}")->assertSee('Rests until');
        $this->enter($job, 'found', 'found', ['content' => 'full'])->assertSessionHasNoErrors();
        self::assertNull($job->refresh()->rests_until);
    }

    public function test_a_running_engine_and_a_danger_are_not_put_to_rest(): void
    {
        $job = $this->plan('SKP 031');
        $rest = fn (): TestResponse => $this->actingAs($this->imre)->post("/jobs/{$job->id}/rest", [
            'until' => now()->addHours(12)->format('Y-m-d\TH:i'),
        ]);
        $walk = $this->walk($job)->until('heat_cycle:1');
        $rest()->assertSessionHasNoErrors();
        $walk->enter('start', ['place' => 'extraction', 'neck' => 'sealed']);
        $rest()->assertSessionHasErrors('until');
        self::assertNull($job->refresh()->rests_until);
        // Nor is it given up: its dangers would stand on no page any more.
        $giveUp = fn (): TestResponse => $this->post("/jobs/{$job->id}/abandon", ['why' => 'Sold as it stands', 'anew' => '0']);
        $giveUp()->assertSessionHasErrors('why');
        self::assertNull($job->refresh()->abandoned_at);
        $this->get("/jobs/{$job->id}/manage")->assertOk()->assertSee('What is inside freezes at −3');

        // A danger that is there all the same is never shown as rest.
        $job->update(['rests_until' => now()->addHours(12)]);
        $summary = $job->refresh()->summary ?? self::fail();
        $shown = fn (Tone $tone): FloorJob => new FloorJob(
            $job->id,
            '',
            '',
            '',
            new Summary(
                $summary->seq,
                $summary->drawn,
                $summary->runs()->toArray(),
                $summary->ports,
                [],
                $summary->step,
                $summary->stage,
                1,
                2,
                $tone,
                null,
                null,
                [],
            ),
            new FloorWords('', '', ''),
            '',
            $job->rests_until?->getTimestamp(),
            now()->getTimestamp(),
        );
        self::assertSame([true, false], [$shown(Tone::Wait)->rests(), $shown(Tone::Stop)->rests()]);
        self::assertSame(0, $shown(Tone::Stop)->secondsLeft(), 'hands are needed now');
    }

    public function test_what_a_job_that_is_given_up_leaves_is_carried_to_the_next_one(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('drain:left_plug');
        $this->enter($job, 'drain:left_plug', 'opened', ['cap' => 'off'])->assertSessionHasNoErrors();
        $this->get("/jobs/{$job->id}/manage")->assertSee('Left block plug');
        $this->post("/jobs/{$job->id}/abandon", ['why' => ' no '])->assertSessionHasErrors('why');
        $this->post("/jobs/{$job->id}/abandon", ['why' => 'Waits for a water pump', 'anew' => '1'])->assertRedirect(
            "/jobs/new?vehicle={$job->vehicle_id}",
        );
        $job->refresh();

        // Its record stands, and takes nothing more.
        $this->get("/jobs/{$job->id}")->assertRedirect("/jobs/{$job->id}/record");
        $this->get("/jobs/{$job->id}/record")
            ->assertOk()
            ->assertSee('Given up')
            ->assertSee('Waits for a water pump');
        $this->enter($job, 'drain:left_plug', 'out', [
            'volume' => '0.6',
            'vessel' => 'jug',
            'flow' => 'ran',
        ])->assertSessionHasErrors('finish');
        $this->post("/jobs/{$job->id}/rest", [
            'until' => now()->addHour()->format('Y-m-d\TH:i'),
        ])->assertSessionHasErrors('job');
        $this->get('/records')->assertSee($job->number())->assertSee('given up');
        $this->get('/')->assertDontSee($job->number());

        // The next plan says it, starts from it, and does not close up before the plug is closed.
        $this->get("/jobs/new?vehicle={$job->vehicle_id}")
            ->assertSee("{$job->number()} was given up.")
            ->assertSee('Left open: Left block plug');
        $this->post('/jobs', [
            'vehicle' => $job->vehicle_id,
            'kind' => 'repair',
            'chosen' => '1',
            'drains' => ['right_plug'],
        ])->assertSessionHasNoErrors();
        $next = Job::query()->latest('id')->firstOrFail();
        self::assertSame(['left_plug'], Plan::of($next->state())->choices->left?->open);
        $this->get("/jobs/{$next->id}")->assertSee("{$job->number()} was given up:");
        $this->walk($next)->until('close_up');
        $this->finish($next, 'close_up')->assertSessionHasErrors('finish');
        $this->get("/jobs/{$next->id}")->assertSee("Left block plug, left open by {$job->number()}: closed", false);

        // One open job on a vehicle, still: the index counts those given up as closed.
        $this->post('/jobs', [
            'vehicle' => $job->vehicle_id,
            'kind' => 'repair',
            'chosen' => '1',
        ])->assertSessionHasErrors('vehicle');
        $next->update(['signed_at' => now()]);
        self::assertNull($next->vehicle->leftBehind());
    }

    public function test_what_is_missing_to_run_is_drawn_and_poured_on(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('fill_level')->enter('at_mark', ['volume' => '0.3 L', 'vessel' => 'jug']);
        $this->finish($job, 'fill_level', 'There is no more in the house')->assertSessionHasNoErrors();
        $this->walk($job)->until('heat_cycle:1');
        $tank = fn (): array => array_map(
            fn (Run $run) => $run->state,
            $job->refresh()->summary?->runs()->of('tank') ?? [],
        );
        self::assertSame([CellState::Air], $tank(), 'the tank stands empty, whatever was said of its mark');
        $this->get("/jobs/{$job->id}")->assertOk()->assertSee('Do not start')->assertSee('Poured on');
        $this->enter($job, 'heat_cycle:1', 'inlet', ['volume' => '3.2 L', 'vessel' => 'jug', 'liquid' => 'premix'])
            ->assertSessionHasNoErrors();
        self::assertNotSame([CellState::Air], $tank());
        $this->get("/jobs/{$job->id}")->assertOk()->assertDontSee('Do not start')->assertDontSee('name="volume"', false);
    }

    public function test_a_circuit_that_was_emptied_arrives_empty_at_the_next_job(): void
    {
        $job = $this->plan('SKP 031');
        $this->enter($job, 'found', 'found', ['content' => 'empty'])->assertSessionHasNoErrors();
        $this->post("/jobs/{$job->id}/abandon", ['why' => 'Sold as it stands', 'anew' => '0'])->assertRedirect(
            "/vehicles/{$job->vehicle_id}",
        );
        $this->get("/vehicles/{$job->vehicle_id}")
            ->assertOk()
            ->assertSee('given up');
        $this->post('/jobs', [
            'vehicle' => $job->vehicle_id,
            'kind' => 'repair',
            'chosen' => '1',
        ])->assertSessionHasNoErrors();
        self::assertSame(
            Compatibility::Nothing,
            Plan::of(Job::query()->latest('id')->firstOrFail()->state())->choices->content,
        );
    }

    public function test_a_job_goes_on_by_the_newer_revision_of_its_circuit_with_all_that_was_recorded(): void
    {
        $job = $this->plan();
        $this->get("/jobs/{$job->id}")->assertDontSee('The circuit was changed');
        $this->walk($job)->until('drain:left_plug');
        $lines = $job->lines()->count();
        $changed = function (\Closure $change) use ($job): Circuit {
            $newest = $job->circuit->newestRevision();
            $document = $newest->document;
            $change($document);

            return Circuit::query()->create([
                'key' => $newest->key,
                'revision' => $newest->revision + 1,
                'name' => $newest->name,
                'document' => $document,
            ]);
        };

        // A higher capacity and one drain less, at which nobody has worked yet.
        $newer = $changed(function (array &$document): void {
            $document['facts']['capacity_ml'] = 14_000;
            $document['ports'] = array_values(
                array_filter($document['ports'], fn (array $port) => $port['id'] !== 'right_plug'),
            );
        });
        $this->get("/jobs/{$job->id}")->assertSee('The circuit was changed');
        $this->get("/jobs/{$job->id}/manage")
            ->assertSee("Go by revision {$newer->revision}")
            ->assertSee('Ports: ')
            ->assertSee('removed');
        $this->post("/jobs/{$job->id}/merge")->assertSessionHasErrors('merge');
        self::assertStringContainsString(
            'right_plug',
            json_encode($job->refresh()->plan) ?: '',
            'chosen, and not there: nothing changed',
        );

        $kept = $changed(function (array &$document) use ($job): void {
            $document['ports'] = $job->circuit->document['ports'];
        });
        $this->post("/jobs/{$job->id}/merge")->assertSessionHasNoErrors()->assertRedirect("/jobs/{$job->id}");
        $job = $job->fresh() ?? self::fail();
        self::assertSame($kept->id, $job->circuit_id);
        self::assertSame($lines, $job->lines()->count());
        self::assertSame('drain:left_plug', $job->state()->stepInHand()?->id, 'where it stood');
        self::assertSame(14_000.0, $job->state()->circuit->facts->capacityMl);
        self::assertSame('circuit revision', AuditLine::query()->latest('id')->firstOrFail()->changes[0][0]);
        $this->get("/jobs/{$job->id}/record")->assertOk();
    }

    public function test_a_revision_without_what_was_worked_on_is_refused(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('drain:left_plug');
        $this->enter($job, 'drain:left_plug', 'opened', ['cap' => 'off'])->assertSessionHasNoErrors();
        $document = $job->circuit->document;
        $plan = $job->plan;
        foreach ($document['ports'] as &$port) {
            $port['id'] = $port['id'] === 'left_plug' ? 'other_plug' : $port['id'];
        }
        Circuit::query()->create([
            'key' => $job->circuit->key,
            'revision' => 9,
            'name' => 'x',
            'document' => $document,
        ]);
        $this->post("/jobs/{$job->id}/merge")->assertSessionHasErrors('merge');
        self::assertSame($plan, $job->refresh()->plan);
    }
}
