<?php

declare(strict_types=1);

namespace Tests\App\Calc;

use App\Calc\TopicList;
use Aqbel\Core\InvalidField;
use PHPUnit\Framework\TestCase;

/** Mixing, rinsing and expanding, as scripts ask for them. */
final class MixTopicTest extends TestCase
{
    public function test_nine_litres_with_water_inside(): void
    {
        $mix = $this->calc('mix', ['capacity_ml' => 9000, 'retained_ml' => 2600, 'target_fraction' => 0.5]);
        self::assertEqualsWithDelta([4500, 1900], [$mix['concentrate_ml'], $mix['water_ml']], 0.1);
        self::assertEqualsWithDelta(4500 / 6400, $mix['bucket_fraction'], 1e-9);
        self::assertTrue($mix['reachable']);
        $late = $this->calc('mix', ['capacity_ml' => 9000, 'retained_ml' => 5000, 'target_fraction' => 0.5]);
        self::assertFalse($late['reachable']);
        self::assertEqualsWithDelta(0.444, $late['best_fraction'], 0.001);
    }

    public function test_premix_cannot_make_up_for_retained_water(): void
    {
        $mix = $this->calc(
            'mix',
            [
                'capacity_ml' => 8000,
                'retained_ml' => 2000,
                'target_fraction' => 0.5,
                'stock' => 'premix',
                'premix_fraction' => 0.5,
            ],
        );
        self::assertEqualsWithDelta(6000, $mix['premix_ml'], 1e-6);
        self::assertEqualsWithDelta(0.375, $mix['final_fraction'], 1e-9);
        self::assertFalse($mix['reachable']);
    }

    public function test_glycol_and_volume_are_conserved_over_random_circuits(): void
    {
        mt_srand(11);
        for ($i = 0; $i < 300; $i++) {
            $in = [
                'capacity_ml' => mt_rand(1000, 90000),
                'retained_fraction' => mt_rand(0, 60) / 100,
                'target_fraction' => mt_rand(0, 60) / 100,
            ];
            $in['retained_ml'] = (int) ($in['capacity_ml'] * mt_rand(0, 100) / 100);
            $mix = $this->calc('mix', $in);
            self::assertEqualsWithDelta(
                $in['capacity_ml'],
                $mix['concentrate_ml'] + $mix['water_ml'] + $in['retained_ml'],
                1e-6,
            );
            self::assertEqualsWithDelta(
                $mix['concentrate_ml'] + $in['retained_ml'] * $in['retained_fraction'],
                $mix['final_fraction'] * $in['capacity_ml'],
                1e-6,
            );
            self::assertGreaterThanOrEqual(-1e-9, $mix['water_ml']);
            self::assertSame(abs($mix['final_fraction'] - $in['target_fraction']) < 0.001, $mix['reachable']);
        }
    }

    public function test_whole_containers_at_the_least_price(): void
    {
        $shelf = [
            ['kind' => 'concentrate', 'ml' => 1000, 'price' => 9],
            ['kind' => 'concentrate', 'ml' => 5000, 'price' => 31],
            ['kind' => 'water', 'ml' => 5000, 'price' => 4],
        ];
        $mix = $this->calc('mix', ['capacity_ml' => 12400, 'target_fraction' => 0.5, 'containers' => $shelf]);
        self::assertEqualsWithDelta(31 + 2 * 9 + 2 * 4, $mix['cost'], 1e-9);
        self::assertEqualsWithDelta(800, $mix['left_over_ml']['concentrate'], 1e-6);
        self::assertNull(
            $this->calc(
                'mix',
                [
                    'capacity_ml' => 9000,
                    'target_fraction' => 0.5,
                    'containers' => [['kind' => 'water', 'ml' => 5000, 'price' => 4]],
                ],
            )['cost'],
        );
    }

    public function test_rinses_count_the_first_drain(): void
    {
        $rinse = $this->calc('rinse', ['capacity_ml' => 9000, 'retained_ml' => 1800, 'target_old_fraction' => 0.05]);
        self::assertSame(1, $rinse['rinses']);
        self::assertEqualsWithDelta(0.04, $rinse['old_fraction'], 1e-9);
        self::assertEqualsWithDelta(7200, $rinse['water_ml'], 1e-6);
        self::assertSame(
            0,
            $this->calc('rinse', ['capacity_ml' => 9000, 'retained_ml' => 0, 'target_old_fraction' => 0.05])['rinses'],
        );
        $van = json_decode((string) file_get_contents(__DIR__.'/../../fixtures/post-van.json'), true)['circuit'];
        $further = $this->calc(
            'rinse',
            [
                'capacity_ml' => 8950,
                'retained_ml' => 1356,
                'target_old_fraction' => 0.01,
                'circuit' => $van,
                'open' => ['petcock'],
                'open_gates' => ['heater'],
            ],
        )['further'];
        self::assertSame('block_plug', $further[0]['port']);
        self::assertEqualsWithDelta(656.2, $further[0]['retained_ml'], 90);
    }

    /** Half and half grows about 4 % from 20 to 90 °C (from memory). */
    public function test_expansion_has_to_fit_above_the_cold_mark(): void
    {
        $hot = ['base' => 'ethylene_glycol', 'volume_fraction' => 0.5, 'volume_ml' => 9000, 'to_c' => 90];
        self::assertEqualsWithDelta(0.04, $this->calc('expansion', $hot)['growth_fraction'], 0.005);
        self::assertTrue($this->calc('expansion', $hot + ['headspace_ml' => 500])['fits']);
        self::assertFalse($this->calc('expansion', $hot + ['headspace_ml' => 200])['fits']);
    }

    public function test_what_cannot_be_is_refused_at_its_field(): void
    {
        foreach ([[
            'mix', ['capacity_ml' => 9, 'retained_ml' => 10, 'target_fraction' => 0.5], 'retained_ml',
        ], ['mix', ['capacity_ml' => 9, 'target_fraction' => 50], 'target_fraction'],
            ['rinse', ['capacity_ml' => 9, 'retained_ml' => 9, 'target_old_fraction' => 0.1], 'retained_ml'], [
                'mix',
                ['capacity_ml' => 9, 'target_fraction' => 0.5, 'containers' => [['kind' => 'oil']]],
                'containers.0.kind',
            ]] as [$topic, $in, $field]) {
            try {
                $this->calc($topic, $in);
                self::fail('accepted');
            } catch (InvalidField $invalid) {
                self::assertSame($field, $invalid->field);
            }
        }
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, mixed>
     */
    private function calc(string $topic, array $in): array
    {
        return TopicList::answer($topic, (string) json_encode($in));
    }
}
