<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverDimension;

/**
 * A warm-up that instruments write themselves: a vehicle that is not
 * there sends through the door, and the app finds what it shows.
 */
final class InstrumentsTest extends BrowserTestCase
{
    public function test_a_warm_up_is_proven_by_what_a_stand_in_sends(): void
    {
        $this->start('SKP 660');
        $this->connect('');
        $this->goOn(300);
        self::assertStringContainsString('°C', $this->text('[data-shows=coolant]'));
        self::assertTrue($this->has('[data-curve] canvas'));
        $this->assertAccessible(true);
        for ($more = 0; $more < 12 && ! $this->has('.verdict-pass'); $more++) {
            $this->goOn(300);
        }
        self::$browser->executeScript('document.querySelector("#instruments").scrollIntoView({ block: "center" })');
        $this->see('Thermostat, heater and fan all say the same', '.verdict');
        $this->see('by instrument', '#evidence');
        // A press on the time of a line shows its stretch of the curve; the table beside it stays as it is.
        self::$browser->executeScript('document.querySelector("[data-shows-at]").click()');
        self::$browser->manage()->window()->setSize(new WebDriverDimension(390, 844));
        $this->assertNoWiderThan(390);
        self::$browser->executeScript('document.querySelector("#instruments").scrollIntoView()');
        sleep(1);
        self::$browser->manage()->window()->setSize(new WebDriverDimension(1280, 900));
        // It was two presses with the start: shut off, and go on.
        $this->press('Engine is off');
        $this->finish();
        self::assertStringNotContainsString('Heat cycle 1', $this->text('h1'));
    }

    public function test_a_shut_thermostat_takes_the_screen_and_a_feed_that_breaks_off_is_said(): void
    {
        $job = $this->start('SKP 114');
        $this->connect('thermostat:shut');
        $this->goOn(300);
        // The cable is pulled.
        self::$browser->executeScript('document.querySelector("[data-series]").dataset.standIn = ""');
        $this->goOn(60);
        $this->see('Nothing has come for', '#instruments');
        $this->reload();
        for ($more = 0; $more < 20 && ! $this->has('.is-danger'); $more++) {
            $this->goOn(250);
        }
        $this->see('Shut off', '#run');
        // Danger comes before the numbers.
        self::assertTrue(
            self::$browser->executeScript(
                'return document.querySelector(".verdict").getBoundingClientRect().top < '
                    .'document.querySelector("#instruments").getBoundingClientRect().top',
            ),
        );
        $this->visit('/');
        $this->see('Shut off now', 'body');
        self::assertNotSame('', $job);
    }

    public function test_a_cable_at_the_tablet_goes_through_the_same_door(): void
    {
        $this->start('SKP 208');
        self::$browser->executeScript(
            'document.querySelectorAll("#instruments > details").forEach((d) => { d.open = true; })',
        );
        $this->press('Make an address');
        $this->until(fn () => $this->has('[data-series]'));
        // An adapter that echoes, chatters and answers what it is asked.
        self::$browser->executeScript(<<<'JS'
            window.asked = [];
            let answer;
            const port = {
                open: async () => {},
                readable: new ReadableStream({ start: (end) => { answer = (text) => end.enqueue(new TextEncoder().encode(text)); answer('SEARCHING...\r\n'); } }),
                writable: new WritableStream({ write: (bytes) => {
                    const what = new TextDecoder().decode(bytes).trim();
                    window.asked.push(what);
                    what === '0105' && answer('41 05 7B\r\r>');
                    what === '010C' && answer('41 0C 0C 80\r\r>');
                } }),
            };
            Object.defineProperty(navigator, 'serial', { value: { requestPort: async () => port }, configurable: true });
            document.dispatchEvent(new Event('shown'));
            document.querySelector('#instruments details:has([data-cable])').open = true;
            JS);
        self::$browser->executeScript('document.querySelector("[data-cable-opens]").click()');
        $this->until(fn () => str_contains($this->text('[data-cable]'), 'went to the shop'));
        self::assertSame(
            ['ATE0', 'ATL0', 'ATSP0', '0105'],
            self::$browser->executeScript('return window.asked.slice(0, 4)'),
        );
        $this->until(fn () => str_contains($this->text('[data-shows=coolant]'), '83 °C'));
        self::assertSame('800', $this->text('[data-shows=rpm]'));
        $this->assertAccessible(true);
    }

    public function test_somebody_practises_on_a_vehicle_that_is_not_there(): void
    {
        $this->signIn();
        $this->visit('/practice');
        $this->assertAccessible(true);
        self::$browser->executeScript(
            'document.querySelector("form[action=\'/practice/thermostat-shut\'] button").click()',
        );
        $this->until(fn () => str_contains(self::$browser->getCurrentURL(), '/jobs/9'));
        $this->see('Practice: An easy one.', '#practice');
        self::$browser->manage()->window()->setSize(new WebDriverDimension(390, 844));
        $this->assertNoWiderThan(390);
        self::$browser->manage()->window()->setSize(new WebDriverDimension(1280, 900));
        $this->press('×20');
        $this->oneByOne();
        $this->readCautions();
        $this->record('start', ['place' => 'outdoors']);
        // The first ten minutes twenty times as fast; then as fast as anybody’s
        // clock, so that a slow machine does not look away.
        $this->goOn(25);
        $this->press('×1');
        for ($more = 0; $more < 30 && ! $this->has('.is-danger'); $more++) {
            $this->goOn(40);
        }
        $this->see('Shut off', '#run');
        $this->press('Engine is off');
        $this->press('End it');
        $this->see('As it should be', 'main');
        $this->see('The thermostat stayed shut', 'main');
        $this->assertAccessible(true);
        $this->visit('/records');
        self::assertStringNotContainsString('PRACTICE', $this->text('main'));
    }

    private function start(string $plate): string
    {
        $this->signIn();
        $job = $this->jobAt('heat_cycle:1', $plate);
        $this->oneByOne();
        $this->readCautions();
        $this->record('start', ['place' => 'outdoors']);

        return $job;
    }

    private function connect(string $fault): void
    {
        self::$browser->executeScript(
            'document.querySelectorAll("#instruments > details").forEach((d) => { d.open = true; })',
        );
        self::$browser->executeScript('document.querySelector("#fault").value = arguments[0]', [$fault]);
        $this->press('Let the stand-in drive');
        $this->until(fn () => $this->has('[data-series]'));
    }

    /** So much time passes, and the page has drawn what came in it. */
    private function goOn(int $seconds): void
    {
        $asked = fn (): int => (int) self::$browser->executeScript(
            'return Number(document.querySelector("[data-series]")?.dataset.asked ?? 0)',
        );
        $before = $asked();
        $this->pass($seconds);
        $this->until(fn () => $asked() >= $before + 2);
    }
}
