<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Person;
use App\Models\Right;
use App\Models\Shop;
use App\Models\Vehicle;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;

/** Every way in that changes something, and the one right it asks for. */
final class RightsTest extends ShopTestCase
{
    /** Ways that ask for a right, whatever they are sent. */
    private const ASK = [
        'clock' => Right::SetClock,
        'people' => Right::ManagePeople,
        'people/{person}' => Right::ManagePeople,
        'tablets' => Right::ManagePeople,
        'tablets/{tablet}/end' => Right::ManagePeople,
        'shop' => Right::ChangeShop,
        'shop/vessels' => Right::ChangeShop,
        'shop/rules' => Right::ChangeShop,
        'shop/labour' => Right::ChangeShop,
        'shop/calendar' => Right::ChangeShop,
        'records/import' => Right::ChangeShop,
        'records/predictions' => Right::ChangeShop,
        'shop/rights' => Right::ChangeShop,
        'templates' => Right::ChangeShop,
        'templates/{template}' => Right::ChangeShop,
        'vehicles/{vehicle}/retire' => Right::RetireVehicles,
        'stores/products' => Right::ChangePrices,
        'stores/products/{product}' => Right::ChangePrices,
        'circuits' => Right::ChangeCircuits,
        'circuits/layouts' => Right::ChangeCircuits,
        'circuits/make/{layout}' => Right::ChangeCircuits,
        'circuits/preview' => Right::ChangeCircuits,
        'circuits/{circuit}' => Right::ChangeCircuits,
        'circuits/{circuit}/measured' => Right::ChangeCircuits,
        'circuits/{circuit}/merge' => Right::ChangeCircuits,
        'circuits/{circuit}/look' => Right::ChangeCircuits,
        'circuits/{circuit}/learned' => Right::ChangeCircuits,
        'circuits/{circuit}/learned/ask' => Right::ChangeCircuits,
    ];

    /** Ways that are everybody’s; what of them is not is tried below. */
    private const EVERYBODY = [
        'first-start',
        'sign-in',
        'sign-in/pin',
        'sign-out',
        'units',
        'password',
        'password/pin',
        'sign-ins/{signIn}/end',
        'jobs',
        'jobs/{job}/entries',
        'jobs/{job}/late',
        'jobs/{job}/cautions',
        'jobs/{job}/sheet',
        'jobs/{job}/finish',
        'jobs/{job}/entries/{seq}',
        'jobs/{job}/hand-over',
        'jobs/{job}/another-way',
        'jobs/{job}/rest',
        'jobs/{job}/merge',
        'jobs/{job}/abandon',
        'jobs/{job}/photos',
        'jobs/{job}/visits',
        'jobs/{job}/visits/ask',
        'visits/{visit}/skip',
        'visits/{visit}/correct',
        'jobs/{job}/feeds',
        'jobs/{job}/practice/clock',
        'jobs/{job}/practice/end',
        'practice/{exercise}',
        'jobs/{job}/logger',
        'jobs/{job}/logger/keep',
        'feeds/{feed}/end',
        'feeds/{feed}/outlet',
        'feeds/{token}',
        'visits/{visit}/hand-over',
        'calendar',
        'day/{job}',
        'vehicles',
        'vehicles/import',
        'vehicles/{vehicle}',
        'stores/containers',
        'stores/containers/{container}',
        'stores/containers/{container}/out',
        'circuits/{circuit}/add',
    ];

    public function test_every_way_in_that_writes_is_known_here(): void
    {
        $ways = [];
        foreach (Route::getRoutes() as $route) {
            if (array_diff($route->methods(), ['GET', 'HEAD']) !== []) {
                $ways[] = $route->uri();
            }
        }
        self::assertSame(
            [],
            array_values(array_diff($ways, array_keys(self::ASK), self::EVERYBODY)),
            'say which right it asks for',
        );
        self::assertSame(
            [],
            array_values(array_diff([...array_keys(self::ASK), ...self::EVERYBODY], $ways)),
            'is no way in any more',
        );
    }

