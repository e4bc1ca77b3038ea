<?php

declare(strict_types=1);

namespace App\Record;

use Aqbel\Core\Ledger\Ledger;

/**
 * What stands in the circuit as a bar: so far it surely reaches, so
 * far it may, and where the cold mark is. In drawing units.
 */
final readonly class ContentBar
{
    public const WIDTH = 240;

    public const HEIGHT = 14;

    public float $surelyTo;

    public float $mayReach;

    public float $mark;

    public function __construct(Ledger $ledger)
    {
        $at = fn (float $ml): float => round(self::WIDTH * max(0.0, min(1.0, $ml / $ledger->capacityMl)), 1);
        $this->surelyTo = $at($ledger->contentMl - $ledger->plusMinusMl);
        $this->mayReach = $at($ledger->contentMl + $ledger->plusMinusMl);
        $this->mark = $at($ledger->capacityMl - $ledger->headspaceMl);
    }
}
