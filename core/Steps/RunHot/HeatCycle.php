<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Mix\MixCoolant;
use Aqbel\Core\Steps\Prepare\Baseline;
use Aqbel\Core\Steps\StepKind;

/** Stage 8: run it hot, and prove thermostat, fan, heater, bubbles and level. */
final class HeatCycle extends StepKind
{
    private const COLD_AIR_C = 35.0;

    /** Heater air that counts as really hot (common practice, no source). */
    private const HOT_AIR_C = 55.0;

    private const THERMOSTAT_GAP_C = 30.0;

    private const PASSED_GAP_C = 15.0;

    public const NECKS = ['sealed' => 'Sealed under its cap', 'resting' => 'Cap resting', 'open' => 'Open', 'funnel' => 'Under a funnel'];

    public function name(): string
    {
        return 'heat_cycle';
    }

    public function title(Situation $at): string
    {
        return 'Heat cycle '.$at->param('round');
    }

    public function why(Situation $at): string
    {
        $limit = StopLimitAtNeck::of($at, $this->neck($at) ?? 'open');
        $fan = $limit->fanCanProve() ? '' : ' That is below fan-on, so the fan cannot be the proof: the thermostat and the heater are.';

        return "Only a hot, moving circuit gives its air up. Shut down at {$at->degrees($limit->limit->degC())}: {$limit->because}.{$fan}";
    }

