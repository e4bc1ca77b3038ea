<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Person;
use App\Models\Shop;
use Aqbel\Core\Learned\Rate;
use Aqbel\Core\Plan\HouseRules;
use Database\Seeders\DemoSeeder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;

/** What circuits said beforehand beside what was measured afterwards, honest also when it is bad. */
final class HowWellTest extends ShopTestCase
{
    public function test_a_shop_without_a_signed_job_says_so(): void
    {
        $this->actingAs($this->imre)->get('/records/predictions')->assertOk()->assertSee('Nothing measured yet');
    }

    public function test_what_was_measured_as_it_was_said_lies_within_and_a_wrong_circuit_is_named(): void
    {
        DemoSeeder::job('SKP 660', 'gravity', $this->imre, 9 * 1440)->until(null);
        Carbon::setTestNow();
        $good = (string) $this->actingAs($this->imre)->get('/records/predictions')->assertOk()->getContent();
        self::assertMatchesRegularExpression('~>100 %</span>~', $good);
        self::assertStringContainsString('of 2 figures', $good);
        $this->get('/records')->assertSee('/records/predictions', false);

        // Another vehicle whose circuit holds much less than its drain let out.
        $walk = DemoSeeder::job('SKP 114', 'gravity', $this->imre, 5 * 1440)->until(null);
        Carbon::setTestNow();
        $document = $walk->job->circuit->document;
        foreach ($document['passages'] as $i => $passage) {
            $document['passages'][$i]['volume_ml']
                = $passage['kind'] === 'radiator' ? 0.2 * $passage['volume_ml'] : $passage['volume_ml'];
        }
        $walk->job->circuit->update(['document' => $document]);
        $bad = (string) $this->get('/records/predictions')->assertOk()->getContent();
        self::assertDoesNotMatchRegularExpression('~>100 %</span>~', $bad);
        self::assertStringContainsString('/circuits/'.$walk->job->circuit_id.'/learned', $bad);
        $this->actingAs($this->imre)->post('/units');
        $this->actingAs($this->imre->refresh())->get('/records/predictions')->assertSee(' qt');
    }

    public function test_how_the_shop_goes_stands_beside_what_is_usual(): void
    {
        for ($job = 0; $job < Rate::LEAST; $job++) {
            DemoSeeder::job('SKP 660', 'gravity', $this->imre, (9 - $job) * 1440)->until(null);
        }
        Carbon::setTestNow();
        $this->actingAs($this->imre)
            ->get('/records/predictions')
            ->assertOk()
            ->assertSee('How this shop goes, beside what is usual')
            ->assertSee('Mix a batch, hands')
            ->assertSee('Tells the next job better');
    }

    public function test_a_lead_takes_over_what_tells_better_and_gives_it_back(): void
    {
        for ($job = 0; $job < Rate::LEAST; $job++) {
            $walk = DemoSeeder::job('SKP 660', 'gravity', $this->imre, (9 - $job) * 1440)->until(null);
            $told[$walk->job->id] = [
                'hands:mix' => 2.0 + 0.02 * $job,
                'cooling' => 0.7 + 0.04 * $job,
                'purging' => 1.5,
                'hands:drain' => 0.5 + 0.6 * $job,
            ];
        }
        Cache::put('each.rates', $told);
        Carbon::setTestNow();
        $usual = Shop::here()->houseRules();
        $take = fn (string $rate, bool $asUsual = false) => $this->post('/records/predictions', [
            'rate' => $rate,
            'usual' => $asUsual ? '1' : '',
        ]);
        $rules = fn (): HouseRules => Shop::query()->firstOrFail()->houseRules();
        $this->actingAs($this->imre)->get('/records/predictions')->assertOk()->assertDontSee('Take over');
        $take('hands:mix')->assertForbidden();
        $lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        $this->actingAs($lead)
            ->get('/records/predictions')
            ->assertOk()
            ->assertSee('Take over 12 min: Mix a batch, hands', false)
            ->assertSee('Take over 1.50 × the usual: Air that a run leaves', false);

        $take('hands:mix')->assertRedirect('/records/predictions');
        self::assertSame(12.0, $rules()->labour->of('mix')->hands);
        self::assertSame($usual->labour->of('mix')->wait, $rules()->labour->of('mix')->wait);
        $this->get('/records/predictions')
            ->assertSee('As usual: Mix a batch, hands', false)
            ->assertDontSee('Take over 12 min: Mix', false);
        // Sooner cold is believed at the slower end of what jobs tell.
        $take('cooling');
        self::assertGreaterThan(0.76, $rules()->coolingFactor);
        self::assertLessThan(0.9, $rules()->coolingFactor);
        $take('purging');
        self::assertSame(1.5, $rules()->purgingFactor);
        $this->get('/shop/changes')->assertSee('A cool-down takes');
        $this->get('/shop/rules')->assertOk()->assertSee('A cool-down takes, times the usual');

        foreach (['hands:drain', 'hands:bath', 'spilling', 'x'] as $tellsNothing) {
            $take($tellsNothing)->assertSessionHasErrors('rate');
        }
        foreach (['hands:mix', 'cooling', 'purging'] as $rate) {
            $take($rate, asUsual: true)->assertRedirect('/records/predictions');
        }
        self::assertEquals(
            [$usual->labour->of('mix'), 1.0, 1.0],
            [$rules()->labour->of('mix'), $rules()->coolingFactor, $rules()->purgingFactor],
        );
    }
}
