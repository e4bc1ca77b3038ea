<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

/** Where the open air of a passage goes: through which of its nodes, and out at which port. */
final readonly class AirRoute
{
    public function __construct(public string $passage, public string $towards, public string $port)
    {
    }
}
