<?php

declare(strict_types=1);

namespace Aqbel\Core\Writing;

use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\NewLine;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\EngineHeard;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Steps\StepCatalogue;

/**
 * A job written line by line past the clerk, the way people write it: what he refuses is kept beside it, with the
 * reason.
 */
final class Script
{
    private JobState $state;

    /** @var list<Refusal> */
    private array $refused = [];

    /** @param  JobState  $state  planned, nothing written yet */
    public function __construct(
        JobState $state,
        private readonly StepCatalogue $kinds,
        private readonly ?Replanning $replanning = null,
    ) {
        $this->state = $state;
    }

    public function state(): JobState
    {
        return $this->state;
    }

    /** @return list<Refusal> */
    public function refused(): array
    {
        return $this->refused;
    }

    /** Writes a line, or keeps why it cannot be written. */
    public function write(ScriptLine $line, UnitSystem $units = UnitSystem::Metric): ?Refusal
    {
        try {
            $this->append($this->line($line, $units), $line);
        } catch (InvalidField $invalid) {
            return $this->refused[] = new Refusal($line, $invalid->field, $invalid->getMessage());
        } catch (InvalidFields $invalid) {
            $first = $invalid->problems[0];

            return $this->refused[] = new Refusal($line, $first->field, $first->getMessage());
        }

        return null;
    }

    /** @throws InvalidField|InvalidFields */
    private function line(ScriptLine $line, UnitSystem $units): NewLine
    {
        if ($line->form === Lines::Correct->value || $line->form === Lines::Withdraw->value) {
            $corrections = new Corrections($this->kinds);
            $entry = $corrections->correctable($this->state, $line->about);
            $at = $this->state->at($corrections->stepOf($this->state, $entry), $line->at, $units);

            return $line->form === Lines::Withdraw->value
                ? $corrections->withdraw($at, $entry, $line->reason, $line->person)
                : $corrections->correct(
                    $at,
                    $entry,
                    $this->typed($at, $entry->form, $line),
                    $line->reason,
                    $line->person,
                );
        }
        $clerk = new Clerk($this->kinds);
        $at = $this->state->at($clerk->step($this->state, $line->step), $line->at, $units);

        if ($line->form === Lines::Replan->value) {
            return $this->replanning?->line($at, $line->values)
                ?? throw new InvalidField('form', 'This job cannot be planned anew here.');
        }

        if ($line->form === Lines::Heard->value) {
            // An instrument wrote it: nobody is asked whether an engine runs.
            return $clerk->streamed($at, $line->form, EngineHeard::ever()->read($line->values, $units)->values);
        }

        if ($line->late) {
            return (new Late($this->kinds))->line($at, $line->form, $this->typed($at, $line->form, $line));
        }

        return $line->form === Lines::Finish->value
            ? $clerk->finish($at, $line->reason, $line->lead ? Gate::cases() : [], cautions: false)
            : $clerk->entry($at, $line->form, $this->typed($at, $line->form, $line), waited: true);
    }

    /** @return array<mixed> */
    private function typed(Situation $at, string $form, ScriptLine $line): array
    {
        $kind = $this->kinds->anyTime($form) ?? $this->kinds->of($at->step);
        $values = array_reduce(
            $kind->observes(),
            fn (array $values, string $what): array => $what::asItIsAskedNow($form, $values),
            $line->values,
        );

        return $kind->form($at, $form)?->typed($values) ?? $values;
    }

    private function append(NewLine $new, ScriptLine $line): void
    {
        $this->state = $this->state->after($new->entry($this->state->journal->last() + 1, $line->at, $line->person));
    }
}
