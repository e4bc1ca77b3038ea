<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Container;
use App\Models\ContainerMovement;
use App\Models\JournalLine;
use App\Models\Person;
use App\Models\Product;

/** The price list, the shelf, and how jobs take from it and leave on it. */
final class StoresTest extends ShopTestCase
{
    public function test_leads_change_the_price_list_and_everybody_reads_it(): void
    {
        $before = Product::query()->count();
        $fields = [
            'kind' => 'premix',
            'base' => 'ethylene_glycol',
            'inhibitor' => 'family C, no silicate',
            'fraction' => '45',
            'ml' => '5 gal',
            'price' => '61,50',
        ];
        $this->actingAs($this->imre)->post('/stores/products', ['fields' => $fields])->assertForbidden();
        $this->get('/stores')->assertOk()->assertSee('changed by a lead')->assertSee('family C, no silicate');
        $this->actingAs(Person::query()->where('role', 'lead')->firstOrFail());
        $this->post('/stores/products', ['fields' => $fields])->assertRedirect('/stores');
        $made = Product::query()->latest('id')->firstOrFail();
        self::assertEqualsWithDelta([18927.06, 0.45, 61.5], [$made->ml, $made->fraction, $made->price], 0.01);
        foreach ([
            'inhibitor' => '', 'ml' => '0', 'price' => 'cheap', 'kind' => 'soup', 'fraction' => '150',
        ] as $field => $bad) {
            $this->from('/stores')
                ->post('/stores/products', ['fields' => [...$fields, $field => $bad]])
                ->assertSessionHasErrors($field);
        }
        self::assertSame($before + 1, Product::query()->count());
        $this->delete("/stores/products/{$made->id}")->assertRedirect('/stores');
        self::assertSame($before, Product::query()->count());
        $this->post('/stores/products', ['fields' => 'x'])->assertRedirect();
        $this->delete('/stores/products/99999')->assertNotFound();
    }

    public function test_the_shelf_is_counted_and_an_empty_can_disappears(): void
    {
        $can = Container::query()->firstOrFail();
        $this->actingAs($this->imre)->get('/stores')->assertSee('2.20 L');
        $this->post("/stores/containers/{$can->id}", ['fields' => ['now' => '1 qt']])->assertRedirect('/stores');
        $this->get('/stores')->assertSee('0.95 L')->assertDontSee('2.20 L');
        $this->from('/stores')->post(
            "/stores/containers/{$can->id}",
            ['fields' => ['now' => 'some']],
        )->assertSessionHasErrors('now');
        $this->post("/stores/containers/{$can->id}", ['fields' => ['now' => '0']]);
        $this->get('/stores')->assertDontSee('Concentrate · ethylene glycol, family C');
        $this->post(
            '/stores/containers',
            [
                'fields' => [
                    'kind' => 'water', 'base' => 'ethylene_glycol', 'inhibitor' => '', 'fraction' => '50', 'ml' => '3 L',
                ],
            ],
        )
            ->assertRedirect('/stores');
        $this->get('/stores')->assertSee('3.00 L');
    }

    public function test_every_litre_of_a_container_is_told_with_its_plus_minus_and_by_whom(): void
    {
        $can = Container::query()->firstOrFail();
        $out = fn (array $fields) => $this->actingAs($this->imre)->from("/stores/containers/{$can->id}")->post("/stores/containers/{$can->id}/out", ['fields' => $fields]);
        $out(['why' => 'given_along', 'ml' => '0.5 L', 'remark' => 'with the van'])->assertRedirect("/stores/containers/{$can->id}");
        $out(['why' => 'spilled', 'ml' => 'about 0.2 L', 'remark' => ''])->assertRedirect();
        $this->get("/stores/containers/{$can->id}")->assertOk()
            ->assertSeeInOrder(['Holds', '1.50 L', '± 0.12 L', 'Spilled', '−0.20 L', 'Imre', 'Given along with a vehicle', 'with the van', '−0.50 L', '1.70 L ± 0.11 L', 'Put on the shelf', '+2.20 L']);
        $out(['why' => 'wasted', 'ml' => '4 L', 'remark' => ''])->assertSessionHasErrors('ml');
        $out(['why' => 'drunk', 'ml' => '1 L', 'remark' => ''])->assertSessionHasErrors('why');
        $this->post("/stores/containers/{$can->id}", ['fields' => ['now' => '1.2 L']])->assertRedirect();
        $out(['why' => 'wasted', 'ml' => '1.2 L', 'remark' => 'W-77'])->assertRedirect();
        self::assertSame(0.0, round($can->refresh()->holds_ml, 6));
        $this->get("/stores/containers/{$can->id}")->assertOk()->assertSee('Empty')->assertSee('W-77');
        $this->get('/records/stock.csv')->assertOk()->assertSee('given_along')->assertSee('with the van');
        self::assertStringContainsString('W-77', (string) $this->get('/records/waste.csv')->getContent());
        $this->get('/stores/containers/99999')->assertNotFound();
    }

