<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** What was done about a drain point that gave too little. */
final readonly class Remedied extends Report
{
    private const FORM = 'remedy';

    private const REMEDY = 'remedy';

    private const OTHER_POINT = 'other';

    private const POINT = 'point';

    private const NO_POINT = 'none';

    private const AIR = 'air';

    private const REMEDIES = [
        self::AIR => 'Cap or bleed point opened, ran again',
        'cleared' => 'Cleared with wire',
        'replaced' => 'Plug or cock replaced',
        self::OTHER_POINT => 'Seized: another point',
        'left' => 'Left as it is',
    ];

    /** @param  ?string  $point  that is opened as well, or in its place; null where none is */
    private function __construct(Told $told, public ?string $point)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        if ($line->form !== self::FORM) {
            return null;
        }
        $point = $line->text(self::POINT);

        return new self(Told::by($line), $point === '' || $point === self::NO_POINT ? null : $point);
    }

    /** @param  array<string, string>  $others  points that may be opened instead, with their labels */
    public static function asked(Circuit $circuit, array $others): Form
    {
        $remedies = $others === [] ? array_diff_key(self::REMEDIES, [self::OTHER_POINT => true]) : self::REMEDIES;
        $remedies[self::AIR] = $circuit->hasBleedPoints() ? $remedies[self::AIR] : 'Cap opened, ran again';

        return new Form(
            self::FORM,
            'Record what was done about it',
            [
                Field::choice(self::REMEDY, 'It stopped early', $remedies, self::AIR),
                $others === []
                    ? null
                    : Field::choice(self::POINT, 'Other point', [self::NO_POINT => 'None'] + $others, self::NO_POINT),
            ],
            false,
        );
    }
}
