<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Library\NewRevision;
use App\Library\Taught;
use App\Models\Circuit;
use App\Models\Person;
use App\Models\Vehicle;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Learned\Learned;
use Aqbel\Core\Learned\MeasuredJobs;

/** A shop that learns: predicted beside measured, what a circuit probably is, and a lead who takes it over or not. */
final class LearnedTest extends ShopTestCase
{
    public function test_signed_jobs_stand_beside_the_model_and_a_wrong_volume_is_named_and_taken_over(): void
    {
        $circuit = Circuit::query()->where('key', 'taxi-engine')->firstOrFail();
        $this->actingAs($this->imre)
            ->get("/circuits/{$circuit->id}/learned")
            ->assertOk()
            ->assertSee('No signed job has measured it yet');
        foreach ([1, 2] as $_) {
            $job = $this->plan('SKP 660');
            $this->walk($job)->until(null);
            $numbers = [$job->number(), ...$numbers ?? []];
        }
        $this->get("/circuits/{$circuit->id}/learned")
            ->assertOk()
            ->assertSee('2 signed jobs count')
            ->assertSee('Radiator drain cock lets out')
            ->assertSee('Being worked out')
            ->assertHeader('Refresh');
        $this->get("/circuits/{$circuit->id}/learned")
            ->assertOk()
            ->assertSee('As its file says')
            ->assertHeaderMissing('Refresh')
            ->assertSeeInOrder([
                'What plans said, and what came',
                'Poured until full',
                'First top-up, cold',
                'Engine off until the neck was free',
            ]);

        // Somebody's file says a radiator of a third of the size: what is behind its drain is more than that.
        $lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        $document = $circuit->document;
        foreach ($document['passages'] as $i => $passage) {
            if ($passage['id'] === 'radiator') {
                $document['passages'][$i]['volume_ml'] = 700;
            }
        }
        $wrong = NewRevision::of($circuit, $document, $lead);
        $this->get("/circuits/{$wrong->id}/learned")->assertOk();
        $page = $this->get("/circuits/{$wrong->id}/learned")
            ->assertOk()
            ->assertSee('With what is found')
            ->assertSee('One look would settle it')
            ->assertSee('holds')
            ->assertSee('or another part behind the same drain does')
            ->assertDontSee('Take it over');
        $found = Learned::of($wrong->read(), Taught::of($wrong)->jobs)->findings[0];
        $of = [1 => (string) ($found->node ?? $found->passage)];
        $this->post("/circuits/{$wrong->id}/learned", ['of' => $of[1]])->assertForbidden();
        $this->actingAs($lead)->get("/circuits/{$wrong->id}/learned")->assertSee('Take it over');
        $this->post("/circuits/{$wrong->id}/learned", ['of' => $of[1]])->assertRedirect();
        $newest = $circuit->newestRevision();
        self::assertSame(3, $newest->revision);
        $item = array_values(
            array_filter(
                [...$newest->document['nodes'], ...$newest->document['passages']],
                fn (array $item) => $item['id'] === $of[1],
            ),
        )[0];
        self::assertSame('jobs', $item['known_by'], 'whence it is known stands beside it');
        self::assertGreaterThan(1000.0, $newest->read()->capacityMl() - $wrong->read()->capacityMl());
        $this->get("/circuits/{$newest->id}/learned")->assertOk();
        $this->get("/circuits/{$newest->id}/learned")->assertOk()->assertSee('As its file says');
        // Taken over twice is once.
        $this->post("/circuits/{$newest->id}/learned", ['of' => $of[1]])->assertSessionHasErrors('of');
        $this->get('/shop/changes')->assertOk()->assertSee('revision')->assertSee('2 jobs: '.implode(', ', $numbers));
    }

