<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy as By;

/** Two people on one job, a gate that shuts again, and a run that was stopped. */
final class TwoTabletsTest extends BrowserTestCase
{
    public function test_two_tablets_on_one_step_both_keep_what_they_wrote(): void
    {
        $this->signIn();
        $job = $this->jobAt('drain:radiator_cock', 'SKP 114');
        $other = $this->otherTablet('sunniva', "{$job}?step=drain:radiator_cock");
        $this->withoutNews();
        $other->record('out', ['volume' => '4.0', 'vessel' => 'pan', 'flow' => 'ran']);
        // This page was loaded before that, and says so by what it shows afterwards.
        $this->record('out', ['volume' => '5.6', 'vessel' => 'pan', 'flow' => 'ran']);
        $this->see('4.0', '.evidence');
        $this->see('5.6', '.evidence');
        $this->see('Sunniva Karr', '.evidence');
        $this->see('Drained', '.verdict');
    }

    public function test_a_finished_cold_check_that_somebody_corrects_stops_the_drain(): void
    {
        $this->signIn();
        $job = $this->jobAt('cold_check', 'SKP 207');
        $this->record('reading', ['ect' => '40', 'air' => '16']);
        $this->finish();
        $this->overHttp(function (): void {
            $this->record('sound');
            $this->finish();
        });
        $this->oneByOne();
        self::assertStringStartsWith('Drain:', $this->text('h1'));
        $this->withoutNews();

        $other = $this->otherTablet('sunniva', "{$job}?step=cold_check");
        $other->correct(['ect' => '90'], '');
        self::assertStringContainsString('Imre Tovald wrote this line. Say why', $other->text('main'));
        $other->correct(['ect' => '90'], 'Read off the wrong line');
        $this->record('out', ['volume' => '6', 'vessel' => 'pan', 'flow' => 'ran']);
        $this->see('Earlier steps are not finished', '[role=alert]');
        $this->visit($job);
        $this->seeStep('Is it cold?');
        $this->see('Sunniva Karr changed a line');
        $this->see('Too hot', '.verdict');
        $this->assertAccessible();
        self::assertSame(
            [],
            self::$browser->findElements(By::cssSelector('.button-finish')),
            'nothing waves it through',
        );
    }

    public function test_a_run_that_reached_its_limit_cannot_be_talked_into_proven(): void
    {
        $this->signIn();
        $this->jobAt('heat_cycle:1', 'SKP 115');
        $this->record('start', ['place' => 'extraction', 'neck' => 'sealed']);
        $this->pass(900);
        $this->record('reading', ['ect' => '112', 'far' => '104', 'outlet_front' => '64']);
        $this->see('Shut off now', '.verdict');
        $this->assertAccessible();
        $this->pass(240);
        $this->record('reading', ['ect' => '94', 'far' => '89', 'outlet_front' => '64']);
        $this->overHttp(function (): void {
            foreach (['fan_on', 'fan_off', 'fan_on', 'fan_off'] as $fan) {
                if ($this->has("input[name=form][value={$fan}]")) {
                    $this->pass(60);
                    $this->record($fan);
                }
            }
        });
        $this->see('Shut off now', '.verdict');
        self::assertSame(
            [],
            self::$browser->findElements(By::cssSelector('.button-finish')),
            'a running engine is not left',
        );
        $this->record('shut_off');
        self::assertStringNotContainsString('Proven', $this->text('.verdict'));
        $this->finish();
        $this->seeStep('Cool down');
        $this->overHttp(function (): void {
            $this->pass(3 * 3600);
            $this->record('reading', ['ect' => '30', 'air' => '16']);
            $this->finish();
        });
        $this->seeStep('Why it had to be stopped');
    }
}
