<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy as By;
use Facebook\WebDriver\WebDriverKeys;

/** Every screen in both themes, and the keyboard. */
final class ScreensTest extends BrowserTestCase
{
    public function test_enter_in_a_field_presses_no_answer(): void
    {
        $this->signIn();
        $this->jobAt('leak_check', 'SKP 660');
        $this->oneByOne();
        self::$browser->findElement(By::name('fields[where]'))->sendKeys("left mount\u{E007}");
        usleep(400_000);
        self::assertSame('Look underneath', $this->text('h1'));
        self::assertFalse($this->has('.evidence'), 'nothing was recorded');
        $this->record('seen', ['leak' => 'dry']);
        self::assertNotSame('Look underneath', $this->text('h1'));
    }

    public function test_axe_finds_nothing_on_any_screen_in_either_theme(): void
    {
        self::$browser->manage()->deleteAllCookies();
        $this->visit('/sign-in');
        $this->assertAccessible(true);
        $this->signIn();
        $this->assertAccessible(true);
        foreach ([
            '/jobs/new?vehicle=1',
            '/jobs/new?vehicle=3&school=vacuum',
            '/circuits',
            '/circuits/1',
            '/circuits/2',
            '/bench',
            '/bench/frost',
            '/bench/vacuum?fields[target]=nothing',
            '/records',
            '/records/predictions',
            '/vehicles',
            '/vehicles/3',
            '/vehicles/new',
            '/people',
            '/shop',
            '/shop/rules',
            '/shop/labour',
            '/shop/changes',
            '/shop/connect',
            '/vehicles/3/edit',
            '/password',
            '/outbox',
        ] as $path) {
            $this->visit($path);
            $this->assertAccessible(true);
        }
        $this->visit('/jobs/new?vehicle=1');
        $this->press('Start this job');
        $this->assertAccessible(true);
        $this->record('found', ['content' => 'low']);
        $this->assertAccessible(true);
        $this->record('found', ['content' => 'low', 'missing' => '1']);
        $this->finish();
        $this->record('baseline', ['ran' => 'no']);
        $this->finish();
        $this->tickAll();
        $this->finish();
        $this->assertAccessible(true);
        $this->tickAll();
        $this->finish();
        $this->record('reading', ['ect' => '80', 'air' => '20']);
        $this->assertAccessible(true);
        $this->visit('/jobs/1/entries/1');
        $this->assertAccessible(true);
        $this->visit('/jobs/1/manage');
        $this->assertAccessible(true);
        $this->visit('/jobs/1/record');
        $this->assertAccessible(true);
        $this->visit('/');
        $this->assertAccessible(true);
    }

    public function test_the_run_is_worked_from_the_keyboard_alone(): void
    {
        $this->signIn();
        $this->visit('/jobs/new?vehicle=3');
        $keys = self::$browser->getKeyboard();
        $this->follow(fn () => $keys->sendKeys('e'));
        $this->seeStep('Content found');
        $keys->sendKeys('?');
        $this->see('Record content', 'dialog');
        $keys->sendKeys(WebDriverKeys::ESCAPE);
        self::$browser->wait(40, 20)
            ->until(
                fn () => self::$browser->executeScript(
                    'return !document.getElementById("sheet").open && document.activeElement.checkVisibility()',
                ),
            );
        $keys->sendKeys('e');
        self::assertSame(
            'content',
            self::$browser->executeScript('return document.activeElement.name.match(/\[(.*)\]/)[1]'),
        );
        $this->follow(fn () => $keys->sendKeys(WebDriverKeys::ENTER));
        $this->seeStep('Baseline readings');
        $this->follow(fn () => $keys->sendKeys('a'));
        $keys->sendKeys('e');
        $this->follow(fn () => $keys->sendKeys(WebDriverKeys::ENTER));
        $this->visit(parse_url(self::$browser->getCurrentURL(), PHP_URL_PATH).'?step=baseline');
        $this->follow(fn () => $keys->sendKeys('u'));
        $this->seeStep('Correct an entry');
        $this->follow(fn () => $keys->sendKeys('gf'));
        $this->seeStep('Floor');
    }

