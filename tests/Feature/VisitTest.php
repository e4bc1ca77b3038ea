<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use App\Models\Person;
use App\Models\Visit;
use App\Record\Seal;
use Aqbel\Core\Job\Life;
use Aqbel\Core\Plan\LeftBehind;
use Illuminate\Support\Carbon;
use Sabre\VObject\Reader;

/** The days after a signature: booked, signed beneath the record, judged over all of them. */
final class VisitTest extends ShopTestCase
{
    protected function tearDown(): void
    {
        Carbon::setTestNow();
        parent::tearDown();
    }

    public function test_a_week_of_visits_by_two_people_and_the_last_is_red(): void
    {
        $job = $this->signed();
        $seal = $job->seal;
        $due = Visit::query()->where('job_id', $job->id)->sole();
        self::assertSame(now()->addDays(3)->format('Y-m-d'), $due->due_on->format('Y-m-d'));
        self::assertSame(Life::Signed, $job->life());
        $this->get('/')->assertDontSee("/jobs/{$job->id}/visits", false);

        $this->days(2);
        $this->actingAs($this->imre)->get('/')->assertSee("/jobs/{$job->id}/visits", false);
        $this->days(1);
        $this->actingAs($this->imre)
            ->get('/')
            ->assertSee("/jobs/{$job->id}/visits?visit={$due->id}", false);
        $this->sign($job, $due, [
            'level' => 'below',
            'volume' => '150 ml',
            'vessel' => 'syringe',
            'celsius' => '20',
        ])->assertSessionHasNoErrors();
        self::assertSame(Life::Followed, $job->refresh()->life());
        $second = Visit::query()->where('job_id', $job->id)->whereNull('done_at')->sole();
        self::assertSame('judge', $second->asked_by, 'the last look left something open');

        $this->days(3);
        $sunniva = Person::query()->where('login', 'sunniva')->firstOrFail();
        $this->actingAs($sunniva);
        $this->get("/jobs/{$job->id}/visits")
            ->assertOk()
            ->assertSee('150 ml');
        $this->sign($job, $second, [
            'level' => 'below',
            'volume' => '150 ml',
            'vessel' => 'syringe',
            'celsius' => '20',
            'note' => 'damp at the pump',
        ])->assertSessionHasNoErrors();
        $this->days(3);
        $third = Visit::query()->where('job_id', $job->id)->whereNull('done_at')->first();
        $this->sign($job, $third, [
            'level' => 'below',
            'volume' => '160 ml',
            'vessel' => 'syringe',
            'celsius' => '20',
        ])->assertSessionHasNoErrors();
        $page = $this->get("/jobs/{$job->id}/visits")
            ->assertOk()
            ->assertSee('A leak')
            ->assertSee('Plan a job on it')
            ->assertSee('Sunniva Karr')
            ->assertSee('damp at the pump');
        preg_match('#href="(/jobs/new[^"]+)"#', (string) $page->getContent(), $plan);
        $this->get(html_entity_decode($plan[1]))->assertOk();
        // What was sealed is what was sealed.
        self::assertSame($seal, $job->refresh()->seal);
        self::assertTrue(Seal::holds($job));
        $this->get("/jobs/{$job->id}/record")
            ->assertOk()
            ->assertSee('The days after')
            ->assertSee('160 ml')
            ->assertSee('Unchanged since it was signed');
        $this->get("/vehicles/{$job->vehicle_id}")
            ->assertOk()
            ->assertSee('followed');
    }

    public function test_three_presses_where_all_is_well_and_it_is_closed(): void
    {
        $job = $this->signed();
        $due = Visit::query()->where('job_id', $job->id)->sole();
        $this->days(3);
        $this->sign($job, $due, ['level' => 'at_mark'], 'visit-key-0001');
        // The same press, sent twice.
        $this->sign($job, $due, ['level' => 'at_mark'], 'visit-key-0001')->assertSessionHasNoErrors();
        self::assertSame(1, Visit::query()->where('job_id', $job->id)->whereNotNull('done_at')->count());
        self::assertSame(Life::Closed, $job->refresh()->life());
        self::assertSame(
            0,
            Visit::query()->where('job_id', $job->id)->whereNull('done_at')->count(),
            'nothing more to look at',
        );
        // Another press on what is signed is told so, and nothing is lost of what stands.
        $this->sign($job, $due, ['level' => 'below', 'volume' => '1'], 'visit-key-0002')->assertSessionHasErrors(
            'visit',
        );
    }

