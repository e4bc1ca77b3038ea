<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy as By;

/** Work that changes in the middle: found, spilled, waited for, and gone on with another way. */
final class OnTheWayTest extends BrowserTestCase
{
    public function test_what_is_found_comes_before_the_step_and_what_is_waited_for_before_the_pressure(): void
    {
        $this->signIn();
        $job = $this->jobAt('open_bleeds', 'SKP 902');
        $this->oneByOne();
        $this->record('finding', ['what' => 'Sealant at the pump not dry', 'then' => 'wait_before_load']);
        $this->see('Say how long');
        self::assertSame(
            'Sealant at the pump not dry',
            self::$browser->findElement(By::name('fields[what]'))->getAttribute('value'),
        );
        $this->record('finding', [
            'what' => 'Sealant at the pump not dry',
            'then' => 'wait_before_load',
            'until' => '30 min',
        ]);
        $this->seeStep('Open the bleed points');
        $this->record('finding', ['what' => 'Clamp at the heater hose has no spring left', 'then' => 'now']);
        $this->seeStep('Put right: Clamp at the heater hose has no spring left');
        $this->assertAccessible();
        $this->record('done', ['how' => 'New clamp']);
        $this->seeStep('Open the bleed points');
        $this->see('Clamp at the heater hose has no spring left', '.evidence');
        $keys = self::$browser->getKeyboard();
        $this->follow(fn () => $keys->sendKeys('y'));
        $this->see('Another way from here');
        $this->visit("{$job}?step=open_bleeds");
        $this->follow(fn () => $keys->sendKeys('gf'));
        $this->seeStep('Floor');
        $this->visit("{$job}/record");
        $this->see('New clamp', '[data-story]');
        $this->see('Sealant at the pump not dry', '[data-story]');
    }

    public function test_what_came_out_is_made_up_for_before_the_engine_runs(): void
    {
        $this->signIn();
        $this->jobAt('heat_cycle:1', 'SKP 660');
        $this->seeStep('Heat cycle 1');
        $this->record('outlet', ['way' => 'hose', 'volume' => '900 L', 'vessel' => 'jug']);
        $this->see('cannot be right');
        $this->record('outlet', ['way' => 'hose', 'volume' => '0.9', 'vessel' => 'jug']);
        $this->seeStep('Cold level after what came out');
        $this->see('Out 6.93 L', '.ledger');
    }

    public function test_another_way_from_here_keeps_what_was_done(): void
    {
        $this->signIn();
        $job = $this->jobAt('fill_level', 'SKP 114');
        $this->oneByOne();
        $this->press('Another way from here');
        $this->chooseSchool('gravity');
        $this->press('Go on this way');
        $this->see('It goes that way already');
        $this->chooseSchool('vacuum', there: false);
        $this->chooseSchool('loose_cap');
        self::$browser->findElement(By::id('why'))->sendKeys('No adapter for this neck');
        $this->press('Go on this way');
        $this->visit("{$job}/record");
        $this->see('on by loose-cap heat cycles', '[data-state]');
        $this->see('No adapter for this neck', '[data-state]');
        $this->visit($job);
        $this->workToTheEnd();
        $this->see('Signed', '[data-state]');
    }

    public function test_what_was_forgotten_is_added_late_and_opens_the_step_again(): void
    {
        $this->signIn();
        $job = $this->jobAt('cool_down:1', 'SKP 318');
        $this->visit("{$job}?step=heat_cycle:1");
        self::$browser->executeScript(
            'document.querySelectorAll(".late, .late details").forEach((more) => { more.open = true })',
        );
        $this->assertAccessible();
        $this->tellLate(['ect' => '84', 'far' => '80'], 'steam', minutesAgo: 2);
        $this->seeStep('Heat cycle 1');
        $this->see('In hand again');
        $this->see('Stopped', '.verdict');
    }

    public function test_a_danger_told_of_an_impossible_time_says_at_once_that_it_is_taken_as_of_now(): void
    {
        $this->signIn();
        $job = $this->jobAt('heat_cycle:1', 'SKP 031');
        $this->visit($job);
        $this->readCautions();
        $this->record('start', ['place' => 'outdoors', 'neck' => 'sealed']);
        $this->visit("{$job}?step=heat_cycle:1&earlier=1");
        self::assertSame('', $this->text('#told'));
        self::$browser->executeScript('window.notLoadedSince = true');
        $this->tellLate([], 'steam', minutesAgo: 600);
        $this->see('Taken as of now', '#told');
        $this->see('Shut off now', '#run');
        self::assertTrue(self::$browser->executeScript('return window.notLoadedSince === true'));
        $this->record('shut_off', []);
        self::assertSame('', $this->text('#told'));
        $this->visit($job);
        self::assertSame('', $this->text('#told'));
    }

    public function test_it_does_not_turn_while_the_engine_runs(): void
    {
        $this->signIn();
        $job = $this->jobAt('heat_cycle:1', 'SKP 447');
        $this->readCautions();
        $this->record('start', ['place' => 'extraction', 'neck' => 'sealed']);
        $this->visit("{$job}/manage");
        $this->assertAccessible();
        $this->chooseSchool('loose_cap');
        $this->press('Go on this way');
        $this->see('Shut it off and finish that step first');
    }

    /** @param  array<string, string>  $fields */
    private function tellLate(array $fields, string $sign, int $minutesAgo): void
    {
        $form = self::$browser->findElement(
            By::xpath("//form[contains(@action, '/late')][input[@value='reading']]"),
        );
        foreach ($fields as $name => $typed) {
            $form->findElement(By::name("fields[{$name}]"))->sendKeys($typed);
        }
        self::$browser->executeScript(<<<'JS'
            const [form, sign, minutes] = arguments;
            form.querySelector('details').open = true;
            form.querySelector(`[name='fields[sign]'][value=${sign}]`).checked = true;
            const when = form.querySelector('[name=when]');
            when.value = when.max;
            when.stepDown(minutes);
            JS, [$form, $sign, $minutesAgo]);
        $button = $form->findElement(By::xpath(".//button[contains(., 'late') or contains(., 'then')]"));
        $this->follow(fn () => self::$browser->executeScript('arguments[0].click()', [$button]));
    }

    private function chooseSchool(string $id, bool $there = true): void
    {
        $radios = self::$browser->findElements(By::cssSelector("[name=school][value={$id}]"));
        self::assertCount($there ? 1 : 0, $radios);
        if ($there) {
            self::$browser->executeScript('arguments[0].checked = true', $radios);
        }
    }
}
