<?php

declare(strict_types=1);

namespace App\Run;

use App\Models\Job;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** An entry about to be corrected: the form it was written with, filled in as it stands. */
final readonly class CorrectionPage
{
    /** @param  bool  $needsReason  it is somebody else's line */
    public function __construct(
        public Job $job,
        public Entry $entry,
        public Form $form,
        public string $title,
        public UnitSystem $units,
        public bool $needsReason,
    ) {
    }

    /** As it was typed, or its code. */
    public function value(Field $field): string
    {
        return match (true) {
            isset($this->entry->typed()[$field->name]) => $this->entry->typed()[$field->name],
            $this->entry->ticked($field->name) => '1',
            default => $this->entry->text($field->name),
        };
    }
}
