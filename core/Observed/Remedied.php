<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

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

    private const REMEDIES = [
        'air' => 'Cap or bleed point opened, ran again', 'cleared' => 'Cleared with wire', 'replaced' => 'Plug or cock replaced',
        self::OTHER_POINT => 'Seized: another point', 'left' => 'Left as it is',
    ];

    /** @param  ?string  $point  that is opened in its place; null where none is */
    private function __construct(Told $told, public ?string $point)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form !== self::FORM ? null : new self(
            Told::by($line),
            $line->text(self::REMEDY) === self::OTHER_POINT ? $line->text(self::POINT) : null,
        );
    }

    /** @param  array<string, string>  $others  points that may be opened instead, with their labels */
    public static function asked(array $others): Form
    {
        $remedies = $others === [] ? array_diff_key(self::REMEDIES, [self::OTHER_POINT => true]) : self::REMEDIES;

        return new Form(self::FORM, 'Record what was done about it', [
            Field::choice(self::REMEDY, 'It stopped early', $remedies, 'air'),
            $others === [] ? null : Field::choice(self::POINT, 'Other point', ['none' => 'None'] + $others, 'none'),
        ], false);
    }
}
