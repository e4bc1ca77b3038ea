<?php

declare(strict_types=1);

namespace Aqbel\Core\Flow;

/** An emptied region that no open port above it can give air: it glugs. */
final readonly class SlowRegion
{
    /**
     * @param  list<string>  $passages
     * @param  ?string  $airPort  the bleed point that would cure it
     */
    public function __construct(public array $passages, public ?string $airPort)
    {
    }
}
