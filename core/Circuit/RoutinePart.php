<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/**
 * What a line of a routine is: a part of the work that has its own step, or a line that is gone through with its time.
 */
enum RoutinePart: string
{
    case Free = '';
    case Fill = 'fill';
    case Bleed = 'bleed';

    /** The engine is started: by its own step, with everything that stands before that. */
    case Run = 'run';
    case Cool = 'cool';
    case Level = 'level';
}
