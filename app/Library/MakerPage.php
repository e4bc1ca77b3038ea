<?php

declare(strict_types=1);

namespace App\Library;

use App\Elevation\Picture;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Circuit\Maker\Extra;
use Aqbel\Core\Circuit\Maker\Layout;
use Aqbel\Core\Circuit\Maker\Maker;
use Aqbel\Core\Circuit\Maker\Question;
use Aqbel\Core\Circuit\Maker\QuestionKind;
use Aqbel\Core\InvalidField;
use Aqbel\Core\InvalidFields;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Typed;
use Aqbel\Core\Quantity\UnitSystem;

/** What is asked to make a circuit of a layout, in the reader's units. */
final readonly class MakerPage
{
    private const CHOICES = [
        'cable' => 'Cable',
        'vacuum' => 'Vacuum',
        'electric' => 'Electric motor',
        'none' => 'No valve',
        'other' => 'Something else',
        'no' => 'No',
        'yes' => 'Yes',
    ];

    /** @param  list<Extra>  $has */
    public function __construct(public Layout $layout, private UnitSystem $units, private array $has = [])
    {
    }

    public function maker(): Maker
    {
        return new Maker($this->layout, $this->has);
    }

    /** With everything that such a vehicle may have, so that each can be lit up. */
    public function picture(): Picture
    {
        return new Picture(
            CircuitReader::read((new Maker($this->layout, $this->layout->extras))->document([])),
            asked: array_values(
                array_filter(
                    array_map(fn (MakerField $field) => $field->node, [...$this->manual(), ...$this->heights()]),
                ),
            ),
        );
    }

    /** @return list<MakerField> what the manual says */
    public function manual(): array
    {
        return array_values(
            array_filter($this->fields(), fn (MakerField $field) => $field->kind !== QuestionKind::Height),
        );
    }

    /** @return list<MakerField> what a tape says */
    public function heights(): array
    {
        return array_values(
            array_filter($this->fields(), fn (MakerField $field) => $field->kind === QuestionKind::Height),
        );
    }

    /**
     * @param  array<mixed>  $raw  as typed, by question
     * @return array<string, mixed> in the core's units; what nobody knows is left out
     *
     * @throws InvalidFields
     */
    public function answers(array $raw): array
    {
        [$answers, $wrong] = [[], []];
        foreach ($this->maker()->questions() as $question) {
            $typed = is_string($raw[$question->id] ?? null) ? trim($raw[$question->id]) : '';
            try {
                if ($typed !== '') {
                    $answers[$question->id] = $this->read($question, $typed);
                }
            } catch (\InvalidArgumentException $problem) {
                $wrong[] = new InvalidField("answers.{$question->id}", $problem->getMessage());
            }
        }

        return $wrong === [] ? $answers : throw new InvalidFields($wrong);
    }

    /**
     * What is still the layout's own.
     *
     * @param  array<string, mixed>  $answers
     */
    public function unmeasured(array $answers): string
    {
        $heights = array_filter(
            $this->maker()->questions(),
            fn (Question $question) => $question->kind === QuestionKind::Height,
        );
        $missing = array_filter($heights, fn (Question $question) => ! isset($answers[$question->id]));

        return match (true) {
            $missing === [] => 'Every height that was asked is measured; the plan says how sure its volumes are.',
            count($missing) === count($heights) => 'No height is measured yet: the plan says how unsure that leaves '
                .'it, and what to measure first.',
            default => 'Not measured yet: '
                .implode(', ', array_map(fn (Question $question) => $question->label, $missing))
                .'.',
        };
    }

    /** @return list<MakerField> of the bare layout, then of each thing a vehicle may have besides */
    private function fields(): array
    {
        $fields = [];
        foreach ([null, ...$this->layout->extras] as $extra) {
            foreach ((new Maker($this->layout, $extra === null ? [] : [$extra]))->questions() as $question) {
                $fields[$question->id] ??= new MakerField(
                    $question->id,
                    $question->kind,
                    $question->label,
                    $this->unit($question),
                    $this->usual($question),
                    $question->node,
                    $this->choices($question),
                    $extra->value ?? '',
                );
            }
        }

        return array_values($fields);
    }

    private function read(Question $question, string $typed): mixed
    {
        $dimension = self::dimension($question->kind);
        if ($question->kind === QuestionKind::Lines) {
            return array_values(array_filter(array_map(trim(...), explode("\n", $typed))));
        }

        if ($dimension === null) {
            return $typed;
        }
        $base = Typed::parse(mb_substr($typed, 0, 40), $this->units->unit($dimension))->base;
        if ($base < $question->least || $base > $question->most) {
            $said = fn (float $value): string => $this->units->format($value, $dimension);

            throw new \InvalidArgumentException(
                "{$said($base)} cannot be right here. Enter between {$said($question->least)} and "
                    ."{$said($question->most)}, or leave it out.",
            );
        }

        return $base;
    }

    private function unit(Question $question): string
    {
        $dimension = self::dimension($question->kind);

        return $dimension === null ? '' : $this->units->unit($dimension)->value;
    }

    private function usual(Question $question): string
    {
        $dimension = self::dimension($question->kind);

        return $dimension === null || $question->usual === null
            ? ''
            : $this->units->format($question->usual, $dimension);
    }

    /** @return array<string, string> label by code */
    private function choices(Question $question): array
    {
        $labels = array_map(
            fn (string $code): string => $question->id === 'base'
                ? ucfirst(Glycol::from($code)->label())
                : self::CHOICES[$code] ?? $code,
            $question->choices,
        );

        return array_combine($question->choices, $labels);
    }

    private static function dimension(QuestionKind $kind): ?Dimension
    {
        return match ($kind) {
            QuestionKind::Height, QuestionKind::Length => Dimension::Length,
            QuestionKind::Volume => Dimension::Volume,
            QuestionKind::Pressure => Dimension::Pressure,
            QuestionKind::Temperature => Dimension::Temperature,
            QuestionKind::Torque => Dimension::Torque,
            QuestionKind::Share => Dimension::Fraction,
            QuestionKind::Text, QuestionKind::Lines, QuestionKind::Choice => null,
        };
    }
}
