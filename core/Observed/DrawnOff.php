<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Form;

/** What stood above its mark, drawn off until the surface was at it. */
final readonly class DrawnOff extends Report
{
    public const FORM = 'drawn';

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

    public static function asked(Situation $at): Form
    {
        [$volume, $vessel] = VesselReading::fields($at, 'Drawn off to the mark', VesselUse::Measure);

        return new Form(self::FORM, 'Record what was drawn off', [$volume, $vessel->optional()], closes: true);
    }

    /** @param  list<self>  $drawn */
    public static function sumMl(array $drawn): float
    {
        return array_sum(array_map(fn (self $one) => $one->read->ml, $drawn));
    }
}
