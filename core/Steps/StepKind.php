<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Kind;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Job\WatchedBy;
use Aqbel\Core\Judged\EngineRuns;
use Aqbel\Core\Judged\Judgement;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Filled;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Trace;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Stores\ShelfLine;
use Aqbel\Core\Values;

/**
 * A kind of step: what it does, what it asks, why, what it warns of, when it may be finished and what its numbers
 * mean. A new kind is one class here, listed in StepCatalogue; the rest of the application knows no kind by name.
 */
abstract class StepKind implements Kind
{
    /** The code steps of this kind are stored under. */
    abstract public function name(): string;

    abstract public function title(Situation $at): string;

    abstract public function why(Situation $at): string;

    /** @return list<string> what to do, in order */
    abstract public function instructions(Situation $at): array;

    /**
     * @return list<Form> everything that is ever entered here; what may
     * be entered now first, the likeliest before the others
     */
    abstract public function asks(Situation $at): array;

    /** @return list<Form> what may be entered now, the one most likely next first */
    final public function forms(Situation $at): array
    {
        return array_values(array_filter($this->asked($at), fn (Form $form) => $form->offered));
    }

    /** @return list<Form> everything that is ever entered here, with every field and choice */
    final public function everything(Situation $at): array
    {
        return array_map(fn (Form $form) => $form->whole(), $this->asked($at));
    }

    /** @return list<Form> worked out once for a moment, however many lines are said by it */
    private function asked(Situation $at): array
    {
        return $at->once(static::class.' asks', fn (): array => $this->asks($at));
    }

    /** @return list<Obstacle> what this kind of step is still missing */
    abstract public function obstacles(Situation $at): array;

    /** @return list<Does> what this kind does */
    protected function doing(): array
    {
        return [];
    }

    public function observes(): array
    {
        return [];
    }

    final public function does(Does $what): bool
    {
        return in_array($what, $this->doing(), true);
    }

    /**
     * What says in one press that the step is done as it stands, on a sheet with others; null where it takes more.
     * What it asks begins empty or as it usually is, and everything it says is seen before it is pressed.
     */
    public function atOnce(Situation $at): ?Form
    {
        return null;
    }

    /** Whether there is nothing to enter or to decide here: it is finished together with the step before. */
    public function goesByItself(Situation $at): bool
    {
        return false;
    }

    /** Whether what it came to needs nobody to look at it: passed, or as it was to be expected. */
    public function goesOn(Situation $at): bool
    {
        return $this->verdict($at)?->passes() !== false;
    }

    /** The form an entry was written with; null when this kind has none of that name. */
    final public function form(Situation $at, string $name): ?Form
    {
        return Form::named($name, $this->everything($at));
    }

    /** An entry in words, for screen, record and export alike, in the reader's units. */
    final public function say(Situation $at, Entry $entry): string
    {
        $form = $this->form($at, $entry->form);
        if ($form === null) {
            return implode(' · ', $entry->typed());
        }
        $asked = array_map(fn (Field $field) => $field->name, $form->fields);
        $besides = array_diff_key($entry->typed(), array_flip($asked));

        return implode(' · ', [$form->say(new Filled($entry->values, $entry->typed())), ...array_values($besides)]);
    }

    /** @return list<Hazard> */
    public function hazards(Situation $at): array
    {
        return [];
    }

    public function figure(Situation $at): ?Figure
    {
        return null;
    }

    /** What its observations come to, without a word; null where nothing is judged yet, or here. */
    public function judgement(Situation $at): ?Judgement
    {
        return null;
    }

    /** What the numbers of this step mean, taken as they are. */
    public function judge(Situation $at): ?Verdict
    {
        return null;
    }

    final public function verdict(Situation $at): ?Verdict
    {
        return Gates::verdict($at, $this);
    }

    final public function open(Situation $at): array
    {
        return Gates::obstacles($at, $this);
    }

    /** Readings with the line the verdict rests on; null where there is none to draw. */
    public function trace(Situation $at): ?Trace
    {
        return null;
    }

    public function clock(Situation $at): ?Clock
    {
        return null;
    }

    /** By which instruments it can be watched while it is done; null where by none. */
    public function watchedBy(): ?WatchedBy
    {
        return $this->does(Does::RunsEngine) ? WatchedBy::Engine : null;
    }

    /**
     * Refuses an entry for what it says, before it is stored.
     *
     * @throws InvalidField
     */
    public function admit(Situation $at, string $form, Values $values): void
    {
    }

    /** What is kept of an entry besides what was typed, such as the strength of a container at that moment. */
    public function complete(Situation $at, string $form, Values $values): Values
    {
        return $form === CameOut::FORM ? CameOut::asTold($values) : $values;
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return [];
    }

    /** @return list<Step> steps that finishing this one orders, placed right after it */
    public function orders(Situation $at): array
    {
        return [];
    }

    /** @return list<string> ids of planned steps that finishing this one makes needless */
    public function needless(Situation $at): array
    {
        return [];
    }

    /** @return list<ShelfLine> what an entry takes from the shop's shelf or puts there */
    public function shelf(Situation $at, Entry $entry): array
    {
        return [];
    }

    /** @return list<Table> numbers worked out for this step, side by side */
    public function tables(Situation $at): array
    {
        return [];
    }

    /** @return list<Step> steps whose photographs come back beside those taken here */
    public function comparedWith(Situation $at): array
    {
        return [];
    }

    /** @return list<string> codes, or words as they were typed, of what the next visit should look at */
    public function watch(Situation $at): array
    {
        return [];
    }

    public function sayWatch(string $code): string
    {
        return $code;
    }

    public function labour(Step $step, Choices $choices): Minutes
    {
        return $choices->rules->labour->of($this->name());
    }

    public function ports(Situation $at): array
    {
        return [];
    }

    public function ran(Situation $at): ?int
    {
        $told = array_filter($at->entries(), fn (Entry $entry) => ! $entry->is(Lines::Photo));

        return $told === [] || ! $this->does(Does::RunsEngine) ? null : max(array_column($told, 'at'));
    }

    public function runsNow(Situation $at): bool
    {
        return $this->does(Does::RunsEngine) && EngineRuns::at($at);
    }

    /** Whether a line tells of a danger: it is believed first, whatever beside it is missing or cannot be. */
    public function tellsDanger(Situation $at, Entry $entry): bool
    {
        return false;
    }

    /** Whether a line alone ends what is done here: it is changed, or taken back, with a reason only. */
    public function endsIt(Situation $at, Entry $entry): bool
    {
        return Told::isGrave($entry, $this->observes());
    }

    /** Whether the run at this step had to be stopped: then its cause is looked for, and it is run again. */
    public function wasStopped(Situation $at): bool
    {
        return false;
    }

    public function neckWhileRunning(Situation $at): ?Neck
    {
        return null;
    }

    /** The port this step is about, marked in the elevation view. */
    public function port(Step $step): ?string
    {
        return $step->params->has('port') ? $step->params->text('port') : null;
    }

    public function finishWord(): string
    {
        return 'Finish step';
    }
}
