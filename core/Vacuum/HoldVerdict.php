<?php

declare(strict_types=1);

namespace Aqbel\Core\Vacuum;

enum HoldVerdict: string
{
    case Tight = 'tight';
    case Settling = 'settling';
    case Leak = 'leak';
    case Inconclusive = 'inconclusive';
}
