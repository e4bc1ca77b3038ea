<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** What can let caught air go. */
enum Frees: string
{
    case Point = 'point';
    case Raise = 'raise';
    case Funnel = 'funnel';
    case Vacuum = 'vacuum';
    case Run = 'run';
}
