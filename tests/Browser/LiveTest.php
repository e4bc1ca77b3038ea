<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy as By;

/** Two tablets and a wall on one job: what one writes stands on the others within two seconds, without a touch. */
final class LiveTest extends BrowserTestCase
{
    /** Within which another's line must be seen, s; a busy machine is given twice of it. */
    private const SOON_S = 4.0;

    public function test_the_wall_and_the_other_tablet_see_what_one_writes(): void
    {
        $this->signIn();
        $run = $this->jobAt('found', 'SKP 115');
        $this->visit('/');
        $this->mark();
        $other = $this->otherTablet('sunniva', "{$run}?step=found");
        $other->record('found', ['content' => 'full']);
        $other->visit("{$run}?step=found");
        $other->finish();
        $this->soon(fn () => str_contains($this->shown('#floor'), 'Baseline readings'));
        $this->unmoved();

        $this->visit($run);
        $this->mark();
        $other->visit("{$run}?step=baseline");
        $other->record('not_run', []);
        $this->soon(
            fn () => ! str_contains($this->shown('.is-current'), 'Baseline')
                || str_contains($this->shown('.run'), 'Have at hand'),
        );
        $this->unmoved();
    }

    public function test_what_is_being_typed_stays_and_the_rest_of_the_page_follows(): void
    {
        $this->signIn();
        $run = $this->jobAt('found', 'SKP 902');
        $this->visit("{$run}?step=found");
        $this->mark();
        self::$browser->executeScript('document.querySelector("[name=\"fields[missing]\"]").value = "0.7"');
        $other = $this->otherTablet('sunniva', "{$run}?step=found");
        $other->record('found', ['content' => 'full']);
        $this->soon(fn () => str_contains($this->shown('[data-stale]:not([hidden])'), 'Others wrote here'));
        self::assertSame(
            '0.7',
            self::$browser->executeScript('return document.querySelector("[name=\"fields[missing]\"]").value'),
        );
        $this->unmoved();
    }

    public function test_danger_on_another_tablet_takes_every_page(): void
    {
        $this->signIn();
        $run = $this->jobAt('heat_cycle:1', 'SKP 660');
        $other = $this->otherTablet('sunniva', "{$run}?step=heat_cycle:1");
        $other->record('start', ['place' => 'outdoors', 'neck' => 'sealed']);
        $this->visit('/vehicles');
        $this->mark();
        $this->pass(900);
        $other->visit("{$run}?step=heat_cycle:1");
        $other->record('reading', ['ect' => '118', 'far' => '60', 'bubbles' => 'hidden', 'sign' => 'none']);
        $this->soon(fn () => str_contains($this->shown('#danger'), 'Shut off now'));
        $this->unmoved();
        // On paper of another vehicle it is nothing.
        $this->devTools('Emulation.setEmulatedMedia', ['media' => 'print']);
        self::assertFalse(self::$browser->findElement(By::cssSelector('#danger a'))->isDisplayed());
        $this->devTools('Emulation.setEmulatedMedia', ['media' => '']);
        $this->visit($run);
        self::assertTrue($this->has('.run.is-danger .verdict-stop'));
        $this->assertAccessible();
    }

    public function test_without_a_connection_it_says_so_and_catches_up(): void
    {
        $this->signIn();
        $run = $this->jobAt('found', 'SKP 031');
        $this->visit('/');
        $this->mark();
        self::$browser->executeScript(
            'window.shop = window.fetch; window.fetch = () => Promise.reject(new TypeError("Failed to fetch"))',
        );
        $this->until(fn () => str_contains($this->shown('[data-cut]:not([hidden])'), 'No connection'));
        $other = $this->otherTablet('sunniva', "{$run}?step=found");
        $other->record('found', ['content' => 'full']);
        $other->visit("{$run}?step=found");
        $other->finish();
        self::$browser->executeScript('window.fetch = window.shop');
        $this->soon(fn () => str_contains($this->shown('#floor'), 'Baseline readings'));
        $this->until(fn () => $this->shown('[data-cut]:not([hidden])') === '');
        $this->unmoved();
        self::$browser->manage()->getLog('browser');
    }

    public function test_an_entry_is_answered_with_the_page_as_it_stands_then(): void
    {
        $this->signIn();
        $run = $this->jobAt('found', 'SKP 114');
        $this->visit("{$run}?step=found");
        $this->mark();
        $this->record('found', ['content' => 'full']);
        $this->unmoved();
        $this->see('Finish step');
        self::assertSame('step-title', self::$browser->executeScript('return document.activeElement.id'));
        $this->finish();
        $this->unmoved();
        self::assertSame($run, parse_url((string) self::$browser->getCurrentURL(), PHP_URL_PATH));
        self::assertNull(parse_url((string) self::$browser->getCurrentURL(), PHP_URL_QUERY));
        $this->see('Baseline readings');
        self::$browser->navigate()->back();
        $this->until(fn () => str_contains($this->shown('.ahead'), 'Finished by'));
    }

    private function mark(): void
    {
        self::$browser->executeScript('window.unmoved = true');
    }

    private function unmoved(): void
    {
        self::assertTrue(self::$browser->executeScript('return window.unmoved === true'), 'the page was loaded anew');
    }

    private function shown(string $selector): string
    {
        return (string) self::$browser->executeScript(
            'return document.querySelector(arguments[0])?.textContent ?? ""',
            [$selector],
        );
    }

    private function soon(\Closure $condition): void
    {
        $since = microtime(true);
        $this->until($condition);
        self::assertLessThan(2 * self::SOON_S, microtime(true) - $since);
    }
}