    public function test_what_was_counted_stands_though_a_line_before_it_is_put_right(): void
    {
        $can = Container::query()->firstOrFail();
        $job = $this->plan();
        $this->walk($job)->until('mix');
        $this->actingAs($this->imre);
        $this->enter($job, 'mix', 'batch', ['concentrate' => '1', 'water' => '1', 'from' => "shelf:{$can->id}"])->assertSessionHasNoErrors();
        $seq = (int) $job->lines()->max('seq');
        $this->travel(5)->minutes();
        $this->post("/stores/containers/{$can->id}", ['fields' => ['now' => '0.9 L']]);
        $this->travel(5)->minutes();
        $this->post("/jobs/{$job->id}/entries/{$seq}", ['key' => 'correct-after-count', 'fields' => ['concentrate' => '1.5', 'water' => '1', 'from' => "shelf:{$can->id}"]])->assertSessionHasNoErrors();
        self::assertSame(-1500.0, ContainerMovement::query()->where('job_id', $job->id)->sole()->ml);
        self::assertSame(900.0, round($can->refresh()->holds_ml, 6));
    }

    public function test_a_can_out_of_which_more_was_taken_than_was_put_in_is_said_until_it_is_counted(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('mix');
        $this->actingAs($this->imre);
        preg_match('/new:\d+/', (string) $this->get("/jobs/{$job->id}")->getContent(), $new);
        $this->enter($job, 'mix', 'batch', ['concentrate' => '2', 'water' => '2', 'from' => $new[0]])->assertSessionHasNoErrors();
        $rest = Container::query()->latest('id')->firstOrFail();
        self::assertSame(1000.0, $rest->holds_ml);
        $out = ['why' => 'given_along', 'ml' => '0.6 L', 'remark' => ''];
        $this->post("/stores/containers/{$rest->id}/out", ['fields' => $out])->assertSessionHasNoErrors();
        $this->get('/stores')->assertOk()->assertDontSee('more was taken out of this can');
        $batch = $job->lines()->where('form', 'batch')->firstOrFail()->seq;
        $this->post("/jobs/{$job->id}/entries/{$batch}", [
            'key' => 'never-was-mixed', 'take_back' => '1', 'reason' => 'Another job',
        ])->assertSessionHasNoErrors();
        self::assertSame(-600.0, $rest->refresh()->holds_ml);
        $this->get('/stores')->assertOk()->assertSee('0.60 L more was taken out of this can than was put in.');
        $this->post("/stores/containers/{$rest->id}", ['fields' => ['now' => '1.8 L']])->assertSessionHasNoErrors();
        $this->get('/stores')->assertOk()->assertDontSee('more was taken out of this can')->assertSee('1.80 L');
    }

    public function test_a_batch_takes_from_the_shelf_a_correction_gives_back_and_the_rest_gets_a_label(): void
    {
        $can = Container::query()->firstOrFail();
        $holds = function () use ($can): float {
            $sum = (float) $can->movements()->sum('ml');
            self::assertEqualsWithDelta($sum, $can->refresh()->holds_ml, 1.0e-6, 'what is kept is what was moved');

            return $sum;
        };
        $job = $this->plan();
        $this->walk($job)->until('mix');
        $page = $this->actingAs($this->imre)
            ->get("/jobs/{$job->id}")
            ->assertSee('2.20 L left')
            ->assertSee('Order of pouring');
        $page->assertSee('New, 2 × 5.00 L');
        $this->enter($job, 'mix', 'batch', ['concentrate' => '3', 'water' => '0', 'from' => "shelf:{$can->id}"])
            ->assertSessionHasErrors('concentrate');
        $this->enter($job, 'mix', 'batch', ['concentrate' => '2.2', 'water' => '2.2', 'from' => "shelf:{$can->id}"])
            ->assertSessionHasNoErrors();
        self::assertEqualsWithDelta(0.0, $holds(), 0.01);
        $seq = (int) JournalLine::query()->max('seq');
        $this->post(
            "/jobs/{$job->id}/entries/{$seq}",
            [
                'key' => 'correct-batch-1',
                'fields' => ['concentrate' => '1.5', 'water' => '1.5', 'from' => "shelf:{$can->id}"],
            ],
        )
            ->assertSessionHasNoErrors();
        self::assertEqualsWithDelta(700.0, $holds(), 0.01, 'corrected, not taken twice');
        $offer = Product::query()
            ->where('kind', 'concentrate')
            ->where('inhibitor', 'family C, no silicate')
            ->where('ml', 5000)
            ->firstOrFail();
        $this->enter($job, 'mix', 'batch', ['concentrate' => '4', 'water' => '4', 'from' => "new:{$offer->id}"])
            ->assertSessionHasNoErrors();
        $rest = Container::query()->where('job_id', $job->id)->sole();
        self::assertEqualsWithDelta(1000.0, (float) $rest->movements()->sum('ml'), 0.01);
        $this->post(
            "/jobs/{$job->id}/entries/".(int) JournalLine::query()->max('seq'),
            ['key' => 'take-back-batch', 'take_back' => '1'],
        );
        self::assertEqualsWithDelta(
            0.0,
            (float) $rest->movements()->sum('ml'),
            0.01,
            'taken back, so no can was opened',
        );
        $this->enter($job, 'mix', 'batch', ['concentrate' => '4.5', 'water' => '4.5', 'from' => 'elsewhere'])
            ->assertSessionHasNoErrors();
        $this->walk($job)->finish()->until('left_over');
        $this->enter($job, 'left_over', 'kept', ['volume' => '0.8 L', 'customer' => '0.5'])->assertSessionHasNoErrors();
        $left = Container::query()->where('job_id', $job->id)->where('kind', 'premix')->sole();
        self::assertEqualsWithDelta([0.5, 800.0], [$left->fraction, (float) $left->movements()->sum('ml')], 0.001);
        $this->get('/stores')->assertSee('0.80 L')->assertSee($job->number());
        $batch = (int) JournalLine::query()->where('job_id', $job->id)->where('form', 'batch')->max('seq');
        $this->post("/jobs/{$job->id}/entries/{$batch}", [
            'key' => 'correct-batch-2',
            'reason' => 'It was the other can',
            'fields' => ['concentrate' => '3', 'water' => '6', 'from' => 'elsewhere'],
        ])->assertSessionHasNoErrors();
        self::assertEqualsWithDelta(4.5 / 12.0, $left->refresh()->fraction, 0.001, 'what stands there is what was mixed');
        self::assertSame(0, ContainerMovement::query()->where('job_id', '!=', $job->id)->count());
    }

