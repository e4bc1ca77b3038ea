<?php

declare(strict_types=1);

namespace App\Journal;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Filled;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\StepCatalogue;

/** The form an entry was written with, and what the entry says. */
final class FormOf
{
    public static function photograph(): Form
    {
        return new Form(JobState::PHOTO, 'Photograph', [Field::text('caption', 'Photograph')]);
    }

    /** @throws InvalidField where no such form exists any more */
    public static function entry(Situation $at, Entry $entry): Form
    {
        if ($entry->form === JobState::PHOTO) {
            return self::photograph();
        }

        return app(StepCatalogue::class)->of($at->step)->form($at, $entry->form)
            ?? throw new InvalidField('finish', 'This entry cannot be corrected. Take it back and enter it again.');
    }

    /** An entry in words, in the reader's units. */
    public static function say(Situation $at, Entry $entry): string
    {
        return $entry->form === JobState::PHOTO
            ? self::photograph()->say(new Filled($entry->values, $entry->typed))
            : app(StepCatalogue::class)->of($at->step)->say($at, $entry);
    }
}
