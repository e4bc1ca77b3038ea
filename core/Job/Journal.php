<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/**
 * The append-only journal, folded: a `correct` line replaces the values of an earlier one, a `withdraw` line takes it
 * back; neither removes anything from the journal itself.
 */
final readonly class Journal
{
    /** @param  list<Entry>  $lines  everything ever written, in order */
    public function __construct(public array $lines = [])
    {
    }

    /** @return list<Entry> what counts now, by its own time, then as it arrived */
    public function effective(): array
    {
        $effective = [];
        foreach ($this->lines as $line) {
            $target = $line->values->whole('seq');
            if ($line->is(Lines::Withdraw)) {
                unset($effective[$target]);
            } elseif (! $line->is(Lines::Correct)) {
                $effective[$line->seq] = $line;
            } elseif (isset($effective[$target])) {
                $effective[$target] = $effective[$target]->corrected($line);
            }
        }

        usort($effective, fn (Entry $a, Entry $b) => [$a->at, $a->seq] <=> [$b->at, $b->seq]);

        return $effective;
    }

    /** Whether something was corrected, taken back, or written to a step after it was closed. */
    public function wasTouched(): bool
    {
        $closed = [];
        foreach ($this->lines as $line) {
            if ($line->kind()?->changesAnother() === true || (isset($closed[$line->step]) && ! $line->belongsToEveryStep())) {
                return true;
            }
            $closed += $line->closes() ? [$line->step => true] : [];
        }

        return false;
    }

    /**
     * Lines of a step as they first stood that somebody else took back or changed, or that were changed once the step
     * was closed. A slip of one's own, put right while it is in hand, is none.
     *
     * @return list<Entry> by their own time
     */
    public function struck(string $step): array
    {
        [$bySeq, $struck, $closed] = [[], [], false];
        foreach ($this->lines as $line) {
            $about = $bySeq[$line->values->whole('seq')] ?? null;
            $changes = $line->kind()?->changesAnother() === true && $about?->step === $step;
            if ($changes && ($line->person !== $about->person || $closed)) {
                $struck[$about->seq] = $about;
            }
            $closed = $closed || ($line->step === $step && $line->closes());
            $bySeq[$line->seq] = $line;
        }
        usort($struck, fn (Entry $a, Entry $b) => [$a->at, $a->seq] <=> [$b->at, $b->seq]);

        return $struck;
    }

    public function last(): int
    {
        return $this->lines === [] ? 0 : $this->lines[count($this->lines) - 1]->seq;
    }
}
