<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy as By;

/**
 * Whole jobs with a finger: everything that is pressed, typed or chosen counts one, and the sum is printed. What a job
 * may cost is written beside it; before sheets it was 157, 149 and 185. The PIN under the record counts.
 */
final class PressesTest extends BrowserTestCase
{
    private int $presses = 0;

    /** @var array<string, int> presses by step */
    private array $at = [];

    public function test_a_coolant_change_by_gravity_with_one_drain_and_premix(): void
    {
        $this->signIn();
        $this->visit('/jobs/new');
        $this->select('vehicle', 'SKP 660 ·');
        $this->link('Coolant change, premix');
        $this->tap('Start this job');
        $this->all();
        $this->read();
        $this->type('since', '14');
        $this->all();
        $this->read();
        $this->drained();
        $this->read();
        $this->all();
        $this->tap('It runs');
        $this->pass(70);
        $this->reload();
        $this->tap('Closed');
        $this->type('volume', '6');
        $this->tap('It stands at the mark');
        $this->read();
        $this->pressed('100');
        $this->all();
        $this->read();
        $this->hotRun();
        $this->coldAndFull('30');
        $this->provenOnTheRoad();
        $this->signed();
        $this->report('coolant change by gravity, one drain, premix', 36);
    }

    public function test_a_repair_with_vacuum_from_one_bucket_and_a_ten_minute_hold(): void
    {
        $this->signIn();
        $this->visit('/jobs/new');
        $this->select('vehicle', 'SKP 031 ·');
        $this->open('Filled');
        $this->choose('school', 'vacuum');
        $this->open('Opened');
        $this->tick('opened', 'upper_hose');
        $this->tap('Start this job');
        $this->all();
        $this->read();
        $this->type('since', '14');
        $this->all();
        $this->drained();
        $this->all();
        $this->read();
        $this->type('vacuum', '21.5');
        $this->tap('Record gauge');
        $this->pass(910);
        $this->reload();
        $this->type('vacuum', '21.5');
        $this->tap('Record gauge');
        $this->type('volume', '5.9');
        $this->type('vacuum', '0');
        $this->tap('Record what went in');
        $this->type('volume', '0.5');
        $this->tap('It stands at the mark');
        $this->read();
        $this->hotRun();
        $this->coldAndFull('30');
        $this->provenOnTheRoad();
        $this->signed();
        $this->report('repair with vacuum from one bucket, ten-minute hold', 42);
    }

    public function test_two_hot_rinses_then_a_fill(): void
    {
        $this->signIn();
        $this->visit('/jobs/new');
        $this->select('vehicle', 'SKP 660 ·');
        $this->choose('kind', 'change');
        $this->tap('Start this job');
        $this->all();
        $this->read();
        $this->type('since', '14');
        $this->all();
        $this->drained();
        $this->choose('rinse', 'hot');
        $this->choose('times', '2');
        $this->tap('Rusty or cloudy');
        foreach ([1, 2] as $cycle) {
            $this->type('volume', (string) round((float) $this->text('.level-datum b'), 1));
            $this->tap('Record water in');
            $this->read();
            $this->tap('Engine is running');
            $this->pass(660);
            $this->reload();
            $this->type('ect', '84');
            $this->type('far', '80');
            $this->tap('Record; engine is off');
            $this->pass(5400);
            $this->reload();
            $this->type('ect', '38');
            if ($cycle === 1) {
                $this->type('air', '16');
            }
            $this->tap('Record reading');
            $this->type('volume', (string) round((float) $this->text('.level-datum b'), 1));
            $this->tap('Clear');
        }
        $this->all();
        $this->tap('It runs');
        $this->pass(70);
        $this->reload();
        $this->tap('Closed');
        $this->type('volume', '6');
        $this->tap('It stands at the mark');
        $this->read();
        $this->pressed('100');
        $this->all();
        $this->read();
        $this->hotRun();
        $this->coldAndFull('30');
        $this->provenOnTheRoad();
        $this->signed();
        $this->report('two hot rinses then a fill', 60);
    }

    public function test_a_large_engine_with_three_warm_ups(): void
    {
        $this->signIn();
        $this->visit('/jobs/new');
        $this->select('vehicle', 'GEN 1 ·');
        $this->open('Filled');
        $this->choose('school', 'large_engine');
        $this->tap('Start this job');
        $this->all();
        $this->read();
        $this->type('since', '60');
        $this->all();
        $this->drained();
        $this->all();
        for ($vent = 1; $vent <= 3; $vent++) {
            $this->tap('It runs');
            $this->pass(70);
            $this->reload();
            $this->tap('Closed');
        }
        $this->type('volume', (string) round((float) $this->text('.level-datum b') - 0.5, 1));
        $this->tap('It stands at the mark');
        $this->read();
        $this->pressed('70');
        $this->read();
        foreach (['0.8', '0.4', '20 mL'] as $round => $litres) {
            $this->tap('Engine is running');
            $this->pass(1500);
            $this->reload();
            $this->type('ect', '84');
            if ($round === 2) {
                $this->type('far', '80');
                $this->type('outlet_coil', '61');
            }
            $this->tap('Record; engine is off');
            $this->type('volume', $litres);
            $this->tap('Record top-up');
        }
        $this->tap('The cap is on');
        $this->coldAndFull('50');
        $this->provenOnTheRoad('84', true);
        $this->signed();
        $this->report('large engine, vents, three warm-ups', 52);
    }

