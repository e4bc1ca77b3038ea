<?php

declare(strict_types=1);

namespace App\Record;

use Aqbel\Core\Learned\Rate;

/** One thing that goes otherwise in this shop than is usual, or does not. */
final readonly class RateRow
{
    /**
     * @param  string  $code  of the rate
     * @param  string  $uses  what plans reckon with now
     * @param  string  $proposes  what they would by the rate; empty where nothing can be taken over
     * @param  bool  $own  whether what they reckon with is the shop’s own already
     */
    public function __construct(
        public string $code,
        public string $what,
        public Rate $rate,
        public string $uses,
        public string $proposes,
        public bool $own,
    ) {
    }

    /** It has to tell the next job better, and to be something else than what is used. */
    public function canBeTaken(): bool
    {
        return $this->proposes !== '' && $this->rate->tellsBetter && $this->proposes !== $this->uses;
    }
}
