<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;

/** The fill stands at its mark, or in the funnel. */
final readonly class LevelReached extends Report
{
    public const FORM = 'at_mark';

    private function __construct(Told $told)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line)) : null;
    }
}
