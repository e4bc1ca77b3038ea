<?php

declare(strict_types=1);

namespace App\Journal;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Run\Entry;
use Aqbel\Core\Run\Situation;
use Aqbel\Core\Sequence\Field;

/** An entry in words, the same on the screen, in the record and in exports. Quantities stay as they were typed. */
final class EntryText
{
    public static function of(Situation $at, Entry $entry): string
    {
        try {
            $form = FormOf::entry($at, $entry);
        } catch (InvalidField) {
            return $entry->form;
        }
        $parts = array_filter(array_map(fn (Field $field) => self::field($at, $field, $entry), $form->fields));

        return $parts === [] ? $form->button : implode(' · ', $parts);
    }

    private static function field(Situation $at, Field $field, Entry $entry): ?string
    {
        $value = $entry->values[$field->name] ?? null;

        return match (true) {
            $value === null || $value === false => null,
            $field->type === 'check' => $field->label,
            $field->type === 'choice' => "{$field->label} ".mb_strtolower(mb_substr($field->choices[$value] ?? (string) $value, 0, 1)).mb_substr($field->choices[$value] ?? (string) $value, 1),
            $field->type === 'text' => "{$field->label}: {$value}",
            default => "{$field->label} ".($entry->typed[$field->name] ?? $at->units->format((float) $value, $field->assumedUnit($at->units))),
        };
    }
}
