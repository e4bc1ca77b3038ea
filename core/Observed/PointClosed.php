<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** A drain or a bleed point was closed, with its washer, by feel or by its torque. */
final readonly class PointClosed extends Report
{
    public const FORM = 'closed';

    private const TORQUED = 'torqued';

    private function __construct(Told $told, public bool $torqued)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line), $line->ticked(self::TORQUED)) : null;
    }

    /** @param  ?string  $torque  what is ticked where it is closed by torque */
    public static function asked(string $button, ?string $torque, bool $main): Form
    {
        return new Form(self::FORM, $button, [$torque === null ? null : Field::check(self::TORQUED, $torque)], $main, closes: true);
    }
}
