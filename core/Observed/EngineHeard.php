<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** An engine that nobody said was started runs, by the count of its instrument; or it is off again. */
final readonly class EngineHeard extends Report
{
    private const ENGINE = 'engine';

    private const RPM = 'rpm';

    private const RUNS = 'runs';

    private const OFF = 'off';

    private const MOST_RPM = 12_000.0;

    /** Not the coolant that a step asks for: nobody has read it there. */
    private const COOLANT = 'celsius';

    /**
     * @param  ?float  $rpm  1/min; null where somebody said that it is off
     * @param  ?float  $coolantC  by the same instrument, where that alone forbids it
     */
    private function __construct(Told $told, public bool $runs, public ?float $rpm, public ?float $coolantC)
    {
        parent::__construct($told);
    }

    public static function forms(): array
    {
        return [Lines::Heard->value];
    }

    public static function of(Entry $line): ?static
    {
        return $line->is(Lines::Heard)
            ? new self(
                Told::by($line),
                $line->text(self::ENGINE) === self::RUNS,
                $line->number(self::RPM),
                $line->number(self::COOLANT),
            )
            : null;
    }

    /** As an instrument counted it. */
    public static function streamed(bool $runs, float $rpm, ?float $coolantC = null): Values
    {
        return new Values([self::ENGINE => $runs ? self::RUNS : self::OFF, self::RPM => $rpm]
            + ($coolantC === null ? [] : [self::COOLANT => $coolantC]));
    }

    /** What a person may say of it: that it is off. */
    public static function asked(): Form
    {
        return new Form(Lines::Heard->value, 'The engine is off', [
            Field::answer(self::ENGINE, 'The engine', [self::OFF => 'It is off']),
        ]);
    }

    /** What stands of it in the journal. */
    public static function ever(): Form
    {
        return new Form(Lines::Heard->value, 'The engine', [
            Field::answer(self::ENGINE, 'The engine', [self::RUNS => 'Runs', self::OFF => 'Is off']),
            Field::number(self::RPM, 'By its instrument, 1/min', 0.0, self::MOST_RPM)->optional(),
            Field::coolant(self::COOLANT, 'Coolant')->optional(),
        ]);
    }
}
