<?php

declare(strict_types=1);

namespace Tests\Feature;

/** The plan of the day, as the floor stands. */
final class DayTest extends ShopTestCase
{
    public function test_open_jobs_and_due_visits_are_laid_out_over_people_and_shared_tools(): void
    {
        $this->actingAs($this->imre)->get('/day')->assertOk()->assertSee('Nothing is open');
        $one = $this->plan('SKP 660');
        $two = $this->plan('SKP 207', 'vacuum');
        $page = $this->get('/day')->assertOk()->assertSee('Imre Tovald')->assertSee('SKP 660')->assertSee('with the extraction');
        $page->assertSee("/jobs/{$one->id}", false)->assertSee("/jobs/{$two->id}", false)->assertSee('Put first');
        $this->post("/day/{$two->id}", ['first' => '1'])->assertRedirect('/day');
        self::assertSame(1, $two->refresh()->day_rank);
        $this->get('/day')->assertOk()->assertSee('Let the plan decide');
        $this->post("/day/{$two->id}", ['first' => '0']);
        self::assertNull($two->refresh()->day_rank);
        // What is done is no longer laid out.
        $this->walk($one)->until(null);
        $this->get('/day')->assertOk()->assertDontSee("href=\"/jobs/{$one->id}\"", false);
        $this->get('/')->assertOk()->assertSee('/day', false);
    }
}
