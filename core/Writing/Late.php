<?php

declare(strict_types=1);

namespace Aqbel\Core\Writing;

use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\NewLine;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Steps\StepCatalogue;

/** What happened a while ago, told of the time at which it did. */
final readonly class Late
{
    private Clerk $clerk;

    private Intake $intake;

    public function __construct(StepCatalogue $kinds)
    {
        $this->clerk = new Clerk($kinds);
        $this->intake = new Intake($kinds);
    }

    /**
     * What happened a while ago, at the time at which it did: at a finished step any of its forms, before it was
     * finished; at the one in hand what it asked then, since it is.
     *
     * @param  array<mixed>  $raw  as typed
     *
     * @throws InvalidField|InvalidFields
     */
    public function line(Situation $at, string $form, array $raw): NewLine
    {
        $closed = $at->job->closed[$at->step->id] ?? null;
        if ($closed === null) {
            $this->assertCouldBe($at, $form);

            return $this->clerk->entry($at, $form, $raw, waited: true);
        }
        $began = $at->job->entries[0]->at ?? $closed->at;
        if ($at->now >= $closed->at || $at->now < $began) {
            throw new InvalidField(
                'when',
                'That is not between the start of the job and the end of this step. Enter when it happened.',
            );
        }
        $filled = $this->intake->read($at, $this->intake->ever($at, $form), $raw);

        return new NewLine($at->step->id, $form, $filled->values, $filled->typed);
    }

    /**
     * A danger that was told of a time at which it could not be: it is believed first, as of now. Null where it is none.
     *
     * @param  array<mixed>  $raw  as typed
     *
     * @throws InvalidField|InvalidFields
     */
    public function asOfNow(Situation $at, string $form, array $raw): ?NewLine
    {
        return $this->intake->danger($at, $form, $raw) === null ? null : $this->clerk->entry($at, $form, $raw);
    }

    /** @throws InvalidField where a step in hand was not in hand yet, or what it says now came after something else */
    private function assertCouldBe(Situation $at, string $form): void
    {
        $since = $at->job->turn()->inHandSince($at->step);
        $early = fn (int $moment): int => (int) ceil(($moment - $at->now) / 60);
        // A time is told to the minute.
        if ($since !== null && $at->now < $since - $since % 60) {
            throw new InvalidField(
                'when',
                "The step before was finished {$early($since)} min after that. Enter when it happened.",
            );
        }
        $later = array_filter($at->entries(), fn (Entry $line) => $line->at > $at->now);
        if ($later !== [] && $this->intake->asFound($at, $form) === $at) {
            $came = min(array_map(fn (Entry $line) => $line->at, $later));
            throw new InvalidField(
                'when',
                "By the journal it could not be {$early($came)} min earlier. Enter when it happened, or put right first "
                    .'what stands there.',
            );
        }
    }
}
