<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\Group;

#[Group('one-database')]
final class CalculatorTest extends ShopTestCase
{
    public function test_every_calculator_answers_in_both_unit_systems_with_formula_and_source(): void
    {
        foreach ([
            'mixture' => ['4.50 L', '4.76 qt'],
            'frost' => ['103 °C', '−37 °C'],
            'vacuum' => ['21.1 inHg', '6.83 L'],
            'rinse' => ['1 × fill'],
            'cool-down' => ['69 min'],
            'protection' => ['44 %', '4.22 qt', 'Within the usual'],
            'units' => ['7.48 L', '252.8 fl oz'],
        ] as $name => $shown) {
            $page = $this->actingAs($this->imre)->get("/bench/{$name}")->assertOk();
            foreach ($shown as $text) {
                $page->assertSee($text);
            }
            $page->assertSee('class="help formula"', false)->assertSee('class="help source"', false);
        }
    }

    public function test_what_is_typed_stands_in_the_address_in_any_unit(): void
    {
        $this->actingAs($this->imre)
            ->get(
                '/bench/mixture?fields[capacity]=9.51+qt&fields[retained]=0&fields[retained_fraction]=0&fields[target]=50',
            )
            ->assertSee('4.50 L')
            ->assertSee('9.51 qt');
    }

    public function test_bad_input_is_said_at_its_field(): void
    {
        $this->actingAs($this->imre);
        $this->get('/bench/frost?fields[fraction]=plenty')->assertOk()->assertSee('Enter a number');
        $this->get('/bench/rinse?fields[retained]=12&fields[capacity]=9')
            ->assertOk()
            ->assertSee('Open another drain point');
        $this->get('/bench/cool-down?fields[safe]=10')->assertOk()->assertSee('above the air temperature');
        $this->get('/bench/vacuum?fields[target][]=1&fields=x')->assertOk();
        $this->get('/bench/units?fields[value]=15+ft%C2%B7lb')->assertSee('20.3 N·m');
        $this->get('/bench/units?fields[value]=12000+mi')->assertSee('19312');
        foreach (['abc', '7.9', '5 furlongs', '1..2 L', str_repeat('9', 300)] as $bad) {
            $this->get('/bench/units?'.http_build_query(['fields' => ['value' => $bad]]))
                ->assertOk()
                ->assertSee('class="error"', false);
        }
        $this->get('/bench/protection?fields[frost]=-80')->assertOk()->assertSee('cannot be right here');
        $this->get('/bench/soup')->assertNotFound();
    }
}
