<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Instruments\Door;
use App\Models\Feed;
use App\Models\Job;
use App\Models\JournalLine;
use App\Models\Person;
use App\Models\Vehicle;
use App\Practice\Walk;
use Aqbel\Core\Circuit\PortKind;
use Database\Seeders\DemoSeeder;
use Illuminate\Contracts\Auth\Authenticatable as UserContract;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** The demo shop in memory, and a job under way in it. */
abstract class ShopTestCase extends TestCase
{
    use RefreshDatabase;

    /** Seeded once; every test works in a transaction that is rolled back. */
    protected bool $seed = true;

    /** @var class-string */
    protected string $seeder = DemoSeeder::class;

    protected Person $imre;

    protected function setUp(): void
    {
        parent::setUp();
        config(['aqbel.photos' => sys_get_temp_dir().'/aqbel-photos-'.getmypid()]);
        $this->imre = Person::query()->where('login', 'imre')->firstOrFail();
    }

    /** Somebody else has a session of their own. */
    public function actingAs(UserContract $user, $guard = null)
    {
        if (auth()->id() !== null && auth()->id() !== $user->getAuthIdentifier()) {
            $this->flushSession();
        }

        return parent::actingAs($user, $guard);
    }

    protected function tearDown(): void
    {
        File::deleteDirectory(config('aqbel.photos'));
        parent::tearDown();
    }

    /** @param  string  $school  the first that fits where none is named */
    /** @param  array<string, mixed>  $more  that was chosen on the page */
    protected function plan(string $plate = 'SKP 114', string $school = '', array $more = []): Job
    {
        $vehicle = Vehicle::query()->with('circuit')->where('plate', $plate)->firstOrFail();
        $drains = $vehicle->circuit->read()->portIds(PortKind::Drain);
        $this->actingAs($this->imre)
            ->post(
                '/jobs',
                [
                    'vehicle' => $vehicle->id,
                    'school' => $school,
                    'kind' => 'repair',
                    'chosen' => '1',
                    'drains' => $drains,
                    ...$more,
                ],
            )
            ->assertSessionHasNoErrors()
            ->assertRedirect();

        return Job::query()->latest('id')->firstOrFail();
    }

    protected function walk(Job $job): Walk
    {
        return new Walk($job, $this->imre);
    }

    /**
     * An engine that runs hot, and an instrument of a vehicle that is not there.
     *
     * @return array{Job, Feed}
     */
    protected function fed(string $fault): array
    {
        Carbon::setTestNow(Carbon::now()->startOfSecond());
        $job = $this->plan('SKP 660');
        $this->walk($job)
            ->until('heat_cycle:1')
            ->enter('start', ['place' => 'outdoors', 'neck' => 'sealed', 'outside' => '18 °C'], 0);
        Carbon::setTestNow(
            Carbon::createFromTimestamp(
                (int) JournalLine::query()->where('job_id', $job->id)->where('form', 'start')->max('at'),
            ),
        );

        return [$job, Door::open($job, $this->imre, 'Stand-in', $fault)->refresh()];
    }

    /** @param  array<string, mixed>  $fields */
    protected function enter(
        Job $job,
        string $step,
        string $form,
        array $fields = [],
        ?string $key = null,
    ): TestResponse {
        return $this->actingAs($this->imre)
            ->from("/jobs/{$job->id}")
            ->post(
                "/jobs/{$job->id}/entries",
                ['key' => $key ?? (string) Str::uuid(), 'step' => $step, 'form' => $form, 'fields' => $fields],
            );
    }

    protected function finish(Job $job, string $step, string $reason = ''): TestResponse
    {
        return $this->actingAs($this->imre)
            ->from("/jobs/{$job->id}")
            ->post("/jobs/{$job->id}/finish", [
                'key' => (string) Str::uuid(),
                'step' => $step,
                'reason' => $reason,
                ...$step === 'sign_off' ? ['known' => DemoSeeder::PASSWORD] : [],
            ]);
    }
}
