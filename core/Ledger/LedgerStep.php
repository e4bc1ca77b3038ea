<?php

declare(strict_types=1);

namespace Aqbel\Core\Ledger;

/** A line of the ledger with the state it leaves: content in mL, glycol by volume where there is any to speak of. */
final readonly class LedgerStep
{
    public function __construct(public Line $line, public float $contentMl, public ?float $fraction)
    {
    }
}
