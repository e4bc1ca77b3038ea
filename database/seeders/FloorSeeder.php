<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Instruments\Door;
use App\Instruments\StandIn;
use App\Models\JournalLine;
use App\Models\Person;
use Aqbel\Core\Instruments\Batch;
use Illuminate\Database\Seeder;
use Illuminate\Support\Carbon;

/** The demo shop with its work in progress. */
final class FloorSeeder extends Seeder
{
    /** Minutes since that vehicle's job was planned: its engine runs for as long as a thermostat and a fan take. */
    private const FED_MIN = 93;

    /** It sends so often while it is made, s. */
    private const EVERY_S = 30;

    public function run(): void
    {
        $this->call(DemoSeeder::class);
        DemoSeeder::fillTheFloor();
        self::warmUpOfAStandIn();
        self::lookDue();
    }

    /** A groomer that went back to work some days ago: somebody looks at its level once more. */
    private static function lookDue(): void
    {
        DemoSeeder::job(
            'SKP 902',
            'gravity',
            Person::query()->where('login', 'sunniva')->firstOrFail(),
            6 * 1440,
        )->until(null);
        Carbon::setTestNow();
    }

    /** A warm-up whose every number comes from a vehicle that is not there, and goes on where its page is opened. */
    private static function warmUpOfAStandIn(): void
    {
        $imre = Person::query()->where('login', 'imre')->firstOrFail();
        $walk = DemoSeeder::job('SKP 660', 'gravity', $imre, self::FED_MIN)
            ->until('heat_cycle:1')
            ->enter('start', ['place' => 'extraction', 'neck' => 'sealed'], 1);
        Carbon::setTestNow();
        $now = now()->getTimestamp();
        $at = (int) JournalLine::query()->where('job_id', $walk->job->id)->where('form', 'start')->max('at');
        Carbon::setTestNow(Carbon::createFromTimestamp($at));
        $feed = Door::open($walk->job, $imre, 'Stand-in', '');
        for ($sinceS = -1.0; $at <= $now; $at += self::EVERY_S) {
            Carbon::setTestNow(Carbon::createFromTimestamp($at));
            $lines = (new StandIn($feed))->lines($sinceS, $at);
            if ($lines !== []) {
                Door::take($feed, Batch::of($lines));
                $sinceS = (float) ($at - $feed->created_at->getTimestamp());
            }
        }
        Carbon::setTestNow();
    }
}
