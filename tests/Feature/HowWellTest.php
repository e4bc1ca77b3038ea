<?php

declare(strict_types=1);

namespace Tests\Feature;

use Aqbel\Core\Learned\Rate;
use Database\Seeders\DemoSeeder;
use Illuminate\Support\Carbon;

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
            $document['passages'][$i]['volume_ml'] = $passage['kind'] === 'radiator' ? 0.2 * $passage['volume_ml'] : $passage['volume_ml'];
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
        $this->actingAs($this->imre)->get('/records/predictions')->assertOk()
            ->assertSee('How this shop goes, beside what is usual')->assertSee('Mix a batch, hands')->assertSee('Tells the next job better');
    }
}
