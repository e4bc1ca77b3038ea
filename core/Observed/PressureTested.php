<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** A pressure that was pumped and held, told when it was over; or how it stands, where pumping was told at its time. */
final readonly class PressureTested extends Report
{
    /** Told all at once, when it was over. */
    public const WHOLE = 'test';

    /** How it stands since it was pumped. */
    public const STOOD = 'stood';

    /** The needle stands where it was pumped to. */
    public const UNMOVED = 'unmoved';

    public const START = 'start';

    public const MINUTE = 'minute';

    public const END = 'end';

    public const HELD = 'held';

    public const MOST_KPA = 400.0;

    private const LONGEST_S = 7200.0;

    /**
     * @param  ?float  $startKpa  null where pumping was told at its time
     * @param  ?float  $minuteKpa  after a minute, where it was read
     * @param  ?float  $endKpa  null where the needle had not moved
     * @param  ?float  $heldS  as it was said; the clock of the journal bounds it
     */
    private function __construct(
        Told $told,
        public ?float $startKpa,
        public ?float $minuteKpa,
        public ?float $endKpa,
        public ?float $heldS,
        public ?float $coolantC,
    ) {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        $end = $line->number(self::END);
        $tells
            = $line->form === self::UNMOVED || ($end !== null && in_array($line->form, [self::WHOLE, self::STOOD], true));

        return ! $tells ? null : new self(
            Told::by($line),
            $line->form === self::WHOLE ? $line->number(self::START) : null,
            $line->number(self::MINUTE),
            $end,
            $line->number(self::HELD),
            CoolantRead::of($line)?->celsius,
        );
    }

    /** As an instrument showed it, kPa. */
    public static function streamed(?float $minuteKpa, float $endKpa): Values
    {
        return new Values([self::END => $endKpa] + ($minuteKpa === null ? [] : [self::MINUTE => $minuteKpa]));
    }

    /** @param  ?Field  $coolant  how warm it is, where it has run and nobody has read it cold since */
    public static function askedWhole(?Field $coolant): Form
    {
        return new Form(self::WHOLE, 'Record a test that is over', [
            Field::pressure(self::START, 'Pumped to', self::MOST_KPA),
            self::minuteField(),
            self::endField(),
            Field::duration(self::HELD, 'Held for', Unit::Minute, self::LONGEST_S),
            $coolant,
        ]);
    }

    public static function askedUnmoved(): Form
    {
        return new Form(self::UNMOVED, 'It has not moved', closes: true);
    }

    public static function askedStood(?Field $coolant): Form
    {
        return new Form(
            self::STOOD,
            'Record how it stands',
            [self::minuteField(), self::endField(), $coolant],
            closes: true,
        );
    }

    private static function minuteField(): Field
    {
        return Field::pressure(self::MINUTE, 'After one minute', self::MOST_KPA, false);
    }

    private static function endField(): Field
    {
        return Field::pressure(self::END, 'Stands at', self::MOST_KPA);
    }
}
