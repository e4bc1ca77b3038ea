<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Circuit;
use App\Models\Person;
use App\Models\Vehicle;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Plan;

/** Whoever stands at the vehicle adds what its circuit lacks; a lead keeps it, or takes it back. */
final class AdditionTest extends ShopTestCase
{
    private Circuit $circuit;

    private Vehicle $vehicle;

    protected function setUp(): void
    {
        parent::setUp();
        $this->vehicle = Vehicle::query()->where('plate', 'SKP 114')->firstOrFail();
        $this->circuit = $this->vehicle->circuit;
        $this->actingAs($this->imre);
    }

    /** @param  array<string, string>  $what */
    private function add(array $what): \Illuminate\Testing\TestResponse
    {
        return $this->from("/circuits/{$this->circuit->id}/add")->post("/circuits/{$this->circuit->id}/add", $what);
    }

    private function newest(): Circuit
    {
        return $this->circuit->newestRevision();
    }

    public function test_a_technician_writes_the_routine_at_the_vehicle_and_works_by_it_at_once(): void
    {
        $this->get("/circuits/{$this->circuit->id}/add?vehicle={$this->vehicle->id}")
            ->assertOk()
            ->assertSee('Its own routine')
            ->assertSee('data-adds="fill: to the mark"', false)
            ->assertSee('SKP 114');
        $point = array_values(
            array_filter($this->circuit->document['ports'], fn (array $port) => $port['kind'] === 'bleed'),
        )[0];
        $routine = "Heater on full\n\nfill: to the "
            ."mark\r\nbleed {$point['label']}: a turn\nrun: until the fan turns\nRevs at 2,000\nEngine off, "
            ."let it stand 5 min\nlevel: to the mark\n";
        $this->add([
            'what' => 'routine',
            'routine' => $routine,
            'vehicle' => (string) $this->vehicle->id,
        ])->assertRedirect("/jobs/new?vehicle={$this->vehicle->id}");
        self::assertSame(
            [
                'Heater on full',
                'fill: to the mark',
                "bleed {$point['label']}: a turn",
                'run: until the fan turns',
                'Revs at 2,000',
                'Engine off, let it stand 5 min',
                'level: to the mark',
            ],
            $this->newest()->document['facts']['routine'],
        );
        $job = $this->plan('SKP 114', 'manual');
        $ids = array_map(fn (Step $step) => $step->id, Plan::of($job->state())->steps);
        $from = (int) array_search('routine', $ids, true);
        self::assertSame(['routine', 'fill_level', "bleed:{$point['id']}"], array_slice($ids, $from, 3));
        self::assertContains('routine:hot1', $ids);
        $this->walk($job)->until('heat_cycle:1');
        $this->get("/jobs/{$job->id}")->assertOk()->assertSee('The routine says: until the fan turns; Revs at 2,000');
        foreach (['' => '', 'a' => "bleed bath plug: a turn\n", 'b' => str_repeat("Wait 1 min\n", 31)] as $bad) {
            $this->add(['what' => 'routine', 'routine' => $bad])->assertSessionHasErrors('routine');
        }
    }

    public function test_a_point_and_a_height_are_added_and_what_cannot_be_is_refused_by_its_field(): void
    {
        $core = $this->circuit->read();
        $node = (string) array_key_first($core->nodes);
        $this->add([
            'what' => 'point',
            'kind' => 'bleed',
            'node' => $node,
            'label' => 'Screw at the hose',
            'tool' => 'flat driver',
        ])->assertSessionHasNoErrors();
        $port = array_values(
            array_filter(
                $this->newest()->document['ports'],
                fn (array $port) => ($port['label'] ?? '') === 'Screw at the hose',
            ),
        )[0];
        self::assertSame(['bleed', $node, 'flat driver'], [$port['kind'], $port['node'], $port['tool']]);
        $this->add([
            'what' => 'height',
            'node' => $node,
            'measured' => $core->nodes[$node]->zMm + 12.0.' mm',
        ])->assertSessionHasNoErrors();
        self::assertEqualsWithDelta($core->nodes[$node]->zMm + 12.0, $this->newest()->read()->nodes[$node]->zMm, 0.01);
        $revision = $this->newest()->revision;
        foreach (
            [
                'label' => ['what' => 'point', 'kind' => 'bleed', 'node' => $node, 'label' => 'screw AT the hose'],
                'kind' => ['what' => 'point', 'kind' => 'fill', 'node' => $node, 'label' => 'x'],
                'measured' => ['what' => 'height', 'node' => $node, 'measured' => 'high'],
                'what' => ['what' => 'wheel'],
            ] as $field => $bad
        ) {
            $this->add($bad)->assertSessionHasErrors($field);
        }
        $this->add(['what' => 'point', 'kind' => 'bleed', 'node' => 'nowhere', 'label' => 'y'])->assertSessionHasErrors(
            'label',
        );
        self::assertSame($revision, $this->newest()->revision, 'nothing half-written');
    }