    public function test_what_cannot_be_is_asked_at_its_field_and_stays_typed(): void
    {
        $job = $this->signed();
        $due = Visit::query()->where('job_id', $job->id)->sole();
        foreach (
            [
                'level' => ['celsius' => '20'],
                'celsius' => ['level' => 'at_mark', 'celsius' => '85'],
                'volume' => ['level' => 'below'],
            ] as $field => $fields
        ) {
            $this->sign($job, $due, $fields)->assertSessionHasErrors($field);
        }
        $this->sign($job, $due, ['level' => 'at_mark', 'volume' => '0.2'])->assertSessionHasErrors('volume');
        $this->sign($job, $due, ['level' => 'below', 'volume' => '40 l'])->assertSessionHasErrors('volume');
        self::assertTrue($due->refresh()->isDue());
        self::assertSame(Life::Signed, $job->refresh()->life());
    }

    public function test_cold_weather_shrinks_the_coolant_and_is_no_leak(): void
    {
        $job = $this->signed();
        $content = $job->state()->ledger()->contentMl;
        // 20 °C in the shop, 15 below in the yard: about 1.7 % of half glycol.
        foreach ([1, 2, 3] as $look) {
            $this->days(2);
            $due = Visit::query()->where('job_id', $job->id)->whereNull('done_at')->first();
            $fell = $look === 1 ? round(0.017 * $content) : 0;
            $this->sign(
                $job,
                $due,
                $fell > 0
                    ? ['level' => 'below', 'volume' => "{$fell} ml", 'vessel' => 'syringe', 'celsius' => '-15']
                    : ['level' => 'at_mark', 'celsius' => '-15'],
            )->assertSessionHasNoErrors();
        }
        self::assertSame(Life::Closed, $job->refresh()->life());
    }

    public function test_a_visit_is_handed_over_skipped_with_a_reason_and_asked_for(): void
    {
        $job = $this->signed();
        $due = Visit::query()->where('job_id', $job->id)->sole();
        $sunniva = Person::query()->where('login', 'sunniva')->firstOrFail();
        $this->post("/visits/{$due->id}/hand-over", ['to' => $sunniva->id])->assertRedirect();
        $this->get('/visits')->assertOk()->assertSeeInOrder(['In other hands', $job->vehicle->plate]);
        $this->post("/visits/{$due->id}/skip", ['because' => ' '])->assertSessionHasErrors('because');
        $this->post("/visits/{$due->id}/skip", [
            'because' => 'Sold, and gone over the pass',
        ])->assertSessionHasNoErrors();
        $this->get("/jobs/{$job->id}/record")
            ->assertSee('skipped')
            ->assertSee('gone over the pass');
        $this->post("/jobs/{$job->id}/visits/ask", ['due_on' => '2001-01-01'])->assertSessionHasErrors('due_on');
        $this->post("/jobs/{$job->id}/visits/ask", [
            'due_on' => now()->addDays(12)->format('Y-m-d'),
            'watch' => 'heater',
        ])->assertSessionHasNoErrors();
        self::assertSame('heater', Visit::query()->where('job_id', $job->id)->whereNull('done_at')->sole()->watch);
        $open = $this->plan('SKP 447');
        $this->get("/jobs/{$open->id}/visits")->assertRedirect("/jobs/{$open->id}");
        $this->post("/jobs/{$open->id}/visits", ['fields' => ['level' => 'at_mark']])->assertSessionHasErrors('visit');
    }

