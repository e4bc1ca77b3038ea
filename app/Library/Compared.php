<?php

declare(strict_types=1);

namespace App\Library;

use App\Audit\Change;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\InvalidField;

/** A circuit of ours beside one that came from elsewhere, part by part. */
final readonly class Compared
{
    private const LISTS = [
        'nodes' => 'Node',
        'passages' => 'Passage',
        'gates' => 'Gate',
        'ports' => 'Point',
        'covers' => 'Cover',
    ];

    /** What stands in the document itself. */
    private const OWN = ['name', 'wheelbase_mm'];

    /**
     * @param  array<mixed>  $ours
     * @param  array<mixed>  $theirs  that has been read
     */
    public function __construct(public array $ours, public array $theirs)
    {
    }

    /** @return list<Difference> in the order of the format */
    public function differences(): array
    {
        $differences = [];
        foreach (self::LISTS as $list => $what) {
            [$ours, $theirs] = [self::byId($this->ours, $list), self::byId($this->theirs, $list)];
            foreach (array_keys($ours + $theirs) as $id) {
                $changes = Changes::between(
                    [$list => array_filter([$ours[$id] ?? null])],
                    [$list => array_filter([$theirs[$id] ?? null])],
                );
                $label = ($theirs[$id] ?? $ours[$id])['label'] ?? $id;
                $changes === []
                    || ($differences[] = new Difference(
                        "{$list}.{$id}",
                        "{$what}: ".(is_string($label) ? $label : $id),
                        $changes,
                    ));
            }
        }
        foreach ([...$this->fields('facts'), ...$this->fields('')] as $key => $changes) {
            $differences[] = new Difference($key, $changes[0]->where, $changes);
        }

        return $differences;
    }

    /**
     * Ours with some parts as theirs are.
     *
     * @param  list<string>  $keys  of differences
     * @return array<mixed>
     *
     * @throws InvalidField on `take`, where what is chosen does not go together
     */
    public function taking(array $keys): array
    {
        $made = $this->ours;
        foreach ($this->differences() as $difference) {
            if (! in_array($difference->key, $keys, true)) {
                continue;
            }
            [$list, $id] = [...explode('.', $difference->key, 2), ''];
            if (isset(self::LISTS[$list])) {
                $made[$list] = self::put($made[$list] ?? [], $id, self::byId($this->theirs, $list)[$id] ?? null);
            } elseif ($list === 'facts') {
                $facts = is_array($made['facts'] ?? null) ? $made['facts'] : [];
                $theirs = is_array($this->theirs['facts'] ?? null) ? $this->theirs['facts'] : [];
                $made['facts'] = array_key_exists($id, $theirs)
                    ? [...$facts, $id => $theirs[$id]]
                    : array_diff_key($facts, [$id => 0]);
            } else {
                $made = array_key_exists($list, $this->theirs)
                    ? [...$made, $list => $this->theirs[$list]]
                    : array_diff_key($made, [$list => 0]);
            }
        }
        try {
            CircuitReader::read($made);
        } catch (InvalidField $refused) {
            throw new InvalidField(
                'take',
                'These do not go together, '
                    ."at {$refused->field}: {$refused->getMessage()} Take what belongs to it too, or neither.",
            );
        }

        return $made;
    }

    /**
     * Nobody changed meanwhile what would be changed now.
     *
     * @param  array<mixed>  $shown  ours as it stood on the page
     * @param  ?list<string>  $keys  of the differences that are taken; null for all
     *
     * @throws InvalidField on `$field`
     */
    public function assertStillAs(array $shown, string $field, ?array $keys = null): void
    {
        foreach ((new self($shown, $this->ours))->differences() as $moved) {
            foreach ($this->differences() as $difference) {
                if ($difference->key === $moved->key && in_array($moved->key, $keys ?? [$moved->key], true)) {
                    throw new InvalidField(
                        $field,
                        "{$moved->part} was changed meanwhile by somebody else, "
                            ."from {$moved->changes[0]->was} to {$moved->changes[0]->is}. Nothing was stored: "
                            .'look at both, and send yours again if it is to stand.',
                    );
                }
            }
        }
    }

    /** @return array<string, non-empty-list<Change>> */
    private function fields(string $under): array
    {
        $of = fn (array $document): array => $under === ''
            ? array_intersect_key($document, array_flip(self::OWN))
            : (is_array($document[$under] ?? null)
                ? $document[$under]
                : []);
        [$ours, $theirs] = [$of($this->ours), $of($this->theirs)];
        $fields = [];
        foreach (array_keys($ours + $theirs) as $name) {
            $wrap = fn (array $own): array => $under === ''
                ? array_intersect_key($own, [$name => 0])
                : [$under => array_intersect_key($own, [$name => 0])];
            $changes = Changes::between($wrap($ours), $wrap($theirs));
            if ($changes !== []) {
                $fields[$under === '' ? (string) $name : "{$under}.{$name}"] = $changes;
            }
        }

        return $fields;
    }

    /**
     * @param  ?array<mixed>  $item  null: it goes
     * @return list<mixed>
     */
    private static function put(mixed $items, string $id, ?array $item): array
    {
        $items = array_values(is_array($items) ? $items : []);
        $place = array_search(
            $id,
            array_map(fn (mixed $one) => is_array($one) ? $one['id'] ?? null : null, $items),
            true,
        );
        if ($place === false) {
            return $item === null ? $items : [...$items, $item];
        }
        array_splice($items, (int) $place, 1, $item === null ? [] : [$item]);

        return $items;
    }

    /**
     * @param  array<mixed>  $document
     * @return array<string, array<mixed>>
     */
    private static function byId(array $document, string $list): array
    {
        $byId = [];
        foreach (is_array($document[$list] ?? null) ? $document[$list] : [] as $item) {
            if (is_array($item) && is_string($item['id'] ?? null)) {
                $byId[$item['id']] = $item;
            }
        }

        return $byId;
    }
}
