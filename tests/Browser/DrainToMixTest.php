<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy as By;
use Facebook\WebDriver\WebDriverElement;

/**
 * Stages 0 to 5 through the real interface: the branches a drain opens, the ledger, rinse and mixture, and a phone in
 * one hand.
 */
final class DrainToMixTest extends BrowserTestCase
{
    protected function tearDown(): void
    {
        $this->offline(false);
        $this->devTools('Emulation.clearDeviceMetricsOverride');
        $this->devTools('Emulation.setTouchEmulationEnabled', ['enabled' => false]);
    }

    public function test_an_oily_drain_turns_the_plan_into_flush_and_cause_finding(): void
    {
        $this->begin(['vehicle' => 5, 'drains' => ['radiator_cock', 'block_plug']]);
        $this->overHttp(function (): void {
            $this->throughInspection();
            $this->drain('Radiator drain cock', '6.9');
            $this->drain('Block plug', '1.4', byFeel: false);
        });
        $this->seeStep('Look at what came out');
        $this->record('seen', ['coolant' => 'oily']);
        $this->see('flush and cause-finding', '.verdict');
        $this->finish();
        $this->seeStep('Where does the oil come from?');
        $this->record('cause', ['cause' => 'unknown']);
        $this->see('Go on only with a reason', '.obstacles');
        $this->assertAccessible();
        $this->record('cause', ['cause' => 'oil_cooler', 'how' => 'Bubbles at 2 bar of air on the oil side']);
        $this->see('Found: oil cooler', '.verdict');
        $this->finish();
        $this->seeStep('Rinse, or skip it');
        $this->see('flush until no film is left', '.why');
        self::assertTrue(
            self::$browser->findElement(By::cssSelector('input[name="fields[cleaner]"][value=with]'))->isSelected(),
            'the flush is what is proposed',
        );
        $this->assertAccessible();
        $this->record('decision', ['rinse' => 'hot', 'times' => '1', 'cleaner' => 'with']);
        $this->finish();
        $this->overHttp(function (): void {
            $this->rinse(1, 'water in', '7.6', 'film');
            $this->rinse(2, 'cleaner in', '7.6', 'coloured');
            $this->rinse(3, 'water in', '7.6', 'coloured');
            $this->rinse(4, 'water in', '7.6', 'clear');
        });
        $this->seeStep('Close up');
        $this->see('Mended: oil cooler');
    }

    public function test_a_forgotten_second_bank_is_noticed_by_the_ledger(): void
    {
        $this->begin(['vehicle' => 1, 'drains' => ['radiator_cock', 'left_plug', 'right_plug']]);
        $this->overHttp(function (): void {
            $this->throughInspection();
            $this->drain('Radiator drain cock', '9.6');
            $this->drain('Left block plug', '0.65', 'jug', false);
            $this->seeStep('Drain: Right block plug');
            $this->record('out', ['volume' => '0', 'vessel' => 'jug', 'flow' => 'blocked']);
            $this->see('blocked or seized', '.verdict');
            $this->record('remedy', ['remedy' => 'left']);
            $this->record('closed');
            $this->finish();
        });
        $this->seeStep('What stayed inside');
        $this->see('Right bank, lower jacket probably did not drain', '.verdict');
        $this->see('Right block plug gave 0.65 L less', '.verdict');
        $this->see('Heater core', '.numbers');
        $this->assertAccessible();
        $this->record('accepted', ['why' => 'Plug head rounded, next visit']);
        $this->finish();

        // The same vehicle with the second bank not even planned: the step says what is still in it, and opens it.
        $this->begin(['vehicle' => 2, 'drains' => ['radiator_cock', 'left_plug']]);
        $this->overHttp(function (): void {
            $this->throughInspection();
            $this->drain('Radiator drain cock', '9.6');
            $this->drain('Left block plug', '0.65', 'jug', false);
        });
        $this->see('Not opened: Right block plug, 0.65 L in 9 min', '.verdict');
        $this->record('more', ['point' => 'right_plug']);
        $this->finish();
        $this->drain('Right block plug', '0.7', 'jug', false);
        // As predicted, and no point left to open: nothing to decide, so it was finished with the drain.
        $this->seeStep('Look at what came out');
    }

