<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Coolant that went in after the fill was over, because an engine was to be run on too little. */
final readonly class PouredOn extends Report
{
    private function __construct(Told $told, public VesselReading $read)
    {
        parent::__construct($told);
    }

    public static function forms(): array
    {
        return [Lines::Inlet->value];
    }

    public static function of(Entry $line): ?static
    {
        $read = $line->is(Lines::Inlet) ? VesselReading::of($line) : null;

        return $read === null ? null : new self(Told::by($line), $read);
    }

    /** @param  list<Field>  $fields  how much, read in what, and of what */
    public static function asked(array $fields): Form
    {
        return new Form(Lines::Inlet->value, 'Poured on', $fields);
    }
}
