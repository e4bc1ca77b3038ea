<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Format;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Cover;
use Aqbel\Core\Circuit\Facts;
use Aqbel\Core\Circuit\Gate;
use Aqbel\Core\Circuit\Node;
use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Document;
use Aqbel\Core\Flow\Mesh;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Glycol;

/** Reads the open format `aqbel-circuit/1`. Everything is checked before a circuit exists; complaints carry the path. */
final class CircuitReader
{
    private const MOST_PASSAGES = 200;

    /** Four times the largest circuit that has been met; more would only be slow. */
    private const MOST_CELLS = 20_000;

    private const DEFAULT_WHEELBASE_MM = 2600.0;

    /**
     * @param  array<mixed>  $data  the decoded JSON object
     *
     * @throws InvalidField
     */
    public static function read(array $data): Circuit
    {
        $input = new Document($data);
        if (($data['format'] ?? null) !== Circuit::FORMAT) {
            throw new InvalidField('format', 'This is not a circuit file. format must be “'.Circuit::FORMAT.'”.');
        }
        $name = self::text($data, 'name', 'name', 120) ?? throw new InvalidField('name', 'Give the circuit a name, up to 120 characters.');
        $nodes = self::keyed('nodes', $input->objects('nodes', 2, 2 * self::MOST_PASSAGES), $data['nodes'], self::node(...));
        $covers = self::keyed('covers', $input->objects('covers', 0, self::MOST_PASSAGES), $data['covers'] ?? [], self::cover(...));
        $passages = self::keyed('passages', $input->objects('passages', 1, self::MOST_PASSAGES), $data['passages'],
            fn (Document $in, array $raw, string $path, string $id) => self::passage($in, $raw, $path, $id, $nodes, $covers));
        $gates = self::keyed('gates', $input->objects('gates', 0, self::MOST_PASSAGES), $data['gates'] ?? [],
            fn (Document $in, array $raw, string $path, string $id) => self::gate($in, $raw, $path, $id, $passages));
        $ports = self::keyed('ports', $input->objects('ports', 1, self::MOST_PASSAGES), $data['ports'],
            fn (Document $in, array $raw, string $path, string $id) => self::port($in, $raw, $path, $id, $nodes, $covers));
        $circuit = new Circuit($name, $input->number('wheelbase_mm', 300, 20000, self::DEFAULT_WHEELBASE_MM), $nodes, $passages, $gates, $ports,
            self::facts(is_array($data['facts'] ?? null) ? $data['facts'] : []), $covers);
        self::assertWhole($circuit);

        return $circuit;
    }

    /** @param  array<mixed>  $raw */
    private static function node(Document $in, array $raw, string $path, string $id): Node
    {
        return new Node($id, $in->number('x_mm', -20000, 20000), $in->number('z_mm', 0, 10000), self::text($raw, 'label', $path, 80) ?? $id);
    }

    /**
     * @param  array<mixed>  $raw
     * @param  array<string, Node>  $nodes
     * @param  array<string, Cover>  $covers
     */
    private static function passage(Document $in, array $raw, string $path, string $id, array $nodes, array $covers): Passage
    {
        foreach (['from', 'to'] as $end) {
            if (! is_string($raw[$end] ?? null) || ! isset($nodes[$raw[$end]])) {
                throw new InvalidField("{$path}.{$end}", 'A passage runs between two nodes. Name one that is listed under nodes.');
            }
        }
        if ($raw['from'] === $raw['to']) {
            throw new InvalidField("{$path}.to", 'A passage needs two different ends.');
        }

        return new Passage($id, $raw['from'], $raw['to'], $in->number('volume_ml', 0.1, 500_000),
            $in->choice('kind', Passage::KINDS, 'hose'), self::text($raw, 'label', $path, 80) ?? $id,
            self::behind($in, $path, $covers), self::parts($raw, $path), $in->optionalNumber('torque_nm', 0.1, 500));
    }

    /** @param  array<mixed>  $raw */
    private static function cover(Document $in, array $raw, string $path, string $id): Cover
    {
        return new Cover($id, self::text($raw, 'label', $path, 80) ?? $id, $in->number('minutes', 0, 600, 5), ($raw['needed_to_run'] ?? false) === true);
    }

    /**
     * @param  array<string, Cover>  $covers
     * @return list<string>
     */
    private static function behind(Document $in, string $path, array $covers): array
    {
        $behind = $in->names('behind');
        foreach ($behind as $i => $cover) {
            if (! isset($covers[$cover])) {
                throw new InvalidField("{$path}.behind.{$i}", "There is no cover “{$cover}”. Name one that is listed under covers.");
            }
        }

        return $behind;
    }

    /**
     * @param  array<mixed>  $raw
     * @return list<string>
     */
    private static function parts(array $raw, string $path): array
    {
        $parts = $raw['parts'] ?? [];
        if (! is_array($parts) || ! array_is_list($parts) || count($parts) > 20) {
            throw new InvalidField("{$path}.parts", 'List up to 20 parts, each one line of text.');
        }

        return array_map(fn (int $i) => self::text($parts, (string) $i, "{$path}.parts", 80) ?? throw new InvalidField("{$path}.parts.{$i}", 'Name the part, or leave it out.'), array_keys($parts));
    }

    /**
     * @param  array<mixed>  $raw
     * @param  array<string, Passage>  $passages
     */
    private static function gate(Document $in, array $raw, string $path, string $id, array $passages): Gate
    {
        if (! is_string($raw['passage'] ?? null) || ! isset($passages[$raw['passage']])) {
            throw new InvalidField("{$path}.passage", 'A gate sits in a passage. Name one that is listed under passages.');
        }

        return new Gate($id, $raw['passage'], $in->choice('kind', Gate::KINDS), ($raw['weeps'] ?? false) === true, self::text($raw, 'label', $path, 80) ?? $id);
    }

