<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/**
 * The funnel that stayed on while it ran came off: what was left in it, where that went, and how warm the coolant was.
 */
final readonly class FunnelTakenOff extends Report
{
    private const FORM = 'off';

    private const GOES = 'goes';

    private const BOTTLE = 'recovery';

    private const WAYS = [self::BOTTLE => 'Into the recovery bottle', 'container' => 'Into a labelled container'];

    /** @param  ?float  $coolantC  null where nobody had a thermometer, and it had stood long enough */
    private function __construct(Told $told, public float $leftMl, public bool $intoTheBottle, public ?float $coolantC)
    {
        parent::__construct($told);
    }

    public static function form(): string
    {
        return self::FORM;
    }

    public static function of(Entry $line): ?static
    {
        $left = $line->form === self::FORM ? VesselReading::of($line) : null;

        return $left === null ? null : new self(
            Told::by($line),
            $left->ml,
            $line->text(self::GOES) === self::BOTTLE,
            CoolantRead::of($line)?->celsius,
        );
    }

    /** @param  ?Field  $coolant  null where nobody is asked for a thermometer any more */
    public static function asked(Situation $at, ?Field $coolant): Form
    {
        return new Form(self::FORM, 'The funnel is off', [
            ...VesselReading::fields($at, 'Left in the funnel', VesselUse::Measure),
            Field::choice(self::GOES, 'It goes', self::WAYS, 'container'),
            $coolant,
        ], closes: true);
    }
}
