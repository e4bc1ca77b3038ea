<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Topped up to the mark to be pressed, with water or with the coolant that is in it; nought where it stood there. */
final readonly class ToppedForTest extends Report
{
    private const FORM = 'topped';

    private const LIQUID = 'liquid';

    private const WATER = 'water';

    private function __construct(Told $told, private ?VesselReading $read, public bool $water)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM
            ? new self(Told::by($line), VesselReading::of($line), $line->text(self::LIQUID) === self::WATER)
            : null;
    }

    public static function asked(Situation $at): Form
    {
        return new Form(self::FORM, 'Record top-up', [
            ...VesselReading::fields($at, 'Topped up', VesselUse::Measure),
            Field::choice(
                self::LIQUID,
                'With',
                [self::WATER => 'Water', 'coolant' => 'The coolant that is in it'],
                self::WATER,
            ),
        ]);
    }

    public function ml(): float
    {
        return $this->read->ml ?? 0.0;
    }

    /** Within which 95 % of such readings lie, mL. */
    public function plusMinusMl(Situation $at): float
    {
        return $this->read?->plusMinusMl($at) ?? 0.0;
    }
}
