<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Circuit\RoutineLine;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** A line of the manual's own routine was begun. */
final readonly class RoutineLineBegun extends Report
{
    public const FORM = 'line';

    public const LINE = 'line';

    private function __construct(Told $told, public int $line)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line), (int) $line->text(self::LINE)) : null;
    }

    /** Which line is said to be begun. */
    public static function lineIn(Values $values): int
    {
        return (int) $values->text(self::LINE);
    }

    /** @param  list<RoutineLine>  $lines */
    public static function asked(array $lines, int $next): Form
    {
        $codes = array_map(strval(...), array_keys($lines));

        return new Form(self::FORM, 'Begun', [
            Field::choice(
                self::LINE,
                'Line',
                array_combine($codes, array_map(fn (RoutineLine $line) => $line->text, $lines)),
                (string) min($next, count($lines) - 1),
            ),
        ]);
    }
}
