<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

/** Why a port that was left open did not run. */
enum Silence: string
{
    /** It lies above the surface. */
    case Above = 'above';

    /** A hump between it and the coolant seals first: the highest node of the air that stays there. */
    case Hump = 'hump';

    /** The one passage that would bring it coolant keeps its air. */
    case Trapped = 'trapped';

    /** Another open port at the same place runs for both. */
    case Shared = 'shared';

    /** A shut gate, or no passage at all, leads to it. */
    case CutOff = 'cut_off';
}