    public function test_a_slip_is_corrected_beside_itself_and_a_danger_by_a_lead_alone(): void
    {
        $job = $this->signed();
        $due = Visit::query()->where('job_id', $job->id)->sole();
        $this->days(3);
        $this->actingAs($this->imre);
        // Two litres typed for fifty millilitres: more than the sums can have left as air.
        $this->sign($job, $due, [
            'level' => 'below',
            'volume' => '2 l',
            'vessel' => 'syringe',
            'celsius' => '20',
        ])->assertSessionHasNoErrors();
        self::assertTrue($this->says($job)?->code->isRed());
        $wrong = Visit::query()->where('job_id', $job->id)->whereNotNull('done_at')->sole();
        $right = ['level' => 'below', 'volume' => '50 ml', 'vessel' => 'syringe', 'celsius' => '20'];
        $correct = fn (array $also) => $this->post("/visits/{$wrong->id}/correct", [
            'fields' => $right,
            'key' => 'correct-000001',
            ...$also,
        ]);

        $this->get("/jobs/{$job->id}/visits?correct={$wrong->id}")
            ->assertOk()
            ->assertSee('Correct the look of')
            ->assertSee('value="2 l"', false);
        $correct([])->assertSessionHasErrors('because');
        $correct(['because' => 'millilitres, not litres'])->assertSessionHasErrors('visit');
        $correct([
            'fields' => ['level' => 'at_mark', 'volume' => '1 l', 'vessel' => 'jug'],
            'because' => 'a slip',
        ])->assertSessionHasErrors('volume');
        self::assertTrue($this->says($job)?->code->isRed(), 'nothing of what was refused is kept');
        self::assertFalse($wrong->refresh()->isStruck());

        $this->days(1);
        $this->actingAs(Person::query()->where('login', 'sunniva')->firstOrFail());
        $correct(['because' => 'millilitres, not litres'])->assertSessionHasNoErrors();
        $correct(['because' => 'millilitres, not litres'])->assertSessionHasNoErrors();
        self::assertFalse($this->says($job)?->code->isRed());
        $counts = Visit::query()->where('job_id', $job->id)->where('instead_of', $wrong->id)->sole();
        self::assertEquals($wrong->done_at, $counts->done_at, 'of the time it was seen');
        $this->get("/jobs/{$job->id}/visits")
            ->assertOk()
            ->assertSee('millilitres, not litres')
            ->assertSee('2 l')
            ->assertSee('50 ml');
        $this->get("/jobs/{$job->id}/record")
            ->assertOk()
            ->assertSee('Struck out by Sunniva Karr: millilitres, not litres');
        $this->post("/visits/{$wrong->id}/correct", [
            'fields' => $right,
            'because' => 'once more',
            'key' => 'correct-000002',
        ])->assertSessionHasErrors('visit');
        self::assertSame(1, substr_count((string) $this->get("/jobs/{$job->id}/job.json")->getContent(), '"struck"'));

        // Taken back whole: nobody looked, and somebody has to.
        Visit::query()->where('job_id', $job->id)->whereNull('done_at')->delete();
        $this->post("/visits/{$counts->id}/correct", [
            'take_back' => '1',
            'because' => 'the other vehicle',
        ])->assertSessionHasNoErrors();
        self::assertNull($this->says($job));
        self::assertSame(1, Visit::query()->where('job_id', $job->id)->whereNull('done_at')->count());
        self::assertTrue(Seal::holds($job->refresh()));
    }

    public function test_an_odometer_runs_on_and_a_slip_of_it_does_not_stay_at_the_vehicle(): void
    {
        $job = $this->signed();
        $job->vehicle->update(['odometer_km' => 128_000.0, 'read_on' => now()]);
        $this->days(3);
        $stood = fn (): float => (float) $job->vehicle->refresh()->odometer_km;
        $this->sign($job, null, ['level' => 'at_mark', 'odometer' => '12810'])->assertSessionHasErrors(
            ['odometer' => 'It stood at 128000 km on '.now()->subDays(3)->format('Y-m-d').', and does not run backwards. '
                .'Read it again; where that one was wrong, put it right at the vehicle first.'],
        );
        $this->sign($job, null, ['level' => 'at_mark', 'odometer' => '1281000'])->assertSessionHasNoErrors();
        self::assertSame(1_281_000.0, $stood());
        $slip = Visit::query()->where('job_id', $job->id)->whereNotNull('values')->sole();
        $this->post("/visits/{$slip->id}/correct", [
            'key' => 'correct-000002',
            'because' => 'a nought too many',
            'fields' => ['level' => 'at_mark', 'vessel' => 'jug', 'odometer' => '128100'],
        ])->assertSessionHasNoErrors();
        self::assertSame(128_100.0, $stood());
    }

    public function test_what_a_customer_tells_closes_nothing(): void
    {
        $job = $this->signed();
        $due = Visit::query()->where('job_id', $job->id)->sole();
        $this->days(3);
        $this->sign($job, $due, ['level' => 'at_mark', 'told' => '1']);
        self::assertSame(Life::Followed, $job->refresh()->life());
        $this->get("/jobs/{$job->id}/visits")->assertSee('told by the customer')->assertSee('One look more tells');
    }

    public function test_a_customer_who_rings_up_about_a_lamp_is_a_danger_and_a_job(): void
    {
        $job = $this->signed();
        $due = Visit::query()->where('job_id', $job->id)->sole();
        $this->days(2);
        $this->sign($job, $due, ['alarm' => 'hot', 'told' => '1'])->assertSessionHasNoErrors();
        $this->get("/jobs/{$job->id}/visits")->assertOk()->assertSee('It alarmed on the road')
            ->assertSee('<td>Nobody looked', false)
            ->assertSee('Nobody has looked at the level.')
            ->assertSee('Temperature')->assertSee('complaint=overheats', false)->assertSee('kind=bleed', false);
        self::assertSame(Life::Followed, $job->refresh()->life());
        $isDue = Visit::query()->where('job_id', $job->id)->whereNull('done_at')->exists();
        self::assertFalse($isDue, 'a job, and no look');
        // Whoever plans anything on it is told, also by another way than from here; and who looks at the vehicle.
        $this->get("/jobs/new?vehicle={$job->vehicle_id}")->assertOk()->assertSee('it alarmed on the road');
        $this->get("/vehicles/{$job->vehicle_id}")->assertOk()->assertSee('it alarmed on the road');
    }

