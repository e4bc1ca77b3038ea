<?php

declare(strict_types=1);

namespace Tests\Core\Judged;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\Judgement;
use Aqbel\Core\Judged\Outcome;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\StepCatalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Journeys\Journey;
use Tests\Journeys\JourneyTest;

/** The five laws of every judgement, at every step of every journey, whatever happened there. */
final class LawsTest extends TestCase
{
    /** Calm lines, by kind of step: what somebody who wants it to be good writes next. */
    private const CALM = [
        'heat_cycle' => [
            [
                'reading',
                [
                    'ect' => 91.0,
                    'far' => 86.0,
                    'outlet_front' => 66.0,
                    'outlet_rear' => 62.0,
                    'bubbles' => 'none',
                    'sign' => 'none',
                ],
            ],
            ['fan_on', []],
            ['fan_off', []],
            ['fan_on', []],
            ['fan_off', []],
            ['shut_off', []],
        ],
        'rinse_run' => [['reading', ['ect' => 84.0, 'far' => 80.0, 'sign' => 'none']], ['shut_off', []]],
        'drive' => [['driven', ['minutes' => 1500.0, 'ect' => 90.0, 'alarm' => 'none']]],
        'pressure_test' => [['declined', ['why' => 'No time']]],
        'hold' => [['declined', ['why' => 'No time']]],
    ];

    /** Forms whose press says what was worked out was done; the refractometer proves it later. */
    private const AS_WORKED_OUT = ['batch', 'inside'];

    /** How a volume was read and of what: without one they say nothing. */
    private const OF_A_VOLUME = ['vessel', 'liquid'];

    /** Whose proof is time that has passed since the step before. */
    private const TIMED = ['pressure_test', 'hold', 'heat_cycle', 'rinse_run'];

    /** Since the stage before: what is looked at before a drive may be typed after it. */
    private const TIMED_FROM_ITS_STAGE = ['drive'];

    /** @return array<string, array{string}> */
    public static function journeys(): array
    {
        return JourneyTest::journeys();
    }

    #[DataProvider('journeys')]
    public function test_all_five_hold_wherever_a_job_stands(string $file): void
    {
        $journey = Journey::read($file);
        $journey->play();
        $whole = $journey->state();
        $this->addToAssertionCount(1);
        foreach ($this->moments($whole) as [$state, $step]) {
            $at = $this->at($state, $step);
            $judged = $at === null ? null : StepCatalogue::standard()->of($step)->judgement($at);
            if ($judged !== null) {
                $this->aProofRestsOnWhatIsInTheJournal($state, $judged, $step);
                $this->theFirstDangerStands($state, $judged, $step);
                $this->timeIsTheServers($state, $judged, $step);
            }
            if ($at !== null && ! isset($state->closed[$step->id])) {
                $this->whatNobodyTouchedProvesNothing($state, $at, $step);
            }
        }
    }

    /**
     * Every step, as it stood before anything was written to it, half way, and when something was last.
     *
     * @return iterable<array{JobState, Step}>
     */
    private function moments(JobState $whole): iterable
    {
        $until = [];
        foreach ($whole->journal->lines as $i => $line) {
            if (isset($whole->steps[$line->step])) {
                $until[$line->step][] = $i + 1;
            }
        }
        foreach ($until as $id => $lengths) {
            foreach (array_unique([$lengths[0] - 1, $lengths[intdiv(count($lengths), 2)], end($lengths)]) as $length) {
                yield [$this->with($whole, array_slice($whole->journal->lines, 0, $length)), $whole->steps[$id]];
            }
        }
    }

    /** @param  list<Entry>  $lines */
    private function with(JobState $whole, array $lines): JobState
    {
        return $whole->withOnly($lines);
    }

    private function at(JobState $state, Step $step, int $later = 0): ?Situation
    {
        $last = array_reduce($state->journal->lines, fn (int $last, Entry $line) => max($last, $line->at), 0);

        return isset($state->steps[$step->id])
            ? $state->at($state->steps[$step->id], $last + $later, UnitSystem::Metric)
            : null;
    }

    private function judged(JobState $state, Step $step): ?Judgement
    {
        $at = $this->at($state, $step);

        return $at === null ? null : StepCatalogue::standard()->of($step)->judgement($at);
    }

    private function aProofRestsOnWhatIsInTheJournal(JobState $state, Judgement $judged, Step $step): void
    {
        if ($judged->outcome() !== Outcome::Passes) {
            return;
        }
        self::assertNotSame([], $judged->restsOn(), "{$step->id}: {$judged->code()} rests on nothing");
        $standing = array_map(fn (Entry $line) => $line->seq, $state->journal->effective());
        $rests = array_map(fn (Observation $told) => $told->told()->seq, $judged->restsOn());
        self::assertSame(
            [],
            array_diff($rests, $standing),
            "{$step->id}: {$judged->code()} rests on what was taken back",
        );
    }

