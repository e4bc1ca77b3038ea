<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Http\Middleware\ShopClock;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Cookie;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy as By;
use PHPUnit\Framework\TestCase;

/** Drives the real interface in Chromium against a server of its own with the demo shop. */
abstract class BrowserTestCase extends TestCase
{
    /** A browser without a screen, that talks to nobody. */
    public const QUIETLY = [
        '--headless=new',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--disable-dev-shm-usage',
    ];

    private const ROOT = __DIR__.'/../..';

    /** So often nobody comes back to one step. */
    private const SENT_IN_CIRCLES = 12;

    /** @var resource */
    private static $driver;

    /** @var ?resource */
    private static $server = null;

    /** @var array<string, string> */
    protected static array $environment;

    private static string $url;

    /** A folder with the demo shop's database and the configuration. */
    private static ?string $prepared = null;

    protected static RemoteWebDriver $browser;

    /** Who signed in last. */
    protected string $login = 'imre';

    protected string $password = 'bleed-it-dry';

    /** In place of the browser while a walk is on its way to the step it is about. */
    private ?Wire $wire = null;

    public static function setUpBeforeClass(): void
    {
        $directory = self::directory();
        @mkdir("{$directory}/sessions", recursive: true);
        @unlink(self::clockFile());
        @unlink("{$directory}/first-start.code");
        array_map(unlink(...), [...glob("{$directory}/*.sqlite*") ?: [], ...glob("{$directory}/sessions/*") ?: []]);
        shell_exec('rm -rf '.escapeshellarg("{$directory}/cache"));
        mkdir("{$directory}/cache");
        $environment = [
            ...getenv(),
            'APP_ENV' => 'testing',
            'APP_KEY' => 'base64:0mVf3Wj0rPzq8kDgYt7hJxUu1sC5oEw2nQb9aLi4R6M=',
            'APP_DEBUG' => 'false',
            'DB_DATABASE' => "{$directory}/aqbel.sqlite",
            'DB_JOURNAL' => 'wal',
            'DB_SYNCHRONOUS' => 'off',
            'SESSION_DRIVER' => 'whole_file',
            'SESSION_FILES' => "{$directory}/sessions",
            'AQBEL_PHOTOS' => "{$directory}/photos",
            'CACHE_STORE' => 'file',
            'AQBEL_CACHE' => "{$directory}/cache",
            'AQBEL_DEMO' => '1',
            'AQBEL_FIRST_START' => "{$directory}/first-start.code",
            'PHP_CLI_SERVER_WORKERS' => '3',
            'APP_CONFIG_CACHE' => "{$directory}/cache/config.php",
            'APP_ROUTES_CACHE' => "{$directory}/cache/routes.php",
        ];
        self::prepare($directory, $environment);
        [$port, $driverPort] = [self::freePort(), self::freePort()];
        self::$url = "http://127.0.0.1:{$port}";
        self::$environment = $environment;
        self::startServer();
        $quiet = [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']];
        self::$driver = proc_open(['setsid', 'chromedriver', "--port={$driverPort}"], $quiet, $pipes);
        self::waitForPort($driverPort);
        // The same engine without a window of its own around the page: half the work.
        $options = (new ChromeOptions())->setBinary('/usr/bin/chromium-headless-shell')
            ->addArguments([
                ...self::QUIETLY,
                '--force-prefers-reduced-motion',
                '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1',
                '--window-size=1280,900',
            ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY_W3C, $options->toArray());
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        self::$browser = RemoteWebDriver::create("http://127.0.0.1:{$driverPort}", $capabilities);
    }

    public static function tearDownAfterClass(): void
    {
        try {
            self::$browser->quit();
        } finally {
            self::end(self::$driver);
            self::stopServer();
            @unlink(self::clockFile());
        }
    }

    protected static function startServer(): void
    {
        $port = (int) parse_url(self::$url, PHP_URL_PORT);
        self::$server = proc_open(
            [
                'setsid',
                'php',
                '-d',
                'opcache.enable_cli=1',
                '-d',
                'opcache.jit=tracing',
                '-d',
                'opcache.jit_buffer_size=32M',
                '-d',
                'upload_max_filesize=64M',
                '-d',
                'post_max_size=66M',
                '-S',
                "127.0.0.1:{$port}",
                '-t',
                'public',
                'bin/router.php',
            ],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', self::directory().'/server.log', 'a']],
            $pipes,
            self::ROOT,
            self::$environment,
        );
        self::waitForPort($port);
    }

    /** As when the machine is off or the way to it is: nothing answers. */
    protected static function stopServer(): void
    {
        if (self::$server !== null) {
            self::end(self::$server);
            self::$server = null;
        }
    }

    /** @param  resource  $process */
    private static function end($process): void
    {
        posix_kill(-proc_get_status($process)['pid'], SIGTERM);
        proc_close($process);
    }

    /**
     * No console error, whatever the test did, but for an entry that was refused; a request
     * to anywhere but this machine finds no name and is one.
     */
    protected function assertPostConditions(): void
    {
        $errors = array_filter(
            self::$browser->manage()->getLog('browser'),
            fn (array $entry) => $entry['level'] === 'SEVERE' && ! str_contains($entry['message'], 'status of 422'),
        );
        self::assertSame([], array_column($errors, 'message'));
    }

    /** Goes through steps over HTTP, in the same session, and shows where that led. */
    protected function overHttp(\Closure $walk): void
    {
        $path = (string) parse_url(self::$browser->getCurrentURL(), PHP_URL_PATH);
        $this->wire = $this->wire($path);
        $walk();
        $this->wire = null;
        $this->visit($path);
    }

    private function wire(string $path): Wire
    {
        $cookies = array_map(
            fn (Cookie $cookie) => "{$cookie->getName()}={$cookie->getValue()}",
            self::$browser->manage()->getCookies(),
        );

        return new Wire(self::$url, implode('; ', $cookies), $path, $this->password);
    }

    /** A session ends with its day: whoever goes on in the morning signs in first. */
    private function inTheMorning(string $path): void
    {
        if ($this->wire?->has('#login') === true) {
            $this->wire = null;
            $this->signIn($this->login);
            $this->wire = $this->wire($path);
        }
    }

    /** The job that is shown, to its signature, as whoever is signed in: over HTTP, form by form, cautions and all. */
    protected function workToTheEnd(): void
    {
        $job = basename((string) parse_url(self::$browser->getCurrentURL(), PHP_URL_PATH));
        $process = proc_open(
            ['php', 'tests/Browser/answers.php', $job],
            [['pipe', 'r'], ['pipe', 'w']],
            $pipes,
            self::ROOT,
            self::$environment,
        );
        $this->overHttp(function () use ($pipes, $job): void {
            while (fwrite($pipes[0], "\n") && ($line = trim((string) fgets($pipes[1]))) !== '') {
                $step = json_decode($line, true);
                $times[$step['step']] = 1 + ($times[$step['step']] ?? 0);
                self::assertLessThan(
                    self::SENT_IN_CIRCLES,
                    $times[$step['step']],
                    "{$step['step']} again and again:\n".$this->text('main'),
                );
                $this->pass((int) round(60 * $step['before']));
                $this->wire?->visit("/jobs/{$job}");
                $this->inTheMorning("/jobs/{$job}");
                foreach ($step['answers'] as [$form, $fields, $minutes]) {
                    $this->readCautions();
                    $this->record($form, $fields);
                    $this->pass((int) round(60 * $minutes));
                    $this->wire?->visit("/jobs/{$job}");
                    $this->inTheMorning("/jobs/{$job}");
                }
                $this->oneByOne();
                if ($this->recordedAt === null || $this->recordedAt === $this->text('h1')) {
                    $this->readCautions();
                    $this->wire?->finish();
                }
                $this->recordedAt = null;
            }
        });
        fclose($pipes[0]);
        self::assertSame(0, is_resource($process) ? proc_close($process) : 1);
        $this->visit("/jobs/{$job}/record");
    }

    protected function readCautions(): void
    {
        while ($this->has('form.caution')) {
            $this->press('Read');
        }
    }

    /** A job under way, up to, not including, the step named; shown. */
    protected function jobAt(string $step, string $plate, string $login = 'imre', string $school = 'gravity'): string
    {
        $command = ['php', 'tests/Browser/job-at.php', $plate, $school, $login, $step];
        $process = proc_open($command, [1 => ['pipe', 'w']], $pipes, self::ROOT, self::$environment);
        $job = trim((string) stream_get_contents($pipes[1]));
        proc_close($process);
        self::assertMatchesRegularExpression('/^J?\d+$/', $job);
        $this->visit("/jobs/{$job}");

        return "/jobs/{$job}";
    }

    /** Somebody else's tablet, over plain HTTP. */
    protected function otherTablet(string $login, string $path): Wire
    {
        return Wire::signedIn(self::$url, $login, $path);
    }

    protected function visit(string $path): void
    {
        self::$browser->get(self::$url.$path);
    }

    protected function signIn(string $login = 'imre'): void
    {
        $this->login = $login;
        // Nothing of the page before goes on by itself, and brings its cookie back.
        self::$browser->get('about:blank');
        // An answer that was still on its way may bring it back once more.
        for ($try = 0; $try === 0 || ($try < 4 && ! $this->has('#login')); $try++) {
            $this->devTools('Network.clearBrowserCookies');
            $this->visit('/sign-in');
        }
        self::$browser->findElement(By::id('login'))->sendKeys($login);
        self::$browser->findElement(By::id('password'))->sendKeys($this->password);
        $this->press('Sign in');
    }

    /** Moves the server's clock, and the page's with the next load. */
    protected function pass(int $seconds): void
    {
        $so = is_file(self::clockFile()) ? (int) file_get_contents(self::clockFile()) : 0;
        file_put_contents(self::clockFile(), (string) ($so + $seconds));
    }

    protected function reload(): void
    {
        self::$browser->navigate()->refresh();
    }

    /** Presses the visible button with this text and waits for the page that follows. */
    protected function press(string $text): void
    {
        if ($this->wire !== null) {
            $this->wire->press($text);

            return;
        }
        $pressed = $this->steady(function () use ($text): bool {
            foreach (self::$browser->findElements(
                By::xpath(
                    "//button[normalize-space()='{$text}'] | //a[contains(@class,'button') and "
                        ."normalize-space()='{$text}']",
                ),
            ) as $button) {
                if ($button->isDisplayed()) {
                    $this->follow(fn () => self::$browser->executeScript('arguments[0].click()', [$button]));

                    return true;
                }
            }

            return false;
        });
        $pressed
            || self::fail(
                "There is no visible button “{$text}” on: "
                    .self::$browser->getTitle()
                    ."\n"
                    .$this->text('main'),
            );
    }

    /**
     * Fills a form of the step in hand and sends it.
     *
     * @param  array<string, string|bool>  $fields
     */
    protected function record(string $form, array $fields = []): void
    {
        $this->oneByOne();
        $this->recordedAt = $this->text('h1');
        if ($this->wire !== null) {
            $this->wire->record($form, $fields);

            return;
        }
        $this->steady(fn () => $this->fillIn($form, $fields));
    }

    /** @param  array<string, string|bool>  $fields */
    private function fillIn(string $form, array $fields): void
    {
        $inputs = self::$browser->findElements(By::cssSelector("form.entry input[name=form][value='{$form}']"));
        self::assertNotSame(
            [],
            $inputs,
            "There is no form “{$form}” on: ".self::$browser->getTitle()."\n".$this->text('main'),
        );
        $element = $inputs[0]->findElement(By::xpath('..'));
        self::$browser->executeScript(
            'arguments[0].querySelectorAll("details").forEach(d => d.open = true)',
            [$element],
        );
        $buttons = $element->findElements(By::cssSelector('button:not([type=button]):not([name=also])'));
        foreach ($fields as $name => $value) {
            $answers = $element->findElements(By::cssSelector("button[name='fields[{$name}]'][value='{$value}']"));
            $answers === [] ? $this->enter($element, $name, $value) : $buttons = $answers;
        }
        $this->follow(fn () => self::$browser->executeScript('arguments[0].click()', [end($buttons)]));
    }

    /** Ticks every item of a checklist. */
    protected function tickAll(): void
    {
        $this->oneByOne();
        if ($this->wire !== null) {
            $this->wire->tickAll();

            return;
        }
        self::$browser->executeScript(
            'document.querySelectorAll("form.entry .tick input").forEach(t => { t.checked = true })',
        );
        $this->press('Keep these ticks');
    }

    /** Reads the cautions and finishes the step, unless the entry before has done so in the same press. */
    protected function finish(string $button = 'Finish step'): void
    {
        $this->oneByOne();
        [$recordedAt, $this->recordedAt] = [$this->recordedAt, null];
        if ($recordedAt === null || $recordedAt === $this->text('h1')) {
            $this->readCautions();
            $this->press($button);
        }
    }

    private ?string $recordedAt = null;

    /** From a sheet on which steps are done together to the page of the first of them. */
    protected function oneByOne(): void
    {
        if ($this->wire !== null) {
            $this->wire->oneByOne();
        } elseif ($this->has('.one-go')) {
            $first = $this->steady(
                fn () => self::$browser->findElement(By::cssSelector('.sheet-block header a'))->getAttribute('href'),
            );
            $this->visit((string) preg_replace('#^https?://[^/]+#', '', (string) $first));
        }
    }

    protected function seeStep(string $title): void
    {
        $this->oneByOne();
        self::assertSame($title, $this->text('h1'));
    }

    protected function see(string $text, string $in = 'main'): void
    {
        self::assertStringContainsString($text, $this->text($in));
    }

    protected function text(string $selector): string
    {
        return $this->wire?->text($selector)
            ?? $this->steady(fn () => self::$browser->findElement(By::cssSelector($selector))->getText());
    }

    protected function has(string $selector): bool
    {
        return $this->wire?->has($selector) ?? self::$browser->findElements(By::cssSelector($selector)) !== [];
    }

    /** Nothing runs out of the page sideways. */
    protected function assertNoWiderThan(int $px): void
    {
        self::assertLessThanOrEqual(
            $px,
            self::$browser->executeScript('return document.documentElement.scrollWidth'),
            self::$browser->getCurrentURL(),
        );
    }

    /** axe-core finds nothing on this screen; nothing to look at where none is drawn. */
    protected function assertAccessible(bool $inTheDarkToo = false): void
    {
        if ($this->wire !== null) {
            return;
        }
        self::$browser->executeScript((string) file_get_contents(self::ROOT.'/node_modules/axe-core/axe.min.js'));
        // What is always in sight lies over the page until it is scrolled to its end.
        self::$browser->executeScript('window.scrollTo(0, document.body.scrollHeight)');
        // Only colours differ between the themes, so only their contrast is measured twice.
        $themes = [
            'light' => ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'],
            'dark' => ['color-contrast'],
        ];
        foreach ($inTheDarkToo ? $themes : array_slice($themes, 0, 1) as $theme => $rules) {
            self::$browser->executeScript('document.documentElement.dataset.theme = arguments[0]', [$theme]);
            $violations = self::$browser->executeAsyncScript(
                'const done = arguments[arguments.length - 1]; '
                    .'axe.run(document, { runOnly: arguments[0], resultTypes: ["violations"], rules: '
                    .'{ "label-content-name-mismatch": { enabled: true } } })'
                    .'.then(r => done(r.violations.map(v => v.id + ": " + v.nodes.map(n => n.target.join(" ") + " " '
                    .'+ (n.any[0]?.message ?? "")).slice(0, 3).join(" | "))))',
                [$rules],
            );
            self::assertSame([], $violations, "{$theme}: ".self::$browser->getTitle());
        }
    }

    private function enter(\Facebook\WebDriver\WebDriverElement $form, string $name, string|bool $value): void
    {
        $found = $form->findElements(By::name("fields[{$name}]"));
        self::assertNotSame([], $found, "There is no field “{$name}” on: ".self::$browser->getTitle());
        $type = $found[0]->getAttribute('type');
        if ($type === 'radio') {
            self::$browser->executeScript(
                'arguments[0].checked = true',
                [$form->findElement(By::cssSelector("input[name='fields[{$name}]'][value='{$value}']"))],
            );
        } elseif ($type === 'checkbox') {
            self::$browser->executeScript('arguments[0].checked = arguments[1]', [$found[0], $value]);
        } else {
            $found[0]->clear()->sendKeys((string) $value);
        }
    }

    /** @param  array<string, mixed>  $params */
    protected function devTools(string $command, array $params = []): void
    {
        self::$browser->executeCustomCommand(
            '/session/:sessionId/chromium/send_command',
            'POST',
            ['cmd' => $command, 'params' => $params === [] ? new \stdClass : $params],
        );
    }

    protected function until(\Closure $condition): void
    {
        try {
            self::$browser->wait(40, 20)->until(fn () => $this->steady($condition));
        } catch (TimeoutException) {
            self::fail('It did not come about on '.self::$browser->getCurrentURL()."\n".$this->text('body'));
        }
    }

    /**
     * Does it again where the page put something newer in place of what
     * was just found on it, as pages here do by themselves.
     *
     * @template T
     *
     * @param  \Closure(): T  $act  does nothing twice: it fails before it presses
     * @return T
     */
    protected function steady(\Closure $act): mixed
    {
        for ($again = 4; $again > 0; $again--) {
            try {
                return $act();
            } catch (StaleElementReferenceException) {
                usleep(50_000);
            }
        }

        return $act();
    }

    /** The page shown learns nothing of what others write, until another is gone to: as where the network is slow. */
    protected function withoutNews(): void
    {
        self::$browser->executeScript("Object.defineProperty(document, 'hidden', { get: () => true })");
    }

    protected function follow(\Closure $act): void
    {
        // Either another page, or another in this one's place.
        self::$browser->executeScript(
            'window.before = true; document.addEventListener("shown", () => { window.before '
                .'= false }, { once: true })',
        );
        $act();
        self::$browser->wait(40, 20)
            ->until(
                fn () => self::$browser->executeScript('return !window.before && document.readyState === "complete"'),
            );
    }

    /**
     * The demo shop and the cached configuration, made once a run and copied from then on.
     *
     * @param  array<string, string>  $environment
     */
    private static function prepare(string $directory, array $environment): void
    {
        $made = ['aqbel.sqlite', 'cache/config.php', 'cache/routes.php'];
        if (self::$prepared === null) {
            touch("{$directory}/aqbel.sqlite");
            foreach (
                ['migrate --force', 'db:seed --class=DemoSeeder --force', 'config:cache', 'route:cache'] as $command
            ) {
                self::artisan($command, $environment);
            }
            $kept = self::$prepared = sys_get_temp_dir().'/aqbel-prepared-'.bin2hex(random_bytes(6));
            mkdir("{$kept}/cache", recursive: true);
            foreach ($made as $file) {
                copy("{$directory}/{$file}", "{$kept}/{$file}");
            }
            register_shutdown_function(fn () => shell_exec('rm -rf '.escapeshellarg($kept)));
        }
        foreach ($made as $file) {
            copy(self::$prepared."/{$file}", "{$directory}/{$file}");
        }
    }

    /** @param  array<string, string>  $environment */
    private static function artisan(string $command, array $environment): void
    {
        $process = proc_open("php artisan {$command} --quiet", [], $pipes, self::ROOT, $environment);
        self::assertSame(0, proc_close($process), $command);
    }

    private static function clockFile(): string
    {
        return self::directory().'/'.ShopClock::FILE;
    }

    /** Of the shop under test: each of the processes that run side by side has its own. */
    protected static function directory(): string
    {
        return realpath(self::ROOT).'/storage/testing/'.(getenv('TEST_TOKEN') ?: '0');
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }

    private static function waitForPort(int $port): void
    {
        for ($try = 0; $try < 200; $try++) {
            if ($socket = @stream_socket_client("tcp://127.0.0.1:{$port}", timeout: 0.2)) {
                fclose($socket);

                return;
            }
            usleep(50_000);
        }
        self::fail("Nothing listens on {$port}.");
    }
}
