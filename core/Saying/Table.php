<?php

declare(strict_types=1);

namespace Aqbel\Core\Saying;

/** Numbers a step lays side by side, already in the person's units. */
final readonly class Table
{
    /**
     * @param  list<string>  $head
     * @param  list<list<string>>  $rows  the first cell names the row
     * @param  bool  $isLabel  whether it is written on a can: day and job are added where both are known
     * @param  ?int  $marked  the row that is recommended or stands out
     */
    public function __construct(
        public string $caption,
        public array $head,
        public array $rows,
        public ?int $marked = null,
        public string $note = '',
        public bool $isLabel = false,
    ) {
    }
}