    private function theFirstDangerStands(JobState $state, Judgement $judged, Step $step): void
    {
        if ($judged->outcome() !== Outcome::Stops) {
            return;
        }
        foreach (self::CALM[$step->kind] ?? [] as [$form, $values]) {
            $state = $this->and($state, $step, $form, $values);
            $after = $this->judged($state, $step);
            $last = $judged->latches() || $form === 'declined' ? [$judged->code(), Outcome::Stops] : null;
            if ($last !== null) {
                self::assertSame(
                    $last,
                    [$after?->code(), $after?->outcome()],
                    "{$step->id}: {$judged->code()}, and then {$form}",
                );
            }
        }
    }

    private function timeIsTheServers(JobState $state, Judgement $judged, Step $step): void
    {
        if (
            $judged->outcome() !== Outcome::Passes
            || ! in_array($step->kind, [...self::TIMED, ...self::TIMED_FROM_ITS_STAGE], true)
        ) {
            return;
        }
        // All of it in the second in which the step, or the stage, before it was done with.
        [$lines, $first] = [$state->journal->effective(), 0];
        $isOfStage = fn (Entry $line): bool => ($state->steps[$line->step] ?? null)?->stage === $step->stage;
        while ($lines[$first]->step !== $step->id) {
            $first++;
        }
        while (
            in_array($step->kind, self::TIMED_FROM_ITS_STAGE, true)
            && $first > 0
            && $isOfStage($lines[$first - 1])
        ) {
            $first--;
        }
        $before = $lines[$first - 1]->at ?? 0;
        $inOneSecond = [];
        foreach ($lines as $i => $line) {
            $inOneSecond[] = $i < $first
                    ? $line
                    : new Entry(
                        $line->seq,
                        $before,
                        $line->person,
                        $line->step,
                        $line->form,
                        $line->values,
                        $line->typed(),
                    );
        }
        $quick = $this->with($state, $inOneSecond);
        $at = $quick->at($quick->steps[$step->id], $before);
        $judged = StepCatalogue::standard()->of($step)->judgement($at);
        self::assertNotSame(Outcome::Passes, $judged?->outcome(), "{$step->id}: {$judged?->code()} within a second");
    }

    /** A form sent as it came proves nothing, if it came with anything in it. */
    private function whatNobodyTouchedProvesNothing(JobState $state, Situation $at, Step $step): void
    {
        $kind = StepCatalogue::standard()->of($step);
        $before = $kind->judge($at)?->passes() === true;
        foreach ($kind->forms($at) as $form) {
            $untouched
                = $form->offered && ! in_array($form->name, self::AS_WORKED_OUT, true) ? self::untouched($form, $at) : [];
            if ($before || $untouched === []) {
                continue;
            }
            $after = $this->at($this->and($state, $step, $form->name, $untouched), $step);
            self::assertFalse(
                $after !== null && $kind->judge($after)?->passes() === true,
                "{$step->id}: {$form->name} proves by what nobody touched: ".json_encode($untouched),
            );
        }
    }

    /** @return array<string, mixed> what a form says by itself; nothing where it cannot be sent so, or says nothing */
    private static function untouched(Form $form, Situation $at): array
    {
        try {
            $raw = array_filter(
                array_combine(
                    array_map(fn ($field) => $field->name, $form->fields),
                    array_map(fn ($field) => $field->default, $form->fields),
                ),
                fn (?string $value) => $value !== null,
            );
            $filled = $form->read(
                $form->typed(array_map(fn ($value) => is_numeric($value) ? (float) $value : $value, $raw)),
                $at->units,
            );
            StepCatalogue::standard()->of($at->step)->admit($at, $form->name, $filled->values);

            return array_diff_key($raw, array_flip(self::OF_A_VOLUME)) === [] ? [] : $filled->values->toArray();
        } catch (InvalidField|\Aqbel\Core\InvalidFields) {
            return [];
        }
    }

    /** @param  array<string, mixed>  $values */
    private function and(JobState $state, Step $step, string $form, array $values): JobState
    {
        $last = $state->journal->lines[count($state->journal->lines) - 1] ?? null;

        return $state->after(
            Entry::stored(
                $state->journal->last() + 1,
                ($last?->at ?? 0) + 120,
                $last->person ?? 'Anna',
                $step->id,
                $form,
                $values,
            ),
        );
    }
}
