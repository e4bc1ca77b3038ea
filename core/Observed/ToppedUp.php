<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;

/** Coolant topped up at the neck, with the vessel it was read in. */
final readonly class ToppedUp extends Report
{
    public const FORM = 'topped';

    private function __construct(Told $told, public VesselReading $read)
    {
        parent::__construct($told);
    }

    public static function forms(): array
    {
        return [self::FORM];
    }

    public static function of(Entry $line): ?static
    {
        $read = $line->form === self::FORM ? VesselReading::of($line) : null;

        return $read === null ? null : new self(Told::by($line), $read);
    }

    /** @param  list<self>  $topUps */
    public static function sumMl(array $topUps): float
    {
        return array_sum(array_map(fn (self $topUp) => $topUp->read->ml, $topUps));
    }
}
