<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/** What a vessel is mostly taken for, so that the likeliest one is offered first. */
enum VesselUse: string
{
    case Drain = 'drain';
    case Measure = 'measure';
    case Mix = 'mix';
    case Fine = 'fine';
}
