<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;

/**
 * Whole jobs of every kind, every step looked at on its page, in the units of a person who thinks in quarts and
 * Fahrenheit.
 */
#[Group('one-database')]
final class WalkTest extends ShopTestCase
{
    /** @return array<string, array{array<string, mixed>, list<string>}> what is chosen, and steps that must come by */
    public static function jobs(): array
    {
        return [
            'coolant lost' => [
                ['vehicle' => 8, 'kind' => 'lost', 'complaint' => 'falling'],
                ['find_drip', 'look', 'complaint', 'left_over'],
            ],
            'change, unknown coolant' => [
                ['vehicle' => 5, 'kind' => 'change', 'content' => 'unknown', 'odometer' => '91000'],
                ['jar_test', 'rinse_fill', 'rinse_run', 'rinse_drain', 'refit'],
            ],
            'other family, long pipes' => [
                ['vehicle' => 6, 'kind' => 'change', 'content' => 'family', 'target' => '45'], ['rinse_run', 'mix'],
            ],
            'repair with sealant, vacuum' => [
                ['vehicle' => 1, 'kind' => 'repair', 'opened' => ['upper_hose'], 'cure' => '90', 'school' => 'vacuum'],
                ['cure', 'cured', 'pull', 'vacuum_fill'],
            ],
            'bleeding only' => [
                [
                    'vehicle' => 3, 'kind' => 'bleed', 'complaint' => 'heater_cold',
                ], ['open_bleeds', 'bleed', 'complaint'],
            ],
            'no tools at all' => [
                ['vehicle' => 12, 'kind' => 'change', 'tools_chosen' => '1', 'cure' => '30'], ['cured', 'heat_cycle'],
            ],
        ];
    }

    /**
     * @param  array<string, mixed>  $choices
     * @param  list<string>  $kinds
     */
    #[DataProvider('jobs')]
    public function test_from_plan_to_signed_record(array $choices, array $kinds): void
    {
        $this->actingAs($this->imre)
            ->post('/jobs', ['chosen' => '1', 'drains_auto' => '1', ...$choices])
            ->assertSessionHasNoErrors();
        $job = Job::query()->sole();
        $seen = [];
        for ($turn = 0; $turn < 80 && ($step = $job->state()->stepInHand()) !== null; $turn++) {
            $seen[$step->kind] = true;
            // Typed in litres and degrees by the walk, read in quarts and Fahrenheit by the page.
            $this->imre->units = UnitSystem::UsCustomary;
            $title = app(StepCatalogue::class)->of($step)->title($job->state()->at($step, now()->getTimestamp()));
            $page = $this->actingAs($this->imre)->get("/jobs/{$job->id}")->assertOk()->assertSee($title);
            self::assertSame([], self::metricWords((string) $page->getContent()), $step->id);
            // A step on a sheet with others has a page of its own too.
            $page = $this->get("/jobs/{$job->id}?step=".urlencode($step->id))->assertOk()->assertSee($title);
            self::assertSame([], self::metricWords((string) $page->getContent()), $step->id);
            $this->imre->units = UnitSystem::Metric;
            $this->walk($job)->step();
        }
        self::assertNotNull($job->refresh()->signed_at, 'stopped at '.$job->state()->stepInHand()?->id);
        self::assertSame([], array_diff($kinds, array_keys($seen)));
        $this->get("/jobs/{$job->id}/record")->assertOk()->assertSee('Signed');
        $this->get('/stores')->assertOk();
        self::assertLessThan(
            0.08,
            abs($job->state()->ledger()->fraction() - $job->plan['choices']['targetFraction']),
            'the mixture came out as planned',
        );
    }

    /**
     * Litres and degrees Celsius in what the page says of itself;
     * marks on a vessel and what somebody typed may be metric.
     *
     * @return list<string>
     */
    private static function metricWords(string $page): array
    {
        $dom = new \DOMDocument;
        $dom->loadHTML('<?xml encoding="utf-8">'.$page, LIBXML_NOERROR);
        $path = new \DOMXPath($dom);
        $main = $path->query('//section[contains(concat(" ", @class, " "), " step ")]')->item(0);
        self::assertNotNull($main, 'a page of a run shows its step');
        foreach (iterator_to_array(
            $path->query('.//fieldset | .//label | .//*[contains(@class, "evidence")]', $main),
        ) as $typed) {
            $typed->parentNode->removeChild($typed);
        }
        $said = (string) preg_replace('#[\d.]+ m?L marks?#', '', $main->textContent);
        self::assertGreaterThan(80, mb_strlen(trim($said)));
        preg_match_all('/.{0,30}\d (?:m?L|°C|N·m|kPa|km)\b/u', $said, $found);

        return $found[0];
    }
}
