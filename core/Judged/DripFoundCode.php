<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** What a look for a leak came to. */
enum DripFoundCode: string
{
    /** Gas gets into the coolant: no drip mended and no bleeding cures that. */
    case Gas = 'gas';
    case Found = 'found';

    /** None seen, and nobody has tested for combustion gas. */
    case NoDrip = 'no_drip';
    case NoDripNoGas = 'no_drip_no_gas';
}
