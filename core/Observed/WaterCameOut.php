<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** The water of a leak test, drained again. */
final readonly class WaterCameOut extends Report
{
    private const FORM = 'out';

    private function __construct(Told $told, public VesselReading $read)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        $read = $line->form === self::FORM ? VesselReading::of($line) : null;

        return $read === null ? null : new self(Told::by($line), $read);
    }

    public static function asked(Situation $at): Form
    {
        return new Form(self::FORM, 'Record water out', [
            ...VesselReading::fields($at, 'Came out', VesselUse::Drain),
            $at->observed(self::class) !== [] ? null : Field::check('shut', 'Every drain point closed again', true),
        ], closes: true);
    }
}
