<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Job;
use Illuminate\Support\Facades\View;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/** Small steps of a stage said in one press: all of them or none, each by what it says itself. */
final class SheetTest extends ShopTestCase
{
    private const SAFE = ['ground' => '1', 'chocks' => '1', 'ignition' => '1', 'glasses' => '1', 'heater' => '1'];

    public function test_a_stage_is_done_in_one_press_and_sent_twice_it_counts_once(): void
    {
        $job = $this->plan();
        $this->actingAs($this->imre)->get("/jobs/{$job->id}")->assertSee('in one go')->assertSee('All of it is done');
        $gather = array_fill_keys($this->items($job, 'gather'), '1');
        $sheet = ['found' => ['content' => 'full'], 'baseline' => [''], 'gather' => $gather];
        foreach ([1, 2] as $_) {
            $this->send($job, $sheet, 'sheet-key-0001')
                ->assertRedirect("/jobs/{$job->id}")
                ->assertSessionHasNoErrors();
            self::assertSame(
                ['found', 'finish', 'not_run', 'finish', 'ticked', 'finish'],
                $job->lines()->pluck('form')->all(),
            );
        }
        self::assertSame('make_safe', $job->fresh()?->state()->stepInHand()?->id);
    }

    public function test_a_wrong_field_takes_all_of_it_back_and_names_it_where_it_stands(): void
    {
        $job = $this->plan();
        $this->send($job, ['found' => ['content' => 'low', 'missing' => 'a lot'], 'baseline' => ['']])
            ->assertSessionHasErrors('sheet.found.missing');
        self::assertSame(0, $job->lines()->count());
        $this->get("/jobs/{$job->id}")->assertSee('value="a lot"', false);

        $this->walk($job)->until('make_safe');
        $before = $job->lines()->count();
        $this->read($job);
        $this->send($job, ['make_safe' => self::SAFE, 'cold_check' => ['since' => 'long'], 'inspect' => ['']])
            ->assertSessionHasErrors('sheet.cold_check.since');
        self::assertSame($before + 2, $job->lines()->count(), 'the two cautions that were read, and nothing else');
    }

    public function test_cautions_are_read_first_and_a_step_that_has_to_be_looked_at_stops_it(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('make_safe');
        $sheet = ['make_safe' => self::SAFE, 'cold_check' => ['since' => '1'], 'inspect' => ['']];
        $this->send($job, $sheet)->assertSessionHasErrors('finish');
        self::assertSame('Read the cautions first.', session('errors')->first('finish'));
        $this->read($job);
        // An hour is too short to open anything: it is said there, and nothing is recorded.
        $before = $job->lines()->count();
        $this->send($job, $sheet)->assertSessionHasErrors('sheet.cold_check.stops');
        self::assertSame($before, $job->lines()->count());
        $this->get("/jobs/{$job->id}")
            ->assertSee('Nothing is recorded yet')
            ->assertSee('Record it up to here')
            ->assertSee('value="1"', false);
        // Pressed up to there, it is recorded and in hand, and what comes after it waits.
        $this->send($job, $sheet, with: ['upto' => 'cold_check'])->assertSessionHasNoErrors();
        self::assertSame('cold_check', $job->fresh()?->state()->stepInHand()?->id);
        self::assertSame([], $job->fresh()->state()->entriesOf('inspect'));
    }

    public function test_what_is_so_or_is_not_is_never_ticked_along_with_what_was_done(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('make_safe');
        $this->read($job);
        $page = (string) $this->actingAs($this->imre)->get("/jobs/{$job->id}")->getContent();
        self::assertStringContainsString('<input type="hidden" name="sheet[make_safe][chocks]" value="1">', $page);
        self::assertStringNotContainsString('<input type="hidden" name="sheet[cold_check][overnight]"', $page);
        self::assertMatchesRegularExpression(
            '/<input type="checkbox"[^>]*name="sheet\[cold_check\]\[overnight\]"/',
            $page,
        );
        $this->send($job, ['make_safe' => self::SAFE, 'cold_check' => [''], 'inspect' => ['']])->assertSessionHasErrors(
            'sheet.cold_check.since',
        );
    }

    public function test_something_else_is_told_of_a_step_in_the_same_press(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('make_safe');
        $this->read($job);
        $page = (string) $this->actingAs($this->imre)->get("/jobs/{$job->id}")->getContent();
        self::assertStringContainsString('name="sheet[cold_check][otherwise]" value="reading"', $page);
        $sheet = ['make_safe' => self::SAFE, 'inspect' => ['']];
        $read = [
            'cold_check' => ['since' => '', 'otherwise' => 'reading', 'reading' => ['ect' => 'warm', 'air' => '17']],
        ];
        $this->send($job, [...array_slice($sheet, 0, 1), ...$read, ...array_slice($sheet, 1)])->assertSessionHasErrors(
            'sheet.cold_check.reading.ect',
        );
        $read['cold_check']['reading']['ect'] = '19';
        $this->send($job, [
            ...array_slice($sheet, 0, 1),
            ...$read,
            ...array_slice($sheet, 1),
        ])->assertSessionHasNoErrors();
        self::assertSame(19.0, $job->fresh()?->state()->entriesOf('cold_check', 'reading')[0]->number('ect'));
        self::assertSame('drain:radiator_cock', $job->fresh()->state()->stepInHand()?->id);
    }

