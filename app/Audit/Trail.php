<?php

declare(strict_types=1);

namespace App\Audit;

use App\Models\AuditLine;
use App\Models\Person;

/**
 * Who changed what, when, from what to what. Written in the same transaction as the change; nothing takes a line
 * back.
 */
final class Trail
{
    /**
     * @param  string  $subject  which one: a plate, a name, a rule
     * @param  list<Change>  $changes  those that change nothing are left out; where none is left, no line is written
     */
    public static function note(Person $person, Subject $what, string $subject, array $changes): void
    {
        $real = array_values(array_filter($changes, fn (Change $c) => $c->was !== $c->is));
        if ($real !== []) {
            AuditLine::query()->create([
                'person_id' => $person->id, 'what' => $what, 'subject' => mb_substr($subject, 0, 120),
                'changes' => array_map(fn (Change $c) => [$c->where, $c->was, $c->is], $real), 'at' => now(),
            ]);
        }
    }

    /**
     * What a model is about to change, for `note`. Passwords are never among it.
     *
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     * @return list<Change>
     */
    public static function between(array $before, array $after): array
    {
        unset($after['password'], $after['updated_at'], $after['created_at'], $after['id']);
        $changes = [];
        foreach ($after as $field => $value) {
            $changes[] = new Change($field, self::text($before[$field] ?? null), self::text($value));
        }

        return $changes;
    }

    private static function text(mixed $value): string
    {
        return match (true) {
            $value instanceof \BackedEnum => (string) $value->value,
            $value instanceof \DateTimeInterface => $value->format('Y-m-d H:i'),
            is_bool($value) => $value ? 'yes' : 'no',
            is_scalar($value) => (string) $value,
            $value === null => '',
            default => (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        };
    }
}
