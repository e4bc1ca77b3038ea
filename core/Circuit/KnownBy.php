<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** Whence a height or a volume of a circuit is known. */
enum KnownBy: string
{
    /** It came with the layout the circuit was made from, and nobody has looked at it yet. */
    case Layout = 'layout';
    case Manual = 'manual';
    case Tape = 'tape';

    /** Signed jobs measured it. */
    case Jobs = 'jobs';
}
