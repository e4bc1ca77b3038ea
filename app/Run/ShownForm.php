<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Saying\Form;

/** A form of the step in hand: whether it stands open, whether it is the one to press, its key, and whether the step may be done with it. */
final readonly class ShownForm
{
    public function __construct(public Form $form, public bool $open, public bool $first, public string $key, public bool $done = false)
    {
    }

    public function bare(): bool
    {
        return $this->form->fields === [];
    }
}
