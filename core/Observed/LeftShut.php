<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** A drain point that was not opened, seized or out of reach: nothing came out of it, and nothing is blamed on it. */
final readonly class LeftShut extends Decided
{
    protected const FORM = 'left_shut';

    protected const BUTTON = 'It stays shut';
}
