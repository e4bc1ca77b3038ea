<?php

declare(strict_types=1);

namespace App\Journal;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Journal;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\StepCatalogue;

/** The form an entry was written with: what its step asked for at the moment before it. */
final class FormOf
{
    public static function photograph(): Form
    {
        return new Form(JobState::PHOTO, 'Photograph', [Field::text('caption', 'Photograph')]);
    }

    public static function entry(Situation $at, Entry $entry): Form
    {
        if ($entry->form === JobState::PHOTO) {
            return self::photograph();
        }
        $before = new Journal(array_values(array_filter($at->job->journal->lines, fn (Entry $line) => $line->seq < $entry->seq)));
        $then = (new JobState($at->job->circuit, $at->job->plan, $before))->at($at->step, $entry->at, $at->units, $at->stores);
        foreach (StepCatalogue::of($at->step)->forms($then) as $form) {
            if ($form->name === $entry->form) {
                return $form;
            }
        }
        throw new InvalidField('finish', 'This entry cannot be corrected. Take it back and enter it again.');
    }
}