    public function test_loose_cap_cycles_with_three_top_ups(): void
    {
        $this->signIn();
        $this->visit('/jobs/new');
        $this->select('vehicle', 'SKP 660 ·');
        $this->schools();
        $this->school('loose_cap');
        $this->tap('Start this job');
        $this->all();
        $this->read();
        $this->type('since', '14');
        $this->all();
        $this->drained();
        $this->all();
        $this->type('volume', '5');
        $this->tap('It stands at the mark');
        $this->read();
        $this->pressed('100');
        $this->read();
        foreach (['0.6', '0.3', '10 mL'] as $round => $litres) {
            $this->tap('Engine is running');
            $this->pass(900);
            $this->reload();
            $this->type('ect', '92');
            if ($round === 2) {
                $this->type('far', '88');
                $this->type('outlet_front', '64');
            }
            $this->tap('Record; engine is off');
            $this->type('volume', $litres);
            $this->tap('Record top-up');
        }
        $this->tap('The cap is on');
        $this->coldAndFull('30');
        $this->provenOnTheRoad();
        $this->signed();
        $this->report('loose-cap cycles with three top-ups', 46);
    }

    private function signed(): void
    {
        if ($this->has('.one-go')) {
            $this->all();
        }
        $this->type('known', 'bleed-it-dry');
        $this->tap('Sign the record');
    }

    /** Every drain planned, as predicted; and what stayed inside seen where another point could be opened. */
    private function drained(): void
    {
        if (str_starts_with($this->text('h1'), 'Drain, in one go')) {
            foreach (self::$browser->findElements(By::cssSelector('.sheet-block')) as $block) {
                $this->counts();
                preg_match('/[\d.]+/', $block->findElement(By::cssSelector('.sheet-datum b'))->getText(), $expected);
                $block
                    ->findElement(By::cssSelector("input[type=text][name$='[volume]']"))
                    ->sendKeys((string) round((float) $expected[0], 1));
            }
            $this->all();
        }
        while (str_starts_with($this->text('h1'), 'Drain: ')) {
            $this->type('volume', (string) round((float) $this->text('[data-figure]'), 1));
            $this->tick('shut');
            $this->tap('Record what came out');
        }
        if ($this->text('h1') === 'What stayed inside') {
            $this->tap('Finish step');
        }
    }

    /** Pumped up cold, and five minutes later the needle stands where it was. */
    private function pressed(string $kpa): void
    {
        self::assertStringContainsString($kpa, $this->text('.answers .button'));
        $this->tap('It is pumped up to ');
        $this->pass(310);
        $this->reload();
        $this->tap('It has not moved');
    }

    /** Started, one reading that shows all but the fan, the fan twice, and off. */
    private function hotRun(): void
    {
        $this->tap('Engine is running');
        $this->pass(900);
        $this->reload();
        $this->type('ect', '94');
        $this->type('far', '88');
        $this->type('outlet_front', '64');
        if ($this->has("input[name='fields[fan]']")) {
            $this->choose('fan', 'twice');
        }
        $this->tap('Record; engine is off');
    }

    private function coldAndFull(string $ml): void
    {
        $this->pass(36_000);
        $this->nextMorning();
        $this->type('ect', '22');
        $this->type('volume', "{$ml} mL");
        if ($this->isInSight('freeze')) {
            $this->type('freeze', '-36');
        }
        $this->all();
    }

    private function isInSight(string $field): bool
    {
        $found = array_filter(
            self::$browser->findElements(By::cssSelector("input[name$='[{$field}]']")),
            fn ($one) => $one->isDisplayed(),
        );

        return $found !== [];
    }

    /**
     * A session ends with its day: whoever comes in the morning signs
     * in before anything else, which is no press of the job.
     */
    private function nextMorning(): void
    {
        $job = (string) parse_url((string) self::$browser->getCurrentURL(), PHP_URL_PATH);
        $this->reload();
        if ($this->has('#login')) {
            $this->signIn();
        }
        $this->visit($job);
    }

    private function provenOnTheRoad(string $hottest = '92', bool $stationary = false): void
    {
        if (str_starts_with($this->text('h1'), 'Look underneath')) {
            $this->all('Dry');
        }
        $this->pass(720);
        $this->type('minutes', '12');
        $this->type('ect', $hottest);
        $this->tap($stationary ? 'Record the run under load' : 'Record drive');
        $this->coldAndFull('30');
        if ($this->isInSight('freeze')) {
            $this->type('freeze', '-36');
            $this->all();
        }
    }

