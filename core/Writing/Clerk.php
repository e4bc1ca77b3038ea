<?php

declare(strict_types=1);

namespace Aqbel\Core\Writing;

use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\Closing;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\NewLine;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Values;

/**
 * Decides what may be written into a job's journal, as the job stands at that moment: screen, script and test go past
 * the same desk.
 */
final readonly class Clerk
{
    /** Letters of which a reason has so many or more. */
    public const LEAST_REASON = 5;

    private const MOST_REASON = 500;

    private Intake $intake;

    public function __construct(private StepCatalogue $kinds)
    {
        $this->intake = new Intake($kinds);
    }

    /**
     * The step an entry is for.
     *
     * @throws InvalidField where it is not part of the job
     */
    public function step(JobState $state, string $id): Step
    {
        return $state->steps[$id] ?? throw new InvalidField(
            'finish',
            'This step is no longer part of the job. Go on with the step in hand.',
        );
    }

    /** @throws InvalidField where something before a step is to be done first */
    private static function assertItsTurn(Situation $at): void
    {
        if (! isset($at->job->closed[$at->step->id]) && ! $at->job->turn()->isInHand($at->step)) {
            throw new InvalidField('finish', 'Earlier steps are not finished. Work on the step in hand first.');
        }
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
        $then = $waited ? $this->intake->asFound($at, $form) : $at;
        $isReady = ! isset($at->job->closed[$at->step->id]) && $then->job->turn()->isInHand($then->step);
        // No danger is asked whether its step is finished, or its turn.
        if (! $isReady && $this->intake->danger($at, $form, $raw) === null) {
            $this->assertStillOpen($at);
            self::assertItsTurn($then);
        }
        $filled = $this->intake->read($then, $this->intake->offered($then, $form, $raw), $raw);

        return new NewLine(
            $at->step->id,
            $form,
            $filled->values,
            $filled->typed,
            $this->kinds->anyTime($form)?->brings($at, $filled->values, $at->job->journal->last() + 1) ?? [],
        );
    }

    /**
     * What an instrument sent, where the step asks for that now: read as it is, nothing else is asked beside it.
     *
     * @throws InvalidField
     */
    public function streamed(Situation $at, string $form, Values $values): NewLine
    {
        $this->assertStillOpen($at);
        self::assertItsTurn($at);
        $heard = $this->kinds->anyTime($form);
        $kind = $heard ?? $this->kinds->of($at->step);
        $offered = Intake::named($heard === null ? $kind->forms($at) : $kind->everything($at), $form);
        $kind->admit($at, $form, $values);

        $shown = array_filter(
            $offered->typed($values->toArray()),
            fn (mixed $text, string $name) => is_string($text) && $values->number($name) !== null,
            ARRAY_FILTER_USE_BOTH,
        );

        return new NewLine($at->step->id, $form, $values, $shown);
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
        self::assertItsTurn($at);
        $filled = EntryForm::photograph()->read(['caption' => $caption], $at->units);

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
        self::assertItsTurn($at);
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
}