    public function test_a_lead_sees_what_was_added_and_keeps_it_or_takes_it_back(): void
    {
        $lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        $node = (string) array_key_first($this->circuit->read()->nodes);
        $add = fn (string $label) => $this->actingAs($this->imre)->add([
            'what' => 'point',
            'kind' => 'drain',
            'node' => $node,
            'label' => $label,
        ]);
        $look = fn (Circuit $circuit, string $keep) => $this->post("/circuits/{$circuit->id}/look", ['keep' => $keep]);
        $add('One');
        $add('Two');
        $added = $this->newest();
        $look($added, '1')->assertForbidden();
        $this->get("/circuits/{$added->id}")
            ->assertOk()
            ->assertSee('Added by Imre Tovald')
            ->assertSee('Ports: One')
            ->assertSee('Ports: Two')
            ->assertDontSee('Keep it');
        $this->get('/circuits')->assertOk()->assertSee('added to, not looked at yet');
        $this->actingAs($lead)->get("/circuits/{$added->id}")->assertSee('Keep it');
        $look($added, '0')->assertRedirect();
        self::assertEquals($this->circuit->document, $this->newest()->document);
        self::assertSame($this->newest()->id, $this->vehicle->refresh()->circuit_id);
        $this->get('/circuits')->assertDontSee('not looked at yet');
        $add('Three');
        $three = $this->newest();
        $this->actingAs($lead);
        $look($three, '1')->assertRedirect("/circuits/{$three->id}");
        self::assertSame($three->id, $this->newest()->id);
        $look($three, '1')->assertSessionHasErrors('keep');
        $add('Four');
        $this->actingAs($lead)
            ->get("/circuits/{$this->newest()->id}")
            ->assertSee('Ports: Four')
            ->assertDontSee('Ports: Three');
        $look($three, '0')->assertSessionHasErrors('keep');
        // What a lead writes needs no look.
        $this->add([
            'what' => 'point',
            'kind' => 'drain',
            'node' => $node,
            'label' => 'Five',
        ])->assertSessionHasNoErrors();
        self::assertFalse($this->newest()->waitsForALook());
    }

    public function test_two_who_write_it_at_once_do_not_overwrite_each_other(): void
    {
        $node = (string) array_key_first($this->circuit->read()->nodes);
        $at = fn (int $millimetres): array => ['what' => 'height', 'node' => $node, 'measured' => "{$millimetres} mm"];
        $this->add([
            'what' => 'routine',
            'routine' => "fill: to the mark\nrun: twice the fan",
        ])->assertSessionHasNoErrors();
        $this->add($at(910))->assertSessionHasNoErrors();
        // Both pages were drawn before that: the second is told what stands
        // now, keeps what was typed, and sends it again or not.
        $this->add(['what' => 'routine', 'routine' => 'fill: to the brim'])
            ->assertSessionHasErrors(['routine'])
            ->assertSessionHasInput('routine', 'fill: to the brim');
        $this->add($at(915))->assertSessionHasErrors('measured');
        self::assertSame(['fill: to the mark', 'run: twice the fan'], $this->newest()->document['facts']['routine']);
        // A point is another point, whoever comes second; the same words twice are no clash.
        $this->add([
            'what' => 'point',
            'kind' => 'drain',
            'node' => $node,
            'label' => 'One',
        ])->assertSessionHasNoErrors();
        $this->add([
            'what' => 'point',
            'kind' => 'drain',
            'node' => $node,
            'label' => 'Two',
        ])->assertSessionHasNoErrors();
        $this->add([
            'what' => 'routine',
            'routine' => "fill: to the mark\nrun: twice the fan",
        ])->assertSessionHasNoErrors();
        $this->circuit = $this->newest();
        $this->add(['what' => 'routine', 'routine' => 'fill: to the brim'])->assertSessionHasNoErrors();
        self::assertSame(['fill: to the brim'], $this->newest()->document['facts']['routine']);
    }
}
