<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;

/** Coolant topped up at the neck, with the vessel it was read in. */
final readonly class ToppedUp extends Report
{
    public const FORM = 'topped';

    /** What with; nothing said is what was mixed. */
    public const LIQUID = 'liquid';

    public const BATCH = 'batch';

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

    /** Of what a line says, whether it was of what was mixed. */
    public static function isOfTheBatch(Entry $line): bool
    {
        return in_array($line->text(self::LIQUID), ['', self::BATCH], true);
    }

    /** @param  list<self>  $topUps */
    public static function sumMl(array $topUps): float
    {
        return array_sum(array_map(fn (self $topUp) => $topUp->read->ml, $topUps));
    }
}
