<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Topped up to the mark to be pressed, with water or with the coolant that is in it; nought where it stood there. */
final readonly class ToppedForTest extends Report
{
    private const FORM = 'topped';

    private const LIQUID = 'liquid';

    private const WATER = 'water';

    private function __construct(Told $told, public float $ml, public bool $water)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM
            ? new self(Told::by($line), $line->number(VesselReading::VOLUME) ?? 0.0, $line->text(self::LIQUID) === self::WATER)
            : null;
    }

    /** @param  list<Field>  $volume  how much, and what it was read in */
    public static function asked(array $volume): Form
    {
        return new Form(self::FORM, 'Record top-up', [
            ...$volume,
            Field::choice(self::LIQUID, 'With', [self::WATER => 'Water', 'coolant' => 'The coolant that is in it'], self::WATER),
        ]);
    }
}
