<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy as By;
use Facebook\WebDriver\WebDriverDimension;

/** An installation nobody has used yet, to the signature under its first own job by a second person. */
final class FirstStartTest extends BrowserTestCase
{
    /** Presses, choices and typed values from the empty page to the first step of the first job. */
    private const MOST_BEFORE_THE_JOB = 60;

    private int $presses = 0;

    public function test_the_first_lead_sets_up_the_shop_and_a_second_person_signs_its_first_job(): void
    {
        $database = new \PDO('sqlite:'.self::directory().'/aqbel.sqlite');
        $database->exec('DELETE FROM people; DELETE FROM shops; DELETE FROM vehicles; DELETE FROM circuits;');
        $this->visit('/');
        $this->seeStep('Set up the shop');
        $this->assertAccessible();
        file_put_contents(self::directory().'/first-start.code', 'f00dbeef42');
        $this->visit('/first-start');
        $this->press('Start');
        $this->see('This is not the code');
        $this->type(['code' => 'f00dbeef42']);
        $this->press('Start');
        $this->see('Enter your name.');
        $this->type([
            'shop' => 'Lower yard',
            'elevation_m' => '310',
            'name' => 'A. Person',
            'login' => 'person',
            'password' => 'ten letters or more',
        ]);
        $this->press('Start');
        $this->seeStep('Add a vehicle');
        $this->see('Lower yard, 310 m', '.bar');
        $this->visit('/');
        $this->see('Getting ready');
        $this->assertAccessible();
        $this->visit('/jobs/new');
        $this->see('No vehicle yet');
        $this->assertAccessible();

        // From here to the first job on a vehicle of its own, without anything that was put there by hand.
        $this->press('Add the first vehicle');
        $this->press('Add it');
        $this->see('Choose the circuit it has');
        $this->assertAccessible();
        $name = self::$browser
            ->findElement(By::cssSelector("#circuits option[value*='tractor']"))
            ->getAttribute('value');
        $this->type(['plate' => 'low 1', 'name' => 'Yard tractor, the old one', 'circuit' => (string) $name]);
        $this->press('Add it');
        $this->see('LOW 1');
        $this->assertAccessible();

        // Somebody else, who first chooses a password of their own, on a tablet.
        $this->visit('/people');
        $this->presses += 2; // Shop, People
        $this->type(['name' => 'B. Person', 'login' => 'second', 'password' => 'for the first day']);
        $this->press('Add');
        self::$browser->manage()->deleteAllCookies();
        self::$browser->manage()->window()->setSize(new WebDriverDimension(820, 1180));
        $this->visit('/');
        $this->type(['login' => 'second', 'password' => 'for the first day']);
        $this->press('Sign in');
        $this->type(['current' => 'for the first day', 'password' => 'one of my very own']);
        $this->press('Keep');
        $this->visit('/vehicles');
        $this->presses++;
        self::$browser->findElement(By::cssSelector('main li .button'))->click();
        $this->presses++;
        $this->press('Start this job');
        $this->seeStep('Content found');
        fwrite(STDERR, "\npresses before the first own job: {$this->presses}\n");
        self::assertLessThanOrEqual(self::MOST_BEFORE_THE_JOB, $this->presses);

        [$this->login, $this->password] = ['second', 'one of my very own'];
        $this->workToTheEnd();
        $this->see('by B. Person');
        $this->see('Planned by B. Person');
        $this->visit('/vehicles');
        $this->see('last ');
        self::$browser->manage()->window()->setSize(new WebDriverDimension(1280, 900));
        $this->assertAccessible();
    }

    protected function press(string $text): void
    {
        $this->presses++;
        parent::press($text);
    }

    /** @param  array<string, string>  $fields */
    private function type(array $fields): void
    {
        foreach ($fields as $id => $text) {
            self::$browser->findElement(By::id($id))->sendKeys($text);
            $this->presses++;
        }
    }
}
