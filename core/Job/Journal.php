<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/**
 * The append-only journal, folded: a `correct` line replaces the values of an earlier one, a `withdraw` line takes it
 * back; neither removes anything from the journal itself.
 */
final readonly class Journal
{
    /** So far apart lines of two tablets may arrive and still count as in order, s. */
    private const FORWARD_S = 60;

    /** @param  list<Entry>  $lines  everything ever written, in order */
    public function __construct(public array $lines = [])
    {
    }

    /** @return list<Entry> what counts now, by its own time, then as it arrived */
    public function effective(): array
    {
        $effective = [];
        foreach ($this->lines as $line) {
            $target = $line->changes();
            if ($line->is(Lines::Withdraw)) {
                unset($effective[$target]);
            } elseif (! $line->is(Lines::Correct)) {
                $effective[$line->seq] = $line;
            } elseif (isset($effective[$target])) {
                $effective[$target] = $effective[$target]->corrected($line);
            }
        }

        return Entry::inOrder($effective);
    }

    /**
     * Lines that stand before one that was written earlier: late ones, those that waited, and those of a clock that ran
     * wrong.
     *
     * @return list<Entry>
     */
    public function backwards(): array
    {
        [$latest, $back] = [0, []];
        foreach ($this->lines as $line) {
            if ($line->at < $latest - self::FORWARD_S) {
                $back[] = $line;
            }
            $latest = max($latest, $line->at);
        }

        return $back;
    }

    /** Whether something was corrected, taken back, or written to a step after it was closed. */
    public function wasTouched(): bool
    {
        $closed = [];
        foreach ($this->lines as $line) {
            if (
                $line->kind()?->changesAnother() === true
                || (isset($closed[$line->step]) && ! $line->belongsToEveryStep())
            ) {
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
            if ($changes && ($line->by !== $about->by || $closed)) {
                $struck[$about->seq] = $about;
            }
            $closed = $closed || ($line->step === $step && $line->closes());
            $bySeq[$line->seq] = $line;
        }

        return Entry::inOrder($struck);
    }

    /** The line by which it was last planned anew; 0 where it goes as it was planned. */
    public function planned(): int
    {
        return max([
            0,
            ...array_map(
                fn (Entry $line) => $line->seq,
                array_filter($this->lines, fn (Entry $line) => $line->planned !== null),
            ),
        ]);
    }

    public function last(): int
    {
        return $this->lines === [] ? 0 : $this->lines[count($this->lines) - 1]->seq;
    }
}