    /**
     * @param  array<mixed>  $raw
     * @param  array<string, Node>  $nodes
     * @param  array<string, Cover>  $covers
     */
    private static function port(Document $in, array $raw, string $path, string $id, array $nodes, array $covers): Port
    {
        if (! is_string($raw['node'] ?? null) || ! isset($nodes[$raw['node']])) {
            throw new InvalidField("{$path}.node", 'A port sits at a node. Name one that is listed under nodes.');
        }

        return new Port($id, $raw['node'], $in->choice('kind', Port::KINDS), self::text($raw, 'label', $path, 80) ?? $id,
            self::text($raw, 'access', $path, 160) ?? '', self::text($raw, 'tool', $path, 80) ?? '',
            $in->optionalNumber('torque_nm', 0.1, 500), self::text($raw, 'washer', $path, 80) ?? '', self::behind($in, $path, $covers), $in->number('minutes', 0, 600, 4));
    }

    /** @param  array<mixed>  $raw */
    private static function facts(array $raw): Facts
    {
        try {
            $in = new Document($raw);
            $outlets = $in->names('outlets');

            return new Facts(
                $in->optionalNumber('cap_kpa', 0, 400), $in->optionalNumber('thermostat_start_c', 30, 120), $in->optionalNumber('thermostat_full_c', 30, 130),
                self::text($raw, 'thermostat_far_side', 'facts', 80) ?? 'upper radiator hose',
                $in->optionalNumber('fan_on_c', 30, 140), $in->optionalNumber('fan_off_c', 30, 140), $in->optionalNumber('limit_c', 50, 150),
                Glycol::from($in->choice('base', array_map(fn (Glycol $b) => $b->value, Glycol::cases()), Glycol::Ethylene->value)),
                self::text($raw, 'inhibitor', 'facts', 80) ?? '', $in->number('target_fraction', 0, 0.7, 0.5),
                $in->choice('neck', ['pressurised_tank', 'radiator_cap'], 'pressurised_tank'),
                self::text($raw, 'cold_level', 'facts', 120) ?? 'the cold mark',
                $in->number('cold_head_mm', -500, 500, 0), self::text($raw, 'heater_drive', 'facts', 40) ?? 'cable',
                isset($raw['outlets']) ? $outlets : ['front'], self::text($raw, 'source', 'facts', 160) ?? 'not stated',
                $in->optionalNumber('capacity_ml', 100, 500_000), ($raw['stationary'] ?? false) === true,
            );
        } catch (InvalidField $invalid) {
            throw str_starts_with($invalid->field, 'facts') ? $invalid : $invalid->within('facts');
        }
    }

    /** Every passage must hang together with the fill port, and every drain must have something above it to let out. */
    private static function assertWhole(Circuit $circuit): void
    {
        $cells = 0.0;
        foreach ($circuit->passages as $passage) {
            $rise = abs($circuit->nodes[$passage->to]->zMm - $circuit->nodes[$passage->from]->zMm);
            $cells += max(1.0, $rise / Mesh::CELL_MM, $passage->volumeMl / Mesh::CELL_ML);
        }
        if ($cells > self::MOST_CELLS) {
            throw new InvalidField('passages', 'This is larger than any circuit this model is made for, 400 L or 100 m of rise in all. Check the units: volumes are in mL, heights in mm.');
        }
        $reached = [$circuit->fillPort()->node => true];
        do {
            $before = count($reached);
            foreach ($circuit->passages as $passage) {
                if (isset($reached[$passage->from]) || isset($reached[$passage->to])) {
                    $reached[$passage->from] = $reached[$passage->to] = true;
                }
            }
        } while (count($reached) > $before);
        foreach (array_values($circuit->passages) as $i => $passage) {
            if (! isset($reached[$passage->from])) {
                throw new InvalidField("passages.{$i}", "“{$passage->label}” is not connected to the circuit of the fill port. Join one of its ends.");
            }
        }
        foreach (array_values($circuit->ports) as $i => $port) {
            if (! isset($reached[$port->node])) {
                throw new InvalidField("ports.{$i}.node", "“{$port->label}” sits at a node that no passage of the fill port’s circuit reaches.");
            }
        }
    }

    /**
     * @template T
     *
     * @param  list<Document>  $inputs
     * @param  array<mixed>  $rawList
     * @param  callable(Document, array<mixed>, string, string): T  $make
     * @return array<string, T>
     */
    private static function keyed(string $list, array $inputs, array $rawList, callable $make): array
    {
        $made = [];
        foreach ($inputs as $i => $input) {
            $raw = $rawList[$i];
            $id = $raw['id'] ?? null;
            if (! is_string($id) || ! preg_match('/^[A-Za-z0-9_-]{1,40}$/', $id)) {
                throw new InvalidField("{$list}.{$i}.id", 'Give an id of letters, digits, _ or -, up to 40 characters.');
            }
            if (isset($made[$id])) {
                throw new InvalidField("{$list}.{$i}.id", "The id “{$id}” is used twice. Ids must differ.");
            }
            $made[$id] = $make($input, $raw, "{$list}.{$i}", $id);
        }

        return $made;
    }

    /** @param  array<mixed>  $raw */
    private static function text(array $raw, string $name, string $path, int $most): ?string
    {
        $value = $raw[$name] ?? null;
        if ($value === null || $value === '') {
            return null;
        }
        if (! is_string($value) || ! mb_check_encoding($value, 'UTF-8') || mb_strlen($value) > $most || preg_match('/[\x00-\x1F]/', $value)) {
            throw new InvalidField("{$path}.{$name}", "{$name} must be one line of text, up to {$most} characters.");
        }

        return trim($value);
    }
}
