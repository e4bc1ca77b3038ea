<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;

/** Something that happened, and of which nothing more is told than that. */
abstract readonly class Event extends Report
{
    final public function __construct(Told $told)
    {
        parent::__construct($told);
    }

    /** The form it is told by. */
    abstract public static function form(): string;

    final public static function forms(): array
    {
        return [static::form()];
    }

    final public static function of(Entry $line): ?static
    {
        return $line->form === static::form() ? new static(Told::by($line)) : null;
    }
}
