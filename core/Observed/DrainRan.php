<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** What came out at a drain point, how it ran, and whether it is closed again. */
final readonly class DrainRan extends Report
{
    private const FORM = 'out';

    private const FLOW = 'flow';

    /** Whether it ran at the same time as others: then they are judged by their sum. */
    public const TOGETHER = 'together';

    private const WITH_OTHERS = 'with';

    /** Into one vessel with others: what it gave is in the figure of one that was read before. */
    public const IN_ANOTHERS = 'in_anothers';

    private const RAN = [
        '' => 'by itself', self::WITH_OTHERS => 'with the others: what they gave together counts',
        self::IN_ANOTHERS => 'into one vessel with the others: it is in their figure',
    ];

    private const SHUT = 'shut';

    /**
     * @param  bool  $withOthers  it ran at the same time as others
     * @param  bool  $inAnothers  and what it gave is in the figure of another
     */
    private function __construct(
        Told $told,
        public VesselReading $read,
        public Flowed $flow,
        public bool $withOthers,
        public bool $inAnothers,
        public bool $shut,
    ) {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        $read = $line->form === self::FORM ? VesselReading::of($line) : null;

        return $read === null ? null : new self(
            Told::by($line),
            $read,
            Flowed::tryFrom($line->text(self::FLOW)) ?? Flowed::Ran,
            in_array($line->text(self::TOGETHER), [self::WITH_OTHERS, self::IN_ANOTHERS], true),
            // With a figure of its own it is in nobody else’s.
            $line->text(self::TOGETHER) === self::IN_ANOTHERS && $read->ml <= 0.0,
            $line->ticked(self::SHUT),
        );
    }

    /**
     * @param  ?bool  $withOthers  whether it ran with others, as long as nobody says; null where it is the only one
     * @param  ?string  $shut  what is ticked where it is closed again as it should be; null where it is closed
     */
    public static function asked(Situation $at, ?bool $withOthers, ?string $shut): Form
    {
        [$volume, $vessel] = VesselReading::fields($at, 'Came out', VesselUse::Drain);

        return new Form(
            self::FORM,
            'Record what came out',
            [
                $withOthers === null ? $volume : $volume->usuallySaid(),
                $vessel,
                Field::choice(self::FLOW, 'It', Flowed::choices(), Flowed::Ran->value),
                $withOthers === null
                    ? null
                    : Field::choice(
                        self::TOGETHER,
                        'It ran',
                        self::RAN,
                        $withOthers ? self::WITH_OTHERS : '',
                    )->optional(),
                $shut === null ? null : Field::check(self::SHUT, 'Closed again: '.lcfirst($shut)),
            ],
            closes: true,
        );
    }

    /**
     * What is kept: a point that ran with others and has no figure of its own is in theirs.
     *
     * @throws InvalidField where there is none it could be in
     */
    public static function asTold(string $form, Values $values, bool $anotherIsRead): Values
    {
        if ($form !== self::FORM || $values->number(VesselReading::VOLUME) !== null) {
            return $values;
        }
        if ($values->text(self::TOGETHER) === '' || ! $anotherIsRead) {
            throw new InvalidField(
                VesselReading::VOLUME,
                'Enter a value, zero included. Where several ran into one vessel: the sum at the first of them, '
                    .'and nothing at the others.',
            );
        }

        return $values->with(VesselReading::VOLUME, 0.0)->with(self::TOGETHER, self::IN_ANOTHERS);
    }

    /** @param  list<self>  $ran  of one point */
    public static function sumMl(array $ran): float
    {
        return array_sum(array_map(fn (self $one) => $one->read->ml, $ran));
    }
}
