<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/** What a series of cold top-ups means. */
enum TopUpVerdict: string
{
    case Settled = 'settled';
    case Air = 'air';
    case Leak = 'leak';
    case Both = 'both';
    case TooFew = 'too_few';
}
