<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Between the tablet and the desk: whatever answers, an entry is stored once, or kept and shown. */
final class BorderTest extends BrowserTestCase
{
    /** What stands in for the shop's answer. */
    private const ANSWERS = [
        'a page with 200' => 'new Response("<html>Welcome to the guest network</html>", { status: 200, headers: '
            .'{ "Content-Type": "text/html" } })',
        'nothing with 204' => 'new Response(null, { status: 204 })',
        'somebody else’s JSON' => 'new Response(JSON.stringify({ stored: true, key: "another", to: '
            .'"/" }), { status: 200 })',
        'a redirect' => 'Response.redirect("/sign-in", 302)',
        '403 by a gate' => 'new Response("Forbidden", { status: 403 })',
        '404 by a proxy' => 'new Response("No such place", { status: 404 })',
        '429' => 'new Response("{}", { status: 429 })',
        '502' => 'new Response("Bad gateway", { status: 502 })',
        'cut off in the middle' => 'new Response("{\\"stored\\":true,\\"key\\":", { status: 200 })',
        'none at all' => 'Promise.reject(new TypeError("Failed to fetch"))',
    ];

    private const CUT_OFF
        = "window.shop = window.fetch; window.fetch = (url, how) => how?.method === 'POST' ? "
        ."Promise.reject(new TypeError('Failed to fetch')) : window.shop(url, how)";

    public function test_whatever_answers_in_the_shops_place_the_entry_is_kept_and_sent_once(): void
    {
        $this->signIn();
        $run = $this->jobAt('found', 'SKP 115');
        foreach (array_values(self::ANSWERS) as $i => $answer) {
            $missing = number_format(0.2 + $i / 100, 2).' L';
            $this->visit("{$run}?step=found");
            self::$browser->executeScript(
                "window.shop = window.fetch; window.fetch = (url, how) => how?.method === 'POST' ? "
                    ."Promise.resolve({$answer}) : window.shop(url, how)",
            );
            $this->enterFound($missing);
            $this->until(fn () => str_contains($this->shown('[data-waiting]'), '1 entry is kept on this tablet'));
            self::assertSame($i, $this->lines(), $answer);
            self::$browser->executeScript('window.fetch = window.shop');
            // Once it is stored the page goes on by itself; a second line of it would be there in the next round.
            $this->until(fn () => str_contains($this->shown('.evidence'), $missing) && $this->lines() === $i + 1);
        }
        self::$browser->manage()->getLog('browser');
    }

    public function test_a_page_on_which_somebody_types_stays_when_the_connection_is_back(): void
    {
        $this->signIn();
        $run = $this->jobAt('found', 'SKP 031');
        $this->visit("{$run}?step=found");
        self::$browser->executeScript(self::CUT_OFF);
        $this->enterFound('0.4 L');
        $this->until(fn () => str_contains($this->shown('[data-waiting]'), '1 entry is kept on this tablet'));
        self::$browser->executeScript(
            'document.querySelector("[name=\"fields[missing]\"]").value = "0.7"; window.fetch = window.shop',
        );
        $this->until(fn () => str_contains($this->shown('[data-waiting]'), 'What was kept is stored'));
        self::assertSame(
            '0.7',
            self::$browser->executeScript('return document.querySelector("[name=\"fields[missing]\"]").value'),
            'and what was typed is there',
        );
        $this->visit("{$run}?step=found");
        self::assertStringContainsString('0.4 L', $this->shown('.evidence'));
        self::$browser->manage()->getLog('browser');
    }

    public function test_what_is_half_typed_elsewhere_on_the_page_stays_when_an_entry_is_answered(): void
    {
        $this->signIn();
        $run = $this->jobAt('found', 'SKP 318');
        $this->visit("{$run}?step=found");
        self::$browser->executeScript('document.querySelector("[name=\"fields[what]\"]").value = "chafed hose"');
        $this->enterFound('0.4 L');
        $this->until(fn () => str_contains($this->shown('.evidence'), '0.4 L'));
        self::assertSame(
            'chafed hose',
            self::$browser->executeScript('return document.querySelector("[name=\"fields[what]\"]").value'),
        );
        self::assertSame(
            '',
            self::$browser->executeScript(
                'return document.querySelector("form.entry [name=\"fields[missing]\"]").value',
            ),
            'what was sent is not typed again',
        );
        self::$browser->manage()->getLog('browser');
    }

