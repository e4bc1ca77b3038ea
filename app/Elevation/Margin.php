<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PassageKind;

/** The names beside a drawing: large parts, pockets of air and the cold level, spread so that no two overlap. */
final readonly class Margin
{
    private const LABEL_LINE = 17.0;

    /** A name is broken after so many letters. */
    private const LETTERS = 12;

    private const DATUM_TEXT = 'cold level';

    /** @param  list<PocketLabel>  $pockets  each with a line to the passage that holds most of it */
    public function __construct(private Drawing $drawing, private Circuit $circuit, private array $pockets)
    {
    }

    /** @return list<Label> names of the large parts in the margins, spread so that no two overlap */
    public function labels(): array
    {
        $wanted = [];
        foreach ($this->largeParts() as $label => $middle) {
            $wanted[] = [Label::PART, explode("\n", wordwrap($label, self::LETTERS, "\n")), $middle];
        }
        foreach ($this->pockets as $pocket) {
            $largest = $pocket->air->byPart($this->circuit)[0] ?? null;
            if ($largest !== null) {
                $wanted[] = [
                    Label::POCKET,
                    explode("\n", wordwrap($pocket->text, self::LETTERS, "\n")),
                    $this->drawing->middle($this->circuit->passages[$largest->part->id]),
                ];
            }
        }
        $datum = $this->drawing->datum() - self::LABEL_LINE / 2.0;
        $left = array_filter($wanted, fn (array $one) => $one[2][0] < Drawing::WIDTH / 2.0);
        $right = array_filter($wanted, fn (array $one) => $one[2][0] >= Drawing::WIDTH / 2.0);

        return [
            ...$this->column([...$left, [Label::SPACE, [''], [0.0, $datum]]], true),
            ...$this->column([...$right, [Label::DATUM, [self::DATUM_TEXT], [Drawing::WIDTH, $datum]]], false),
        ];
    }

    /**
     * @param  list<array{string, list<string>, array{float, float}}>  $wanted  kind, lines, and where it leads
     * @return list<Label>
     */
    private function column(array $wanted, bool $left): array
    {
        usort($wanted, fn (array $a, array $b) => $a[2][1] <=> $b[2][1]);
        $tall = array_map(
            fn (array $one) => count($one[1]) * self::LABEL_LINE + ($one[0] === Label::SPACE ? 10.0 : 6.0),
            $wanted,
        );
        $labels = [];
        foreach (self::spread(
            array_map(fn (array $one) => $one[2][1], $wanted),
            $tall,
            $this->drawing->height - 8.0,
        ) as $i => $top) {
            [$kind, $lines, $to] = $wanted[$i];
            $from = [
                $left ? Drawing::GUTTER - 8.0 : Drawing::WIDTH - Drawing::GUTTER + 8.0, round($top + $tall[$i] / 2.0 - 3.0, 1),
            ];
            $labels[] = new Label(
                $kind,
                $lines,
                $left ? 4.0 : Drawing::WIDTH - 4.0,
                round($top + self::LABEL_LINE - 3.0, 1),
                $left ? 'start' : 'end',
                $from,
                $to,
            );
        }

        return $labels;
    }

    /** @return array<string, array{float, float}> middle of each large part by its name */
    private function largeParts(): array
    {
        $parts = [];
        foreach ($this->circuit->passages as $passage) {
            $large = [
                PassageKind::Radiator, PassageKind::Heater, PassageKind::Tank, PassageKind::Cooler, PassageKind::Block,
            ];
            if (in_array($passage->kind, $large, true)) {
                $parts[$passage->label] ??= $this->drawing->middle($passage);
            }
        }

        return $parts;
    }

    /**
     * @param  list<float>  $wanted  height of the middle of each, rising
     * @param  list<float>  $tall  of each
     * @return list<float> top of each
     */
    private static function spread(array $wanted, array $tall, float $bottom): array
    {
        $tops = [];
        $free = 4.0;
        foreach ($wanted as $i => $middle) {
            $tops[] = max($free, $middle - $tall[$i] / 2.0);
            $free = $tops[$i] + $tall[$i];
        }
        for ($i = count($tops) - 1; $i >= 0; $i--) {
            $tops[$i] = min($tops[$i], $bottom - $tall[$i]);
            $bottom = $tops[$i];
        }

        return array_values($tops);
    }
}
