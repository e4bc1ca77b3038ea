<?php

declare(strict_types=1);

namespace Aqbel\Core\Writing;

use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\Closing;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\NewLine;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Filled;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/**
 * Decides what may be written into a job's journal, as the job stands at that moment: screen, script and test go past
 * the same desk.
 */
final readonly class Clerk
{
    private const LEAST_REASON = 5;

    private const MOST_REASON = 500;

    private const MOST_WHY = 300;

    public function __construct(private StepCatalogue $kinds)
    {
    }

    /**
     * The step an entry is for.
     *
     * @throws InvalidField where it is not part of the job, or not its turn
     */
    public function step(JobState $state, string $id): Step
    {
        $step = $state->steps[$id] ?? throw new InvalidField(
            'finish',
            'This step is no longer part of the job. Go on with the step in hand.',
        );
        if (! isset($state->closed[$id]) && $state->openBefore($step) !== []) {
            throw new InvalidField('finish', 'Earlier steps are not finished. Work on the step in hand first.');
        }

        return $step;
    }

    /**
     * The step of a line that is changed afterwards: what stands there may be put right, whichever is in hand.
     *
     * @throws InvalidField where it is not part of the job any more
     */
    public function stepOf(JobState $state, Entry $entry): Step
    {
        return $state->steps[$entry->step]
            ?? throw new InvalidField(
                'finish',
                'The step of this entry is no longer part of the job, so it counts for nothing. '
                    .'Go on with the step in hand.',
            );
    }

    /**
     * An entry by one of the forms the step offers now; one that waited on a tablet while another wrote on, by those it
     * offered at its own time.
     *
     * @param  array<mixed>  $raw  as typed
     * @param  bool  $waited  whether it was made before it arrived
     *
     * @throws InvalidField|InvalidFields
     */
    public function entry(Situation $at, string $form, array $raw, bool $waited = false): NewLine
    {
        $this->assertStillOpen($at);
        $then = $waited ? $this->asFound($at, $form) : $at;
        $offered = $this->offeredOrDanger($then, $form, $raw);
        $filled = $this->read($then, $offered, $raw);

        $values = $this->admitted($then, $offered, $filled);

        return new NewLine(
            $at->step->id,
            $form,
            $values,
            $filled->typed,
            $this->kinds->anyTime($form)?->brings($at, $values, $at->job->journal->last() + 1) ?? [],
        );
    }

    /**
     * What the step asks now; and a danger also where it asks no more, because somebody else has shut the engine off.
     *
     * @param  array<mixed>  $raw  as typed
     *
     * @throws InvalidField
     */
    private function offeredOrDanger(Situation $at, string $form, array $raw): Form
    {
        $offered = $this->asking($at, $form)->forms($at);
        $named = Form::named($form, $offered);

        return $named ?? $this->danger($at, $form, $raw) ?? self::offered($offered, $form);
    }

    /**
     * The form by which a step takes a danger, whether it asks for it now or not; null where the line tells of none.
     *
     * @param  array<mixed>  $raw  as typed
     */
    private function danger(Situation $at, string $form, array $raw): ?Form
    {
        $ever = Form::named($form, $this->asking($at, $form)->everything($at));

        return $ever !== null && $this->tellsDanger($at, $ever, $ever->read($raw, $at->units, fn () => true)->values)
            ? $ever
            : null;
    }

    /**
     * A danger that was told of a time at which it could not be: it is believed first, as of now. Null where it is none,
     * or its step is finished.
     *
     * @param  array<mixed>  $raw  as typed
     *
     * @throws InvalidField|InvalidFields
     */
    public function dangerNow(Situation $at, string $form, array $raw): ?NewLine
    {
        $isOver = isset($at->job->closed[$at->step->id]) || ! isset($at->job->steps[$at->step->id]);

        return $isOver || $this->danger($at, $form, $raw) === null ? null : $this->entry($at, $form, $raw);
    }

    /** The step as whoever wrote at that time found it, where it asked for this then; else as it is now. */
    private function asFound(Situation $at, string $form): Situation
    {
        $then = $at->job->asOf($at->now)->at($at->step, $at->now, $at->units, $at->stores);
        $asked = isset($then->job->steps[$at->step->id])
            && Form::named($form, $this->asking($then, $form)->forms($then)) !== null;

        return $asked ? $then : $at;
    }

    /**
     * What an instrument sent, where the step asks for that now: read as it is, nothing else is asked beside it.
     *
     * @throws InvalidField
     */
    public function streamed(Situation $at, string $form, Values $values): NewLine
    {
        $this->assertStillOpen($at);
        $heard = $this->kinds->anyTime($form);
        $kind = $heard ?? $this->kinds->of($at->step);
        $offered = self::offered($heard === null ? $kind->forms($at) : $kind->everything($at), $form);
        $kind->admit($at, $form, $values);

        $shown = array_filter(
            $offered->typed($values->toArray()),
            fn (mixed $text, string $name) => is_string($text) && $values->number($name) !== null,
            ARRAY_FILTER_USE_BOTH,
        );

        return new NewLine($at->step->id, $form, $values, $shown);
    }

    /**
     * What happened a while ago, at the time at which it did: at a finished step any of its forms, before it was
     * finished; at the one in hand what it asked then, since it is.
     *
     * @param  array<mixed>  $raw  as typed
     *
     * @throws InvalidField|InvalidFields
     */
    public function late(Situation $at, string $form, array $raw): NewLine
    {
        $closed = $at->job->closed[$at->step->id] ?? null;
        if ($closed === null) {
            $this->assertCouldBe($at, $form);

            return $this->entry($at, $form, $raw, waited: true);
        }
        $began = $at->job->entries[0]->at ?? $closed->at;
        if ($at->now >= $closed->at || $at->now < $began) {
            throw new InvalidField(
                'when',
                'That is not between the start of the job and the end of this step. Enter when it happened.',
            );
        }
        $offered = self::offered($this->kinds->of($at->step)->everything($at), $form);
        $filled = $this->read($at, $offered, $raw);

        return new NewLine($at->step->id, $form, $this->admitted($at, $offered, $filled), $filled->typed);
    }

    /** @throws InvalidField where a step in hand was not in hand yet, or what it says now came after something else */
    private function assertCouldBe(Situation $at, string $form): void
    {
        $since = $at->job->inHandSince($at->step);
        $early = fn (int $moment): int => (int) ceil(($moment - $at->now) / 60);
        // A time is told to the minute.
        if ($since !== null && $at->now < $since - $since % 60) {
            throw new InvalidField(
                'when',
                "The step before was finished {$early($since)} min after that. Enter when it happened.",
            );
        }
        $later = array_filter($at->entries(), fn (Entry $line) => $line->at > $at->now);
        if ($later !== [] && $this->asFound($at, $form) === $at) {
            $came = min(array_map(fn (Entry $line) => $line->at, $later));
            throw new InvalidField(
                'when',
                "By the journal it could not be {$early($came)} min earlier. Enter when it happened, or put right first "
                    .'what stands there.',
            );
        }
    }

    /** What asks for an entry: the step, or what may be written at any. A plan is never changed by an entry. */
    private function asking(Situation $at, string $form): StepKind
    {
        return $form === Lines::Replan->value
            ? $this->kinds->of($at->step)
            : $this->kinds->anyTime($form) ?? $this->kinds->of($at->step);
    }

    /**
     * A finished step takes no more, unless the entry was made before it was finished and only arrives now.
     *
     * @throws InvalidField
     */
    private function assertStillOpen(Situation $at): void
    {
        $closed = $at->job->closed[$at->step->id] ?? null;
        if ($closed !== null && $at->now >= $closed->at) {
            throw new InvalidField(
                'finish',
                "{$closed->person} has finished this step, so nothing was added. Correct a line of it, or go on with "
                    .'the step in hand.',
            );
        }
    }

    public function photograph(Situation $at, string $caption, string $photo): NewLine
    {
        $filled = self::photographForm()->read(['caption' => $caption], $at->units);

        return new NewLine($at->step->id, Lines::Photo->value, $filled->values->with('photo', $photo));
    }

    /**
     * A caution read; null when it was before.
     *
     * @throws InvalidField where the step has none such
     */
    public function acknowledge(Situation $at, string $hazard): ?NewLine
    {
        foreach ($this->kinds->of($at->step)->hazards($at) as $known) {
            if ($known->value === $hazard) {
                return $at->job->hasAcknowledged($hazard)
                    ? null
                    : new NewLine($at->step->id, Lines::Acknowledge->value, new Values(['hazard' => $hazard]));
            }
        }
        throw new InvalidField('hazard', 'This caution does not belong to this step.');
    }

    /**
     * Closes a step; with a reason it is passed over, unless an obstacle is one that is never waved through.
     *
     * @param  list<Gate>  $passes  what whoever closes it may pass over with a reason
     * @param  bool  $cautions  whether its cautions must have been read
     *
     * @throws InvalidField
     */
    public function finish(Situation $at, string $reason, array $passes = [], bool $cautions = true): NewLine
    {
        $closed = $at->job->closed[$at->step->id] ?? null;
        if ($closed !== null) {
            throw new InvalidField(
                'finish',
                "{$closed->person} has finished this step. Go on with the step in hand.",
            );
        }
        $kind = $this->kinds->of($at->step);
        $obstacles = [...($cautions ? Cautions::open($at, $kind) : []), ...$kind->open($at)];
        $reason = trim($reason);
        self::assertMayFinish($obstacles, $reason, $passes);
        $cameTo = $kind->verdict($at)?->code;
        $orders = $kind->orders($at);
        if ($obstacles === []) {
            return new NewLine(
                $at->step->id,
                Lines::Finish->value,
                (new Closing($cameTo, $kind->needless($at)))->values(),
                orders: $orders,
            );
        }
        $missing = array_map(fn (Obstacle $o) => $o->code, $obstacles);
        $closing = new Closing($cameTo, $kind->needless($at), mb_substr($reason, 0, self::MOST_REASON), $missing);

        return new NewLine($at->step->id, Lines::Override->value, $closing->values(), orders: $orders);
    }

    /**
     * Replaces what an earlier line says by a correcting line.
     *
     * @param  array<mixed>  $raw  as typed
     *
     * @throws InvalidField|InvalidFields
     */
    public function correct(Situation $at, Entry $entry, array $raw, string $reason, string $by): NewLine
    {
        self::assertOwnOrReason($entry, $by, $reason, $this->endsIt($at, $entry));
        [$job, $now] = [$at->job, $at->now];
        // Whether it may be said, and what it brought along, is decided as if it had said so at once.
        $then = $at->job->asFoundBy($entry->seq)->at($at->step, $entry->at, $at->units, $at->stores);
        if ($entry->isAnyTime()) {
            $at = $then;
        }
        $form = $this->formOf($at, $entry);
        $filled = $this->read($then, $form, $raw);
        $values = $entry->is(Lines::Photo)
            ? $entry->values->and($filled->values)
            : $this->admitted($at, $form, $filled, $entry, $then);

        $line = new NewLine(
            $entry->step,
            Lines::Correct->value,
            self::about($entry, $reason),
            $filled->typed,
            $this->kinds->anyTime($entry->form)?->brings($at, $values, $entry->seq) ?? [],
            replacement: $values,
        );
        StaysShut::assert($job, $entry, $line, $now, $by);

        return $line;
    }

    /** @throws InvalidField where it is somebody else's line, or one that ended a run, and no reason is given */
    public function withdraw(Situation $at, Entry $entry, string $reason, string $by): NewLine
    {
        self::assertOwnOrReason($entry, $by, $reason, $this->endsIt($at, $entry));

        return new NewLine($entry->step, Lines::Withdraw->value, self::about($entry, $reason));
    }

    /** @throws InvalidField where a line cannot be corrected or taken back */
    public function correctable(JobState $state, int $seq): Entry
    {
        foreach ($state->entries as $entry) {
            $isOwn = ! $entry->belongsToEveryStep() || $entry->is(Lines::Photo) || $entry->isAnyTime();
            if ($entry->seq === $seq && $isOwn && $entry->planned === null) {
                return $entry;
            }
        }
        throw new InvalidField(
            'finish',
            'This entry cannot be corrected any more. Reload the page to see what counts now.',
        );
    }

    /** @throws InvalidField where no such form exists any more */
    public function formOf(Situation $at, Entry $entry): Form
    {
        if ($entry->is(Lines::Photo)) {
            return self::photographForm();
        }

        return $this->kinds->reading($at->step, $entry)->form($at, $entry->form)
            ?? throw new InvalidField('finish', 'This entry cannot be corrected. Take it back and enter it again.');
    }

    /** An entry in words, in the reader's units. */
    public function say(Situation $at, Entry $entry): string
    {
        return $entry->is(Lines::Photo)
            ? self::photographForm()->say(new Filled($entry->values, $entry->typed()))
            : $this->kinds->reading($at->step, $entry)->say($at, $entry);
    }

    private static function photographForm(): Form
    {
        return new Form(Lines::Photo->value, 'Photograph', [Field::text('caption', 'Photograph')]);
    }

    /**
     * @param  array<mixed>  $raw  as typed
     *
     * @throws InvalidFields with every field that cannot be used, unless what can tells of a danger
     */
    private function read(Situation $at, Form $form, array $raw): Filled
    {
        return $form->read($raw, $at->units, fn (Values $values) => $this->tellsDanger($at, $form, $values));
    }

    private function tellsDanger(Situation $at, Form $form, Values $values): bool
    {
        $line = new Entry(0, $at->now, '', $at->step->id, $form->name, $values);

        return $this->kinds->of($at->step)->tellsDanger($at, $line);
    }

    /**
     * Values the step takes, with what it keeps beside them; a danger is taken as it is.
     *
     * @throws InvalidField
     */
    private function admitted(
        Situation $at,
        Form $form,
        Filled $filled,
        ?Entry $replaces = null,
        ?Situation $then = null,
    ): Values {
        $kind = $this->kinds->anyTime($form->name) ?? $this->kinds->of($at->step);
        if (! $this->tellsDanger($then ?? $at, $form, $filled->values)) {
            Believable::check($at, $form->fields, $filled, $kind->does(Does::RunsEngine), $replaces);
            $kind->admit($then ?? $at, $form->name, $filled->values);
        }

        return $kind->complete($at, $form->name, $filled->values);
    }

    /**
     * @param  list<Obstacle>  $obstacles
     * @param  list<Gate>  $passes
     *
     * @throws InvalidField where the step cannot be finished, or not without a reason
     */
    private static function assertMayFinish(array $obstacles, string $reason, array $passes): void
    {
        foreach ($obstacles as $obstacle) {
            if ($obstacle->hard) {
                throw new InvalidField('finish', $obstacle->text);
            }
        }
        if ($obstacles !== [] && $reason === '') {
            throw new InvalidField('finish', $obstacles[0]->text);
        }
        if ($reason !== '' && mb_strlen($reason) < self::LEAST_REASON) {
            throw new InvalidField('reason', 'Write the reason out, five letters or more; it stays in the record.');
        }
        foreach ($obstacles as $obstacle) {
            if ($obstacle->gate !== null && ! in_array($obstacle->gate, $passes, true)) {
                throw new InvalidField('reason', "{$obstacle->text} Only a lead passes over that.");
            }
        }
    }

    private function endsIt(Situation $at, Entry $entry): bool
    {
        return $this->kinds->of($at->step)->endsIt($at->seenFrom($at->step), $entry);
    }

    /**
     * @param  bool  $endsIt  whether the line alone ended what was done
     *
     * @throws InvalidField where a line is somebody else's, or ended a run, and nothing says why it is changed
     */
    private static function assertOwnOrReason(Entry $entry, string $by, string $reason, bool $endsIt): void
    {
        if (mb_strlen(trim($reason)) >= self::LEAST_REASON) {
            return;
        }
        if ($endsIt) {
            throw new InvalidField(
                'reason',
                'This line ended what was done: say why it is changed, five letters or '
                    .'more. It stays on the record.',
            );
        }
        if ($entry->by !== $by) {
            throw new InvalidField(
                'reason',
                "{$entry->person} wrote this line. Say why it is changed, five letters or more.",
            );
        }
    }

    private static function about(Entry $entry, string $reason): Values
    {
        return new Values(['seq' => $entry->seq, 'reason' => mb_substr(trim($reason), 0, self::MOST_WHY)]);
    }

    /** @param  list<Form>  $forms */
    private static function offered(array $forms, string $name): Form
    {
        return Form::named($name, $forms) ?? throw new InvalidField(
            'finish',
            'This step has moved on since the page was loaded, perhaps on another tablet.'
                .' It is shown here as it is now; enter it again if it is still needed.',
        );
    }
}
