<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\AnyTime;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Part;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/**
 * Something found on the way, at whatever step: noted, looked at on the next visit, put right, or waited for. What it
 * asks for becomes a step of the job, in front of the one that must not come before it.
 */
final class Finding extends AnyTime
{
    private const NOTE = 'note';

    private const WATCH = 'watch';

    private const NOW = 'now';

    private const BEFORE_LOAD = 'before_load';

    private const BEFORE_SIGNING = 'before_signing';

    private const WAIT = 'wait';

    private const WAIT_BEFORE_LOAD = 'wait_before_load';

    private const THEN = [
        self::NOTE => 'It only stands on the record',
        self::WATCH => 'The next visit looks at it',
        self::NOW => 'Put right before this step goes on',
        self::BEFORE_LOAD => 'Put right before it is pressed, pulled or run',
        self::BEFORE_SIGNING => 'Put right before the record is signed',
        self::WAIT => 'Wait before this step goes on',
        self::WAIT_BEFORE_LOAD => 'Wait before it is pressed, pulled or run',
    ];

    /** A part that has to be ordered may take weeks. */
    private const LONGEST_WAIT_S = 3600.0 * 24 * 30;

    public function name(): string
    {
        return Lines::Finding->value;
    }

    public function title(Situation $at): string
    {
        return 'Something was found';
    }

    public function why(Situation $at): string
    {
        return 'It stands in the record at its time; what it needs becomes a step of this job.';
    }

    protected function asked(Situation $at): Form
    {
        $parts = $at->circuit()->parts();
        $labels = array_combine(
            array_map(fn (Part $part) => $part->id, $parts),
            array_map(fn (Part $part) => $part->label, $parts),
        );

        return new Form($this->name(), 'Something was found', [
            Field::text('what', 'What was found', true),
            Field::choice('part', 'Where', ['' => 'Elsewhere, or not known'] + $labels, '')->optional(),
            Field::choice('then', 'And then', $this->ways($at), self::NOTE),
            Field::duration('until', 'Where it waits: for how long', Unit::Hour, self::LONGEST_WAIT_S)->usuallySaid(),
        ], false);
    }

    /**
     * Nothing is put in front of an engine that runs: it is shut off first.
     *
     * @return array<string, string>
     */
    private function ways(Situation $at): array
    {
        return self::engineRuns($at) ? array_diff_key(self::THEN, [self::NOW => '', self::WAIT => '']) : self::THEN;
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if (self::waits($values) && (float) $values->number('until') <= 0.0) {
            throw new InvalidField('until', 'Say how long: the sealant’s own time, or when the part comes.');
        }
        if (trim($values->text('what')) === '') {
            throw new InvalidField('what', 'Say what was found.');
        }
    }

    public function complete(Situation $at, string $form, Values $values): Values
    {
        $before = match ($values->text('then')) {
            self::NOW, self::WAIT => $at->step->id,
            // Where nothing presses or runs any more, before it leaves the shop.
            self::BEFORE_LOAD, self::WAIT_BEFORE_LOAD => self::firstThat($at, Does::LoadsJoints) ?? self::firstThat($at, Does::Signs),
            self::BEFORE_SIGNING => self::firstThat($at, Does::Signs),
            default => null,
        };

        return $before === null ? $values : $values->with(Entry::BEFORE, $before);
    }

    public function brings(Situation $at, Values $values, int $seq): array
    {
        $about = new Values(['what' => $values->text('what'), 'part' => $values->text('part')]);
        $stage = $at->job->steps[$values->text(Entry::BEFORE)]->stage ?? $at->step->stage;

        return match (true) {
            self::waits($values) => [new Step("wait:{$seq}", 'wait', $stage, $about->and(new Values([
                'from' => $at->now, 'seconds' => (float) $values->number('until'),
            ])))],
            $values->has(Entry::BEFORE) => [new Step("extra:{$seq}", 'extra', $stage, $about)],
            default => [],
        };
    }

    /** @return list<string> what was found in a job and is left to the next visit, as it was typed, with its part */
    public static function watched(JobState $job): array
    {
        $watched = array_filter(
            $job->cameUp(),
            fn (Entry $entry) => $entry->is(Lines::Finding) && $entry->text('then') === self::WATCH,
        );

        return array_values(array_map(fn (Entry $entry) => self::where($job->circuit, $entry->text('part')).$entry->text('what'), $watched));
    }

    /** A part in front of what is said of it; empty where none was named. */
    public static function where(Circuit $circuit, string $part): string
    {
        foreach ($circuit->parts() as $known) {
            if ($known->id === $part) {
                return "{$known->label}: ";
            }
        }

        return '';
    }

    private static function waits(Values $values): bool
    {
        return in_array($values->text('then'), [self::WAIT, self::WAIT_BEFORE_LOAD], true);
    }

    /** The first step still open that does this; the one in hand where it is already being done. */
    private static function firstThat(Situation $at, Does $what): ?string
    {
        $begun = false;
        foreach ($at->job->steps as $id => $step) {
            $begun = $begun || $id === $at->step->id;
            $isIt = $at->job->kinds->of($step)->does($what);
            if ($begun && $isIt && ! isset($at->job->closed[$id]) && ! ($id === $at->step->id && self::engineRuns($at))) {
                return $id;
            }
        }

        return null;
    }

    private static function engineRuns(Situation $at): bool
    {
        $kind = $at->job->kinds->of($at->step);

        return $kind instanceof StepKind && $kind->does(Does::RunsEngine) && $kind->ran($at) !== null;
    }
}
