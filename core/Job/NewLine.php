<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

use Aqbel\Core\Values;

/** A line about to be written to a journal. */
final readonly class NewLine
{
    /**
     * @param  array<string, string>  $typed  quantities as typed, by field
     * @param  list<Step>  $orders  steps that finishing orders
     * @param  ?Values  $replacement  of a correcting line
     */
    public function __construct(
        public string $step,
        public string $form,
        public Values $values,
        public array $typed = [],
        public array $orders = [],
        public ?Values $replacement = null,
    ) {
    }

    /** @return array<string, mixed> as Entry::stored() reads it */
    public function stored(): array
    {
        $orders = $this->orders === []
            ? []
            : ['orders' => array_map(fn (Step $step) => $step->toArray(), $this->orders)];
        $replacement = $this->replacement === null ? [] : ['values' => $this->replacement->toArray()];

        return $this->values->toArray() + $orders + $replacement;
    }
}
