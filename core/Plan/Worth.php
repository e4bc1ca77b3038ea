<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** Whether a drain point is opened: the work needs it, it pays, or it stays shut. */
enum Worth: string
{
    case Must = 'must';
    case Pays = 'worth';
    case Leave = 'leave';
}
