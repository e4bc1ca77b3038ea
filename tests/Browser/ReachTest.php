<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy as By;
use PHPUnit\Framework\TestCase;

/**
 * A shop that tablets reach: HTTPS by a certificate of its own, workers behind it, and all of it gone again on TERM.
 */
final class ReachTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    private string $place;

    private int $port;

    /** @var list<resource> */
    private array $processes = [];

    private ?RemoteWebDriver $browser = null;

    protected function setUp(): void
    {
        $this->place = sys_get_temp_dir().'/aqbel-reach-'.bin2hex(random_bytes(6));
        mkdir("{$this->place}/home/.pki/nssdb", recursive: true);
        chmod($this->place, 0o755);
        $this->port = self::freePair();
    }

    protected function tearDown(): void
    {
        $this->browser?->quit();
        foreach ($this->processes as $process) {
            $this->end($process);
        }
        shell_exec('rm -rf '.escapeshellarg($this->place));
    }

    public function test_a_tablet_trusts_the_shop_and_works_in_it_and_nothing_is_left_running(): void
    {
        $server = $this->serve();
        $said = $this->said();
        self::assertMatchesRegularExpression('/this code: ([0-9a-f]{10})/', $said);
        preg_match('/this code: ([0-9a-f]{10})/', $said, $code);
        $certificate = (string) file_get_contents("http://localhost:{$this->second()}/aqbel.crt");
        self::assertStringContainsString('BEGIN CERTIFICATE', $certificate);
        self::assertFalse(@file_get_contents("http://localhost:{$this->second()}/root.key"));

        $browser = $this->browserThatTrusts($certificate);
        $browser->get("https://localhost:{$this->port}/");
        foreach (
            [
                'code' => $code[1] ?? '',
                'shop' => 'Lower yard',
                'elevation_m' => '310',
                'name' => 'A. Person',
                'login' => 'person',
                'password' => 'ten letters or more',
            ] as $field => $text
        ) {
            $browser->findElement(By::id($field))->sendKeys($text);
        }
        $browser->findElement(By::cssSelector('.button-go'))->click();
        $browser->wait(20)->until(fn () => str_contains($browser->getTitle(), 'Add a vehicle'));
        self::assertTrue(
            $browser->executeScript('return window.isSecureContext'),
            'camera and outbox want HTTPS that is trusted',
        );
        self::assertSame(
            'activated',
            $browser->executeAsyncScript(
                'const done = arguments[0]; navigator.serviceWorker.ready.then((r) => { const w = r.active;'
                    .' w.state === "activated" ? done(w.state) : w.addEventListener("statechange", () => w.state === '
                    .'"activated" && done(w.state)); });',
            ),
        );

        $browser->get("https://localhost:{$this->port}/shop/connect");
        $browser->wait(20)->until(fn () => count($browser->findElements(By::cssSelector('[data-qr] path'))) === 2);
        $print = strtoupper((string) openssl_x509_fingerprint($certificate, 'sha256'));
        self::assertStringContainsString(
            $print,
            str_replace(' ', '', $browser->findElement(By::cssSelector('main ol code'))->getText()),
        );

        self::assertSame(0, $this->aqbel('backup'), 'while people work');
        $browser->get("https://localhost:{$this->port}/shop");
        self::assertStringContainsString('Whole', $browser->findElement(By::cssSelector('[data-state]'))->getText());
        self::assertSame(
            1,
            $this->aqbel("restore {$this->place}/data/backups/none.zip --replace"),
            'not under the people who work in it',
        );

        $this->end($server);
        self::assertSame(
            '',
            trim(
                (string) shell_exec('pgrep -f '.escapeshellarg($this->place).' -a | grep -v pgrep | grep -v chrom'),
            ),
        );
        self::assertFalse(@fsockopen('127.0.0.1', $this->port));

        $this->serve();
        self::assertStringNotContainsString('First start', $this->said());
        self::assertSame(
            $certificate,
            file_get_contents("http://localhost:{$this->second()}/aqbel.crt"),
            'trusted once, trusted for good',
        );
        $health = json_decode(
            (string) file_get_contents(
                "https://localhost:{$this->port}/health",
                context: stream_context_create(['ssl' => ['cafile' => "{$this->place}/trusted.crt"]]),
            ),
            true,
        );
        self::assertSame(
            [
                'works' => true,
                'version' => trim((string) file_get_contents('VERSION')),
                'database' => 'ok',
                'disk' => 'ok',
                'backup' => 'ok',
            ],
            $health,
        );
    }

    public function test_the_shops_authority_signs_the_shops_own_name_alone_and_for_two_years(): void
    {
        $this->serve();
        $root = "{$this->place}/data/authority/root.crt";
        $days = ((int) openssl_x509_parse((string) file_get_contents($root))['validTo_time_t'] - time()) / 86400;
        self::assertEqualsWithDelta(730.0, $days, 1.0);
        foreach (
            [
                'DNS:localhost' => true,
                'DNS:elsewhere.example' => false,
                'IP:127.0.0.1' => false,
                'IP:192.0.2.1' => false,
            ] as $name => $may
        ) {
            self::assertSame($may, $this->signs($name), $name);
        }
        $answer = (array) get_headers(
            "https://localhost:{$this->port}/sign-in",
            true,
            stream_context_create([
                'ssl' => ['cafile' => $root],
                'http' => ['ignore_errors' => true, 'follow_location' => 0],
            ]),
        );
        $headers = array_change_key_case($answer);
        self::assertSame('max-age=604800', $headers['strict-transport-security']);
        self::assertStringContainsString('camera=(self)', $headers['permissions-policy']);
        $cookies = implode("\n", (array) $headers['set-cookie']);
        self::assertMatchesRegularExpression('#^__Host-aqbel=.*path=/; secure; httponly; samesite=lax$#m', $cookies);
    }

    /** Whether a certificate of that name is one, signed with the authority’s own key. */
    private function signs(string $name): bool
    {
        [$to, $root] = ["{$this->place}/forged", "{$this->place}/data/authority/root"];
        shell_exec(
            "openssl req -newkey ec -pkeyopt ec_paramgen_curve:P-256 -nodes -keyout {$to}.key "
                ."-out {$to}.csr -subj /CN=x 2>&1; echo subjectAltName={$name} > {$to}.ext;openssl x509 -req "
                ."-in {$to}.csr -CA {$root}.crt -CAkey {$root}.key -CAcreateserial -days 5 "
                ."-extfile {$to}.ext -out {$to}.crt 2>&1",
        );

        return str_contains((string) shell_exec("openssl verify -CAfile {$root}.crt {$to}.crt 2>&1"), ': OK');
    }

    public function test_a_launcher_that_is_killed_leaves_nothing_that_blocks_the_next_start(): void
    {
        $server = $this->serve();
        posix_kill(proc_get_status($server)['pid'], SIGKILL);
        $this->until(fn () => ! file_exists("{$this->place}/data/server.pid"));
        $this->until(fn () => @fsockopen('127.0.0.1', $this->port) === false);
        $this->serve();
        self::assertStringNotContainsString('anew', $this->said());
    }

    public function test_a_host_that_is_none_is_refused_before_anything_is_made(): void
    {
        foreach (['--host "not a host"', '--host -x', '--port 80 --host localhost', '--colour red'] as $bad) {
            self::assertSame(1, $this->aqbel("serve {$bad}"), $bad);
        }
        self::assertFileDoesNotExist("{$this->place}/data/aqbel.sqlite");
        mkdir("{$this->place}/data");
        touch("{$this->place}/data/somebody-elses");
        self::assertSame(
            1,
            $this->aqbel('serve --host localhost --port '.$this->port),
            'a folder with other files in it',
        );
        self::assertSame([], array_diff(scandir("{$this->place}/data") ?: [], ['.', '..', 'somebody-elses']));
    }

    /** @return resource */
    private function serve()
    {
        @unlink("{$this->place}/said");
        $process = $this->start(
            ['./aqbel', 'serve', '--host', 'localhost', '--port', (string) $this->port],
            "{$this->place}/said",
        );
        $this->until(fn () => str_contains($this->said(), 'Aqbel is at') || ! proc_get_status($process)['running']);
        self::assertStringContainsString("Aqbel is at https://localhost:{$this->port}", $this->said());

        return $process;
    }

    private function said(): string
    {
        return (string) @file_get_contents("{$this->place}/said");
    }

    private function second(): int
    {
        return $this->port + 1;
    }

    /** @return array<string, string> none of what the tests run in */
    private function environment(): array
    {
        return [
            'PATH' => (string) getenv('PATH'),
            'HOME' => (string) getenv('HOME'),
            'AQBEL_DATA' => "{$this->place}/data",
        ];
    }

    private function aqbel(string $command): int
    {
        $process = proc_open(
            "exec ./aqbel {$command}",
            [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']],
            $pipes,
            self::ROOT,
            $this->environment(),
        );
        self::assertIsResource($process);

        return proc_close($process);
    }

    private function browserThatTrusts(string $certificate): RemoteWebDriver
    {
        file_put_contents("{$this->place}/trusted.crt", $certificate);
        $store = escapeshellarg("sql:{$this->place}/home/.pki/nssdb");
        shell_exec(
            "certutil -d {$store} -N --empty-password && certutil -d {$store} -A -t C,, -n aqbel -i "
                .escapeshellarg("{$this->place}/trusted.crt"),
        );
        $port = self::freePair();
        $this->start(['chromedriver', "--port={$port}"], '/dev/null', ['HOME' => "{$this->place}/home"]);
        $this->until(fn () => @fsockopen('127.0.0.1', $port) !== false);
        $options = (new ChromeOptions())->addArguments([
            ...BrowserTestCase::QUIETLY,
            '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE localhost',
            "--user-data-dir={$this->place}/profile",
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY_W3C, $options->toArray());

        return $this->browser = RemoteWebDriver::create("http://127.0.0.1:{$port}", $capabilities);
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $environment
     * @return resource
     */
    private function start(array $command, string $output, array $environment = [])
    {
        $process = proc_open(
            ['setsid', ...$command],
            [['file', '/dev/null', 'r'], ['file', $output, 'a'], ['file', $output, 'a']],
            $pipes,
            self::ROOT,
            [...$this->environment(), ...$environment],
        );
        self::assertIsResource($process);
        $this->processes[] = $process;

        return $process;
    }

    /** @param  resource  $process */
    private function end($process): void
    {
        if (! is_resource($process)) {
            return;
        }
        proc_terminate($process);
        $this->until(fn () => ! proc_get_status($process)['running']);
        proc_close($process);
        $this->processes = array_values(array_filter($this->processes, fn ($other) => $other !== $process));
    }

    /** @param  \Closure(): bool  $true */
    private function until(\Closure $true): void
    {
        for ($try = 0; $try < 600 && ! $true(); $try++) {
            usleep(100_000);
        }
        self::assertTrue($true(), $this->said());
    }

    /** A free port, with a free one above it. */
    private static function freePair(): int
    {
        do {
            $port = random_int(20_000, 40_000);
        } while (@fsockopen('127.0.0.1', $port) !== false || @fsockopen('127.0.0.1', $port + 1) !== false);

        return $port;
    }
}
