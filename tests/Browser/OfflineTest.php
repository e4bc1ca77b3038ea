<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy as By;

/** The server gone in the middle of a job, the page loaded anew meanwhile, and the server back. */
final class OfflineTest extends BrowserTestCase
{
    protected function tearDown(): void
    {
        self::stopServer();
        self::startServer();
    }

    public function test_three_entries_and_a_photograph_without_a_server_of_which_the_second_entry_is_wrong(): void
    {
        $this->signIn();
        $this->until(fn () => self::$browser->executeScript('return navigator.serviceWorker.controller !== null'));
        $this->visit('/jobs/new?vehicle=7&chosen=1&drains[]=radiator_cock');
        $this->press('Start this job');
        $run = self::$browser->getCurrentURL();
        $this->visit('/');
        $plate = self::$browser->findElement(By::cssSelector('.plate'))->getText();
        self::$browser->get($run);
        $this->untilKept('/outbox');
        $this->untilKept((string) parse_url($run, PHP_URL_PATH));

        $this->oneByOne();
        self::stopServer();
        $this->reload();
        $this->seeStep('Content found');
        $this->enterWithoutServer(['content' => 'low', 'missing' => '0.4 L'], 1);
        $this->enterWithoutServer(['content' => 'low', 'missing' => ''], 2);
        $this->reload();
        $this->enterWithoutServer(['content' => 'low', 'missing' => '0.6 L'], 3);
        $this->photographWithoutServer(4);
        $this->visit('/outbox');
        $this->seeStep('Kept on this tablet');
        self::assertCount(4, self::$browser->findElements(By::cssSelector('[data-outbox] li')));
        $this->see('0.6 L', '[data-outbox]');
        $this->assertAccessible();
        $this->visit('/');
        $this->see($plate, 'main');
        self::$browser->get($run);
        $this->seeStep('Content found');
        self::$browser->manage()->getLog('browser');

        self::startServer();
        $this->until(
            fn () => self::$browser->executeScript(
                'return document.querySelector("[data-waiting]")?.hidden && '
                    .'document.querySelector("[data-refused]")?.textContent.includes("Say '
                    .'about how much is missing")',
            ),
        );
        $this->visit((string) parse_url($run, PHP_URL_PATH).'?step=found');
        $this->see('0.4 L', '.evidence');
        $this->see('0.6 L', '.evidence');
        self::assertCount(
            1,
            self::$browser->findElements(By::cssSelector('[data-refused] li')),
            'one shown with its reason',
        );
        self::assertNotSame(
            [],
            self::$browser->findElements(By::cssSelector('img[src*="/photos/"]')),
            'the photograph came too',
        );

        // Whoever signs in next finds nothing of it, neither listed nor kept.
        $this->signIn('sunniva');
        self::assertFalse(self::$browser->findElement(By::cssSelector('[data-refused]'))->isDisplayed());
        $this->until(
            fn () => $this->kept() !== [] && ! in_array((string) parse_url($run, PHP_URL_PATH), $this->kept(), true),
        );
        self::stopServer();
        self::$browser->get($run);
        self::assertStringNotContainsString('Content found', $this->text('body'));
        self::$browser->manage()->getLog('browser');
    }

    /** @param  array<string, string>  $fields */
    private function enterWithoutServer(array $fields, int $waiting): void
    {
        $form = self::$browser->findElement(By::cssSelector('form.entry'));
        self::$browser->executeScript(
            "arguments[0].querySelector('input[value=' + arguments[1] + ']').checked = true; "
                ."arguments[0].querySelector('[name=\"fields[missing]\"]').value = arguments[2]",
            [$form, $fields['content'], $fields['missing']],
        );
        self::$browser->executeScript('arguments[0].click()', [
            $form->findElement(By::cssSelector('button:not([name=done]):not([type=button])')),
        ]);
        $this->untilWaiting($waiting);
    }

    private function photographWithoutServer(int $waiting): void
    {
        $file = tempnam(sys_get_temp_dir(), 'aqbel').'.jpg';
        imagejpeg(imagecreatetruecolor(640, 480), $file);
        $form = self::$browser->findElement(By::cssSelector('.photo-form'));
        self::$browser->executeScript('arguments[0].querySelector("details").open = true', [$form]);
        $form->findElement(By::name('photo'))->sendKeys($file);
        self::$browser->executeScript('arguments[0].click()', [$form->findElement(By::cssSelector('button'))]);
        $this->untilWaiting($waiting);
        unlink($file);
    }

    private function untilWaiting(int $number): void
    {
        $this->until(
            fn () => str_contains(
                $this->text('[data-waiting]'),
                $number === 1 ? '1 entry is' : "{$number} entries are",
            ),
        );
        $this->see('No connection', '[data-waiting]');
    }

    private function untilKept(string $path): void
    {
        $this->until(fn () => in_array($path, $this->kept(), true));
    }

    /** @return list<string> paths of the pages that open without a server */
    private function kept(): array
    {
        return self::$browser->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; caches.open("aqbel-pages").then((pages) => '
                .'pages.keys()).then((keys) => done(keys.map((key) => new URL(key.url).pathname)))',
        );
    }
}