    public function test_cautions_that_stand_above_an_entry_are_read_with_it(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('make_safe');
        $page = (string) $this->actingAs($this->imre)->get("/jobs/{$job->id}")->getContent();
        self::assertStringNotContainsString('/cautions"', $page, 'no press of its own');
        preg_match_all('/name="hazards\[(\w+)\]" value="([\w:]+)"/', $page, $found);
        self::assertNotSame([], $found[1]);
        $this->send(
            $job,
            ['make_safe' => self::SAFE, 'cold_check' => ['since' => '14'], 'inspect' => ['']],
            with: ['hazards' => array_combine($found[1], $found[2])],
        )->assertSessionHasNoErrors();
        self::assertTrue($job->fresh()?->state()->hasAcknowledged($found[1][0]));
    }

    public function test_after_a_night_the_air_is_asked_only_where_the_reading_needs_it(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('cool_down:1');
        $this->travel(10)->hours();
        $send = fn (string $ect) => $this->enter($job, 'cool_down:1', 'reading', ['ect' => $ect, 'air' => '']);
        $send('-30')->assertSessionHasErrors('air');
        self::assertSame([], $job->fresh()?->state()->entriesOf('cool_down:1', 'reading'));
        $send('21')->assertSessionHasNoErrors();
    }

    public function test_an_entry_is_answered_as_stored_though_its_page_cannot_be_shown(): void
    {
        $job = $this->plan();
        View::composer('run.rail', fn () => throw new \LogicException('no page today'));
        $send = fn () => $this->actingAs($this->imre)->post("/jobs/{$job->id}/entries", [
            'key' => 'no-page-0001', 'step' => 'found', 'form' => 'found', 'fields' => ['content' => 'full'],
        ], ['Accept' => 'application/json', 'X-Run' => '1']);
        $send()->assertOk()->assertJson(['stored' => true, 'key' => 'no-page-0001'])->assertJsonMissingPath('page');
        self::assertCount(1, $job->fresh()?->state()->entriesOf('found', 'found'));
    }

    public function test_a_reading_and_the_shut_off_are_one_press_and_one_transaction(): void
    {
        $job = $this->plan('SKP 660');
        $this->walk($job)->until('heat_cycle:1');
        $this->enter($job, 'heat_cycle:1', 'start', [
            'place' => 'outdoors',
            'neck' => 'sealed',
        ])->assertSessionHasNoErrors();
        $this->get("/jobs/{$job->id}?step=heat_cycle:1")->assertSee('Record; engine is off');
        $this->travel(12)->minutes();
        $send = fn (string $ect) => $this->post("/jobs/{$job->id}/entries", [
            'key' => 'also-key-0001',
            'step' => 'heat_cycle:1',
            'form' => 'reading',
            'also' => 'shut_off',
            'fields' => [
                'ect' => $ect,
                'far' => '80',
                'outlet_front' => '60',
                'bubbles' => 'hidden',
                'sign' => 'none',
                'fan' => 'none',
            ],
        ]);
        $send('hot')->assertSessionHasErrors('ect');
        self::assertSame(
            [],
            $job->fresh()?->state()->entriesOf('heat_cycle:1', 'shut_off'),
            'neither without the other',
        );
        $send('88')->assertSessionHasNoErrors();
        $send('88')->assertSessionHasNoErrors();
        self::assertCount(1, $job->fresh()->state()->entriesOf('heat_cycle:1', 'shut_off'));
        self::assertCount(1, $job->fresh()->state()->entriesOf('heat_cycle:1', 'reading'));
    }

    public function test_what_a_press_came_to_that_led_on_is_said_on_the_next_page(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('cold_check');
        $this->read($job);
        $this->actingAs($this->imre)
            ->post("/jobs/{$job->id}/entries", [
                'key' => (string) Str::uuid(),
                'step' => 'cold_check',
                'form' => 'reading',
                'fields' => ['ect' => '19', 'air' => '17'],
                'done' => '1',
            ])
            ->assertSessionHasNoErrors();
        $this->get("/jobs/{$job->id}")->assertSee('Is it cold?: <b>Cold enough.</b>', false);
        $this->travel(2)->minutes();
        $this->get("/jobs/{$job->id}")->assertDontSee('Is it cold?: <b>', false);
    }

