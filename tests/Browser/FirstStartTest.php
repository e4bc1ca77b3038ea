<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy as By;

/** An installation nobody has used yet. */
final class FirstStartTest extends BrowserTestCase
{
    public function test_the_first_lead_sets_up_the_shop(): void
    {
        $database = new \PDO('sqlite:'.dirname(__DIR__, 2).'/storage/testing/aqbel.sqlite');
        $database->exec('DELETE FROM people; DELETE FROM shops; DELETE FROM vehicles; DELETE FROM circuits;');
        $this->visit('/');
        $this->seeStep('Set up the shop');
        $this->assertAccessible();
        file_put_contents(dirname(__DIR__, 2).'/storage/testing/first-start.code', 'f00dbeef42');
        $this->visit('/first-start');
        $this->press('Start');
        $this->see('This is not the code');
        self::$browser->findElement(By::id('code'))->sendKeys('f00dbeef42');
        $this->press('Start');
        $this->see('Enter your name.');
        foreach ([
            'shop' => 'Lower yard',
            'elevation_m' => '310',
            'name' => 'A. Person',
            'login' => 'person',
            'password' => 'ten letters or more',
        ] as $field => $text) {
            self::$browser->findElement(By::id($field))->sendKeys($text);
        }
        $this->press('Start');
        $this->seeStep('Floor');
        $this->see('Lower yard, 310 m', '.bar');
        $this->visit('/jobs/new');
        $this->see('No vehicle yet');
        $this->assertAccessible();

        // From here to the first job on a vehicle of its own, without anything that was put there by hand.
        $this->press('Add the first vehicle');
        $this->press('Add it');
        $this->see('Choose the circuit it has');
        $this->assertAccessible();
        self::$browser->findElement(By::id('plate'))->sendKeys('low 1');
        self::$browser->findElement(By::id('name'))->sendKeys('Yard tractor, the old one');
        self::$browser->findElement(By::xpath("//option[contains(., 'tractor')]"))->click();
        $this->press('Add it');
        $this->see('LOW 1');
        $this->assertAccessible();
        $this->press('Plan a job');
        $this->press('Start this job');
        $this->seeStep('Content found');
        $this->visit('/vehicles');
        $this->see('Go on with J0001');
        $this->assertAccessible();
    }
}