    public function test_a_rinse_at_1420_m_is_stopped_by_the_boiling_warning(): void
    {
        $this->begin(['vehicle' => 6, 'content' => 'family', 'drains' => ['radiator_cock', 'pipe_plug']]);
        $this->overHttp(function (): void {
            $this->throughInspection();
            $this->drain('Radiator drain cock', '5.4');
            $this->drain('Pipe plug under the frame', '0.75', 'jug', false);
            $this->record('seen', ['coolant' => 'rusty']);
            $this->finish();
        });
        $this->seeStep('Rinse, or skip it');
        $this->see('boils at 95 °C here, so the run ends at 85 °C', '.instructions');
        $this->see('× rinse', '.verdict h2');
        $this->record('decision', ['rinse' => 'hot', 'times' => '1']);
        $this->finish();
        $this->seeStep('Rinse 1: water in');
        $this->record('water_in', ['volume' => '6.5']);
        $this->finish();
        $this->seeStep('Rinse 1: warm up');
        $this->see('It boils early here', '.verdict');
        $this->record('start', ['place' => 'closed', 'neck' => 'funnel']);
        $this->see('Never in a closed shop');
        $this->record('start', ['place' => 'outdoors', 'neck' => 'funnel']);
        $this->pass(900);
        $this->record('reading', ['ect' => '78', 'far' => '30']);
        $this->see('Not mixed yet', '.verdict');
        $this->pass(120);
        $this->record('reading', ['ect' => '87', 'far' => '41']);
        $this->see('Shut off now', '.verdict');
        $this->see('boils at', '.verdict');
        $this->assertAccessible();
        $this->record('shut_off');
        $this->see('The thermostat never opened', '.obstacles');
        $this->record('start', ['place' => 'outdoors', 'neck' => 'sealed']);
        $this->pass(120);
        $this->record('reading', ['ect' => '92', 'far' => '84']);
        $this->see('Mixed', '.verdict');
        $this->record('shut_off');
        $this->finish();
        $this->seeStep('Cool down');
    }

    public function test_a_mixture_out_of_reach_is_rescued_by_one_more_drain(): void
    {
        // The long rear heater pipes of the minibus keep more water than
        // 60 % leaves room for, until the block plug is out.
        $this->begin(['vehicle' => 3, 'content' => 'water', 'target' => '60', 'drains' => ['radiator_cock']]);
        $this->overHttp(function (): void {
            $this->throughInspection('water');
            $this->drain('Radiator drain cock', '6.1');
            $this->seeStep('What stayed inside');
            $this->finish();
            $this->record('seen', ['coolant' => 'clean']);
            $this->finish();
            $this->record('decision', ['rinse' => 'skip']);
            $this->finish();
            $this->tickAll();
            $this->finish();
        });
        $this->seeStep('Mix the coolant');
        $this->see('Out of reach', '.verdict');
        $this->see('Block plug opened too, it reaches', '.verdict');
        $this->assertAccessible();
        $this->record('more', ['point' => 'block_plug']);
        $this->finish();
        $this->seeStep('Drain: Block plug');
        $this->record('out', ['volume' => '0.7', 'vessel' => 'jug', 'flow' => 'ran']);
        $this->record('closed');
        $this->finish();
        $this->seeStep('Mix the coolant');
        self::assertStringNotContainsString('Out of reach', $this->text('main'));
        $this->see('concentrate to the', '.instructions');
        // On target: finished in the same press.
        $this->record('batch');
        $this->seeStep('Open the bleed points');
    }

