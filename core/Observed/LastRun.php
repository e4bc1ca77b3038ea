<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** Somebody decides that this was the last warm-up, and says why. */
final readonly class LastRun extends Decided
{
    protected const FORM = 'last_run';

    protected const BUTTON = 'This was the last run';
}
