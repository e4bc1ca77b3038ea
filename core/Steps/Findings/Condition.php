<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Findings;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Values;

/** What hoses, clamps, cap, fins, tank and pipes looked like before the work. */
final readonly class Condition
{
    private function __construct(private Values $found)
    {
    }

    /** Null while nobody has looked. */
    public static function of(JobState $job): ?self
    {
        $entry = $job->lastOf('inspect', 'condition');

        return $entry === null ? null : new self($entry->values);
    }

    public static function from(Values $found): self
    {
        return new self($found);
    }

    /** Where it was wet before the work, as it was typed. */
    public function oldDrips(): string
    {
        return $this->found->text('drips');
    }

    /** @return list<string> codes of what has to be at hand or done before the circuit is opened */
    public function toPutRight(): array
    {
        return array_values(array_filter([
            $this->found->text('hoses') === 'replace' ? 'hose' : null,
            $this->found->text('clamps') === 'replace' ? 'clamps' : null,
            $this->needsCap() ? 'cap' : null,
            $this->found->text('fins') === 'clogged' ? 'fins' : null,
            $this->found->text('tank') === 'dirty' ? 'tank' : null,
            $this->found->text('pipes') === 'weeping' ? 'pipes' : null,
        ]));
    }

    /** @return array<string, string> what is fitted at the close-up because of what was found, by item code */
    public function toFit(): array
    {
        return array_filter([
            'new_hose' => $this->found->text('hoses') === 'replace' ? 'New hose fitted' : null,
            'new_clamps' => $this->found->text('clamps') === 'replace' ? 'New clamps fitted' : null,
            'new_cap' => $this->needsCap() ? 'New cap fitted' : null,
        ]);
    }

    /** @return list<string> codes of what ages, and what was typed to be watched */
    public function toWatch(): array
    {
        return array_values(array_filter([
            $this->found->text('hoses') === 'watch' ? 'hoses_ageing' : null,
            $this->found->text('pipes') === 'rusty' ? 'pipes_rusty' : null,
            $this->found->text('watch') === '' ? null : $this->found->text('watch'),
        ]));
    }

    private function needsCap(): bool
    {
        return in_array($this->found->text('cap'), ['worn', 'rating'], true);
    }
}
