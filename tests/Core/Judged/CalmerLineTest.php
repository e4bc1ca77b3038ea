<?php

declare(strict_types=1);

namespace Tests\Core\Judged;

use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Mixing\Compatibility;
use Aqbel\Core\Observed\CoolantLook;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepCatalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Demo;

/** At every kind of step: what one line alone stops for, no single line after it makes good. */
final class CalmerLineTest extends TestCase
{
    /** Where a second line is a second measurement or a mending, and what makes it one. */
    private const MENDED_BY = [
        'refractometer' => 'read again, as it asks to be',
        'find_cause' => 'the cause was found after all',
        'leak_check' => 'what was mended is said in the same line',
    ];

    /** A fall under pressure is told by a drip that explains it, and that is mended. */
    private const EXPLAINED = ['find_drip' => 'stood'];

    /** Kinds that no plan of these holds: they are ordered on the way. */
    private const ORDERED = [
        'find_cause' => Stage::Drain, 'why_stopped' => Stage::Cool, 'leak_hunt' => Stage::Vacuum,
        'water_out' => Stage::Vacuum, 'put_right' => Stage::MakeSafe, 'why_unshown' => Stage::Cool,
    ];

    private const SECONDS = 1500.0;

    /** Choices of one form tried together, at the most. */
    private const MOST_TOGETHER = 60;

    /** @return array<string, array{string}> */
    public static function kinds(): array
    {
        $kinds = array_unique([...array_keys(self::ORDERED), ...array_map(fn ($s) => $s[1]->kind, self::steps())]);

        return array_combine($kinds, array_map(fn (string $kind) => [$kind], $kinds));
    }

    #[DataProvider('kinds')]
    public function test_no_calmer_line_makes_good_what_stopped_the_step(string $kind): void
    {
        [$state, $step] = self::standing($kind);
        [$stop, $pass] = [[], []];
        foreach (self::lines($state, $step) as $line) {
            $verdict = self::verdict(self::with($state, $step, $line), $step);
            if ($verdict?->stops() === true) {
                $stop[] = $line;
            } elseif ($verdict?->passes() === true) {
                $pass[] = $line;
            }
        }
        $this->addToAssertionCount(1);
        $isMended = array_key_exists($kind, self::MENDED_BY);
        foreach ($stop as $bad) {
            foreach ($isMended || (self::EXPLAINED[$kind] ?? '') === $bad[0] ? [] : $pass as $calm) {
                $after = self::verdict(self::with(self::with($state, $step, $bad), $step, $calm), $step);
                self::assertFalse(
                    $after?->passes() === true,
                    "{$kind}: ".json_encode([$bad, $calm])." ends as {$after?->code}, {$after?->title}",
                );
            }
        }
    }

    /** These have both: the test above would say nothing of a kind whose lines were never found. */
    #[DataProvider('kindsThatStop')]
    public function test_a_line_that_stops_is_found(string $kind, int $stops): void
    {
        [$state, $step] = self::standing($kind);
        $stop = array_filter(
            iterator_to_array(self::lines($state, $step), false),
            fn (array $line) => self::verdict(self::with($state, $step, $line), $step)?->stops() === true,
        );
        self::assertGreaterThanOrEqual($stops, count($stop), $kind);
    }

    /** @return iterable<string, array{string, int}> */
    public static function kindsThatStop(): iterable
    {
        yield 'a look at the coolant' => ['look', 2];
        yield 'a jar' => ['jar_test', 1];
        yield 'a search for a leak' => ['find_drip', 4];
        yield 'a look underneath' => ['leak_check', 1];
        yield 'a complaint' => ['complaint', 1];
        yield 'why a run had to be stopped' => ['why_stopped', 1];
        yield 'why it does not show' => ['why_unshown', 1];
    }

    /** The gravest stands, in whatever order they were told. */
    public function test_the_gravest_of_several_looks_stands(): void
    {
        $look = fn (int $seq, string $code): CoolantLook => CoolantLook::of(
            Entry::stored($seq, $seq, 'Anna', 'look', CoolantLook::FORM, ['coolant' => $code]),
        ) ?? self::fail('a look');
        foreach ([['clean', 'oily', 'gel'], ['gel', 'oily', 'clean'], ['oily', 'clean', 'debris']] as $told) {
            $looks = array_map($look, array_keys($told), $told);
            self::assertSame('oily', Told::gravest($looks)?->code);
        }
        self::assertSame(2, Told::gravest([$look(1, 'rusty'), $look(2, 'debris')])?->told()->seq);
        self::assertNull(Told::gravest([]));
    }

