<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;

/** What was poured and is not inside: caught at bleed points, left in jug, hose or funnel, in the rags. */
final readonly class CameBack extends Report
{
    /** Told by itself, where it is not told with the level. */
    public const FORM = 'returned';

    private const CAUGHT = 'caught';

    private const LEFT = 'left';

    private const SPILT = 'spilt';

    private const MOST_CAUGHT_ML = 20_000.0;

    private const MOST_SPILT_ML = 5_000.0;

    /** @param  ?float  $leftMl  null where nobody said; in a funnel it may be anything up to its size */
    private function __construct(Told $told, public float $caughtMl, public ?float $leftMl, public float $spiltMl)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return ! in_array($line->form, [self::FORM, LevelReached::FORM], true) ? null : new self(
            Told::by($line),
            $line->number(self::CAUGHT) ?? 0.0,
            $line->number(self::LEFT),
            $line->number(self::SPILT) ?? 0.0,
        );
    }

    /** @return list<Field> */
    public static function fields(Circuit $circuit, string $left, bool $must): array
    {
        return [
            Field::volume(
                self::CAUGHT,
                $circuit->hasBleedPoints() ? 'Caught at bleed points' : 'Caught below',
                self::MOST_CAUGHT_ML,
                $must,
            ),
            Field::volume(self::LEFT, $left, self::MOST_CAUGHT_ML, $must),
            Field::volume(self::SPILT, 'In the rags, estimated', self::MOST_SPILT_ML, $must),
        ];
    }
}
