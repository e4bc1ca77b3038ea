<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Format;

/** What a fact of the format is, and so how it is typed. */
enum FactKind: string
{
    case Number = 'number';
    case Text = 'text';
    case Choice = 'choice';

    /** The id of something that stands elsewhere in the document. */
    case Ref = 'ref';
    case Check = 'check';
    case List = 'list';
    case Lines = 'lines';
}