    /** @return array{JobState, Step} */
    private static function standing(string $kind): array
    {
        foreach (self::steps() as $step) {
            if ($step[1]->kind === $kind) {
                return $step;
            }
        }

        return [self::states()[0], new Step($kind, $kind, self::ORDERED[$kind])];
    }

    /** @return list<array{JobState, Step}> of all plans */
    private static function steps(): array
    {
        $steps = [];
        foreach (self::states() as $state) {
            foreach ($state->steps as $step) {
                $steps[] = [$state, $step];
            }
        }

        return $steps;
    }

    /** @return list<JobState> one plan a way that brings steps of its own */
    private static function states(): array
    {
        static $states = null;

        return $states ??= array_map(
            fn (array $of): JobState => self::planned(...$of),
            [
                ['school-minibus', 'gravity', JobKind::Repair, Complaint::HeaterCold, Compatibility::Unknown],
                ['school-minibus', 'vacuum', JobKind::Change, Complaint::None, Compatibility::OtherFamily],
                ['compact-loader', 'funnel', JobKind::Repair, Complaint::Falling, Compatibility::AsManual],
                ['standby-generator', 'pressure', JobKind::Repair, Complaint::None, Compatibility::AsManual],
                ['standby-generator', 'vent_bolt', JobKind::Lost, Complaint::None, Compatibility::AsManual],
            ],
        );
    }

    private static function planned(
        string $key,
        string $way,
        JobKind $job,
        Complaint $complaint,
        Compatibility $content,
    ): JobState {
        $circuit = Demo::circuit($key);
        $base = Demo::repair($circuit, new HouseRules, Tool::cases());
        $choices = new Choices(
            $job,
            $complaint,
            $way,
            [],
            $base->drains,
            0.0,
            0.0,
            0.5,
            0.0,
            $base->rules,
            content: $content,
        );

        return new JobState($circuit, Demo::planner()->plan($circuit, $choices), StepCatalogue::standard());
    }

    /** @return iterable<array{string, array<string, mixed>}> every form with every mix of its choices */
    private static function lines(JobState $state, Step $step): iterable
    {
        $at = $state->at($step, 1_000_000);
        foreach (StepCatalogue::standard()->of($step)->everything($at) as $form) {
            foreach (self::mixes($form) as $values) {
                try {
                    yield [$form->name, $form->read($form->typed($values), UnitSystem::Metric)->values->toArray()];
                } catch (InvalidField|InvalidFields) {
                    // Such a line is never written.
                }
            }
        }
    }

    /** @return list<array<string, mixed>> */
    private static function mixes(Form $form): array
    {
        $mixes = [[]];
        foreach ($form->fields as $field) {
            $options = $field->choices === [] || count($mixes) * count($field->choices) > self::MOST_TOGETHER
                ? [self::likely($field)]
                : array_map(strval(...), array_keys($field->choices));
            $with = [];
            foreach ($mixes as $mix) {
                foreach ($options as $option) {
                    $with[] = [...$mix, $field->name => $option];
                }
            }
            $mixes = $with;
        }

        return $mixes;
    }

    private static function likely(Field $field): float|string
    {
        return match (true) {
            $field->choices !== [] => (string) array_key_first($field->choices),
            $field->dimension === Dimension::Time => self::SECONDS,
            $field->dimension !== null => $field->least + 0.4 * (min($field->most, 200.0) - $field->least),
            default => 'as seen',
        };
    }

    /** @param  array{string, array<string, mixed>}  $line */
    private static function with(JobState $state, Step $step, array $line): JobState
    {
        $seq = $state->journal->last() + 1;

        return $state->after(Entry::stored($seq, 1_000_000 + 600 * $seq, 'Anna', $step->id, $line[0], $line[1]));
    }

    private static function verdict(JobState $state, Step $step): ?Verdict
    {
        return StepCatalogue::standard()->of($step)->verdict(
            $state->at($step, 1_000_000 + 600 * ($state->journal->last() + 1)),
        );
    }
}
