<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** How an observation came here. */
enum Source: string
{
    /** Read or felt, and typed. */
    case Hand = 'hand';

    /** Sent by an instrument. */
    case Instrument = 'instrument';
}
