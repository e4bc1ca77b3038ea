<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** The closed circuit was pumped up, at this moment: from here on the clock runs. */
final readonly class PumpedUp extends Report
{
    private const FORM = 'pumped';

    public const TO = 'start';

    /** The pressure that was asked for, kPa, where the press itself said that it was reached. */
    private const AS_ASKED = 'asked';

    private const AS_TYPED = 'typed';

    private const SAME_KPA = 0.5;

    private function __construct(Told $told, public float $kPa)
    {
        parent::__construct($told);
    }

    /** As an instrument showed it. */
    public static function streamed(float $kpa): Values
    {
        return new Values([self::TO => $kpa]);
    }

    public static function form(): string
    {
        return self::FORM;
    }

    public static function of(Entry $line): ?static
    {
        $asked = $line->text(self::AS_ASKED);
        $to = $line->number(self::TO) ?? (is_numeric($asked) ? (float) $asked : null);

        return $line->form === self::FORM && $to !== null ? new self(Told::by($line), $to) : null;
    }

    /**
     * @param  ?float  $toKpa  it is to be pumped to; null where nobody can say
     * @param  string  $said  the same in the reader's units
     */
    public static function asked(?float $toKpa, string $said): Form
    {
        $typed = Field::pressure(
            self::TO,
            'Pumped to',
            PressureTested::MOST_KPA,
            $toKpa === null,
            $toKpa === null ? '' : 'Only where it is something else.',
        );
        $answers = $toKpa === null
                ? []
                : [
                    (string) round($toKpa, 1) => "It is pumped up to {$said}",
                    self::AS_TYPED => 'It is pumped up to what is typed',
                ];

        return new Form(self::FORM, 'It is pumped up', [
            $typed,
            $answers === [] ? null : Field::answer(self::AS_ASKED, 'Now', $answers)->optional(),
        ]);
    }

    /** @throws InvalidField where it is neither typed nor pressed, or both and not the same */
    public static function admit(Values $values): void
    {
        [$typed, $asked] = [$values->number(self::TO), $values->text(self::AS_ASKED)];
        if ($typed === null && ! is_numeric($asked)) {
            throw new InvalidField(self::TO, 'Enter what it was pumped to.');
        }
        if ($typed !== null && is_numeric($asked) && abs($typed - (float) $asked) > self::SAME_KPA) {
            throw new InvalidField(
                self::TO,
                'Something else is typed here. Empty it, or press that it is pumped to what is typed.',
            );
        }
    }
}
