<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Instruments\Door;
use App\Instruments\QuietBatch;
use App\Models\Feed;
use App\Models\Job;
use App\Models\JournalLine;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\Group;

/** An engine that runs by its instrument at a step that knows of no run. */
final class HeardTest extends ShopTestCase
{
    private Job $job;

    private Feed $feed;

    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow(Carbon::now()->startOfSecond());
        $this->job = $this->plan('SKP 660');
        $this->actingAs($this->imre);
    }

    public function test_above_an_open_drain_it_is_danger_on_every_page_until_it_is_off(): void
    {
        $this->at('drain:radiator_cock')->enter('opened', ['cap' => 'off'], 0);
        self::assertFalse($this->turns(0), 'nobody started it');
        self::assertFalse($this->turns(230, 1), 'a starter, and short');
        self::assertTrue($this->turns(780));
        self::assertNotNull($this->job->refresh()->danger_since);
        $this->get("/jobs/{$this->job->id}")->assertOk()
            ->assertSee('Shut the engine off')
            ->assertSee('Radiator drain cock is open: pump or jackets run dry. It runs by its instrument, 780 a minute.')
            ->assertSee('It is off');
        $this->get('/')->assertOk()->assertSee('SKP 660');
        $this->post("/jobs/{$this->job->id}/finish", [
            'key' => 'on-with-it-01', 'step' => 'drain:radiator_cock', 'reason' => 'It only idles',
        ])->assertSessionHasErrors();
        self::assertFalse($this->turns(0));
        self::assertNull($this->job->refresh()->danger_since);
        self::assertSame(['runs', 'off'], $this->heard());
        self::assertNull($this->job->state()->running()->last(), 'a moment made nothing hot');
    }

    public function test_where_the_instrument_breaks_off_a_press_says_that_it_is_off(): void
    {
        $this->at('drain:radiator_cock')->enter('opened', ['cap' => 'off'], 0);
        self::assertTrue($this->turns(780));
        Carbon::setTestNow(now()->addMinutes(3));
        self::assertNotNull($this->job->refresh()->danger_since);
        $this->post("/jobs/{$this->job->id}/abandon", ['why' => 'The customer takes it'])->assertSessionHasErrors();
        self::assertNull($this->job->refresh()->abandoned_at);
        $this->enter($this->job, 'drain:radiator_cock', 'heard', ['engine' => 'off'])->assertSessionHasNoErrors();
        self::assertNull($this->job->refresh()->danger_since);
        $this->enter($this->job, 'drain:radiator_cock', 'heard', ['engine' => 'off'])->assertSessionHasErrors();
        $this->get("/jobs/{$this->job->id}/record")->assertOk()->assertSee('The engine runs · By its instrument, 1/min 780');
    }

    public function test_where_one_may_run_somebody_moves_the_vehicle(): void
    {
        $this->at('found');
        self::assertFalse($this->turns(780), 'nobody knows yet how full it is');
        $this->walk($this->job)->until('make_safe');
        self::assertFalse($this->turns(780));
        self::assertSame([], $this->heard());
    }

    public function test_on_too_little_coolant_no_start_is_needed_to_say_it(): void
    {
        $this->at('mix');
        self::assertTrue($this->turns(780));
        $this->get("/jobs/{$this->job->id}")->assertOk()->assertSee('of coolant is missing: pump or jackets run dry');
    }

    public function test_whoever_moves_it_too_hot_is_told_as_well(): void
    {
        $this->at('make_safe');
        self::assertFalse($this->turns(780, 3, 'coolant_c,%d,90'));
        self::assertTrue($this->turns(780, 3, 'coolant_c,%d,128'));
        $this->get("/jobs/{$this->job->id}")->assertOk()->assertSee('It is at 128 °C, and');
        self::assertFalse($this->turns(0, 5, 'coolant_c,%d,128'), 'hot and off is no danger of running');
        self::assertSame(now()->getTimestamp(), (int) $this->job->refresh()->state()->running()->last() + 3);
    }

    public function test_where_it_is_to_be_run_it_is_to_be_said_and_its_limit_counts_unsaid(): void
    {
        $this->at('heat_cycle:1');
        self::assertFalse($this->turns(780, 3, 'coolant_c,%d,40'));
        self::assertSame(['runs'], $this->heard());
        $this->get("/jobs/{$this->job->id}")->assertOk()->assertSee('By its instrument the engine runs, 780 a minute. Say where')
            ->assertSee('It is off');
        self::assertNull($this->job->refresh()->danger_since);
        self::assertFalse($this->turns(780, 3, 'coolant_c,%d,90'));
        $start = ['place' => 'outdoors', 'neck' => 'sealed', 'outside' => '18'];
        $this->enter($this->job, 'heat_cycle:1', 'start', $start)->assertSessionHasNoErrors();
        $this->turns(780, 10);
        $this->get("/jobs/{$this->job->id}")->assertOk()->assertDontSee('By its instrument the engine runs');
        self::assertSame(['runs'], $this->heard(), 'what is said is watched as a run');
        $this->enter($this->job, 'heat_cycle:1', 'shut_off')->assertSessionHasNoErrors();
        $this->turns(780, 3);
        $this->turns(0, 10);
        self::assertSame(['runs'], $this->heard(), 'it ran down');
        $this->turns(790, 5);
        self::assertSame('runs', $this->heard()[1] ?? '', 'and was started again');
    }

    public function test_no_calmer_run_wipes_out_that_it_was_too_hot_unsaid(): void
    {
        $this->at('heat_cycle:1');
        self::assertTrue($this->turns(780, 3, 'coolant_c,%d,128'));
        self::assertFalse($this->turns(0, 15));
        $start = ['place' => 'outdoors', 'neck' => 'sealed', 'outside' => '18'];
        $this->enter($this->job, 'heat_cycle:1', 'start', $start)->assertSessionHasNoErrors();
        $state = $this->job->refresh()->state();
        self::assertSame('limit', $state->verdictOf($state->steps['heat_cycle:1'], now()->getTimestamp())?->code);
    }

    public function test_on_the_road_it_is_told_to_the_floor_too(): void
    {
        $this->at('drive');
        self::assertFalse($this->turns(1500, 3, 'coolant_c,%d,92'));
        self::assertTrue($this->turns(1500, 3, 'coolant_c,%d,118'));
        self::assertNotNull($this->job->refresh()->danger_since);
        self::assertFalse($this->turns(0, 3, 'coolant_c,%d,118'));
        self::assertSame(['runs', 'off'], $this->heard());
        self::assertContains('driven', $this->job->lines()->pluck('form')->all(), 'and has not run cool');
    }

    public function test_what_was_kept_while_a_cable_was_out_starts_no_engine_now(): void
    {
        $this->at('drain:radiator_cock')->enter('opened', ['cap' => 'off'], 0);
        $this->turns(0);
        Carbon::setTestNow(now()->addMinutes(30));
        $long = now()->subMinutes(20)->getTimestamp();
        $this->call('POST', "/feeds/{$this->feed->token}", content: implode("\n", array_map(
            fn (int $second): string => 'rpm,'.($long + $second).',800',
            range(0, 60),
        )))->assertOk()->assertJsonMissing(['danger' => true]);
        self::assertSame([], $this->heard());
    }

    #[Group('one-database')]
    public function test_the_short_way_of_a_batch_keeps_no_such_count_to_itself(): void
    {
        $this->at('make_safe');
        $this->turns(0);
        $take = fn (string $body) => (new QuietBatch(DB::getPdo()))->take(
            $this->feed->token,
            $body,
            now()->getTimestampMs(),
        );
        $next = now()->getTimestamp() + 1;
        Carbon::setTestNow(now()->addSeconds(2));
        self::assertNotNull($take("rpm,{$next},780\ncoolant_c,{$next},90"), 'somebody moves it');
        $next++;
        self::assertNull($take("rpm,{$next},780\ncoolant_c,{$next},128"));
        $this->walk($this->job)->until('drain:radiator_cock')->enter('opened', ['cap' => 'off'], 0);
        $this->turns(0);
        $next = now()->getTimestamp() + 1;
        Carbon::setTestNow(now()->addSeconds(2));
        self::assertNotNull($take("rpm,{$next},0"));
        self::assertNull($take('rpm,'.($next + 1).',780'));
    }

    private function at(string $step): \App\Practice\Walk
    {
        $walk = $this->walk($this->job)->until($step);
        $this->feed = Door::open($this->job, $this->imre, 'Plug');

        return $walk;
    }

    /** So many seconds it turns so fast; whether the sender is told to shut it off. */
    private function turns(int $rpm, int $seconds = 5, string $besides = ''): bool
    {
        $danger = false;
        for ($gone = 0; $gone < $seconds; $gone++) {
            Carbon::setTestNow(now()->addSecond());
            $danger = (bool) $this->call(
                'POST',
                "/feeds/{$this->feed->token}",
                content: 'rpm,'.now()->getTimestamp().",{$rpm}\n".sprintf($besides, now()->getTimestamp()),
            )->assertOk()->json('danger');
        }

        return $danger;
    }

    /** @return list<string> */
    private function heard(): array
    {
        return array_values(JournalLine::query()->where('job_id', $this->job->id)->where('form', 'heard')->orderBy('seq')
            ->get()->map(fn (JournalLine $line): string => (string) $line->values['engine'])->all());
    }
}
