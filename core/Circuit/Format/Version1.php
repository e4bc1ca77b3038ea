<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Format;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Cover;
use Aqbel\Core\Circuit\Facts;
use Aqbel\Core\Circuit\Gate;
use Aqbel\Core\Circuit\GateKind;
use Aqbel\Core\Circuit\HeaterDrive;
use Aqbel\Core\Circuit\KnownBy;
use Aqbel\Core\Circuit\NeckType;
use Aqbel\Core\Circuit\Node;
use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Circuit\PassageKind;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Circuit\RoutineLine;
use Aqbel\Core\Circuit\RoutinePart;
use Aqbel\Core\Document;
use Aqbel\Core\Flow\Mesh;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Glycol;

/**
 * Reads `aqbel-circuit/1`. Strictly, everything is checked before a circuit exists and complaints carry the path; for a
 * document that was stored under earlier rules, what today's rules would refuse is taken as it is or left out.
 */
final readonly class Version1
{
    /** Of a manual's own routine. */
    private const MOST_LINES = 30;

    private const MOST_LETTERS = 160;

    private const MOST_PASSAGES = 200;

    /** Every drain and bleed point is tried on every cell: more than this holds a worker over two seconds. */
    private const MOST_WORK = 200_000;

    /** Four times the largest circuit that has been met; more would only be slow. */
    private const MOST_CELLS = 20_000;

    private const DEFAULT_WHEELBASE_MM = 2600.0;

    /** @param  array<mixed>  $data  the decoded JSON object */
    public function __construct(private array $data, private bool $strict)
    {
    }

    /** @throws InvalidField when strict; else only where no circuit can be made of it */
    public function circuit(): Circuit
    {
        $data = $this->data;
        $nodes = $this->keyed('nodes', 2, 2 * self::MOST_PASSAGES, $this->node(...));
        $covers = $this->keyed('covers', 0, self::MOST_PASSAGES, $this->cover(...));
        $passages = $this->keyed('passages', 1, self::MOST_PASSAGES,
            fn (Document $in, string $path, string $id) => $this->passage($in, $path, $id, $nodes, $covers));
        $gates = $this->keyed('gates', 0, self::MOST_PASSAGES,
            fn (Document $in, string $path, string $id) => $this->gate($in, $path, $id, $passages));
        $ports = $this->keyed('ports', 1, self::MOST_PASSAGES,
            fn (Document $in, string $path, string $id) => $this->port($in, $path, $id, $nodes, $covers));
        $in = $this->document($data);
        $name = $this->text($in, Vocabulary::CIRCUIT, 'name') ?? (
            $this->strict ? throw new InvalidField('name', 'Give the circuit a name, up to 120 characters.') : 'Circuit'
        );
        $facts = $this->facts(is_array($data['facts'] ?? null) ? $data['facts'] : []);
        $circuit = new Circuit(
            $name,
            $this->number($in, Vocabulary::CIRCUIT, 'wheelbase_mm', self::DEFAULT_WHEELBASE_MM),
            $nodes,
            $passages,
            $gates,
            $ports,
            $facts,
            $covers,
        );
        if ($this->strict) {
            self::assertWhole($circuit);
        }

        return $circuit;
    }

    private function node(Document $in, string $path, string $id): Node
    {
        self::assertKnownBy($in);

        return new Node(
            $id,
            $this->number($in, 'nodes', 'x_mm'),
            $this->number($in, 'nodes', 'z_mm'),
            $in->line('label', 80) ?? $id,
            $this->number($in, 'nodes', 'plus_minus_mm', Node::TAPE_MM),
            $in->line('follows', 80),
        );
    }

    /**
     * @param  array<string, Node>  $nodes
     * @param  array<string, Cover>  $covers
     */
    private function passage(Document $in, string $path, string $id, array $nodes, array $covers): Passage
    {
        $ends = array_map(
            fn (string $end): string => $in->oneOf(
                $end,
                $nodes,
                'A passage runs between two nodes. Name one that is listed under nodes.',
            ),
            ['from', 'to'],
        );
        self::assertKnownBy($in);
        if ($ends[0] === $ends[1]) {
            throw new InvalidField("{$path}.to", 'A passage needs two different ends.');
        }

        return new Passage(
            $id,
            $ends[0],
            $ends[1],
            $this->number($in, 'passages', 'volume_ml'),
            PassageKind::from($in->choice('kind', array_column(PassageKind::cases(), 'value'), 'hose')),
            $in->line('label', 80) ?? $id,
            $this->behind($in, $path, $covers),
            $this->parts($in),
            $this->optional($in, 'passages', 'torque_nm'),
            $this->number($in, 'passages', 'plus_minus', Passage::USUAL),
        );
    }

    /** Made from a layout, and not measured since: what its file says nothing of, nobody has looked at either. */
    private function isOfALayout(): bool
    {
        $passages = array_filter(
            is_array($this->data['passages'] ?? null) ? $this->data['passages'] : [],
            is_array(...),
        );

        return in_array(KnownBy::Layout->value, array_column($passages, 'known_by'), true);
    }

    /** Whence a figure is known changes nothing that is computed: how well it is known is its ±. */
    private static function assertKnownBy(Document $in): void
    {
        if ($in->has('known_by')) {
            $in->choice('known_by', array_column(KnownBy::cases(), 'value'));
        }
    }

    private function cover(Document $in, string $path, string $id): Cover
    {
        return new Cover(
            $id,
            $in->line('label', 80) ?? $id,
            $this->number($in, 'covers', 'minutes', 5),
            $in->isTrue('needed_to_run'),
        );
    }

    /**
     * @param  array<string, Cover>  $covers
     * @return list<string>
     */
    private function behind(Document $in, string $path, array $covers): array
    {
        $behind = $in->names('behind');
        foreach ($this->strict ? $behind : [] as $i => $cover) {
            if (! isset($covers[$cover])) {
                throw new InvalidField(
                    "{$path}.behind.{$i}",
                    "There is no cover “{$cover}”. Name one that is listed under covers.",
                );
            }
        }

        return array_values(array_filter($behind, fn (string $cover) => isset($covers[$cover])));
    }

    /** @return list<string> */
    private function parts(Document $in): array
    {
        return $in->lines(
            'parts',
            20,
            80,
            'List up to 20 parts, each one line of text.',
            'Name the part, or leave it out.',
        );
    }

    /** @param  array<string, Passage>  $passages */
    private function gate(Document $in, string $path, string $id, array $passages): Gate
    {
        $passage = $in->oneOf(
            'passage',
            $passages,
            'A gate sits in a passage. Name one that is listed under passages.',
        );

        self::assertKnownBy($in);
        $kind = GateKind::from($in->choice('kind', array_column(GateKind::cases(), 'value')));
        $sure = $in->has('known_by')
            ? $in->choice('known_by', array_column(KnownBy::cases(), 'value')) !== KnownBy::Layout->value
            : $kind !== GateKind::Thermostat || ! $this->isOfALayout();

        return new Gate($id, $passage, $kind, $in->isTrue('weeps'), $in->line('label', 80) ?? $id, $sure);
    }

    /**
     * @param  array<string, Node>  $nodes
     * @param  array<string, Cover>  $covers
     */
    private function port(Document $in, string $path, string $id, array $nodes, array $covers): Port
    {
        $node = $in->oneOf('node', $nodes, 'A port sits at a node. Name one that is listed under nodes.');

        return new Port(
            $id,
            $node,
            PortKind::from($in->choice('kind', array_column(PortKind::cases(), 'value'))),
            $in->line('label', 80) ?? $id,
            $this->text($in, 'ports', 'access') ?? '',
            $this->text($in, 'ports', 'tool') ?? '',
            $this->optional($in, 'ports', 'torque_nm'),
            $this->text($in, 'ports', 'washer') ?? '',
            $this->behind($in, $path, $covers),
            $this->number($in, 'ports', 'minutes', 4),
        );
    }

    /** @param  array<mixed>  $raw */
    private function facts(array $raw): Facts
    {
        $in = $this->document($raw, 'facts.');

        return new Facts(
            $this->optional($in, Vocabulary::FACTS, 'cap_kpa'),
            $this->optional($in, Vocabulary::FACTS, 'thermostat_start_c'),
            $this->optional($in, Vocabulary::FACTS, 'thermostat_full_c'),
            $this->text($in, Vocabulary::FACTS, 'thermostat_far_side') ?? 'upper radiator hose',
            $this->optional($in, Vocabulary::FACTS, 'fan_on_c'),
            $this->optional($in, Vocabulary::FACTS, 'fan_off_c'),
            $this->optional($in, Vocabulary::FACTS, 'limit_c'),
            Glycol::from($in->choice('base', array_column(Glycol::cases(), 'value'), Glycol::Ethylene->value)),
            $this->text($in, Vocabulary::FACTS, 'inhibitor') ?? '',
            $this->number($in, Vocabulary::FACTS, 'target_fraction', 0.5),
            NeckType::from(
                $in->choice('neck', array_column(NeckType::cases(), 'value'), NeckType::PressurisedTank->value),
            ),
            $this->text($in, Vocabulary::FACTS, 'cold_level') ?? 'the cold mark',
            $this->number($in, Vocabulary::FACTS, 'cold_head_mm', 0),
            HeaterDrive::tryFrom($in->line('heater_drive', 40) ?? HeaterDrive::Cable->value) ?? HeaterDrive::Other,
            isset($raw['outlets']) ? $in->names('outlets') : ['front'],
            $this->text($in, Vocabulary::FACTS, 'source') ?? 'not stated',
            $this->optional($in, Vocabulary::FACTS, 'capacity_ml'),
            $in->isTrue('stationary'),
            array_map(RoutineLine::of(...), $in->lines(
                'routine',
                self::MOST_LINES,
                self::MOST_LETTERS,
                'A routine has up to '.self::MOST_LINES.' lines. Put what belongs together into one.',
                'Each line of the routine is text, up to '.self::MOST_LETTERS.' letters. Shorten it.',
            )),
            $in->isTrue('high_voltage'),
        );
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
            throw new InvalidField(
                'passages',
                'This is larger than any circuit this model is made for, 400 L or 100 m of rise in all. Check the '
                    .'units: volumes are in mL, heights in mm.',
            );
        }
        $points = count($circuit->portIds(PortKind::Drain)) + count($circuit->portIds(PortKind::Bleed));
        if ($cells * $points > self::MOST_WORK) {
            $most = (int) floor(self::MOST_WORK / $cells);
            throw new InvalidField(
                'ports',
                "A circuit of this size may have {$most} drain and bleed points, this one has {$points}. "
                    .'Leave out those that are never used.',
            );
        }
        foreach (array_values($circuit->nodes) as $i => $node) {
            if ($node->follows !== null && ! isset($circuit->nodes[$node->follows])) {
                throw new InvalidField(
                    "nodes.{$i}.follows",
                    "There is no node “{$node->follows}” to follow. Name one that is listed under nodes.",
                );
            }
        }
        foreach ($circuit->facts->routine as $i => $line) {
            if ($line->part === RoutinePart::Bleed && $line->port($circuit) === null) {
                throw new InvalidField(
                    "facts.routine.{$i}",
                    "There is no bleed point “{$line->point}”. Name one by its id, or as it is called.",
                );
            }
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
                throw new InvalidField(
                    "passages.{$i}",
                    "“{$passage->label}” is not connected to the circuit of the fill port. Join one of its ends.",
                );
            }
        }
        foreach (array_values($circuit->ports) as $i => $port) {
            if (! isset($reached[$port->node])) {
                throw new InvalidField(
                    "ports.{$i}.node",
                    "“{$port->label}” sits at a node that no passage of the fill port’s circuit reaches.",
                );
            }
        }
    }

    private function number(Document $in, string $list, string $name, ?float $default = null): float
    {
        $fact = Vocabulary::of($list, $name);

        return $in->number($name, $fact->least, $fact->most, $default);
    }

    private function optional(Document $in, string $list, string $name): ?float
    {
        $fact = Vocabulary::of($list, $name);

        return $in->optionalNumber($name, $fact->least, $fact->most);
    }

    private function text(Document $in, string $list, string $name): ?string
    {
        return $in->line($name, (int) Vocabulary::of($list, $name)->most);
    }

    /**
     * @template T
     *
     * @param  callable(Document, string, string): T  $make
     * @return array<string, T>
     */
    private function keyed(string $list, int $least, int $most, callable $make): array
    {
        $made = [];
        foreach ($this->document($this->data)->objects($list, $least, $most) as $i => $in) {
            try {
                $id = $in->id();
                if (isset($made[$id])) {
                    throw new InvalidField("{$list}.{$i}.id", "The id “{$id}” is used twice. Ids must differ.");
                }
                $made[$id] = $make($in, "{$list}.{$i}", $id);
            } catch (InvalidField $broken) {
                if ($this->strict) {
                    throw $broken;
                }
            }
        }

        return $made;
    }

    /** @param  array<mixed>  $data */
    private function document(array $data, string $path = ''): Document
    {
        return new Document($data, $path, lenient: ! $this->strict);
    }
}