    public function test_a_lead_asks_for_the_measurement_and_whoever_plans_next_is_shown_it_until_it_is_put_in(): void
    {
        $lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        $circuit = Circuit::query()->where('key', 'taxi-engine')->firstOrFail();
        $vehicle = Vehicle::query()->where('plate', 'SKP 660')->firstOrFail();
        $ask = fn (string $of) => $this->post("/circuits/{$circuit->id}/learned/ask", ['of' => $of]);
        $this->actingAs($this->imre);
        $ask('radiator')->assertForbidden();
        $this->actingAs($lead);
        $ask('bath_tub')->assertSessionHasErrors('of');
        $ask('radiator')->assertRedirect();
        $plan = "/jobs/new?vehicle={$vehicle->id}&fragment=ranges";
        $this->get($plan)->assertOk()->assertSee('Asked for, because jobs say it is another');
        // Somebody changes something else of it: still asked for.
        $moved = NewRevision::of($circuit->newestRevision(), [...$circuit->document, 'name' => 'Renamed'], $lead);
        self::assertSame('radiator', $moved->asks_for);
        $holds = $moved->read()->passages['radiator']->volumeMl;
        $this->post("/circuits/{$moved->id}/measured", [
            'passage' => 'radiator',
            'measured' => $holds + 120.0.' mL',
        ])->assertSessionHasNoErrors();
        self::assertNull($circuit->newestRevision()->asks_for);
        $this->get($plan)->assertOk()->assertDontSee('Asked for, because');
        $ask('radiator');
        $ask('')->assertRedirect();
        self::assertNull($circuit->newestRevision()->asks_for);
    }

    public function test_what_is_far_from_the_others_is_left_out_and_said(): void
    {
        $circuit = Circuit::query()->where('key', 'taxi-engine')->firstOrFail();
        $port = $circuit->read()->portIds(PortKind::Drain)[0];
        $job = fn (float $ml): array => ['drains' => [['port' => $port, 'ml' => $ml, 'plus_minus_ml' => 100.0]]];
        $jobs = array_map($job, [2000.0, 2050.0, 20000.0, 1950.0]);
        $circuit->update(['document' => [...$circuit->document, MeasuredJobs::PART => ['jobs' => $jobs]]]);
        $this->actingAs($this->imre)
            ->get("/circuits/{$circuit->id}/learned")
            ->assertOk()
            ->assertSee('One is far from the others, and left out')
            ->assertSee('2.00 L ± 0.06 L');
    }

    public function test_what_jobs_measured_goes_along_with_a_circuit_without_who_what_and_when(): void
    {
        $circuit = Circuit::query()->where('key', 'taxi-engine')->firstOrFail();
        $this->walk($this->plan('SKP 660'))->until(null);
        $lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        $file = (string) $this->actingAs($lead)->get("/circuits/{$circuit->id}/export")->assertOk()->getContent();
        $taught = (array) json_decode($file, true)['learned'];
        self::assertSame(['jobs'], array_keys($taught));
        self::assertEqualsCanonicalizing(
            ['drains', 'open', 'retained_ml', 'retained_plus_minus_ml'],
            array_keys($taught['jobs'][0]),
        );
        foreach (['SKP', 'Imre', 'Sunniva', 'J000', date('Y-')] as $told) {
            self::assertStringNotContainsString($told, (string) json_encode($taught));
        }
        // Brought into a shop, it teaches there; what somebody has written beside the volumes does not come along.
        $told = json_decode($file, true);
        $told['learned']['jobs'][0]['plate'] = 'XX 1';
        $this->post('/circuits', ['document' => json_encode($told)])->assertSessionHasNoErrors();
        $copy = Circuit::query()->latest('id')->firstOrFail();
        self::assertStringNotContainsString('XX 1', (string) json_encode($copy->document));
        $this->get("/circuits/{$copy->id}/learned")
            ->assertOk()
            ->assertSee('0 signed jobs count, and 1 that came along with it');
        // What cannot be read is refused by its place, and nothing is stored.
        $told['learned']['jobs'][0]['drains'][0]['port'] = 'bath_plug';
        $this->post('/circuits', ['document' => json_encode($told)])->assertSessionHasErrors(
            'learned.jobs.0.drains.0.port',
        );
        $told['learned']['jobs'][0]['drains'] = [['port' => 'x', 'ml' => -3]];
        $this->post('/circuits', ['document' => json_encode($told)])->assertSessionHasErrors(
            'learned.jobs.0.drains.0.ml',
        );
        self::assertSame($copy->id, (int) Circuit::query()->max('id'));
    }
}
