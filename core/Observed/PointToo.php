<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** A drain point that the plan leaves shut is opened after all. */
final readonly class PointToo extends Report
{
    private const FORM = 'more';

    private const POINT = 'point';

    private function __construct(Told $told, public string $point)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line), $line->text(self::POINT)) : null;
    }

    /** @param  array<string, string>  $points  with what each would let out */
    public static function asked(string $button, array $points): Form
    {
        return new Form(self::FORM, $button, [Field::choice(self::POINT, 'Point', $points, array_key_first($points))]);
    }
}
