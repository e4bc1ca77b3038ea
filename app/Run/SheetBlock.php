<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Job\Step;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Table;

/** One step on a sheet: what its press says, and what is asked with it. */
final readonly class SheetBlock
{
    /**
     * @param  list<string>  $instructions
     * @param  list<Table>  $tables  numbers worked out for it
     * @param  ?Level  $level  the number it is judged by
     * @param  list<Form>  $others  what may be said in place of it
     * @param  list<string>  $known  names of what those before it on the sheet ask already
     */
    public function __construct(
        public Step $step,
        public string $title,
        public array $instructions,
        public Form $form,
        public string $href,
        public array $tables = [],
        public ?Level $level = null,
        private array $known = [],
        public array $others = [],
    ) {
    }

    /** @return list<Field> what is ticked all at once */
    public function items(): array
    {
        return array_values(array_filter($this->form->fields, fn (Field $field) => $field->isToDo()));
    }

    /** @return list<Field> what is asked */
    public function asked(): array
    {
        return array_values(
            array_filter($this->form->fields, fn (Field $field) => $this->isNew($field) && ! self::mayStayEmpty($field)),
        );
    }

    /** @return list<Field> what may be said besides */
    public function further(): array
    {
        return array_values(
            array_filter($this->form->fields, fn (Field $field) => $this->isNew($field) && self::mayStayEmpty($field)),
        );
    }

    /** What is answered in it. */
    public function answer(): ?Field
    {
        return $this->form->answer();
    }

    /** What brings steps of its own, chosen otherwise; null where nothing does. */
    public function branch(): ?Field
    {
        $branches = array_filter($this->form->fields, fn (Field $field) => $field->goesOnWith !== null);

        return array_values($branches)[0] ?? null;
    }

    /** Whether what is proposed brings steps of its own, so that nothing below it is next. */
    public function endsTheSheet(): bool
    {
        $branch = $this->branch();

        return $branch !== null && $branch->default !== $branch->goesOnWith;
    }

    /** @return list<string> under which what is wrong with them is told */
    public function names(): array
    {
        return array_map(fn (Field $field) => "sheet.{$this->step->id}.{$field->name}", $this->further());
    }

    /** Asked, and not on the sheet before. */
    private function isNew(Field $field): bool
    {
        return ! $field->isToDo() && ! in_array($field->name, $this->known, true);
    }

    private static function mayStayEmpty(Field $field): bool
    {
        return ! $field->required && ! $field->usual && $field->default === null;
    }
}
