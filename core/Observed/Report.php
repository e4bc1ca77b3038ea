<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Told;

/** What all observations share: where they stand, and when they were made. */
abstract readonly class Report implements Observation
{
    public function __construct(protected Told $told)
    {
    }

    public static function forms(): array
    {
        return [];
    }

    public static function asItIsAskedNow(string $form, array $values): array
    {
        return $values;
    }

    final public function told(): Told
    {
        return $this->told;
    }

    /** Unix seconds. */
    final public function at(): int
    {
        return $this->told->at;
    }

    final public function isAfter(?Observation $other): bool
    {
        return $this->told->isAfter($other?->told());
    }
}
