<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/**
 * A part as the trade sees it: one passage, or several of one name that meet, such as the two legs of a heater core.
 * Two hoses of one name that do not touch are two parts.
 */
final readonly class Part
{
    /**
     * @param  string  $id  of its first passage
     * @param  non-empty-list<string>  $passages  ids
     */
    public function __construct(public string $id, public string $label, public array $passages)
    {
    }
}
