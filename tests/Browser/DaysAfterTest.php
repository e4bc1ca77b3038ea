<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy as By;
use Facebook\WebDriver\WebDriverDimension;

/** A signed job, and three looks in the week after it by two people: on a tablet, on a phone, and the last one red. */
final class DaysAfterTest extends BrowserTestCase
{
    public function test_three_visits_in_a_week_and_a_new_job_from_the_last(): void
    {
        $this->signIn();
        $job = $this->jobAt('after the signature', 'SKP 660');
        $this->pass(3 * 86400);
        $this->signIn();
        self::$browser->manage()->window()->setSize(new WebDriverDimension(820, 1180));
        // Three presses where all is well: the line on the floor, the answer, the signature.
        $this->follow(
            fn () => self::$browser->findElement(By::cssSelector("#floor a[href^='{$job}/visits']"))->click(),
        );
        $this->see('Booked when the record was signed');
        $this->look('below', ['volume' => '150 ml'], 'syringe');
        $this->see('One look more tells');
        $this->assertAccessible(true);

        $this->pass(3 * 86400);
        $this->signIn('sunniva');
        self::$browser->manage()->window()->setSize(new WebDriverDimension(390, 844));
        $this->visit("{$job}/visits");
        $this->assertNoWiderThan(390);
        $this->look('below', ['volume' => '60 ml', 'note' => 'damp under the pump'], 'syringe');
        $this->visit('/password');
        $this->press('Make an address');
        $feed = trim(self::$browser->findElement(By::cssSelector('#calendar .num'))->getText());
        self::assertStringContainsString('BEGIN:VEVENT', (string) file_get_contents($feed));

        $this->pass(3 * 86400);
        $this->signIn('sunniva');
        $this->visit("{$job}/visits");
        $this->look('below', ['volume' => '600 ml'], 'syringe');
        $this->see('A leak', '.verdict');
        $this->assertAccessible();
        self::assertStringNotContainsString(
            'BEGIN:VEVENT',
            (string) file_get_contents($feed),
            'a red one books no further look',
        );
        // A slip is corrected beside itself.
        $this->follow(
            fn () => self::$browser->findElement(By::xpath("(//a[contains(@href, 'correct=')])[last()]"))->click(),
        );
        $this->see('stays as');
        $this->assertAccessible(true);
        $this->assertNoWiderThan(390);
        foreach (['fields[volume]' => '610 ml', 'because' => 'read at its 610 mark'] as $name => $value) {
            self::$browser->findElement(By::name($name))->clear()->sendKeys($value);
        }
        $this->press('Keep the correction');
        $this->see('Struck out by');
        $this->assertNoWiderThan(390);
        $this->see('A leak', '.verdict');
        foreach (["{$job}/record", '/records', '/stores'] as $path) {
            $this->visit($path);
            $this->assertNoWiderThan(390);
        }
        $this->visit("{$job}/visits");
        $this->press('Plan a job on it');
        $this->assertNoWiderThan(390);
        self::$browser->manage()->window()->setSize(new WebDriverDimension(1280, 900));
        self::assertTrue(self::$browser->findElement(By::cssSelector('input[name=kind][value=lost]'))->isSelected());
        $this->visit("{$job}/record");
        $this->see('The days after');
        $this->see('damp under the pump');
        $this->see('Unchanged since it was signed');
        $this->visit('/day');
        $this->assertAccessible(true);
        $this->visit('/records');
        $this->assertAccessible(true);
    }

    /** @param  array<string, string>  $fields */
    private function look(string $level, array $fields, string $vessel): void
    {
        self::$browser->executeScript('document.querySelectorAll("#visit details").forEach(d => d.open = true)');
        self::$browser->findElement(By::cssSelector("input[name='fields[level]'][value={$level}] + span"))->click();
        self::$browser->executeScript(
            "document.querySelector(\"input[name='fields[vessel]'][value={$vessel}]\").checked = true",
        );
        foreach ($fields as $name => $value) {
            self::$browser->findElement(By::name("fields[{$name}]"))->sendKeys($value);
        }
        $this->press('Sign this visit');
    }
}
