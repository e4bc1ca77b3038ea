<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** A test that is not done, and why. */
final readonly class Declined extends Decided
{
    protected const FORM = 'declined';

    protected const BUTTON = 'Not done';
}
