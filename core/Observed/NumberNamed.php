<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Somebody says which number of the sums is wrong, and how that is known. */
final readonly class NumberNamed extends Report
{
    private const FORM = 'number_named';

    private const WHICH = 'which';

    private const HOW = 'how';

    private function __construct(Told $told, public string $which, public string $how)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM
            ? new self(Told::by($line), $line->text(self::WHICH), $line->text(self::HOW))
            : null;
    }

    /** @param  array<string, string>  $lines  of the ledger, by their number there */
    public static function asked(array $lines): Form
    {
        return new Form(self::FORM, 'Name the number that is wrong', [
            Field::choice(self::WHICH, 'Wrong is', $lines),
            Field::text(self::HOW, 'How that is known', true),
        ], false);
    }
}
