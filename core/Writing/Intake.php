<?php

declare(strict_types=1);

namespace Aqbel\Core\Writing;

use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Filled;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/** What a step takes: the form by which it is asked, and what was typed into that. A danger is taken as it is. */
final readonly class Intake
{
    public function __construct(private StepCatalogue $kinds)
    {
    }

    /**
     * What the step asks now; and a danger also where it asks no more, because somebody else has shut the engine off.
     *
     * @param  array<mixed>  $raw  as typed
     *
     * @throws InvalidField
     */
    public function offered(Situation $at, string $form, array $raw): Form
    {
        $offered = $this->asking($at, $form)->forms($at);
        $named = Form::named($form, $offered);

        return $named ?? $this->danger($at, $form, $raw) ?? self::named($offered, $form);
    }

    /**
     * What the step ever takes, whether it asks for it now or not.
     *
     * @throws InvalidField
     */
    public function ever(Situation $at, string $form): Form
    {
        return self::named($this->kinds->of($at->step)->everything($at), $form);
    }

    /**
     * The form by which a step takes a danger, whether it asks for it now or not; null where the line tells of none.
     *
     * @param  array<mixed>  $raw  as typed
     */
    public function danger(Situation $at, string $form, array $raw): ?Form
    {
        $ever = Form::named($form, $this->asking($at, $form)->everything($at));

        return $ever !== null && $this->tellsDanger($at, $ever, $ever->read($raw, $at->units, fn () => true)->values)
            ? $ever
            : null;
    }

    /** The step as whoever wrote at that time found it, where it asked for this then; else as it is now. */
    public function asFound(Situation $at, string $form): Situation
    {
        $then = $at->job->asOf($at->now)->at($at->step, $at->now, $at->units, $at->stores);
        $asked = isset($then->job->steps[$at->step->id])
            && Form::named($form, $this->asking($then, $form)->forms($then)) !== null;

        return $asked ? $then : $at;
    }

    /**
     * @param  array<mixed>  $raw  as typed
     * @param  ?Entry  $replaces  the line that it is put in the place of
     * @param  ?Situation  $then  the step as whoever wrote that line found it
     * @return Filled what the step takes, with what it keeps beside it
     *
     * @throws InvalidField|InvalidFields with every field that cannot be used, unless what can tells of a danger
     */
    public function read(
        Situation $at,
        Form $form,
        array $raw,
        ?Entry $replaces = null,
        ?Situation $then = null,
    ): Filled {
        $then ??= $at;
        $danger = fn (Values $values): bool => $this->tellsDanger($then, $form, $values);
        $filled = $form->read($raw, $at->units, $danger);
        $kind = $this->kinds->anyTime($form->name) ?? $this->kinds->of($at->step);
        if (! $danger($filled->values)) {
            Believable::check($at, $form->fields, $filled, $kind->does(Does::RunsEngine), $replaces);
            $kind->admit($then, $form->name, $filled->values);
        }

        return new Filled($kind->complete($at, $form->name, $filled->values), $filled->typed);
    }

    /**
     * @param  list<Form>  $forms
     *
     * @throws InvalidField where there is none of that name now
     */
    public static function named(array $forms, string $name): Form
    {
        return Form::named($name, $forms) ?? throw new InvalidField(
            'finish',
            'This step has moved on since the page was loaded, perhaps on another tablet.'
                .' It is shown here as it is now; enter it again if it is still needed.',
        );
    }

    /** What asks for an entry: the step, or what may be written at any. A plan is never changed by an entry. */
    private function asking(Situation $at, string $form): StepKind
    {
        return $form === Lines::Replan->value
            ? $this->kinds->of($at->step)
            : $this->kinds->anyTime($form) ?? $this->kinds->of($at->step);
    }

    private function tellsDanger(Situation $at, Form $form, Values $values): bool
    {
        $line = new Entry(0, $at->now, '', $at->step->id, $form->name, $values);

        return $this->kinds->of($at->step)->tellsDanger($at, $line);
    }
}
