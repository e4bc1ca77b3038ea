<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

/** How a field is asked for. */
enum FieldType: string
{
    case Quantity = 'quantity';
    case Choice = 'choice';
    case Check = 'check';
    case Text = 'text';
}
