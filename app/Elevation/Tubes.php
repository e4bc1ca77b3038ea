<?php

declare(strict_types=1);

namespace App\Elevation;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\GateKind;
use Aqbel\Core\Circuit\Passage;
use Aqbel\Core\Flow\Runs;

/** The passages that are no bodies, as curves that are never higher or lower than the nodes at their ends. */
final readonly class Tubes
{
    /** How far a curve leaves its end level, as a share of the way along. */
    private const BEND = 0.5;

    /** So far along its passage a thermostat is drawn. */
    private const SEAT = 0.12;

    private const NARROWEST = 4.0;

    private const WIDEST = 15.0;

    private const SHORTEST_MM = 40.0;

    /** @var list<list<Tube>> those that meet at a tee together: they share one outline */
    public array $groups;

    /** @var array<string, true> passages that are bodies */
    private array $inBodies;

    /** @var array<string, true> nodes that a body has */
    private array $atBodies;

    /** @param  list<Body>  $bodies */
    public function __construct(private Circuit $circuit, private Scale $scale, private ?Runs $runs, array $bodies)
    {
        $cells = array_merge(...array_map(fn (Body $body) => $body->cells, $bodies), ...[[]]);
        $this->inBodies = array_fill_keys(array_map(fn (Cell $cell) => $cell->passage, $cells), true);
        $nodes = [];
        foreach (array_intersect_key($circuit->passages, $this->inBodies) as $passage) {
            $nodes += [$passage->from => true, $passage->to => true];
        }
        $this->atBodies = $nodes;
        $this->groups = $this->grouped();
    }

    /** @return list<list<Tube>> the widest first, so that thin ones lie over them */
    private function grouped(): array
    {
        $tees = [];
        foreach ($this->passages() as $passage) {
            foreach ([$passage->from, $passage->to] as $node) {
                $tees[$node][] = $passage->id;
            }
        }
        $group = [];
        foreach ($tees as $node => $meeting) {
            if (! isset($this->atBodies[$node])) {
                $old = array_intersect_key($group, array_flip($meeting));
                $to = $old === [] ? $node : reset($old);
                foreach ($group as $passage => $is) {
                    $group[$passage] = in_array($is, $old, true) ? $to : $is;
                }
                $group = array_fill_keys($meeting, $to) + $group;
            }
        }
        $groups = [];
        foreach ($this->passages() as $passage) {
            $groups[$group[$passage->id] ?? $passage->id][] = $this->tube($passage);
        }
        usort($groups, fn (array $a, array $b) => self::widest($a) <=> self::widest($b));

        return array_reverse($groups);
    }

    /** @return list<array{float, float}> where thermostats sit: at the end that their passage is cut at */
    public function thermostats(): array
    {
        $at = [];
        foreach ($this->circuit->gates as $gate) {
            if ($gate->kind === GateKind::Thermostat) {
                $passage = $this->circuit->passages[$gate->passage];
                [$from, $to] = [$this->scale->node($passage->from), $this->scale->node($passage->to)];
                $at[] = [
                    round($from[0] + self::SEAT * ($to[0] - $from[0]), 1),
                    round($from[1] + (self::SEAT / 3.0) * ($to[1] - $from[1]), 1),
                ];
            }
        }

        return $at;
    }

    /** @param  non-empty-list<Tube>  $tubes */
    private static function widest(array $tubes): float
    {
        return max(array_map(fn (Tube $tube) => $tube->bore, $tubes));
    }

    /** @return array<string, Passage> */
    private function passages(): array
    {
        return array_diff_key($this->circuit->passages, $this->inBodies);
    }

    private function tube(Passage $passage): Tube
    {
        [$a, $b] = [$this->circuit->nodes[$passage->from], $this->circuit->nodes[$passage->to]];
        $lengthMm = max(self::SHORTEST_MM, hypot($a->xMm - $b->xMm, $a->zMm - $b->zMm));
        $bore = 2.0 * sqrt($passage->volumeMl * 1000.0 / $lengthMm / M_PI) * $this->scale->unit;
        [$from, $to] = [$this->scale->node($passage->from), $this->scale->node($passage->to)];
        $bend = self::BEND * ($to[0] - $from[0]);
        $path = sprintf(
            'M%s %s C%s %s %s %s %s %s',
            $from[0],
            $from[1],
            round($from[0] + $bend, 1),
            $from[1],
            round($to[0] - $bend, 1),
            $to[1],
            $to[0],
            $to[1],
        );

        return new Tube(
            $passage->id,
            $path,
            round(max(self::NARROWEST, min(self::WIDEST, $bore)), 1),
            $this->runs?->of($passage->id) ?? [],
        );
    }
}
