<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

/** Something a run has not shown yet. */
final readonly class MissingProof
{
    /**
     * @param  string  $outlet  which outlet; empty where it is none
     * @param  ?float  $fromC  from which it counts, or what was read where it is read again
     * @param  ?float  $outsideC  air it was judged against
     * @param  int  $times  that it was seen
     * @param  ?float  $endsAtC  at which a run ends before it can show this; null where it can
     * @param  bool  $tightToo  whether it ends too early under a tight cap as well
     * @param  bool  $wasRead  whether anybody read or felt it at all in this run
     */
    public function __construct(
        public ProofCode $code,
        public string $outlet = '',
        public ?float $fromC = null,
        public ?float $outsideC = null,
        public int $times = 0,
        public ?float $endsAtC = null,
        public bool $tightToo = false,
        public bool $wasRead = true,
    ) {
    }
}
