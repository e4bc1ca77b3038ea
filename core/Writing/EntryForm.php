<?php

declare(strict_types=1);

namespace Aqbel\Core\Writing;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Filled;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\StepCatalogue;

/** A line of the journal by the form it was entered with: to be said, or put right. */
final readonly class EntryForm
{
    public function __construct(private StepCatalogue $kinds)
    {
    }

    /** @throws InvalidField where no such form exists any more */
    public function of(Situation $at, Entry $entry): Form
    {
        if ($entry->is(Lines::Photo)) {
            return self::photograph();
        }

        return $this->kinds->reading($at->step, $entry)->form($at, $entry->form)
            ?? throw new InvalidField('finish', 'This entry cannot be corrected. Take it back and enter it again.');
    }

    /** An entry in words, in the reader's units. */
    public function say(Situation $at, Entry $entry): string
    {
        return $entry->is(Lines::Photo)
            ? self::photograph()->say(new Filled($entry->values, $entry->typed()))
            : $this->kinds->reading($at->step, $entry)->say($at, $entry);
    }

    public static function photograph(): Form
    {
        return new Form(Lines::Photo->value, 'Photograph', [Field::text('caption', 'Photograph')]);
    }
}
