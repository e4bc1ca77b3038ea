<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Library\NewRevision;
use App\Models\Circuit;
use App\Models\Person;

/** A shop that learns: predicted beside measured, what a circuit probably is, and a lead who takes it over or not. */
final class LearnedTest extends ShopTestCase
{
    public function test_signed_jobs_stand_beside_the_model_and_a_wrong_volume_is_named_and_taken_over(): void
    {
        $circuit = Circuit::query()->where('key', 'taxi-engine')->firstOrFail();
        $this->actingAs($this->imre)->get("/circuits/{$circuit->id}/learned")->assertOk()->assertSee('No signed job has measured it yet');
        foreach ([1, 2] as $_) {
            $job = $this->plan('SKP 660');
            $this->walk($job)->until(null);
        }
        $this->get("/circuits/{$circuit->id}/learned")->assertOk()->assertSee('2 signed jobs count')->assertSee('Radiator drain cock lets out')->assertSee('As its file says');

        // Somebody's file says a radiator of a third of the size: what is behind its drain is more than that.
        $lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        $document = $circuit->document;
        foreach ($document['passages'] as $i => $passage) {
            if ($passage['id'] === 'radiator') {
                $document['passages'][$i]['volume_ml'] = 700;
            }
        }
        $wrong = NewRevision::of($circuit, $document, $lead);
        $page = $this->get("/circuits/{$wrong->id}/learned")->assertOk()->assertSee('holds')->assertSee('or another part behind the same drain does')->assertDontSee('Take it over');
        preg_match('/name="of" value="(\w+)"/', (string) $page->getContent(), $of);
        $this->post("/circuits/{$wrong->id}/learned", ['of' => $of[1]])->assertForbidden();
        $this->actingAs($lead)->get("/circuits/{$wrong->id}/learned")->assertSee('Take it over');
        $this->post("/circuits/{$wrong->id}/learned", ['of' => $of[1]])->assertRedirect();
        $newest = $circuit->newestRevision();
        self::assertSame(3, $newest->revision);
        self::assertGreaterThan(1000.0, $newest->read()->capacityMl() - $wrong->read()->capacityMl());
        $this->get("/circuits/{$newest->id}/learned")->assertOk()->assertSee('As its file says');
        // Taken over twice is once.
        $this->post("/circuits/{$newest->id}/learned", ['of' => $of[1]])->assertSessionHasErrors('of');
        $this->get('/shop/changes')->assertOk()->assertSee('revision');
    }
}
