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
        $this->post("/day/{$two->id}", ['place' => '1'])->assertRedirect('/day');
        self::assertSame(1, $two->refresh()->day_rank);
        $this->get('/day')->assertOk()->assertSee('Let the plan decide')->assertDontSee('Earlier');
        // One more before it: what had a place keeps its order behind.
        $this->post("/day/{$one->id}", ['place' => '1'])->assertRedirect('/day');
        self::assertSame([1, 2], [$one->refresh()->day_rank, $two->refresh()->day_rank]);
        $this->get('/day')->assertOk()->assertSee('Later: SKP 660')->assertSee('Earlier: SKP 207');
        $this->post("/day/{$one->id}", ['place' => '9']);
        self::assertSame([2, 1], [$one->refresh()->day_rank, $two->refresh()->day_rank], 'the last place there is');
        foreach (['0', '-1', 'first', '1000'] as $nowhere) {
            $this->post("/day/{$two->id}", ['place' => $nowhere])->assertSessionHasErrors('place');
        }
        $this->post("/day/{$two->id}", ['place' => '']);
        self::assertNull($two->refresh()->day_rank);
        self::assertSame(1, $one->refresh()->day_rank);
        $this->post("/day/{$one->id}", ['place' => '']);
        // What is done is no longer laid out.
        $this->walk($one)->until(null);
        $this->get('/day')->assertOk()->assertDontSee("href=\"/jobs/{$one->id}\"", false);
        $this->get('/')->assertOk()->assertSee('/day', false);
    }
}
