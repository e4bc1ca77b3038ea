<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\CloseUp;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\DrainsInTurn;
use Aqbel\Core\Judged\DripFound;
use Aqbel\Core\Judged\TakenOff;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\ConditionSeen;
use Aqbel\Core\Observed\DripSeen;
use Aqbel\Core\Observed\OilCause;
use Aqbel\Core\Plan\LeftBehind;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Steps\Checklist;

/** Stage 4: everything that was opened is closed, and what is needed to run is back. */
final class CloseUp extends Checklist
{
    /** Before the id of a point that is ticked as shut. */
    private const DRAIN = 'drain_';

    public function name(): string
    {
        return 'close_up';
    }

    protected function doing(): array
    {
        return [Does::ClosesUp];
    }

    public function title(Situation $at): string
    {
        return 'Close up';
    }

    public function why(Situation $at): string
    {
        return 'A clamp off its mark or a thermostat the wrong way round looks like air for the rest of the day.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Hand on every joint that was opened, then tick it. Clamps back on their paint marks.',
            'Torques are the manual’s; where none is given, by feel.',
        ];
    }

    /** Where nothing was opened, and nothing has to be put back. */
    public function goesByItself(Situation $at): bool
    {
        return $this->items($at) === [];
    }

    /** What is ticked as shut stands open no more, whatever its own step says. */
    public function ports(Situation $at): array
    {
        $shut = [];
        foreach (array_keys($this->ticked($at)) as $item) {
            if (str_starts_with($item, self::DRAIN)) {
                $shut[substr($item, strlen(self::DRAIN))] = PortState::Closed;
            }
        }

        return $shut;
    }

    protected function items(Situation $at): array
    {
        return array_diff_key(
            Plan::of($at)->materials($at->circuit())->toCloseUp($at->units) + self::openedToo($at),
            self::leftShut($at),
        )
            + self::toPutBack($at)
            + self::toFit($at)
            + self::toMend($at)
            + self::toWipe($at)
            + self::leftOpen($at);
    }

    /** @return array<string, string> drain points that were not on the plan, by item */
    private static function openedToo(Situation $at): array
    {
        [$materials, $items] = [Plan::of($at)->materials($at->circuit()), []];
        foreach ($at->job->stepsOf('drain') as $step) {
            $items += $materials->drainShut($at->circuit()->port($step->params->text('port')), $at->units);
        }

        return $items;
    }

    /** @return array<string, string> what came off for a flush or where nobody planned it, by item */
    private static function toPutBack(Situation $at): array
    {
        $items = [];
        foreach (TakenOff::all($at->job) as $off) {
            $items[$off->item][$off->label()] = true;
        }

        return array_map(
            fn (array $labels) => 'Back on, clamps on their marks: '.lcfirst(implode(', ', array_keys($labels))),
            $items,
        );
    }

    /** @return array<string, string> parts that are fitted because of what was found, by item */
    private static function toFit(Situation $at): array
    {
        $seen = $at->job->observedAnywhere(ConditionSeen::class);
        $any = fn (\Closure $needs): bool => array_filter($seen, $needs) !== [];

        return array_filter([
            'new_hose' => $any(fn (ConditionSeen $it) => $it->needsHose()) ? 'New hose fitted' : null,
            'new_clamps' => $any(fn (ConditionSeen $it) => $it->needsClamps()) ? 'New clamps fitted' : null,
            'new_cap' => $any(fn (ConditionSeen $it) => $it->needsCap()) ? 'New cap fitted' : null,
        ]);
    }

    /** @return array<string, string> what has to be mended before it is filled, by item */
    private static function toMend(Situation $at): array
    {
        $found = DripFound::by($at->job->observedAnywhere(DripSeen::class));
        $oil = OilCause::toMend($at->job->observedAnywhere(OilCause::class));

        return array_filter([
            'drip' => $found->places === [] ? null : 'Mended: '.implode('; ', $found->toMend()),
            'gas' => $found->gas ? 'Mended: '.DripSeen::GAS_GETS_IN : null,
            'oil' => $oil === [] ? null : 'Mended: '.implode(', ', $oil),
        ]);
    }

    /**
     * @return array<string, string> where what ran down the engine would smoke, slip or boil off once it runs, by item
     */
    private static function toWipe(Situation $at): array
    {
        $onTheWay = array_filter(
            $at->job->observedAnywhere(CameOut::class),
            fn (CameOut $out) => $out->isLost()
                && ($at->job->steps[$out->told()->step] ?? $at->step)->stage->value <= $at->step->stage->value,
        );

        return $onTheWay === [] ? [] : ['wiped' => 'Belts, plugs and exhaust rinsed and wiped dry where it ran'];
    }

    /**
     * Points that were not opened: nothing is tightened there.
     *
     * @return array<string, true> by item
     */
    private static function leftShut(Situation $at): array
    {
        $shut = array_filter($at->job->stepsOf('drain'), fn (Step $step) => DrainsInTurn::isLeftShut($at->job, $step));

        return array_fill_keys(array_map(fn (Step $step) => self::DRAIN.$step->params->text('port'), $shut), true);
    }

    /**
     * What a job before this one left open, and no step of this one opens and closes.
     *
     * @return array<string, string>
     */
    private static function leftOpen(Situation $at): array
    {
        $left = Plan::of($at)->choices->left;
        $own = array_map(fn (Step $step) => $step->params->text('port'), $at->job->steps);
        $items = [];
        foreach (array_diff($left->open ?? [], $own) as $port) {
            $label = $at->circuit()->ports[$port]->label ?? null;
            if ($label !== null) {
                $items[LeftBehind::TICK.$port] = "{$label}, left open by {$left?->job}: closed";
            }
        }

        return $items;
    }
}