    public function test_what_a_line_of_a_sheet_came_to_is_shown_and_not_asked_again(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('refractometer');
        $this->send($job, [
            'refractometer' => ['freeze' => '-20'],
            'follow_up' => ['days' => '3'],
        ])->assertSessionHasErrors('sheet.refractometer.stops');
        $this->get("/jobs/{$job->id}")
            ->assertSee('Both cannot be')
            ->assertSee('value="-20"', false);
        $this->send(
            $job,
            ['refractometer' => ['freeze' => '-20'], 'follow_up' => ['days' => '3']],
            with: ['upto' => 'refractometer'],
        )->assertSessionHasNoErrors();
        $this->get("/jobs/{$job->id}")
            ->assertSee('Both cannot be')
            ->assertDontSee('in one go');
        $line = $job->lines()->where('form', 'freeze')->sole();
        $this->post("/jobs/{$job->id}/entries/{$line->seq}", [
            'key' => (string) Str::uuid(), 'reason' => 'Misread', 'fields' => ['freeze' => '-36'],
        ])->assertSessionHasNoErrors();
        $this->get("/jobs/{$job->id}")
            ->assertSee('As planned')
            ->assertDontSee('in one go')
            ->assertDontSee('Enter a value');
        $this->post("/jobs/{$job->id}/finish", [
            'key' => (string) Str::uuid(),
            'step' => 'refractometer',
        ])->assertSessionHasNoErrors();
        self::assertSame('follow_up', $job->fresh()?->state()->stepInHand()?->id);
    }

    public function test_coolant_caught_clean_is_said_and_what_waits_for_it_is_asked_then(): void
    {
        $job = $this->plan();
        $this->walk($job)->until('look');
        $sheet = [
            'look' => ['coolant' => 'clean', 'next' => 'reuse'],
            'rinse' => ['rinse' => 'none'],
            'close_up' => array_fill_keys($this->items($job, 'close_up'), '1'),
            'mix' => ['stock' => '3', 'water' => '3'],
        ];
        $answer = $this->send($job, $sheet);
        foreach (session('errors')?->getBag('default')->messages() ?? [] as $field => [$why]) {
            self::assertStringStartsWith('sheet.', $field);
            self::assertStringNotContainsString('moved on', $why);
        }
        $answer->assertSessionHasErrors();
        $this->send($job, ['look' => $sheet['look']])->assertSessionHasNoErrors();
        self::assertNotSame('look', $job->fresh()?->state()->stepInHand()?->id);
    }

    public function test_of_steps_that_are_not_at_hand_none_is_written(): void
    {
        $job = $this->plan();
        foreach (
            [['make_safe' => self::SAFE], ['drain:radiator_cock' => ['volume' => '3']], ['nonsense' => ['']]] as $sheet
        ) {
            $this->send($job, $sheet)->assertSessionHasErrors('finish');
        }
        self::assertSame(0, $job->lines()->count());
        $this->actingAs($this->imre)
            ->post("/jobs/{$job->id}/sheet", ['key' => 'sheet-of-junk', 'sheet' => 'all'])
            ->assertSessionHasNoErrors();
        $this->post("/jobs/{$job->id}/cautions", ['key' => 'no-cautions', 'hazards' => []])->assertSessionHasErrors(
            'hazard',
        );
        self::assertSame(0, $job->lines()->count());
    }

    public function test_dirt_chosen_on_the_sheet_brings_the_rinse_and_mixes_nothing(): void
    {
        $job = $this->plan('SKP 660');
        $this->walk($job)->until('look');
        $sheet = [
            'look' => ['coolant' => 'rusty', 'next' => 'waste'],
            'rinse' => ['rinse' => 'hot', 'times' => '1'],
            'close_up' => array_fill_keys($this->items($job, 'close_up'), '1'),
            'mix' => ['concentrate' => '3', 'water' => '3'],
        ];
        $this->send($job, $sheet)->assertSessionHasErrors('sheet.rinse.stops');
        self::assertStringContainsString('water in comes first', session('errors')->first('sheet.rinse.stops'));
        $this->send($job, $sheet, with: ['upto' => 'rinse'])->assertSessionHasNoErrors();
        $state = $job->fresh()?->state();
        self::assertSame('rinse_fill:1', $state?->stepInHand()?->id);
        self::assertSame([], $state->entriesOf('mix'));
        self::assertSame([], $state->entriesOf('close_up'));
    }

    /**
     * @param  array<string, mixed>  $sheet
     * @param  array<string, string>  $with
     */
    private function send(Job $job, array $sheet, ?string $key = null, array $with = []): TestResponse
    {
        return $this->actingAs($this->imre)->from("/jobs/{$job->id}")
            ->post("/jobs/{$job->id}/sheet", ['key' => $key ?? (string) Str::uuid(), 'sheet' => $sheet, ...$with]);
    }

    private function read(Job $job): void
    {
        $this->actingAs($this->imre)
            ->post("/jobs/{$job->id}/cautions", [
                'key' => (string) Str::uuid(),
                'hazards' => ['raised' => 'make_safe', 'scald' => 'cold_check', 'moving' => 'make_safe'],
            ])
            ->assertSessionHasNoErrors();
    }

    /** @return list<string> of a checklist */
    private function items(Job $job, string $step): array
    {
        $state = $job->state();
        $form = $state->kinds->of($state->steps[$step])->atOnce($state->at($state->steps[$step], 0));

        return array_map(fn ($field) => $field->name, $form->fields);
    }
}
