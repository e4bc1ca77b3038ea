<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Something a person decides and says why: one press, and a reason in words where nothing that was seen gives it. */
abstract readonly class Decided extends Report
{
    /** Name of the form. */
    protected const FORM = '';

    /** What its button says. */
    protected const BUTTON = '';

    private const WHY = 'why';

    final protected function __construct(Told $told, public string $why)
    {
        parent::__construct($told);
    }

    final public static function of(Entry $line): ?static
    {
        return $line->form === static::FORM ? new static(Told::by($line), $line->text(self::WHY)) : null;
    }

    /** @param  bool  $needsWhy  where what was seen speaks for it, a press is enough */
    final public static function asked(bool $needsWhy = true): Form
    {
        return new Form(static::FORM, static::BUTTON, [Field::text(self::WHY, 'Why', $needsWhy)], false);
    }
}
