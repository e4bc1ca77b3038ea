<?php

declare(strict_types=1);

namespace Aqbel\Core\Vacuum;

/** What a pressure that was held means. */
enum PressureVerdict: string
{
    case Tight = 'tight';
    case Leak = 'leak';
    case NoTest = 'no_test';
    case Inconclusive = 'inconclusive';
}
