<?php

declare(strict_types=1);

namespace App\Library;

/** What differs between two revisions of a circuit document, item by item. */
final class Changes
{
    private const LISTS = ['nodes', 'passages', 'gates', 'ports', 'covers'];

    private const NOTHING = '–';

    /**
     * @param  array<mixed>  $before
     * @param  array<mixed>  $after
     * @return list<Change>
     */
    public static function between(array $before, array $after): array
    {
        $changes = self::fields('', array_diff_key($before, array_flip([...self::LISTS, 'facts'])), array_diff_key($after, array_flip([...self::LISTS, 'facts'])));
        foreach (self::LISTS as $list) {
            [$was, $is] = [self::byId($before[$list] ?? []), self::byId($after[$list] ?? [])];
            foreach (array_keys($was + $is) as $id) {
                $name = self::nameOf($is[$id] ?? $was[$id], (string) $id);
                array_push($changes, ...self::item("{$list}: {$name}", $was[$id] ?? null, $is[$id] ?? null));
            }
        }

        return [...$changes, ...self::fields('facts: ', self::map($before['facts'] ?? []), self::map($after['facts'] ?? []))];
    }

    /**
     * @param  ?array<mixed>  $was
     * @param  ?array<mixed>  $is
     * @return list<Change>
     */
    private static function item(string $where, ?array $was, ?array $is): array
    {
        return match (true) {
            $was === null => [new Change($where, self::NOTHING, 'added')],
            $is === null => [new Change($where, 'there', 'removed')],
            default => self::fields("{$where}, ", $was, $is),
        };
    }

    /**
     * @param  array<mixed>  $was
     * @param  array<mixed>  $is
     * @return list<Change>
     */
    private static function fields(string $where, array $was, array $is): array
    {
        $changes = [];
        foreach (array_keys($was + $is) as $field) {
            if (self::say($was[$field] ?? null) !== self::say($is[$field] ?? null)) {
                $changes[] = new Change($where.$field, self::say($was[$field] ?? null), self::say($is[$field] ?? null));
            }
        }

        return $changes;
    }

    private static function say(mixed $value): string
    {
        return match (true) {
            $value === null, $value === '', $value === [] => self::NOTHING,
            is_bool($value) => $value ? 'yes' : 'no',
            is_int($value) || is_float($value) => (string) (float) $value,
            is_string($value) => $value,
            default => (string) json_encode($value, JSON_UNESCAPED_UNICODE),
        };
    }

    /** @return array<string, array<mixed>> */
    private static function byId(mixed $items): array
    {
        $byId = [];
        foreach (self::map($items) as $item) {
            if (is_array($item) && is_string($item['id'] ?? null)) {
                $byId[$item['id']] = $item;
            }
        }

        return $byId;
    }

    /** @param  array<mixed>  $item */
    private static function nameOf(array $item, string $id): string
    {
        return is_string($item['label'] ?? null) && $item['label'] !== '' ? $item['label'] : $id;
    }

    /** @return array<mixed> */
    private static function map(mixed $value): array
    {
        return is_array($value) ? $value : [];
    }
}
