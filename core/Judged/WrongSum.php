<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** A sum that cannot be: one of its numbers is wrong. */
enum WrongSum: string
{
    case MoreThanFits = 'more_than_fits';
    case LessThanNothing = 'less_than_nothing';
    case MorePouredThanMixed = 'more_poured_than_mixed';

    /** Left in jug, hose or funnel, more than went in. */
    case MoreBackThanPoured = 'more_back_than_poured';
    case MoreLeftThanWas = 'more_left_than_was';
}
