<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Rinse water that came out again: how much, and how it ran. */
final readonly class RinseWaterOut extends Report
{
    private const FORM = 'water_out';

    private const RUNS = 'runs';

    /** @param  ?Runs  $runs  null where nobody said */
    private function __construct(Told $told, public VesselReading $read, public ?Runs $runs)
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

        return $read === null ? null : new self(Told::by($line), $read, Runs::tryFrom($line->text(self::RUNS)));
    }

    public static function asked(Situation $at, string $button, bool $main = true): Form
    {
        return new Form(self::FORM, $button, [
            ...VesselReading::fields($at, 'Came out', VesselUse::Drain),
            Field::answer(self::RUNS, 'It runs', Runs::choices()),
        ], $main);
    }
}
