<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/**
 * A form of the step in hand: whether it stands open, whether it is the one to press, its key, and whether the step
 * may be done with it.
 */
final readonly class ShownForm
{
    /** More of them are several rows of presses. */
    private const MOST_CHOICES = 6;

    public function __construct(
        public Form $form,
        public bool $open,
        public bool $first,
        public string $key,
        public bool $done = false,
    ) {
    }

    public function docked(): bool
    {
        return $this->bare() ? $this->form->main || $this->form->closes : $this->open && $this->first;
    }

    /** A choice that stands as it usually is folds away behind what is asked first. */
    public function folds(Field $field): bool
    {
        return $field !== $this->fields()[0];
    }

    /** @return list<Field> what is asked besides what its press answers */
    public function fields(): array
    {
        return array_values(array_filter($this->form->fields, fn (Field $field) => ! $field->answers));
    }

    /** Whether the press itself tells that the step is done with it, and another leaves it open. */
    public function offersBoth(): bool
    {
        return $this->done && ! $this->form->closes;
    }

    /** Whether it offers so many choices at once that it would cover what is to be done before it. */
    public function isTall(): bool
    {
        $offered = $this->open ? array_filter($this->fields(), fn (Field $field) => ! $this->folds($field)) : [];

        return array_filter($offered, fn (Field $field) => count($field->choices) > self::MOST_CHOICES) !== [];
    }

    public function bare(): bool
    {
        return $this->form->fields === [];
    }
}
