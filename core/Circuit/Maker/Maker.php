<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Maker;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\Format\Vocabulary;
use Aqbel\Core\Circuit\HeaterDrive;
use Aqbel\Core\Circuit\KnownBy;
use Aqbel\Core\Circuit\Node;
use Aqbel\Core\Document;
use Aqbel\Core\InvalidField;

/**
 * From a layout, what the manual and a tape say, and what the vehicle has, to a checked circuit. What nobody said is
 * the layout's, with a ± as wide as such vehicles differ; of facts that nobody said there are none.
 */
final readonly class Maker
{
    /** A tape is held to no more than this. */
    public const MOST_HEIGHTS = 8;

    /** So far from the layout's own a height may stand that nobody measured, mm (common practice, no source). */
    private const UNMEASURED_MM = 40.0;

    /** One between measured ones, as by eye, mm (common practice, no source). */
    private const BETWEEN_MM = 25.0;

    /** One that is fixed to another: so much, and so much of what is between them, mm (common practice, no source). */
    private const FIXED_MM = 5.0;

    private const FIXED = 0.1;

    /** Of a volume of a layout, as a share (common practice, no source). */
    private const VOLUME = 0.10;

    private const NAME_LETTERS = 120;

    /** So many times higher or lower than usual, a height is in another unit (common practice, no source). */
    private const UNLIKE = 4.0;

    /** What never comes before the other. */
    private const IN_ORDER = [
        ['thermostat_start_c', 'thermostat_full_c'],
        ['fan_off_c', 'fan_on_c'],
        ['thermostat_full_c', 'limit_c'],
    ];

    /** What has an upper and a lower pipe. */
    private const UPRIGHT = ['radiator', 'cooler', 'heater', 'tank'];

    private Sketch $sketch;

    /**
     * @param  list<Extra>  $has
     */
    public function __construct(private Layout $layout, array $has = [])
    {
        $this->sketch = $layout->sketch($has);
    }

    /** @return list<Question> heights last */
    public function questions(): array
    {
        return [...$this->ofTheManual(), ...array_slice($this->heights(), 0, self::MOST_HEIGHTS)];
    }

    /** @return list<Question> */
    private function ofTheManual(): array
    {
        $own = $this->sketch->facts();
        $questions = [
            new Question('name', QuestionKind::Text, 'What it is called'),
            self::fact('capacity_ml', QuestionKind::Volume, 'Capacity', $this->sketch->capacityMl()),
            self::fact('cap_kpa', QuestionKind::Pressure, 'Cap opens at'),
            ...! isset($this->sketch->gates()['thermostat'])
                ? []
                : [
                    self::fact('thermostat_start_c', QuestionKind::Temperature, 'Thermostat starts to open'),
                    self::fact('thermostat_full_c', QuestionKind::Temperature, 'Thermostat is fully open'),
                    new Question(
                        'jiggle_pin',
                        QuestionKind::Choice,
                        'Thermostat lets air through while shut, by a jiggle pin',
                        choices: ['no', 'yes'],
                    ),
                ],
            ...array_key_exists('fan_on_c', $own)
                ? []
                : [
                    self::fact('fan_on_c', QuestionKind::Temperature, 'Fan comes on'),
                    self::fact('fan_off_c', QuestionKind::Temperature, 'Fan goes off'),
                ],
            self::fact('limit_c', QuestionKind::Temperature, 'Never hotter than'),
            self::fact('base', QuestionKind::Choice, 'Coolant base'),
            self::fact('inhibitor', QuestionKind::Text, 'Coolant, its inhibitor'),
            self::fact('target_fraction', QuestionKind::Share, 'Mixture wanted'),
            self::fact('cold_level', QuestionKind::Text, 'Cold level, as the manual calls it'),
            new Question(
                'below_neck_mm',
                QuestionKind::Length,
                'Cold level, so far below the neck',
                0,
                Vocabulary::of(Vocabulary::FACTS, 'cold_head_mm')->most,
                usual: is_numeric($own['cold_head_mm'] ?? null) ? -$own['cold_head_mm'] : 0.0,
            ),
            ...$own['outlets'] === []
                ? []
                : [self::fact('heater_drive', QuestionKind::Choice, 'Heater valve is moved by')],
        ];
        $torque = Vocabulary::of('ports', 'torque_nm');
        foreach ($this->sketch->ports() as $id => $port) {
            if ($port['kind'] !== 'fill') {
                $questions[] = new Question(
                    "torque_{$id}",
                    QuestionKind::Torque,
                    "{$port['label']}, torque",
                    $torque->least,
                    $torque->most,
                    $port['node'],
                );
            }
        }

        return [
            ...$questions,
            self::fact('routine', QuestionKind::Lines, 'The manual’s own filling routine, a line each'),
            self::fact('source', QuestionKind::Text, 'Manual and page'),
        ];
    }

    /** A fact of the format, within the format's own bounds. */
    private static function fact(string $name, QuestionKind $kind, string $label, ?float $usual = null): Question
    {
        $fact = Vocabulary::of(Vocabulary::FACTS, $name);

        return new Question($name, $kind, $label, $fact->least, $fact->most, choices: $fact->choices, usual: $usual);
    }

    /**
     * The circuit as a document of the open format.
     *
     * @param  array<mixed>  $answers  by question; those left out, and null, are “do not know”
     * @return array<string, mixed>
     *
     * @throws InvalidField naming the question
     */
    public function document(array $answers): array
    {
        $in = new Document(array_filter($answers, fn (mixed $answer) => $answer !== null && $answer !== ''), '');
        // A tape that was held to more points than are asked is no worse for it.
        $asked = [...$this->ofTheManual(), ...$this->heights()];
        self::assertKnown($in, $asked);
        $read = [];
        foreach ($asked as $question) {
            $read[$question->id] = $this->read($question, $in);
        }
        self::assertInOrder($read);
        $this->assertUpright($read);
        $document = [
            'format' => Circuit::FORMAT,
            'name' => $read['name'] ?? $this->layout->title,
            'wheelbase_mm' => $this->sketch->wheelbaseMm,
            'nodes' => $this->nodes($read),
            'passages' => $this->passages($read),
            'gates' => $this->gates($read),
            'ports' => $this->ports($read),
            'facts' => $this->facts($read),
        ];
        try {
            CircuitReader::read($document);
        } catch (InvalidField $tooLarge) {
            // What a layout is made of is whole; only what it is scaled to can be too much.
            throw new InvalidField('capacity_ml', $tooLarge->getMessage());
        }

        return $document;
    }

    /**
     * @param  array<string, float|string|list<string>|null>  $read
     *
     * @throws InvalidField
     */
    private static function assertInOrder(array $read): void
    {
        foreach (self::IN_ORDER as [$first, $then]) {
            [$low, $high] = [$read[$first] ?? null, $read[$then] ?? null];
            if (is_float($low) && is_float($high) && $low >= $high) {
                $label = fn (string $name): string => Vocabulary::of(Vocabulary::FACTS, $name)->label;
                throw new InvalidField(
                    $then,
                    "“{$label($then)}” must lie above “{$label($first)}”. Are the two swapped?",
                );
            }
        }
    }

    /**
     * An upper pipe that stands below its lower one is two fields swapped.
     *
     * @param  array<string, float|string|list<string>|null>  $read
     *
     * @throws InvalidField
     */
    private function assertUpright(array $read): void
    {
        $nodes = $this->sketch->nodes();
        foreach ($this->sketch->passages() as $passage) {
            [$upper, $lower] = $nodes[$passage['from']]->z > $nodes[$passage['to']]->z
                    ? [$passage['from'], $passage['to']]
                    : [$passage['to'], $passage['from']];
            [$top, $bottom] = [$read["z_{$upper}"] ?? null, $read["z_{$lower}"] ?? null];
            if (
                in_array($passage['kind'], self::UPRIGHT, true)
                && is_float($top)
                && is_float($bottom)
                && $top < $bottom
            ) {
                throw new InvalidField(
                    "z_{$upper}",
                    "“{$nodes[$upper]->ask}” would stand below “{$nodes[$lower]->ask}”. Are the two swapped?",
                );
            }
        }
    }

    /** @param  list<Question>  $asked */
    private static function assertKnown(Document $in, array $asked): void
    {
        $known = array_map(fn (Question $question) => $question->id, $asked);
        foreach (array_keys($in->toArray()) as $name) {
            if (! in_array($name, $known, true)) {
                throw new InvalidField(
                    (string) $name,
                    'Nothing of that name is asked here. It asks: '.implode(', ', $known).'.',
                );
            }
        }
    }

    /** @return list<Question> */
    private function heights(): array
    {
        $heights = [];
        foreach ($this->sketch->nodes() as $id => $node) {
            if ($node->ask !== null) {
                $heights[] = new Question(
                    "z_{$id}",
                    QuestionKind::Height,
                    $node->ask,
                    $node->z / self::UNLIKE,
                    self::UNLIKE * $node->z,
                    $id,
                    usual: $node->z,
                );
            }
        }

        return $heights;
    }

    /** @return float|string|list<string>|null null: nobody knows */
    private function read(Question $question, Document $in): float|string|array|null
    {
        if (! $in->has($question->id)) {
            return null;
        }

        return match ($question->kind) {
            QuestionKind::Text => $in->line(
                $question->id,
                $question->most > 0.0 ? (int) $question->most : self::NAME_LETTERS,
            ),
            QuestionKind::Lines => $in->lines(
                $question->id,
                30,
                160,
                'A routine has up to 30 lines.',
                'Each line is text, up to 160 letters.',
            ),
            QuestionKind::Choice => $question->choices === [] ? null : $in->choice($question->id, $question->choices),
            default => $in->number($question->id, $question->least, $question->most),
        };
    }

    /**
     * @param  array<string, float|string|list<string>|null>  $read
     * @return list<array<string, mixed>>
     */
    private function nodes(array $read): array
    {
        $nodes = [];
        foreach ($this->sketch->nodes() as $id => $node) {
            $measured = $read["z_{$id}"] ?? null;
            [$z, $plusMinus] = is_float($measured) ? [$measured, Node::TAPE_MM] : $this->follows($node, $read);
            $nodes[] = [
                'id' => $id,
                'x_mm' => $node->x,
                'z_mm' => max(0.0, round($z, 1)),
                'label' => $node->label,
                'plus_minus_mm' => $plusMinus,
                'known_by' => (is_float($measured) ? KnownBy::Tape : KnownBy::Layout)->value,
                ...! is_float($measured) && $this->isFixed($node) ? ['follows' => $node->follows[0]] : [],
            ];
        }

        return $nodes;
    }

    /**
     * Where a node stands that nobody measured: as much higher than in the layout as those it follows, in between as
     * near to each as it is there.
     *
     * @param  array<string, float|string|list<string>|null>  $read
     * @return array{float, float} mm, and ±
     */
    private function follows(SketchNode $node, array $read): array
    {
        $all = $this->sketch->nodes();
        $shifts = array_filter(
            array_map(fn (string $id): ?float => $this->shift($id, $read), $node->follows),
            is_float(...),
        );
        $fixedMm = $this->isFixed($node)
            ? self::FIXED_MM + self::FIXED * abs($node->z - $all[$node->follows[0]]->z)
            : null;
        $between = count($shifts) === count($node->follows) && $shifts !== [] ? self::BETWEEN_MM : self::UNMEASURED_MM;

        return [$node->z + ($this->shiftOf($node, $read) ?? 0.0), $fixedMm ?? $between];
    }

    /**
     * How much higher a node stands than in the layout, mm; null where nobody measured it, nor what it follows.
     *
     * @param  array<string, float|string|list<string>|null>  $read
     */
    private function shift(string $id, array $read): ?float
    {
        $node = $this->sketch->nodes()[$id] ?? null;
        $measured = $read["z_{$id}"] ?? null;

        return match (true) {
            $node === null => null,
            is_float($measured) => $measured - $node->z,
            default => $this->shiftOf($node, $read),
        };
    }

    /** @param  array<string, float|string|list<string>|null>  $read */
    private function shiftOf(SketchNode $node, array $read): ?float
    {
        $known = [];
        foreach ($node->follows as $id) {
            $shift = $this->shift($id, $read);
            if ($shift !== null) {
                $known[] = [$this->sketch->nodes()[$id]->z, $shift];
            }
        }
        if ($known === []) {
            return null;
        }
        [[$low, $shift], [$high, $shiftThere]] = [$known[0], $known[count($known) - 1]];
        $share = $high === $low ? 0.0 : max(0.0, min(1.0, ($node->z - $low) / ($high - $low)));

        return $shift + $share * ($shiftThere - $shift);
    }

    private function isFixed(SketchNode $node): bool
    {
        return count($node->follows) === 1 && isset($this->sketch->nodes()[$node->follows[0]]);
    }

    /**
     * @param  array<string, float|string|list<string>|null>  $read
     * @return list<array<string, mixed>>
     */
    private function passages(array $read): array
    {
        $times = is_float($read['capacity_ml']) ? $read['capacity_ml'] / $this->sketch->capacityMl() : 1.0;
        $passages = [];
        foreach ($this->sketch->passages() as $id => $passage) {
            $passages[] = [
                'id' => $id,
                'from' => $passage['from'],
                'to' => $passage['to'],
                'volume_ml' => round($times * $passage['ml'], 1),
                'kind' => $passage['kind'],
                'label' => $passage['label'],
                'plus_minus' => self::VOLUME,
                'known_by' => KnownBy::Layout->value,
            ];
        }

        return $passages;
    }

    /**
     * @param  array<string, float|string|list<string>|null>  $read
     * @return list<array<string, mixed>>
     */
    private function gates(array $read): array
    {
        $gates = [];
        foreach ($this->sketch->gates() as $id => $gate) {
            if ($gate['kind'] !== 'heater_valve' || ($read['heater_drive'] ?? null) !== HeaterDrive::None->value) {
                $answer = $id === 'thermostat' ? $read['jiggle_pin'] ?? null : null;
                $gates[] = ['id' => $id, ...$gate, ...match (true) {
                    $id !== 'thermostat' => [],
                    $answer === null => ['known_by' => KnownBy::Layout->value],
                    default => ['weeps' => $answer === 'yes', 'known_by' => KnownBy::Manual->value],
                }];
            }
        }

        return $gates;
    }

    /**
     * @param  array<string, float|string|list<string>|null>  $read
     * @return list<array<string, mixed>>
     */
    private function ports(array $read): array
    {
        $ports = [];
        foreach ($this->sketch->ports() as $id => $port) {
            $torque = $read["torque_{$id}"] ?? null;
            $ports[] = ['id' => $id, ...$port, ...$torque === null ? [] : ['torque_nm' => $torque]];
        }

        return $ports;
    }

    /**
     * @param  array<string, float|string|list<string>|null>  $read
     * @return array<string, mixed>
     */
    private function facts(array $read): array
    {
        $facts = $this->sketch->facts();
        foreach (
            [
                'capacity_ml',
                'cap_kpa',
                'thermostat_start_c',
                'thermostat_full_c',
                'fan_on_c',
                'fan_off_c',
                'limit_c',
                'base',
                'inhibitor',
                'target_fraction',
                'cold_level',
                'heater_drive',
                'routine',
                'source',
            ] as $name
        ) {
            if (($read[$name] ?? null) !== null) {
                $facts[$name] = $read[$name];
            }
        }
        if (is_float($read['below_neck_mm'])) {
            $facts['cold_head_mm'] = -$read['below_neck_mm'];
        }

        return array_filter($facts, fn (mixed $fact) => $fact !== null);
    }
}
