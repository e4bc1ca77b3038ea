<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Volumes;

/** A pocket of air as it is named in the margin. */
final readonly class PocketLabel
{
    public function __construct(public string $text, public Volumes $air)
    {
    }
}