    public function test_number_verdict_and_the_next_button_are_seen_together(): void
    {
        $this->signIn();
        $jobs = [
            'SKP 902' => 'drain:radiator_cock',
            'SKP 031' => 'fill_level',
            'SKP 115' => 'heat_cycle:1',
            'SKP 208' => 'cool_down:1',
            'YT 2' => 'drive',
        ];
        foreach ($jobs as $plate => $step) {
            $this->jobAt($step, $plate);
            $this->oneByOne();
            if ($step === 'heat_cycle:1') {
                $this->record('start', ['place' => 'outdoors', 'neck' => 'sealed']);
                $this->pass(900);
                $this->reload();
                $this->record('reading', ['ect' => '88', 'far' => '84', 'outlet_front' => '50']);
                $this->record('hold', ['speed' => 'revs']);
            }
            foreach ([[1280, 800], [820, 1180]] as [$width, $height]) {
                $this->devTools('Emulation.setDeviceMetricsOverride', [
                    'width' => $width,
                    'height' => $height,
                    'deviceScaleFactor' => 1,
                    'mobile' => false,
                ]);
                $unseen = self::$browser->executeScript(
                    'scrollTo(0, 0); const ledger = document.querySelector(".ledger").getBoundingClientRect().top;'
                        .'const dock = document.querySelector(".dock")?.getBoundingClientRect().top ?? ledger;'
                        .'return [...document.querySelectorAll(".step .level, .step .verdict, '
                        .'.step .button-go")].filter((shown) => shown.checkVisibility())'
                        .'.filter((shown) => shown.getBoundingClientRect().bottom > (shown.matches(".button-go") ? '
                        .'ledger : dock) + 1 || shown.getBoundingClientRect().top < 0).map((shown) => '
                        .'`${shown.className} ${Math.round(shown.getBoundingClientRect().bottom - dock)}`)',
                );
                self::assertSame([], $unseen, "{$plate} {$step} at {$width} × {$height}");
                self::assertLessThanOrEqual(
                    1,
                    count(self::$browser->findElements(By::cssSelector('.step .button-go'))),
                    "one amber button, {$step}",
                );
            }
            $this->devTools('Emulation.clearDeviceMetricsOverride', []);
        }
    }

    public function test_the_plan_follows_a_choice_at_once(): void
    {
        $this->signIn();
        $this->visit('/jobs/new?vehicle=1&kind=change');
        $this->see('Vacuum fill', '[data-ways]');
        self::$browser->executeScript('const box = document.querySelector("input[value=right_plug]"); box.click()');
        self::$browser->wait(40, 20)
            ->until(fn () => self::$browser->executeScript('return document.getElementById("outcome").dataset.fresh'));
        $this->see('Right bank, lower jacket', '[data-numbers]');
    }

    public function test_the_bench_answers_while_one_types_and_the_address_keeps_it(): void
    {
        $this->signIn();
        $this->visit('/bench/frost');
        $this->see('103 °C', '[data-answer]');
        $field = self::$browser->findElement(By::name('fields[elevation]'));
        $field->clear()->sendKeys('0 ft');
        self::$browser->wait(40, 20)->until(fn () => str_contains($this->text('[data-answer]'), '108 °C'));
        $this->see('226 °F', '[data-answer]');
        $this->reload();
        $this->see('108 °C', '[data-answer]');
    }

    public function test_everything_that_is_pressed_is_large_enough_for_a_glove(): void
    {
        $this->signIn();
        foreach (
            ['/', '/jobs/new?vehicle=1', '/jobs/1', '/records', '/circuits', '/bench', '/day', '/visits', '/stores', '/circuits/1'] as $path
        ) {
            $this->visit($path);
            $small = self::$browser->executeScript(
                'return [...document.querySelectorAll("main a, main button, main summary, .bar a, '
                    .'.bar button")].filter(e => e.checkVisibility() && !e.closest("p, '
                    .'svg")).map(e => [e.innerText || e.ariaLabel, e.getBoundingClientRect()]).filter(([, '
                    .'r]) => r.width > 0 && (r.height < '
                    .'44 || r.width < 44)).map(([t, r]) => `${t} ${r.width}x${r.height}`)',
            );
            self::assertSame([], $small, $path);
        }
    }
}
