<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

/** What is in a cell. The engine works on the plain numbers; they are what a stored picture holds. */
enum CellState: int
{
    case Air = 0;
    case Coolant = 1;
    case Trapped = 2;
}