    public function test_what_was_signed_short_of_its_mark_is_where_the_next_plan_begins(): void
    {
        $job = $this->signed();
        $state = $job->state();
        $full = $job->vehicle->leftBehind();
        self::assertFalse($full?->isUnfinished(), 'it was full');
        self::assertSame($state->running()->last(), $full->ranAt);
        $this->get("/jobs/new?vehicle={$job->vehicle_id}")->assertOk()->assertDontSee('was signed short');
        $short = LeftBehind::signed($state, $job->number(), -1500.0);
        self::assertNotNull($short);
        $job->update(['left_behind' => $short->toArray()]);
        $this->get("/jobs/new?vehicle={$job->vehicle_id}")
            ->assertOk()
            ->assertSee("{$job->number()} was signed short of its mark");
        $next = $this->plan('SKP 660');
        $this->get("/jobs/{$next->id}?step=found")->assertOk()->assertSee("{$job->number()} was signed with");
        // What went in since is taken off what was missing.
        self::assertFalse(LeftBehind::signed($state, $job->number(), 10.0)?->isUnfinished());
    }

    public function test_calendars_show_what_is_due_and_drop_what_is_done(): void
    {
        $job = $this->signed();
        $due = Visit::query()->where('job_id', $job->id)->sole();
        $due->update([
            'watch' => 'heater; left, and the "seam" at the very long pipe behind the bulkhead, which nobody reaches '
                .'without a mirror',
        ]);
        $this->post('/calendar')->assertRedirect();
        $secret = $this->imre->refresh()->calendar;
        $feed = $this->get("/calendar/{$secret}.ics")
            ->assertOk()
            ->assertHeader('Content-Type', 'text/calendar; charset=utf-8');
        $read = Reader::read((string) $feed->getContent());
        self::assertSame([], $read->validate());
        $events = array_values(iterator_to_array($read->VEVENT, false));
        $mine = array_values(
            array_filter($events, fn ($event) => str_starts_with((string) $event->UID, "visit-{$due->id}@")),
        )[0];
        self::assertSame(now()->addDays(3)->format('Ymd'), (string) $mine->DTSTART);
        self::assertStringContainsString($job->vehicle->plate, (string) $mine->SUMMARY);
        self::assertStringContainsString('heater; left, and the "seam"', (string) $mine->DESCRIPTION);
        self::assertSame([], Reader::read((string) $this->get("/visits/{$due->id}.ics")->getContent())->validate());

        $this->days(3);
        $this->sign($job, $due, ['level' => 'at_mark']);
        $after = Reader::read((string) $this->get("/calendar/{$secret}.ics")->getContent());
        self::assertStringNotContainsString("visit-{$due->id}@", $after->serialize());
        $this->post('/calendar', ['end' => '1']);
        $this->get("/calendar/{$secret}.ics")->assertNotFound();
        $this->get('/calendar/'.str_repeat('a', 40).'.ics')->assertNotFound();
        // The shop's is a lead's to make.
        $this->post('/shop/calendar')->assertForbidden();
        $this->actingAs(Person::query()->where('login', 'sunniva')->firstOrFail())
            ->post('/shop/calendar')
            ->assertRedirect();
        $this->get('/calendar/'.\App\Models\Shop::stored()->calendar.'.ics')->assertOk();
    }

    private function signed(): Job
    {
        $job = $this->plan('SKP 660');
        $this->walk($job)->until(null);
        self::assertNotNull($job->refresh()->signed_at);

        return $job;
    }

    private function days(int $days): void
    {
        Carbon::setTestNow(now()->addDays($days));
    }

    private function says(Job $job): ?\Aqbel\Core\Visits\DaysAfter
    {
        return (new \App\Visits\VisitBook($job->refresh()))->says();
    }

    /** @param  array<string, string>  $fields */
    private function sign(Job $job, ?Visit $visit, array $fields, string $key = ''): \Illuminate\Testing\TestResponse
    {
        return $this->post("/jobs/{$job->id}/visits", [
            'visit' => (string) $visit?->id,
            'key' => $key === '' ? (string) \Illuminate\Support\Str::uuid() : $key,
            'fields' => ['vessel' => 'jug', ...$fields],
        ]);
    }
}
