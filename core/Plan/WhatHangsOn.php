<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\Tie;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;

/** What hangs on two heights that a tape cannot tell apart, in words. */
final class WhatHangsOn
{
    public static function say(Tie $tie, Circuit $circuit, UnitSystem $units): string
    {
        $name = fn (string $node): string => $circuit->nodes[$node]->label === ''
            ? $node
            : $circuit->nodes[$node]->label;
        $air = fn (float $ml): string => $units->format($ml, Dimension::Volume);
        $length = fn (float $mm): string => $units->format($mm, Dimension::Length);
        $apart = $length($tie->apartMm) === $length(0.0)
            ? 'at one height'
            : "{$length($tie->apartMm)} apart in height";

        return "“{$name($tie->one)}” and “{$name($tie->other)}” lie {$apart}: "
            ."by which of them is the higher one, {$air($tie->lowMl)} or {$air($tie->highMl)} of air stays.";
    }
}
