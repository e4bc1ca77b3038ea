<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

/** A stretch of like cells of one passage, between two shares of its length, for drawing. */
final readonly class Run
{
    public function __construct(public float $from, public float $to, public CellState $state)
    {
    }
}
