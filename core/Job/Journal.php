<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/**
 * The append-only journal, folded: a `correct` line replaces the values of an earlier one, a `withdraw` line takes it
 * back; neither removes anything from the journal itself.
 */
final readonly class Journal
{
    public const CORRECT = 'correct';

    public const WITHDRAW = 'withdraw';

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
            if ($line->form === self::WITHDRAW) {
                unset($effective[$target]);
            } elseif ($line->form !== self::CORRECT) {
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
            $changes = $line->form === self::CORRECT || $line->form === self::WITHDRAW;
            if ($changes || (isset($closed[$line->step]) && ! JobState::belongsToEveryStep($line))) {
                return true;
            }
            $closed += JobState::closes($line) ? [$line->step => true] : [];
        }

        return false;
    }

    public function last(): int
    {
        return $this->lines === [] ? 0 : $this->lines[count($this->lines) - 1]->seq;
    }
}
