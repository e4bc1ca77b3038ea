<?php

declare(strict_types=1);

namespace Aqbel\Core\Writing;

use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\NewLine;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Values;

/** What stands in the journal, put right or taken back. */
final readonly class Corrections
{
    private const MOST_WHY = 300;

    private Intake $intake;

    public function __construct(private StepCatalogue $kinds)
    {
        $this->intake = new Intake($kinds);
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
        $form = (new EntryForm($this->kinds))->of($at, $entry);
        $isPhoto = $entry->is(Lines::Photo);
        $filled = $isPhoto
            ? $form->read($raw, $at->units)
            : $this->intake->read($at, $form, $raw, $entry, $then);
        $values = $isPhoto ? $entry->values->and($filled->values) : $filled->values;

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
        if (mb_strlen(trim($reason)) >= Clerk::LEAST_REASON) {
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
}
