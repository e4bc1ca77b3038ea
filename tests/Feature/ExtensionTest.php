<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Aqbel\Core\Plan\Schools;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;
use PHPUnit\Framework\Attributes\Group;
use Tests\Extension\IdledFill;
use Tests\Extension\IdleInTheYard;

/** One class each makes a new kind of step and a new school known everywhere. */
#[Group('one-database')]
final class ExtensionTest extends ShopTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->app->instance(StepCatalogue::class, StepCatalogue::standard()->with(new IdleInTheYard));
        $this->app->instance(Schools::class, SchoolCatalogue::standard()->with(new IdledFill));
    }

    public function test_plan_page_and_comparison_know_the_school(): void
    {
        $this->actingAs($this->imre)->get('/jobs/new?vehicle=1&chosen=1&drains_auto=1&school=idled_fill')->assertOk()
            ->assertSee('Fill and idle')->assertSee('Idle in the yard');
    }

    public function test_its_run_loads_the_joints_so_the_cure_comes_first(): void
    {
        $job = $this->idled(['cure' => '60']);
        $ids = array_keys($job->state()->steps);
        self::assertSame(array_search('idle', $ids, true) - 1, array_search('cured', $ids, true));
    }

    public function test_its_run_heats_the_circuit_and_its_labour_counts(): void
    {
        $job = $this->idled();
        self::assertGreaterThan(
            0.0,
            app(StepCatalogue::class)
                ->labour($job->state()->steps['idle'], \Aqbel\Core\Plan\Plan::of($job->state())->choices)
                ->hands,
        );
        $walk = $this->walk($job)->until('idle');
        $walk->enter('idled', ['ect' => '80']);
        self::assertEqualsWithDelta(now()->getTimestamp(), $job->state()->running()->last(), 120);
        $walk->finish();
        $walk->until('cool_down:1');
        self::assertSame('cool_down:1', $job->state()->stepInHand()?->id);
    }

    public function test_the_record_says_what_was_done(): void
    {
        $job = $this->idled();
        $walk = $this->walk($job)->until('idle');
        $walk->enter('idled', ['ect' => '80']);
        $walk->finish();
        $this->get("/jobs/{$job->id}/record")->assertOk()->assertSee('Idle in the yard')->assertSee('80 °C');
        $this->get('/')->assertOk();
    }

    /** @param  array<string, string>  $choices */
    private function idled(array $choices = []): Job
    {
        $form = [
            'vehicle' => 1,
            'school' => 'idled_fill',
            'kind' => 'repair',
            'chosen' => '1',
            'drains' => ['radiator_cock'],
            ...$choices,
        ];
        $this->actingAs($this->imre)->post('/jobs', $form)->assertSessionHasNoErrors();

        return Job::query()->latest('id')->firstOrFail();
    }
}
