<?php

declare(strict_types=1);

namespace Aqbel\Core\Practice;

/**
 * Something to practise on a vehicle that is not there: where it begins, what is hidden in it, and what would show it.
 */
final readonly class Exercise
{
    /**
     * @param  int  $grade  1 is for the first day
     * @param  string  $brief  what whoever practises is told
     * @param  string  $circuit  key of a layout that ships with the application
     * @param  string  $from  id of the step it begins at; all before it is done
     * @param  string  $until  id of the step whose end ends it
     * @param  list<string>  $faults  of the virtual vehicle; none where nothing is wrong
     * @param  list<string>  $shows  codes of verdicts that tell of them; the first of any is the clue
     * @param  string  $truth  what was so, told afterwards
     * @param  int  $usualMin  by its own clock
     */
    public function __construct(
        public string $id,
        public int $grade,
        public string $title,
        public string $brief,
        public string $circuit,
        public string $school,
        public string $from,
        public string $until,
        public array $faults,
        public array $shows,
        public string $truth,
        public int $usualMin,
    ) {
    }

    public function isSound(): bool
    {
        return $this->faults === [];
    }
}
