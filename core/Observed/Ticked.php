<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Items of a list that were ticked in one go. */
final readonly class Ticked extends Report
{
    private const FORM = 'ticked';

    /** @param  list<string>  $items  their codes */
    private function __construct(Told $told, public array $items)
    {
        parent::__construct($told);
    }

    public static function forms(): array
    {
        return [self::FORM];
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line), $line->values->allTicked()) : null;
    }

    /** @param  array<string, string>  $items  label by code */
    public static function asked(array $items): Form
    {
        return new Form(
            self::FORM,
            'Keep these ticks',
            array_map(Field::check(...), array_map(strval(...), array_keys($items)), array_values($items)),
        );
    }
}
