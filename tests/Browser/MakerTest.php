<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy as By;

/** Three unlike circuits from invented manuals, by layout, ticks and tape, counted as somebody does it. */
final class MakerTest extends BrowserTestCase
{
    /** Presses and typed values for one circuit. */
    private const MOST = 40;

    /**
     * @var array<string, array{string, list<string>, array<string,
     * string>}> layout, what it has, what manual and tape say
     */
    private const MANUALS = [
        'Harrow delivery van' => [
            'Bleed screw on the radiator',
            ['Second drain, on the block', 'Permanent vent line to the tank'],
            [
                'What it is called' => 'Harrow delivery van',
                'Capacity' => '8.9',
                'Cap opens at' => '110',
                'Thermostat starts to open' => '82',
                'Thermostat is fully open' => '94',
                'Fan comes on' => '97',
                'Fan goes off' => '92',
                'Never hotter than' => '106',
                'Cold level, so far below the neck' => '60',
                'Block plug, torque' => '25',
                'Manual and page' => 'Harrow book, 12-4',
                'Top of the thermostat housing' => '850',
                'Radiator, upper hose' => '820',
                'Radiator, lower hose' => '360',
                'Heater, upper pipe' => '920',
                'Expansion tank, edge of the neck' => '1000',
                'Block plug' => '430',
            ],
        ],
        'Pellow mower' => [
            'Small twin-cylinder machine',
            [],
            [
                'What it is called' => 'Pellow mower',
                'Capacity' => '2.2',
                'Cap opens at' => '75',
                'Thermostat starts to open' => '78',
                'Thermostat is fully open' => '90',
                'Never hotter than' => '100',
                'Manual and page' => 'Pellow leaflet',
                'Top of the thermostat housing' => '675',
                'Radiator, upper hose' => '690',
                'Radiator, lower hose' => '400',
            ],
        ],
        'Ridge generator' => [
            'Large engine with exchanger, day tank and turbo vents',
            [],
            [
                'What it is called' => 'Ridge generator',
                'Capacity' => '84',
                'Cap opens at' => '70',
                'Thermostat starts to open' => '76',
                'Thermostat is fully open' => '88',
                'Never hotter than' => '98',
                'Cold level, so far below the neck' => '150',
                'Exchanger plug, torque' => '60',
                'Outlet manifold, its vent' => '1480',
                'Left turbo, its vent' => '1720',
                'Right turbo, its vent' => '1715',
                'Left jacket cock' => '520',
                'Right jacket cock' => '515',
                'Exchanger, lower pipe' => '750',
                'Day tank, edge of the neck' => '2500',
            ],
        ],
    ];

    public function test_three_unlike_circuits_are_made_in_forty_presses_and_typed_values_each(): void
    {
        $this->signIn('sunniva');
        foreach (self::MANUALS as $name => [$layout, $has, $answers]) {
            $this->visit('/circuits');
            $done = 1;
            $this->press('New circuit');
            $this->follow(
                fn () => self::$browser
                    ->findElement(By::xpath("//main//li//a[b[normalize-space()='{$layout}']]"))
                    ->click(),
            );
            $done++;
            $this->assertAccessible();
            foreach ($has as $extra) {
                self::$browser
                    ->findElement(By::xpath("//label[contains(@class,'tick')][normalize-space()='{$extra}']"))
                    ->click();
                $done++;
            }
            foreach ($answers as $label => $typed) {
                $field = self::$browser->findElement(
                    By::id(
                        self::$browser
                            ->findElement(By::xpath("//form[@data-maker]//label[normalize-space()='{$label}']"))
                            ->getAttribute('for'),
                    ),
                );
                self::assertTrue($field->isDisplayed(), "{$label} is asked");
                $field->sendKeys($typed);
                $lights = $field->getAttribute('data-lights');
                self::assertTrue(
                    $lights === null || $this->has("[data-asked='{$lights}'].is-asked"),
                    "{$label} is lit",
                );
                $done++;
            }
            $this->press('Make the circuit');
            $done++;
            $this->seeStep($name);
            self::assertLessThanOrEqual(self::MOST, $done, $name);
            fwrite(STDERR, "{$name}: {$done} presses and typed values, ".self::MOST." allowed\n");
            $this->assertAccessible();
        }
        // Narrow, and as a form alone.
        self::$browser->manage()->window()->setSize(new \Facebook\WebDriver\WebDriverDimension(820, 1180));
        $this->visit('/circuits/make/v_engine');
        $this->assertNoWiderThan(820);
        self::$browser->manage()->window()->setSize(new \Facebook\WebDriver\WebDriverDimension(1280, 900));
    }
}
