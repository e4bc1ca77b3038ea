<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Job\Step;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\FieldType;
use Aqbel\Core\Saying\Form;

/** One step on a sheet: what its press says, and what is asked with it. */
final readonly class SheetBlock
{
    /** @param  list<string>  $instructions */
    public function __construct(
        public Step $step,
        public string $title,
        public array $instructions,
        public Form $form,
        public string $href,
    ) {
    }

    /** @return list<Field> what is ticked all at once */
    public function items(): array
    {
        return array_values(array_filter($this->form->fields, fn (Field $field) => $field->type === FieldType::Check));
    }

    /** @return list<Field> what is asked */
    public function asked(): array
    {
        return array_values(array_filter($this->form->fields, fn (Field $field) => $field->type !== FieldType::Check && ! self::mayStayEmpty($field)));
    }

    /** @return list<Field> what may be said besides */
    public function further(): array
    {
        return array_values(array_filter($this->form->fields, self::mayStayEmpty(...)));
    }

    /** @return list<string> under which what is wrong with them is told */
    public function names(): array
    {
        return array_map(fn (Field $field) => "sheet.{$this->step->id}.{$field->name}", $this->further());
    }

    private static function mayStayEmpty(Field $field): bool
    {
        return ! $field->required && $field->type !== FieldType::Check && $field->default === null;
    }
}
