<?php

declare(strict_types=1);

namespace App\Calc;

use Aqbel\Core\InvalidField;

/** One calculation offered to scripts: the same functions the screens use. */
interface Topic
{
    public function name(): string;

    /** One line for `calc --list`. */
    public function summary(): string;

    /**
     * @return array<string, mixed>
     *
     * @throws InvalidField
     */
    public function answer(Input $input): array;
}
