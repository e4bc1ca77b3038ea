<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

/** How a verdict stands: go on, not yet, or stop. */
enum Tone: string
{
    case Pass = 'pass';
    case Wait = 'wait';
    case Stop = 'stop';
}
