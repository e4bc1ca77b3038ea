<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\RoutineLine;
use Aqbel\Core\Circuit\RoutinePart;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Values;

/**
 * A manual's or a shop's own routine laid out as steps. Its parts take the place of fill and warm-up, each as the step
 * it always is, with its gates and its proofs; the lines between them are gone through with their times.
 */
final readonly class RoutineSteps
{
    /** @var list<RoutineLine> until the engine is first started */
    private array $cold;

    /** @var list<RoutineLine> from there on */
    private array $hot;

    public function __construct(private Circuit $circuit)
    {
        $lines = $circuit->facts->routine;
        $starts = array_search(RoutinePart::Run, array_map(fn (RoutineLine $line) => $line->part, $lines), true);
        $cold = $starts === false ? count($lines) : $starts;
        [$this->cold, $this->hot] = [array_slice($lines, 0, $cold), array_slice($lines, $cold)];
    }

    /** Whether it says more than lines to go through after the fill. */
    public function hasParts(): bool
    {
        return array_filter(
            $this->circuit->facts->routine,
            fn (RoutineLine $line) => $line->part !== RoutinePart::Free,
        ) !== [];
    }

    /** @return list<string> bleed points that it opens before the engine runs, by id */
    public function bleeds(): array
    {
        $ports = array_map(fn (RoutineLine $line) => $line->port($this->circuit)?->id, $this->cold);

        return array_values(array_unique(array_filter($ports, is_string(...))));
    }

    /**
     * From the first pour to the start, in its own order; there is always one fill to the level.
     *
     * @param  list<Step>  $usual  as this circuit is filled otherwise:
     * what opens, bleeds and presses it is taken from there
     * @return list<Step>
     */
    public function filling(array $usual): array
    {
        $byPort = $others = [];
        foreach ($usual as $step) {
            $step->kind === 'bleed' ? $byPort[$step->params->text('port')] = $step : $others[$step->kind] = $step;
        }
        $steps = [];
        foreach ($this->grouped($this->cold) as $lines) {
            $line = $lines[0];
            $port = $line->port($this->circuit);
            $steps[] = match (true) {
                $line->part === RoutinePart::Fill && ! isset($filled) => ($filled = self::said(
                    $others['fill_level'],
                    $line,
                )),
                $port !== null
                    && isset($byPort[$port->id])
                    && ! in_array($byPort[$port->id]->id, self::ids($steps), true) => self::said($byPort[$port->id], $line),
                default => self::through($lines, 'routine', Stage::Fill, $steps),
            };
        }
        $before = array_values(array_intersect_key($others, ['raise' => 0, 'funnel' => 0, 'open_bleeds' => 0]));
        $after = array_values(array_intersect_key($others, ['lower' => 0, 'pressure_test' => 0]));

        return [...$before, ...$steps, ...isset($filled) ? [] : [$others['fill_level']], ...$after];
    }

    /** @return ?list<Step> its runs with what lies between and after them; null where it starts no engine */
    public function rounds(): ?array
    {
        [$steps, $round] = [[], 0];
        foreach ($this->grouped($this->whileItRuns()) as $lines) {
            $line = $lines[0];
            $round += $line->part === RoutinePart::Run ? 1 : 0;
            $port = $line->port($this->circuit);
            $step = match (true) {
                $line->part === RoutinePart::Run => self::said(
                    new Step(
                        "heat_cycle:{$round}",
                        'heat_cycle',
                        Stage::RunHot,
                        new Values(['round' => $round, 'by_routine' => true]),
                    ),
                    $line,
                ),
                $line->part === RoutinePart::Cool => self::said(self::cool($round), $line),
                $line->part === RoutinePart::Level => self::said(self::level($round), $line),
                $port !== null => self::said(self::vent($round, $port), $line),
                default => self::through($lines, "routine:hot{$round}", Stage::RunHot, $steps),
            };
            // Nothing is opened on an engine that has just run under its cap.
            if (
                in_array($step->kind, ['vent_between', 'cold_level'], true)
                && ! in_array("cool_down:{$round}", self::ids($steps), true)
            ) {
                $steps[] = self::cool($round);
            }
            in_array($step->id, self::ids($steps), true) || $steps[] = $step;
        }
        foreach ($round === 0 ? [] : [self::cool($round), self::level($round)] as $end) {
            in_array($end->id, self::ids($steps), true) || $steps[] = $end;
        }

        return $round === 0 ? null : $steps;
    }

    /**
     * What stands behind a run, until something says that the engine is off, is done while it runs: it is said with it.
     *
     * @return list<RoutineLine>
     */
    private function whileItRuns(): array
    {
        [$lines, $runs] = [[], false];
        foreach ($this->hot as $line) {
            $runs = $line->part === RoutinePart::Run
                || ($runs && $line->part === RoutinePart::Free && ! $line->stopsTheEngine());
            if ($runs && $line->part === RoutinePart::Free) {
                $lines[] = array_pop($lines)?->and($line) ?? $line;
            } else {
                $lines[] = $line;
            }
        }

        return $lines;
    }

    /**
     * Lines that are gone through one after the other stand together; each part stands alone.
     *
     * @param  list<RoutineLine>  $lines
     * @return list<non-empty-list<RoutineLine>>
     */
    private function grouped(array $lines): array
    {
        [$groups, $last] = [[], null];
        foreach ($lines as $line) {
            $isFree = $line->part === RoutinePart::Free;
            if ($isFree && $last === true) {
                $groups[count($groups) - 1][] = $line;
            } else {
                $groups[] = [$line];
            }
            $last = $isFree;
        }

        return $groups;
    }

    /**
     * @param  list<RoutineLine>  $lines
     * @param  list<Step>  $before
     */
    private static function through(array $lines, string $id, Stage $stage, array $before): Step
    {
        $same = count(array_filter(self::ids($before), fn (string $one) => str_starts_with($one, $id)));

        return new Step($same === 0 ? $id : "{$id}:".($same + 1), 'routine', $stage, new Values([
            'lines' => array_map(fn (RoutineLine $line) => $line->text, $lines), 'level_follows' => true,
        ]));
    }

    private static function said(Step $step, RoutineLine $line): Step
    {
        return $line->text === ''
            ? $step
            : new Step($step->id, $step->kind, $step->stage, $step->params->with('says', $line->text));
    }

    private static function cool(int $round): Step
    {
        return new Step("cool_down:{$round}", 'cool_down', Stage::Cool);
    }

    private static function level(int $round): Step
    {
        return new Step("cold_level:{$round}", 'cold_level', Stage::Cool, new Values(['round' => $round]));
    }

    private static function vent(int $round, Port $port): Step
    {
        return new Step(
            "vent_between:{$round}:{$port->id}",
            'vent_between',
            Stage::Cool,
            new Values(['round' => $round, 'port' => $port->id]),
        );
    }

    /**
     * @param  list<Step>  $steps
     * @return list<string>
     */
    private static function ids(array $steps): array
    {
        return array_map(fn (Step $step) => $step->id, $steps);
    }
}