    public function test_an_entry_on_a_page_whose_token_is_stale_is_stored(): void
    {
        $this->signIn();
        $run = $this->jobAt('found', 'SKP 902');
        $this->visit("{$run}?step=found");
        $this->inAnotherTab('imre');
        $this->enterFound('0.4 L');
        $this->until(fn () => str_contains($this->shown('.evidence'), '0.4 L'));
        self::$browser->manage()->getLog('browser');
    }

    public function test_both_of_two_tabs_whose_token_is_stale_store_what_is_typed(): void
    {
        $this->signIn();
        $run = $this->jobAt('found', 'SKP 114');
        $this->visit("{$run}?step=found");
        $first = self::$browser->getWindowHandle();
        self::$browser->switchTo()->newWindow();
        $this->visit("{$run}?step=found");
        $this->inAnotherTab('imre');
        $this->enterFound('0.4 L');
        $this->until(fn () => str_contains($this->shown('.evidence'), '0.4 L'));
        self::$browser->close();
        self::$browser->switchTo()->window($first);
        $this->enterFound('0.6 L');
        $this->until(fn () => str_contains($this->shown('.evidence'), '0.6 L'));
        $this->until(fn () => $this->lines() === 2);
        self::$browser->manage()->getLog('browser');
    }

    public function test_a_password_changed_elsewhere_meanwhile_loses_nothing(): void
    {
        $this->signIn();
        $run = $this->jobAt('found', 'SKP 660');
        $this->visit("{$run}?step=found");
        self::$browser->executeScript(self::CUT_OFF);
        $this->enterFound('0.4 L');
        $this->until(fn () => str_contains($this->shown('[data-waiting]'), '1 entry is kept on this tablet'));
        // Another hash, and every session of before is over.
        $this->inTheShop('update people set password = ? where login = ?', [
            password_hash('bleed-it-dry', PASSWORD_BCRYPT, ['cost' => 4]),
            'imre',
        ]);
        self::$browser->executeScript('window.fetch = window.shop');
        $this->until(
            fn () => str_contains($this->shown('[data-waiting]'), 'Whoever made them signs in')
                || str_contains(self::$browser->getCurrentURL(), 'sign-in'),
        );
        $this->signIn();
        $this->visit("{$run}?step=found");
        $this->until(fn () => str_contains($this->shown('.evidence'), '0.4 L'));
        $this->until(fn () => $this->lines() === 1);
        self::$browser->manage()->getLog('browser');
    }

    public function test_a_tablet_that_slept_over_a_weekend_keeps_the_time_of_what_was_typed(): void
    {
        $this->signIn();
        $run = $this->jobAt('found', 'SKP 207');
        $this->inTheShop("update jobs set created_at = datetime(created_at, '-4 days') where id = ?", [basename($run)]);
        $this->visit("{$run}?step=found");
        self::$browser->executeScript(
            'localStorage.clear(); const now = Date.now.bind(Date); Date.now = () => now() - 62 * 3600e3;'
                .self::CUT_OFF,
        );
        $this->enterFound('0.4 L');
        $this->until(fn () => str_contains($this->shown('[data-waiting]'), '1 entry is kept on this tablet'));
        $this->visit("{$run}?step=found");
        $this->until(fn () => str_contains($this->shown('.evidence'), '0.4 L'));
        self::assertStringContainsString('came in 62 h 00 later', $this->text('.evidence'));
        self::$browser->manage()->getLog('browser');
    }

    public function test_an_entry_is_never_sent_under_another_name(): void
    {
        $this->signIn();
        $run = $this->jobAt('found', 'SKP 208');
        $this->visit("{$run}?step=found");
        $this->inAnotherTab('sunniva');
        $this->enterFound('0.4 L');
        $this->until(
            fn () => str_contains(
                $this->shown('[data-waiting]'),
                'kept on this tablet. Whoever made them signs in',
            ),
        );
        $this->visit("{$run}?step=found");
        sleep(5);
        self::assertFalse($this->has('.evidence'), 'nothing under her name');
        $this->signIn();
        $this->visit("{$run}?step=found");
        $this->until(fn () => str_contains($this->shown('.evidence'), '0.4 L'));
        self::assertStringContainsString('Imre Tovald', $this->text('.evidence'));
        self::$browser->manage()->getLog('browser');
    }