    /** @return array<string, array{string, Right}> */
    public static function asking(): array
    {
        return array_map(
            fn (string $way, Right $right) => [$way, $right],
            array_combine(array_keys(self::ASK), array_keys(self::ASK)),
            self::ASK,
        );
    }

    #[DataProvider('asking')]
    public function test_it_is_closed_to_who_has_not_the_right_by_page_and_by_script(string $way, Right $right): void
    {
        $path = '/'
            .strtr($way, [
                '{person}' => (string) $this->imre->id,
                '{vehicle}' => (string) Vehicle::query()->value('id'),
                '{circuit}' => (string) Vehicle::query()->value('circuit_id'),
                '{tablet}' => '1',
                '{template}' => '1',
                '{product}' => '1',
            ]);
        foreach (Route::getRoutes() as $route) {
            if ($route->uri() === $way && ! in_array('GET', $route->methods(), true)) {
                $method = $route->methods()[0];
            }
        }
        $asks = fn (): array => array_map(fn ($answer): int => $answer->getStatusCode(), [
            $this->actingAs($this->imre)->call($method ?? 'POST', $path),
            $this->actingAs($this->imre)->json($method ?? 'POST', $path),
        ]);
        $missing = str_contains($way, '{tablet') ? 404 : 403;
        self::assertSame([$missing, $missing], $asks());
        if ($right->canBeGranted()) {
            Shop::query()->firstOrFail()->update(['granted' => [$right->value]]);
            self::assertNotContains(403, $asks());
        }
    }

    public function test_a_file_retires_and_brings_back_only_what_the_page_would(): void
    {
        $lead = Person::query()->where('login', 'sunniva')->firstOrFail();
        $vehicle = Vehicle::query()->with('circuit')->where('plate', 'SKP 114')->firstOrFail();
        $file = fn (string $retired): array => [
            'text' => "plate,name,circuit,retired\nSKP 114,{$vehicle->name},{$vehicle->circuit->key},{$retired}\n",
            'keep' => '1',
        ];
        $this->actingAs($this->imre)
            ->post('/vehicles/import', $file('yes'))
            ->assertOk()
            ->assertSee(Right::RetireVehicles->refusal());
        self::assertNull($vehicle->refresh()->retired_at);
        $job = $this->plan();
        $this->actingAs($lead)
            ->post('/vehicles/import', $file('yes'))
            ->assertOk()
            ->assertSee("{$job->number()} is still open on it");
        self::assertNull($vehicle->refresh()->retired_at);
        $job->update(['abandoned_at' => now(), 'abandoned_because' => 'sold']);
        $this->post('/vehicles/import', $file('yes'))->assertRedirect('/vehicles');
        self::assertNotNull($vehicle->refresh()->retired_at);
        $this->actingAs($this->imre)
            ->post('/vehicles/import', $file(''))
            ->assertOk()
            ->assertSee(Right::RetireVehicles->refusal());
        self::assertNotNull($vehicle->refresh()->retired_at);
        Shop::query()->firstOrFail()->update(['granted' => [Right::RetireVehicles->value]]);
        $this->post('/vehicles/import', $file(''))->assertRedirect('/vehicles');
        self::assertNull($vehicle->refresh()->retired_at);
    }

    public function test_no_entry_of_a_vehicle_retires_it(): void
    {
        $vehicle = Vehicle::query()->with('circuit')->where('plate', 'SKP 114')->firstOrFail();
        $this->actingAs($this->imre)->post("/vehicles/{$vehicle->id}", [
            'plate' => 'SKP 114',
            'name' => 'Changed',
            'circuit' => $vehicle->circuit->key,
            'retired' => 'yes',
            'retired_at' => '2026-01-01',
        ]);
        self::assertNull($vehicle->refresh()->retired_at);
    }
}
