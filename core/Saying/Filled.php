<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

use Aqbel\Core\Values;

/** A form as it was filled in: what it means in the core's units, and quantities as they were typed. */
final readonly class Filled
{
    /**
     * @param  array<string, string>  $typed  by field, e.g. "3 qt"
     * @param  list<string>  $bare  fields whose number was typed without a unit
     */
    public function __construct(public Values $values, public array $typed = [], public array $bare = [])
    {
    }
}
