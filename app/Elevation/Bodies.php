<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Circuit\PassageKind;
use Aqbel\Core\Flow\Runs;

/** The passages of a circuit that are bodies to look at; every other one is a tube. */
final readonly class Bodies
{
    private const STANDS = 0.35;

    public function __construct(private Circuit $circuit, private Scale $scale, private ?Runs $runs)
    {
    }

    /** @return list<Body> */
    public function all(): array
    {
        $engine = $this->engine();

        return array_values(array_filter([
            $engine,
            ...array_map(fn (Passage $one) => $this->radiator($one, $engine), $this->of(PassageKind::Radiator)),
            ...array_map($this->heater(...), $this->joined($this->of(PassageKind::Heater))),
            ...array_map($this->tank(...), [...$this->of(PassageKind::Tank), ...$this->of(PassageKind::Recovery)]),
            ...array_map($this->cooler(...), $this->of(PassageKind::Cooler)),
        ]));
    }

    /** @return list<Passage> */
    private function of(PassageKind $kind): array
    {
        return array_values(array_filter($this->circuit->passages, fn (Passage $passage) => $passage->kind === $kind));
    }

    private function engine(): ?Body
    {
        return (new EngineBody($this->scale, $this->runs))->of(
            $this->of(PassageKind::Block),
            $this->of(PassageKind::Head),
        );
    }

    private function cell(Passage $passage, float $x, float $width, bool $level = false): Cell
    {
        return Cell::of($passage, $this->scale, $this->runs, $x, $width, $level);
    }

    private function radiator(Passage $passage, ?Body $engine): Body
    {
        $height = abs($this->scale->node($passage->from)[1] - $this->scale->node($passage->to)[1]);
        $width = max(
            30.0,
            min(
                52.0,
                sqrt(($passage->volumeMl * 1000.0) / max(1.0, $height / $this->scale->unit) / 5.0) * $this->scale->unit,
            ),
        );
        $middle = $this->scale->middle($passage);

        return $this->around(
            Body::RADIATOR,
            $passage->label,
            [$this->cell($passage, $middle - $width / 2.0, $width)],
            0.0,
            $engine === null || $engine->middle() > $middle,
        );
    }

    /** @param  non-empty-list<Passage>  $passages  that hang together */
    private function heater(array $passages): Body
    {
        usort($passages, fn (Passage $a, Passage $b) => $this->scale->middle($a) <=> $this->scale->middle($b));
        $middle = array_sum(array_map($this->scale->middle(...), $passages)) / count($passages);
        $width = max(22.0, 46.0 / count($passages));
        $left = $middle - $width * count($passages) / 2.0;
        $cells = [];
        foreach ($passages as $i => $passage) {
            $cells[] = $this->cell($passage, $left + $i * $width, $width);
        }

        return $this->around(Body::HEATER, $passages[0]->label, $cells, 4.0);
    }

    private function tank(Passage $passage): Body
    {
        $height = abs($this->scale->node($passage->from)[1] - $this->scale->node($passage->to)[1]);
        $width = max(
            40.0,
            min(
                96.0,
                sqrt(($passage->volumeMl * 1000.0) / max(1.0, $height / $this->scale->unit)) * $this->scale->unit,
            ),
        );

        return $this->around(
            Body::TANK,
            $passage->label,
            [$this->cell($passage, $this->scale->middle($passage) - $width / 2.0, $width)],
            0.0,
        );
    }

    private function cooler(Passage $passage): Body
    {
        [$from, $to] = [$this->scale->node($passage->from), $this->scale->node($passage->to)];
        $level = abs($from[1] - $to[1]) < self::STANDS * abs($from[0] - $to[0]);
        $width = max($level ? 0.0 : 44.0, abs($from[0] - $to[0]));

        return $this->around(
            Body::COOLER,
            $passage->label,
            [$this->cell($passage, $this->scale->middle($passage) - $width / 2.0, $width, $level)],
            4.0,
        );
    }

    /** @param  non-empty-list<Cell>  $cells */
    private function around(string $kind, string $label, array $cells, float $wall, bool $fanBehind = true): Body
    {
        $left = min(array_map(fn (Cell $cell) => $cell->x, $cells)) - $wall;
        $top = min(array_map(fn (Cell $cell) => $cell->y, $cells)) - $wall;
        $right = max(array_map(fn (Cell $cell) => $cell->x + $cell->width, $cells)) + $wall;
        $bottom = max(array_map(fn (Cell $cell) => $cell->y + $cell->height, $cells)) + $wall;

        return new Body(
            $kind,
            $label,
            round($left, 1),
            round($top, 1),
            round($right - $left, 1),
            round($bottom - $top, 1),
            $cells,
            0.0,
            $fanBehind,
        );
    }

    /**
     * @param  list<Passage>  $passages
     * @return list<non-empty-list<Passage>> those that share a node together
     */
    private function joined(array $passages): array
    {
        $groups = [];
        foreach ($passages as $passage) {
            foreach ($groups as $g => $group) {
                $shares = array_filter(
                    $group,
                    fn (Passage $other) => array_intersect(
                        [$passage->from, $passage->to],
                        [$other->from, $other->to],
                    ) !== [],
                );
                if ($shares !== []) {
                    $groups[$g][] = $passage;

                    continue 2;
                }
            }
            $groups[] = [$passage];
        }

        return $groups;
    }
}
