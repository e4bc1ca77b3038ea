<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Person;
use App\Shop\ClockFile;
use App\Shop\MachineClock;
use App\Shop\SteadyClock;
use Illuminate\Support\Carbon;

/** A machine whose clock is set, or runs down, in the middle of a job. */
final class ClockTest extends ShopTestCase
{
    private const STARTED = 1_795_600_000.0;

    private string $file;

    private MachineClock $machine;

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow();
        $this->file = (string) tempnam(sys_get_temp_dir(), 'aqbel-clock');
        unlink($this->file);
        $this->machine = new class(self::STARTED) extends MachineClock
        {
            public float $uptime = 100.0;

            public string $boot = 'first';

            public function __construct(public float $wall)
            {
            }

            public function wall(): float
            {
                return $this->wall;
            }

            public function uptime(): float
            {
                return $this->uptime;
            }

            public function boot(): string
            {
                return $this->boot;
            }

            public function pass(float $seconds, float $jump = 0.0): void
            {
                $this->uptime += $seconds;
                $this->wall += $seconds + $jump;
            }
        };
        $this->app?->instance(MachineClock::class, $this->machine);
        config(['aqbel.clock' => $this->file]);
    }

    protected function tearDown(): void
    {
        @unlink($this->file);
        Carbon::setTestNow();
        parent::tearDown();
    }

    public function test_the_shop_s_time_goes_on_when_the_clock_jumps_either_way(): void
    {
        foreach ([86_400.0, -7_200.0, 61.0] as $jump) {
            $clock = SteadyClock::startedBy($this->machine);
            $was = $clock->shopTime();
            $this->machine->pass(30.0, $jump);
            $clock = $clock->lookAt($this->machine);
            self::assertTrue($clock->jumped());
            self::assertEqualsWithDelta($was + 30.0, $clock->shopTime(), 1e-6);
            $this->machine->pass(600.0);
            $clock = $clock->lookAt($this->machine);
            self::assertEqualsWithDelta($was + 630.0, $clock->shopTime(), 1e-6);
            // Set right again by itself: nothing is left to say.
            $this->machine->pass(10.0, -$jump);
            self::assertFalse($clock->lookAt($this->machine)->jumped());
        }
    }

    public function test_a_clock_set_right_little_by_little_is_no_jump(): void
    {
        $clock = SteadyClock::startedBy($this->machine);
        for ($i = 0; $i < 20; $i++) {
            $this->machine->pass(600.0, 59.0);
            $clock = $clock->lookAt($this->machine);
        }
        self::assertFalse($clock->jumped());
        self::assertSame($this->machine->wall(), $clock->shopTime());
    }

    public function test_after_a_restart_no_time_is_taken_back(): void
    {
        $clock = SteadyClock::startedBy($this->machine);
        $was = $clock->shopTime();
        $this->machine->boot = 'second';
        $this->machine->uptime = 12.0;
        $this->machine->wall = $was - 3_600.0;
        self::assertSame($was, $clock->lookAt($this->machine)->shopTime());
        $this->machine->wall = $was + 50_000.0;
        self::assertFalse($clock->lookAt($this->machine)->jumped(), 'it may have stood over night');
    }

    public function test_a_jump_is_said_on_every_page_entries_keep_the_shop_s_time_and_a_lead_takes_the_new_one_over(): void
    {
        $this->machine->wall = (float) time();
        $job = $this->plan();
        $this->actingAs($this->imre)->get('/')->assertDontSee('clock jumped');
        $this->machine->pass(120.0, 5 * 86_400.0);
        $this->get("/jobs/{$job->id}")->assertSee('clock jumped')->assertSee('A lead puts it right.');
        $this->post('/clock')->assertForbidden();
        $this->enter($job, 'found', 'found', ['content' => 'full'])->assertSessionHasNoErrors();
        self::assertEqualsWithDelta($this->machine->wall() - 5 * 86_400.0, (float) $job->lines()->max('at'), 2.0);

        $this->actingAs(Person::query()->where('login', 'sunniva')->firstOrFail())
            ->from('/')
            ->post('/clock')
            ->assertRedirect('/');
        $this->get('/')->assertDontSee('clock jumped');
        self::assertFalse(app(ClockFile::class)->read()->jumped());
    }

    public function test_a_damaged_or_unwritable_file_leaves_the_machine_s_own_time(): void
    {
        file_put_contents($this->file, '{"boot":');
        self::assertFalse(app(ClockFile::class)->read()->jumped());
        $nowhere = new ClockFile('/nowhere/at/all/clock.json', $this->machine);
        self::assertSame($this->machine->wall(), $nowhere->read()->shopTime());
    }
}