    private function report(string $job, int $most): void
    {
        fwrite(
            STDERR,
            "\n{$job}: {$this->presses} presses, {$most} allowed ("
                .implode(', ', array_map(fn (string $at, int $n) => "{$at} {$n}", array_keys($this->at), $this->at))
                .")\n",
        );
        self::assertLessThanOrEqual($most, $this->presses, $job);
    }

    private function counts(): void
    {
        $this->presses++;
        $at = $this->text('h1');
        $this->at[$at] = ($this->at[$at] ?? 0) + 1;
    }

    /** All of a sheet, or the one entry of a step that stands alone. */
    private function all(string $alone = ''): void
    {
        $this->tap(match (true) {
            $this->has('.one-go .answers') => $this->text('.one-go .answers .button'),
            $this->has('.one-go'), $alone === '' => 'All of it is done',
            default => $alone,
        });
    }

    private function read(): void
    {
        if ($this->has('form.caution')) {
            $this->tap('Read');
        }
    }

    /** Presses the visible button with this text, or one that begins so, and waits for the page that follows. */
    private function tap(string $text): void
    {
        $this->counts();
        foreach ([
            "//button[contains(@class, 'button-go')][starts-with(normalize-space(), '{$text}')]",
            "//button[starts-with(normalize-space(), '{$text}')]",
        ] as $path) {
            foreach (self::$browser->findElements(By::xpath($path)) as $button) {
                if ($button->isDisplayed()) {
                    $this->follow(
                        fn () => self::$browser->executeScript(
                            'arguments[0].scrollIntoView({block: "center"}); arguments[0].click()',
                            [$button],
                        ),
                    );

                    return;
                }
            }
        }
        self::fail(
            "After {$this->presses} there is no visible button “{$text}” on: "
                .self::$browser->getTitle()
                ."\n"
                .$this->text('main'),
        );
    }

    private function type(string $field, string $text): void
    {
        $this->counts();
        $input = $this->visible("input[type=text][name$='[{$field}]'], input[type=password][name='{$field}']");
        $input->clear();
        $input->sendKeys($text);
    }

    private function tick(string $field, string $value = '1'): void
    {
        $this->counts();
        self::$browser->executeScript('arguments[0].click()', [
            $this->visible(
                "input[type=checkbox][name$='[{$field}]'], input[type=checkbox][name='{$field}[]'][value='{$value}']",
            ),
        ]);
    }

    private function choose(string $field, string $value): void
    {
        $this->counts();
        $input = self::$browser->findElement(
            By::cssSelector(
                "input[type=radio][value='{$value}'][name='{$field}'], "
                    ."input[type=radio][value='{$value}'][name$='[{$field}]']",
            ),
        );
        self::assertTrue($input->findElement(By::xpath('..'))->isDisplayed(), "{$field} is folded away");
        self::$browser->executeScript('arguments[0].click()', [$input]);
    }

    /** What is folded away. */
    private function open(string $summary): void
    {
        $this->counts();
        foreach (
            self::$browser->findElements(By::xpath("//summary[starts-with(normalize-space(), '{$summary}')]")) as $one
        ) {
            if ($one->isDisplayed()) {
                self::$browser->executeScript('arguments[0].click()', [$one]);

                return;
            }
        }
        self::fail("Nothing folds away under “{$summary}” on: ".self::$browser->getTitle());
    }

    /** Those that are folded away in the comparison. */
    private function schools(): void
    {
        if (! $this->has('[data-ways] details')) {
            return;
        }
        $this->counts();
        self::$browser->findElement(By::cssSelector('[data-ways] summary'))->click();
    }

    private function school(string $school): void
    {
        $this->counts();
        self::$browser->executeScript('arguments[0].click()', [$this->visible("[data-school='{$school}']")]);
        $this->until(fn () => $this->has('#outcome[data-fresh]'));
    }

    private function link(string $text): void
    {
        $this->counts();
        $link = self::$browser->findElement(By::linkText($text));
        $this->follow(fn () => $link->click());
    }

    private function select(string $field, string $text): void
    {
        $this->counts();
        $option = self::$browser->findElement(
            By::xpath("//select[@id='{$field}']/option[starts-with(normalize-space(), '{$text}')]"),
        );
        $this->follow(fn () => $option->click());
    }

    private function visible(string $selector): RemoteWebElement
    {
        foreach (self::$browser->findElements(By::cssSelector($selector)) as $one) {
            if ($one->isDisplayed()) {
                return $one;
            }
        }
        self::fail("{$selector} is not in sight on: ".self::$browser->getTitle()."\n".$this->text('main'));
    }
}