    public function test_a_dropped_connection_loses_no_reading(): void
    {
        $this->begin(['vehicle' => 7, 'drains' => ['radiator_cock']]);
        $this->offline(true);
        $form = self::$browser->findElement(By::cssSelector('form.entry'));
        $this->put($form, 'missing', '0.4 L');
        $form->findElement(By::cssSelector("input[value='low']"))->findElement(By::xpath('..'))->click();
        self::$browser->executeScript('window.before = true');
        self::$browser->executeScript(
            'arguments[0].click()',
            [$form->findElement(By::cssSelector('button:not([name=done]):not([type=button])'))],
        );
        $this->until(fn () => str_contains($this->text('[data-waiting]'), '1 entry is kept on this tablet'));
        self::assertSame(
            '0.4 L',
            $form->findElement(By::name('fields[missing]'))->getAttribute('value'),
            'what was typed stays',
        );
        self::$browser->executeScript('window.before = true');
        $this->offline(false);
        $this->until(
            fn () => self::$browser->executeScript('return !window.before && document.readyState === "complete"'),
        );
        $this->see('0.4 L', '.evidence');
        self::assertCount(1, self::$browser->findElements(By::cssSelector('.evidence li')), 'once, and not twice');
        self::assertFalse(self::$browser->findElement(By::cssSelector('[data-waiting]'))->isDisplayed());

        // What is refused after waiting is shown with its reason until somebody has dealt with it, also after a reload.
        $this->offline(true);
        self::$browser->executeScript(
            'const form = document.querySelector("form.entry"); form.querySelector("input[value=low]").checked = '
                .'true; form.querySelector("button:not([type=button])").click()',
        );
        $this->until(fn () => str_contains($this->text('[data-waiting]'), '1 entry is kept on this tablet'));
        $this->offline(false);
        $this->until(fn () => str_contains($this->text('[data-refused]'), 'Say about how much is missing'));
        $this->reload();
        $this->until(fn () => str_contains($this->text('[data-refused]'), 'content low'));
        self::$browser->findElement(By::cssSelector('[data-refused] button'))->click();
        $this->reload();
        self::assertFalse(self::$browser->findElement(By::cssSelector('[data-refused]'))->isDisplayed());
        self::$browser->manage()->getLog('browser');

        // Signed out behind one's back, by another tab or the night: the entry waits for whoever made it.
        $this->finish();
        $this->seeStep('Baseline readings');
        $form = self::$browser->findElement(By::cssSelector('form.entry'));
        $form->findElement(By::cssSelector("input[value='outdoors']"))->findElement(By::xpath('..'))->click();
        $this->put($form, 'plateau', '88');
        self::$browser->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; const body = new FormData(); '
                .'body.set("_token", document.querySelector("input[name=_token]").value); '
                .'fetch("/sign-out", { method: "POST", body }).then(() => done())',
        );
        $this->follow(
            fn () => self::$browser->executeScript(
                'arguments[0].click()',
                [$form->findElement(By::cssSelector('button:not([name=done]):not([type=button])'))],
            ),
        );
        $this->until(fn () => str_contains($this->text('[data-waiting]'), 'Whoever made them signs in'));
        $this->signIn('sunniva');
        $this->until(fn () => str_contains($this->text('[data-waiting]'), 'Whoever made them')); // not in another name
        $this->signIn();
        $this->until(fn () => str_contains(self::$browser->getCurrentURL(), '/jobs/'));
        $this->until(fn () => self::$browser->findElements(By::cssSelector('.evidence')) !== []);
        $this->see('Temperature settled at 88 °C', '.evidence');
        self::$browser->manage()->getLog('browser');
    }

    public function test_photographs_come_back_beside_the_leak_check_and_bad_files_are_refused(): void
    {
        $directory = sys_get_temp_dir().'/aqbel-pictures-'.bin2hex(random_bytes(4));
        mkdir($directory);
        $drip = self::picture("{$directory}/drip.jpg");
        file_put_contents("{$directory}/cut.jpg", substr((string) file_get_contents($drip), 0, 4000));
        file_put_contents("{$directory}/note.jpg", 'not a picture');
        $this->begin(['vehicle' => 12, 'drains' => ['hose_end']]);
        $this->overHttp(fn () => $this->throughInspection(look: false));
        $this->seeStep('Look it over');
        foreach ([
            'note.jpg' => 'not a photograph Aqbel can read', 'cut.jpg' => 'damaged or arrived only in part',
        ] as $file => $complaint) {
            $this->photograph("{$directory}/{$file}", 'Under the pump');
            $this->see($complaint, '.photo-form');
        }
        $this->photograph($drip, 'Under the pump, old');
        $this->see('Under the pump, old', '.photos');
        $this->assertAccessible();
        self::assertGreaterThan(
            0,
            self::$browser->executeScript('return document.querySelector(".photos img").naturalWidth'),
        );
        array_map(unlink(...), glob("{$directory}/*") ?: []);
        rmdir($directory);
    }

    public function test_stages_0_to_5_on_a_phone_by_touch(): void
    {
        $this->signIn();
        $this->devTools(
            'Emulation.setDeviceMetricsOverride',
            ['width' => 390, 'height' => 844, 'deviceScaleFactor' => 2, 'mobile' => true],
        );
        $this->devTools('Emulation.setTouchEmulationEnabled', ['enabled' => true]);
        $this->visit('/jobs/new?vehicle=9');
        $this->tapText('Coolant change');
        $this->until(fn () => self::$browser->executeScript('return document.getElementById("outcome").dataset.fresh'));
        $this->go('Start this job');
        $this->see('Plan, make safe, in one go', 'h1');
        $this->see('rag over the cap', '.caution');
        $this->go('All of it is done');
        $this->see('Enter the hours, or tick that it stood overnight');
        $this->overHttp(function (): void {
            $this->record('found', ['content' => 'full']);
            $this->finish();
            $this->record('not_run');
            $this->finish();
            $this->tickAll();
            $this->finish();
        });
        $this->seeStep('Make safe');
        $this->tickByTouch();
        $this->seeStep('Is it cold?');
        $this->typeByTouch('ect', '19');
        $this->typeByTouch('air', '17');
        $this->go('Record reading');
        $this->finishByTouch();
        $this->seeStep('Look it over');
        $this->tap(self::$browser->findElement(By::xpath("//summary[normalize-space()='Record what is not…']")));
        $this->tapText('Seal or spring gone');
        $this->go('Record what is not');
        $this->finishByTouch();
        $this->tickByTouch();
        $this->oneByOne();
        while (str_starts_with($this->text('h1'), 'Drain: ')) {
            $expected = self::$browser->findElement(By::cssSelector('[data-figure]'))->getText();
            $this->typeByTouch('volume', $expected);
            $this->go('Record what came out');
            $this->tap(self::$browser->findElement(By::xpath("//button[starts-with(normalize-space(), 'Closed')]")));
            $this->until(fn () => ! $this->has("input[name='form'][value='closed']"));
            $this->finishByTouch();
        }
        if (str_contains($this->text('h1'), 'What stayed inside')) {
            $this->finishByTouch();
        }
        $this->seeStep('Look at what came out');
        $this->go('Clean');
        $this->seeStep('Rinse, or skip it');
        $this->go('Decide');
        $this->finishByTouch();
        $this->seeStep('Close up');
        $this->see('New cap fitted');
        $this->tickByTouch();
        $this->seeStep('Mix the coolant');
        $this->assertNoWiderThan(390);
        // On target: finished in the same press.
        $this->go('Record what is mixed');
        self::assertStringContainsString('Fill', $this->text('.step-stage'), 'the fill is next');
        self::assertLessThan(
            300,
            self::$browser->executeScript(
                'return document.querySelector(".stage.is-current").getBoundingClientRect().left',
            ),
            'and stands in view',
        );
        $this->assertAccessible();
    }

    /** @param  array<string, mixed>  $choices  of the Plan page */
    private function begin(array $choices): void
    {
        $this->signIn();
        $this->visit('/jobs/new?'.http_build_query(['chosen' => 1, ...$choices]));
        $this->press('Start this job');
        $this->seeStep('Content found');
    }

    private function throughInspection(string $content = 'full', bool $look = true): void
    {
        $this->record('found', ['content' => $content]);
        $this->finish();
        $this->record('baseline', ['ran' => 'no']);
        $this->finish();
        foreach (['Have at hand', 'Make safe'] as $list) {
            $this->seeStep($list);
            $this->tickAll();
            $this->finish();
        }
        $this->record('reading', ['ect' => '18', 'air' => '16']);
        $this->finish();
        if ($look) {
            $this->record('sound');
            $this->finish();
        }
    }

    private function drain(string $label, string $litres, string $vessel = 'pan', bool $byFeel = true): void
    {
        $this->seeStep("Drain: {$label}");
        $this->record('out', ['volume' => $litres, 'vessel' => $vessel, 'flow' => 'ran']);
        $isShort = $this->has('.verdict') && str_contains($this->text('.verdict'), 'Short');
        $this->record('closed');
        if (! $isShort) {
            $this->finish();
        }
    }

    private function rinse(int $cycle, string $with, string $litres, string $runs): void
    {
        $this->seeStep("Rinse {$cycle}: {$with}");
        $this->record('water_in', ['volume' => $litres]);
        $this->finish();
        $this->record('start', ['place' => 'outdoors', 'neck' => 'sealed']);
        $this->pass(900);
        $this->record('reading', ['ect' => '92', 'far' => '86']);
        $this->see('Mixed', '.verdict');
        $this->record('shut_off');
        $this->finish();
        $this->seeStep('Cool down');
        $this->pass(7200);
        $this->record('reading', ['ect' => '40', 'air' => '16']);
        $this->finish();
        $this->record('water_out', ['volume' => $litres, 'runs' => $runs, 'closed' => true]);
        $this->finish();
    }

    private function photograph(string $file, string $caption): void
    {
        $form = self::$browser->findElement(By::cssSelector('.photo-form'));
        self::$browser->executeScript('arguments[0].querySelector("details").open = true', [$form]);
        $form->findElement(By::name('photo'))->sendKeys($file);
        $form->findElement(By::name('caption'))->clear()->sendKeys($caption);
        $this->follow(fn () => $form->findElement(By::cssSelector('button'))->click());
    }

    private static function picture(string $path): string
    {
        $image = imagecreatetruecolor(2400, 1800);
        for ($i = 0; $i < 400; $i++) {
            imagefilledellipse(
                $image,
                random_int(0, 2400),
                random_int(0, 1800),
                120,
                90,
                (int) imagecolorallocate($image, random_int(0, 255), random_int(0, 255), random_int(0, 255)),
            );
        }
        imagejpeg($image, $path, 90);

        return $path;
    }

    private function put(WebDriverElement $form, string $name, string $value): void
    {
        $form->findElement(By::name("fields[{$name}]"))->clear()->sendKeys($value);
    }

    private function offline(bool $offline): void
    {
        $this->devTools('Network.enable');
        $this->devTools(
            'Network.emulateNetworkConditions',
            ['offline' => $offline, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1],
        );
    }

    // -- a finger on a phone ------------------------------------------------------------------------------------

    /** Presses where the finger would land; fails when something else lies on top. */
    private function tap(WebDriverElement $element): void
    {
        self::$browser->executeScript(
            'arguments[0].scrollIntoView({ block: "center", behavior: "instant" })',
            [$element],
        );
        [$x, $y, $covered] = self::$browser->executeScript(
            'const box = arguments[0].getBoundingClientRect(); const at = [box.x + box.width / 2, '
                .'box.y + box.height / 2]; const top = document.elementFromPoint(...at); '
                .'return [...at, !(top && (arguments[0].contains(top) || top.contains(arguments[0])))]',
            [$element],
        );
        self::assertFalse($covered, 'something covers '.$element->getText());
        $this->devTools(
            'Input.dispatchTouchEvent',
            ['type' => 'touchStart', 'touchPoints' => [['x' => $x, 'y' => $y]]],
        );
        $this->devTools('Input.dispatchTouchEvent', ['type' => 'touchEnd', 'touchPoints' => []]);
    }

    private function tapText(string $text): void
    {
        $this->tap(
            self::$browser->findElement(
                By::xpath("//label[normalize-space()='{$text}']/span | //button[normalize-space()='{$text}']"),
            ),
        );
    }

    private function go(string $button): void
    {
        $this->follow(
            fn () => $this->tap(self::$browser->findElement(By::xpath("//button[normalize-space()='{$button}']"))),
        );
    }

    private function typeByTouch(string $field, string $text): void
    {
        $input = self::$browser->findElement(By::name("fields[{$field}]"));
        $this->tap($input);
        $this->until(
            fn () => self::$browser->executeScript('return document.activeElement === arguments[0]', [$input]),
        );
        self::$browser->executeScript('arguments[0].value = ""', [$input]);
        $this->devTools('Input.insertText', ['text' => $text]);
        $this->until(fn () => $input->getAttribute('value') === $text);
    }

    private function tickByTouch(): void
    {
        $this->oneByOne();
        foreach (self::$browser->findElements(By::cssSelector('form.entry-main .tick')) as $tick) {
            $this->tap($tick);
        }
        $this->go('Keep these ticks');
        $this->finishByTouch();
    }

    private function finishByTouch(): void
    {
        while (self::$browser->findElements(By::cssSelector('form.caution')) !== []) {
            $this->go('Read');
        }
        // Not where the entry before has finished it in the same press.
        if (self::$browser->findElements(By::cssSelector('.button-finish')) !== []) {
            $this->go('Finish step');
        }
    }
}
