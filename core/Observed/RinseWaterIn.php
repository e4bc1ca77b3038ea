<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Water for a rinse, poured in: how much, and of what kind. */
final readonly class RinseWaterIn extends Report
{
    private const FORM = 'water_in';

    private const WATER = 'water';

    public const TAP = 'tap';

    public const PURE = 'pure';

    public const CLEANER = 'cleaner';

    private const KINDS = [
        self::TAP => 'Tap water',
        self::PURE => 'Distilled or deionised',
        self::CLEANER => 'With cleaner',
    ];

    private function __construct(Told $told, public VesselReading $read, private string $water)
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

        return $read === null ? null : new self(Told::by($line), $read, $line->text(self::WATER));
    }

    public function isTap(): bool
    {
        return $this->water === self::TAP;
    }

    public function hasCleaner(): bool
    {
        return $this->water === self::CLEANER;
    }

    /** @param  string  $likely  kind of water */
    public static function asked(Situation $at, string $likely): Form
    {
        return new Form(self::FORM, 'Record water in', [
            ...VesselReading::fields($at, 'Poured in', VesselUse::Mix),
            Field::choice(self::WATER, 'It is', self::KINDS, $likely),
        ]);
    }

    /** Where it only runs through, and somebody measured it. */
    public static function askedWhereMeasured(Situation $at): Form
    {
        return new Form(
            self::FORM,
            'Water in, measured',
            VesselReading::fields($at, 'Poured in', VesselUse::Mix),
            false,
        );
    }
}