    /** All of it at once: a connection lost, a new password elsewhere, a weekend, a colleague on the same tablet. */
    public function test_what_waits_goes_on_under_its_author_whoever_signs_in_meanwhile(): void
    {
        $this->signIn();
        $run = $this->jobAt('found', 'SKP 447');
        $this->inTheShop("update jobs set created_at = datetime(created_at, '-4 days') where id = ?", [basename($run)]);
        $this->visit("{$run}?step=found");
        self::$browser->executeScript(
            'localStorage.clear(); const now = Date.now.bind(Date); Date.now = () => now() - 62 * 3600e3;'
                .self::CUT_OFF,
        );
        foreach (['0.4 L', '0.5 L', '0.6 L'] as $i => $missing) {
            $this->enterFound($missing);
            $waiting = $i === 0 ? '1 entry is' : ($i + 1).' entries are';
            $this->until(fn () => str_contains($this->shown('[data-waiting]'), "{$waiting} kept on this tablet"));
        }
        $this->inTheShop('update people set password = ? where login = ?', [
            password_hash('bleed-it-dry', PASSWORD_BCRYPT, ['cost' => 4]),
            'imre',
        ]);
        $this->inAnotherTab('sunniva');
        // The connection is back while she types on the page that he left.
        self::$browser->executeScript(
            'document.querySelector("[name=\"fields[missing]\"]").value = "0.7"; window.fetch = window.shop',
        );
        $this->until(fn () => str_contains($this->shown('[data-waiting]'), 'Whoever made them signs in'));
        sleep(3);
        self::assertSame(
            '0.7',
            self::$browser->executeScript('return document.querySelector("[name=\"fields[missing]\"]").value'),
        );
        $this->visit("{$run}?step=found");
        self::assertFalse($this->has('.evidence'), 'nothing of it under her name');
        $this->signIn();
        $this->visit("{$run}?step=found");
        $this->until(fn () => $this->lines() === 3);
        $told = $this->text('.evidence');
        foreach (['0.4 L', '0.5 L', '0.6 L', 'Imre Tovald', '62 h 00 later'] as $said) {
            self::assertStringContainsString($said, $told);
        }
        self::assertStringNotContainsString('Sunniva', $told);
        $this->visit("{$run}?step=found");
        sleep(2);
        self::assertSame(3, $this->lines(), 'each once');
        self::$browser->manage()->getLog('browser');
    }

    /** @param  list<string>  $with */
    private function inTheShop(string $change, array $with): void
    {
        (new \PDO('sqlite:'.self::$environment['DB_DATABASE']))->prepare($change)->execute($with);
    }

    /** What stands there while the page may go elsewhere by itself. */
    private function shown(string $selector): string
    {
        return (string) self::$browser->executeScript(
            'return document.querySelector(arguments[0])?.textContent ?? ""',
            [$selector],
        );
    }

    private function lines(): int
    {
        return (int) self::$browser->executeScript('return document.querySelectorAll(".evidence li").length');
    }

    /** Somebody signs in on the same tablet, the page stays open. */
    private function inAnotherTab(string $login): void
    {
        $first = self::$browser->getWindowHandle();
        self::$browser->switchTo()->newWindow();
        $this->signIn($login);
        self::$browser->close();
        self::$browser->switchTo()->window($first);
    }

    private function enterFound(string $missing): void
    {
        // At one go: the page may be put in place anew at any moment.
        self::$browser->executeScript(
            "const form = document.querySelector('form.entry'); form.querySelector('input[value=low]').checked = true;"
                ."form.querySelector('[name=\"fields[missing]\"]').value = arguments[0]; "
                ."form.querySelector('button:not([name=done]):not([type=button])').click()",
            [$missing],
        );
    }
}
