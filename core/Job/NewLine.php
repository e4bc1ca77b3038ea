<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

use Aqbel\Core\Values;

/** A line about to be written to a journal. */
final readonly class NewLine
{
    /**
     * @param  array<string, string>  $typed  quantities as typed, by field
     * @param  list<Step>  $orders  steps that finishing, or something that came up, orders
     * @param  ?Values  $replacement  of a correcting line
     * @param  ?Basis  $planned  what the job follows from here on, where it is planned anew
     */
    public function __construct(
        public string $step,
        public string $form,
        public Values $values,
        public array $typed = [],
        public array $orders = [],
        public ?Values $replacement = null,
        public ?Basis $planned = null,
    ) {
    }

    /** As it stands in the journal: under its number, at its time, by whoever wrote it. */
    public function entry(int $seq, int $at, string $person, ?int $arrived = null, string $by = ''): Entry
    {
        return Entry::stored(
            $seq,
            $at,
            $person,
            $this->step,
            $this->form,
            $this->stored(),
            $this->typed,
            $this->planned,
            $arrived,
            $by,
        );
    }

    /** @return array<string, mixed> as Entry::stored() reads it; the plan is for whoever stores it to add */
    public function stored(): array
    {
        $orders = $this->orders === []
            ? []
            : ['orders' => array_map(fn (Step $step) => $step->toArray(), $this->orders)];
        $replacement = $this->replacement === null ? [] : ['values' => $this->replacement->toArray()];

        return $this->values->toArray() + $orders + $replacement;
    }
}