    public function test_sizes_are_said_as_they_are_sold_and_compared_by_the_reader_s_unit(): void
    {
        $lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        $this->actingAs($lead)->post('/stores/products', ['fields' => ['kind' => 'premix', 'base' => 'ethylene_glycol', 'inhibitor' => 'family E', 'fraction' => '50', 'ml' => '1 gal', 'price' => '18']])
            ->assertSessionHasNoErrors();
        $this->get('/stores')->assertSee('1 gal (3.79 L)')->assertSee('price of one L')->assertSee('4.76');
        $lead->update(['units' => 'us']);
        $this->actingAs($lead->refresh())->get('/stores')->assertSee('<b>1 gal</b>', false)->assertSee('price of one gal')->assertSee('18.00');
    }

    public function test_a_drum_is_counted_by_how_high_it_stands(): void
    {
        $put = fn (array $fields) => $this->actingAs($this->imre)->post('/stores/containers', ['fields' => $fields + ['kind' => 'premix', 'base' => 'ethylene_glycol', 'inhibitor' => 'family C, no silicate', 'fraction' => '50']]);
        $put(['full' => '208'])->assertSessionHasErrors('full');
        $put(['stands' => '850'])->assertSessionHasErrors('full');
        $put(['full' => '208', 'stands' => '850'])->assertSessionHasErrors('level');
        $put(['full' => '208', 'stands' => '850', 'level' => '900'])->assertSessionHasErrors('level');
        $put(['full' => '208', 'stands' => '850', 'ml' => '300'])->assertSessionHasErrors('ml');
        $put(['full' => '208', 'stands' => '850', 'level' => '425'])->assertSessionHasNoErrors();
        $drum = Container::query()->latest('id')->firstOrFail();
        self::assertEqualsWithDelta(104_000.0, $drum->holds_ml, 0.01);
        $this->get('/stores')->assertSee('104.00 L')->assertSee('stands at 425 mm of 850 mm')->assertSee('name="fields[level]"', false);
        $this->post("/stores/containers/{$drum->id}", ['fields' => ['level' => '90 cm']])->assertSessionHasErrors('level');
        $this->post("/stores/containers/{$drum->id}", ['fields' => ['level' => '17 cm']])->assertSessionHasNoErrors();
        self::assertEqualsWithDelta(41_600.0, $drum->refresh()->holds_ml, 0.01);
    }

    public function test_the_plan_buys_less_when_the_shelf_has_some_and_says_when_nothing_suits(): void
    {
        $this->actingAs($this->imre)
            ->get('/jobs/new?vehicle=1&kind=change')
            ->assertSee('2.20 L concentrate from the shelf')
            ->assertSee('34.90 tal')
            ->assertSee('Premix 50 %');
        Product::query()->where('inhibitor', 'family C, no silicate')->delete();
        $this->get('/jobs/new?vehicle=1&kind=change')->assertSee('Nothing of this base and family on the price list');
    }

    public function test_what_open_jobs_still_want_is_held_against_the_shelf(): void
    {
        $job = $this->plan('SKP 660');
        $this->get('/stores')->assertOk()->assertSee('What open jobs still want')->assertSee($job->number())->assertSee('Distilled or deionised water');
        $this->walk($job)->until('open_bleeds');
        $this->get('/stores')->assertOk()->assertDontSee('What open jobs still want');
    }
}