    public function instructions(Situation $at): array
    {
        return [
            'Heater on maximum, A/C off, blower low. Idle five to ten minutes before any revs.',
            "Probe on the {$at->facts()->thermostatFarSide}; temperature from a live reading, not the dash.",
            'Read every few minutes. Short lifts to 2000 rpm only below the limit, with level and heater good.',
            'Outlets really hot, fan on and off '.($at->rules()->fanCycles === 2 ? 'twice' : "{$at->rules()->fanCycles} times").', no bubbles after a blip: then shut off.',
            'Shut off at once for steam, a warning lamp, a new drip, or the temperature climbing with the heater blowing cold.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Exhaust, Hazard::Moving, Hazard::Scald];
    }

    public function forms(Situation $at): array
    {
        if (! $at->has('start')) {
            return [new Form('start', 'Engine is running', [
                Field::choice('place', 'It runs', ['outdoors' => 'Outdoors', 'extraction' => 'On exhaust extraction', 'closed' => 'In the closed shop'], 'extraction'),
                Field::choice('neck', 'Neck', self::NECKS, $at->facts()->neck === 'pressurised_tank' ? 'sealed' : 'funnel'),
            ])];
        }
        if ($at->has('shut_off')) {
            return [];
        }
        $forms = [new Form('reading', 'Record reading', [
            Field::temperature('ect', 'Coolant, live'),
            Field::temperature('far', 'Far side: '.$at->facts()->thermostatFarSide),
            ...array_map(fn (string $outlet) => Field::temperature("outlet_{$outlet}", "Outlet air, {$outlet}", true, -40, 120), $at->facts()->outlets),
            Field::choice('bubbles', 'Bubbles', ['none' => 'None for a minute', 'some' => 'Some', 'bursts' => 'Bursts', 'hidden' => 'Cannot see, sealed'], $this->neck($at) === 'sealed' ? 'hidden' : 'some'),
            Field::choice('sign', 'Anything wrong', ['none' => 'Nothing', 'steam' => 'Steam', 'lamp' => 'Warning lamp', 'drip' => 'New drip', 'rough' => 'Runs rough'], 'none'),
        ])];
        $forms[] = $this->fanRuns($at) ? new Form('fan_off', 'Fan went off', [], false) : new Form('fan_on', 'Fan came on', [], false);
        if ($this->neck($at) !== 'sealed') {
            $forms[] = new Form('topped', 'Record top-up', [...$this->vesselFields($at, 'volume', 'Topped up, glasses and rag', 'Measuring jug, 0.1 L marks'), MixCoolant::liquidField($at)], false);
        }
        $off = new Form('shut_off', 'Engine is off', [], $at->has('reading'));

        return $this->judge($at)?->tone === 'stop' ? [$off, ...$forms] : [...$forms, $off];
    }

    public function tables(Situation $at): array
    {
        return $at->has('reading') ? Baseline::comparison($at) : [];
    }

    /** @param  array<string, mixed>  $values */
    public function admit(Situation $at, string $form, array $values): void
    {
        if ($form === 'start' && $values['place'] === 'closed') {
            throw new InvalidField('place', 'Never in a closed shop: exhaust kills before it is smelt. Push it outdoors or connect the extraction, then start.');
        }
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return $entry->form !== 'topped' ? [] : [new Line('Topped up, running', $entry->number('volume') ?? 0.0, $at->rules()->plusMinusMl($entry->text('vessel')), MixCoolant::liquidFraction($at, $entry))];
    }

    public function obstacles(Situation $at): array
    {
        return match (true) {
            ! $at->has('start') => [Obstacle::missing('Say where it runs and how the neck stands.')],
            ! $at->has('reading') => [Obstacle::missing('Record at least one reading.')],
            ! $at->has('shut_off') => [Obstacle::never('The engine is still running. Shut it off first.')],
            default => [],
        };
    }

    public function figure(Situation $at): Figure
    {
        $limit = StopLimitAtNeck::of($at, $this->neck($at) ?? 'open');

        return new Figure('Coolant', $at->last('reading')?->number('ect'), Dimension::Temperature, Figure::MEASURED, $limit->limit->degC(), 'shut down');
    }

    public function clock(Situation $at): ?Clock
    {
        $start = $at->last('start');

        return $start === null || $at->has('shut_off') ? null : new Clock('A warm-up takes about twenty minutes', $start->at, $start->at + 1200, true);
    }

    public function judge(Situation $at): ?Verdict
    {
        $last = $at->last('reading');
        if ($last === null) {
            return null;
        }
        $danger = $this->danger($at, $last);
        if ($danger !== null) {
            return $danger;
        }
        $missing = $this->missingProofs($at);

        return $missing === []
            ? Verdict::pass('Proven', 'Thermostat, heater'.(StopLimitAtNeck::of($at, $this->neck($at) ?? 'open')->fanCanProve() ? ', fan' : '').' and bubbles all say the same.')
            : Verdict::wait($at->has('shut_off') ? 'Another cycle' : 'Not proven yet', 'Still to show: '.implode('; ', $missing).'.');
    }

    /** Whether this cycle showed everything the vehicle can show. */
    public function proven(Situation $at): bool
    {
        $last = $at->last('reading');

        return $last !== null && $this->missingProofs($at) === [] && $this->danger($at, $last) === null;
    }

    /** How the neck stood while it warmed; null before the start. */
    public function neck(Situation $at): ?string
    {
        return $at->last('start')?->text('neck');
    }

    public function fanCycles(Situation $at): int
    {
        return min(count($at->entries('fan_on')), count($at->entries('fan_off')));
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 20.0;
    }

    private function fanRuns(Situation $at): bool
    {
        return count($at->entries('fan_on')) > count($at->entries('fan_off'));
    }

    private function danger(Situation $at, Entry $last): ?Verdict
    {
        $limit = StopLimitAtNeck::of($at, $this->neck($at) ?? 'open');
        $ect = (float) $last->number('ect');
        $full = $at->facts()->thermostatFullC;
        $coldest = min([999.0, ...array_map(fn (string $o) => $last->number("outlet_{$o}") ?? 999.0, $at->facts()->outlets)]);

        return match (true) {
            $last->text('sign') !== 'none' => Verdict::stop('Shut off now', 'Steam, a lamp, a drip or rough running ends the run. Let it cool, then look.'),
            $ect >= $limit->limit->degC() => Verdict::stop('Shut off now', "{$at->degrees($ect)} has reached the limit of {$at->degrees($limit->limit->degC())}: {$limit->because}."),
            $full !== null && $ect >= $full + 3.0 && $ect - (float) $last->number('far') > self::THERMOSTAT_GAP_C => Verdict::stop('Thermostat shut', 'Hot before it and cold behind it: an air pocket at the thermostat, or fitted the wrong way round. Shut off, cool, top up.'),
            $full !== null && $ect >= $full - 5.0 && $coldest < self::COLD_AIR_C => Verdict::stop('Heater cold', 'Air in the heater core, or the level is low. Shut off, cool, top up; then higher idle when it is safe.'),
            default => null,
        };
    }

    /** @return list<string> */
    private function missingProofs(Situation $at): array
    {
        $facts = $at->facts();
        $readings = $at->entries('reading');
        $last = $readings[count($readings) - 1];
        $opened = array_filter($readings, fn (Entry $e) => $e->number('ect') >= ($facts->thermostatStartC ?? 75.0) && $e->number('ect') - $e->number('far') <= self::PASSED_GAP_C);
        $missing = $opened === [] && $at->circuit()->gatesOf('thermostat') !== [] ? ["heat on the far side of the thermostat ({$facts->thermostatFarSide})"] : [];
        foreach ($facts->outlets as $outlet) {
            if ($last->number("outlet_{$outlet}") < self::HOT_AIR_C) {
                $missing[] = "the {$outlet} outlet really hot, ".$at->degrees(self::HOT_AIR_C).' or more';
            }
        }
        if (StopLimitAtNeck::of($at, $this->neck($at) ?? 'open')->fanCanProve() && $this->fanCycles($at) < $at->rules()->fanCycles) {
            $missing[] = "the fan on and off {$at->rules()->fanCycles} times (seen {$this->fanCycles($at)})";
        }
        if (in_array($last->text('bubbles'), ['some', 'bursts'], true)) {
            $missing[] = 'a minute without bubbles';
        }

        return $missing;
    }
}
