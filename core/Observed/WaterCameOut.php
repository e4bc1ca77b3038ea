<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;

/** The water of a leak test, drained again. */
final readonly class WaterCameOut extends Report
{
    public const FORM = 'out';

    private function __construct(Told $told, public VesselReading $read)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        $read = $line->form === self::FORM ? VesselReading::of($line) : null;

        return $read === null ? null : new self(Told::by($line), $read);
    }
}
