<?php

declare(strict_types=1);

namespace App\Models;

use App\Audit\Subject;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One change of the shop. Lines are only ever added.
 *
 * @property Subject $what
 * @property string $subject
 * @property list<array{string, string, string}> $changes field, before, after
 * @property Carbon $at
 * @property Person $person
 */
class AuditLine extends Row
{
    public $timestamps = false;

    protected $table = 'audit_lines';

    protected $casts = ['what' => Subject::class, 'changes' => 'array', 'at' => 'datetime'];

    protected static function booted(): void
    {
        static::updating(fn () => throw new \LogicException('Who changed what only grows.'));
        static::deleting(fn () => throw new \LogicException('Who changed what only grows.'));
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
