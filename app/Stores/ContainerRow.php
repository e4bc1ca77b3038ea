<?php

declare(strict_types=1);

namespace App\Stores;

/** One movement as the ledger of a container tells it. */
final readonly class ContainerRow
{
    /**
     * @param  string  $job  its number; empty where none was at work
     * @param  string  $ml  with sign and unit
     * @param  string  $holds  what is in it then, with ±
     */
    public function __construct(
        public string $at,
        public string $why,
        public string $remark,
        public string $job,
        public string $address,
        public string $ml,
        public string $holds,
        public string $by,
    ) {
    }
}
