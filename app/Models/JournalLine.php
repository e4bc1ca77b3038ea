<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One line of a job's journal. Lines are only ever added.
 *
 * @property int $seq
 * @property string $step
 * @property string $form
 * @property array<string, mixed> $values
 * @property array<string, string> $typed
 * @property int $at  when it was entered, Unix seconds
 * @property ?int $arrived  when it came in; null where that is not known
 * @property Person $person
 */
class JournalLine extends Row
{
    public $timestamps = false;

    protected $table = 'journal_lines';

    protected $casts = ['values' => 'array', 'typed' => 'array'];

    protected static function booted(): void
    {
        static::updating(fn () => throw new \LogicException('The journal only grows: write a correcting line.'));
        static::deleting(fn () => throw new \LogicException('The journal only grows: write a withdrawing line.'));
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
