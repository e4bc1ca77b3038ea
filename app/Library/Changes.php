<?php

declare(strict_types=1);

namespace App\Library;

use App\Audit\Change;

/** What differs between two revisions of a circuit document, item by item. */
final class Changes
{
    private const LISTS = ['nodes', 'passages', 'gates', 'ports', 'covers'];

    /** Units as a field's name carries them, and as they are written. */
    private const UNITS = ['ml' => 'mL', 'mm' => 'mm', 'nm' => 'N·m', 'kpa' => 'kPa', 'c' => '°C'];

    private const NOTHING = '–';

    /**
     * @param  array<mixed>  $before
     * @param  array<mixed>  $after
     * @return list<Change>
     */
    public static function between(array $before, array $after): array
    {
        $changes = self::fields(
            '',
            array_diff_key($before, array_flip([...self::LISTS, 'facts'])),
            array_diff_key($after, array_flip([...self::LISTS, 'facts'])),
        );
        foreach (self::LISTS as $list) {
            [$was, $is] = [self::byId($before[$list] ?? []), self::byId($after[$list] ?? [])];
            foreach (array_keys($was + $is) as $id) {
                $name = self::nameOf($is[$id] ?? $was[$id], (string) $id);
                array_push($changes, ...self::item(ucfirst($list).": {$name}", $was[$id] ?? null, $is[$id] ?? null));
            }
        }

        return [
            ...$changes,
            ...self::fields('Vehicle facts: ', self::map($before['facts'] ?? []), self::map($after['facts'] ?? [])),
        ];
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
                $changes[] = new Change(
                    $where.self::label((string) $field),
                    self::say($was[$field] ?? null),
                    self::say($is[$field] ?? null),
                );
            }
        }

        return $changes;
    }

    /** A field of the open format as a reader would say it: `volume_ml` is the volume in mL. */
    private static function label(string $field): string
    {
        $words = explode('_', $field);
        $unit = count($words) > 1 ? self::UNITS[end($words)] ?? null : null;
        $name = implode(' ', $unit === null ? $words : array_slice($words, 0, -1));

        return $unit === null ? $name : "{$name}, {$unit}";
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
