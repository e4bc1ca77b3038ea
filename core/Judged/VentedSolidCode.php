<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What points that were cracked under pressure have shown. */
enum VentedSolidCode: string
{
    case Solid = 'solid';

    case AirCame = 'air_came';

    /** Told solid, under less than lifts coolant to it. */
    case TooLittle = 'too_little';
}
