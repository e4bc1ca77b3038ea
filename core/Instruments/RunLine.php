<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

use Aqbel\Core\Values;

/** What of a stream becomes a line of the journal: the same as a person would have read and entered at that moment. */
final readonly class RunLine
{
    /** @param  int  $at  Unix seconds */
    public function __construct(public int $at, public string $form, public Values $values)
    {
    }
}
