<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** How a number slips between a vessel and its field, the likeliest first (common practice, no source). */
enum SlipKind: string
{
    case ATenth = 'a_tenth';

    case TenTimes = 'ten_times';

    case Twice = 'twice';

    case Gallons = 'gallons';

    case Litres = 'litres';
}
