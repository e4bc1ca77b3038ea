<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\RunHot\HeatCycle;
use Aqbel\Core\Steps\RunHot\StopLimitAtNeck;
use Aqbel\Core\Steps\StepKind;

/** Stage 3: the warm-up of one rinse, on plain water, which boils long before coolant does. */
final class RinseRun extends StepKind
{
    /** Fill, warm-up, cool-down and drain of one cycle (common practice, no source). */
    public const CYCLE_MINUTES = 130.0;

    /** Within this of the engine side the far side of the thermostat counts as reached. */
    private const PASSED_GAP_C = 15.0;

    public function name(): string
    {
        return 'rinse_run';
    }

    public function title(Situation $at): string
    {
        return "Rinse {$at->param('cycle')}: warm up";
    }

    public function why(Situation $at): string
    {
        $limit = StopLimitAtNeck::of($at, $this->neck($at));

        return "It mixes only once the thermostat opens. Shut down at {$at->degrees($limit->limit->degC())}: {$limit->because}.";
    }

    public function instructions(Situation $at): array
    {
        return [
            'Heater on maximum, A/C off, about ten minutes of warm idle.',
            "Probe on the {$at->facts()->thermostatFarSide}: when it turns hot, the thermostat is open and it mixes.",
            'Do not wait for the fan: on plain water the run ends earlier.',
            'Shut off at once for steam, a warning lamp or a new drip.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Exhaust, Hazard::Moving, Hazard::Scald];
    }

    public function forms(Situation $at): array
    {
        if (! $this->running($at)) {
            return $this->mixed($at) ? [] : [new Form('start', $at->has('shut_off') ? 'It runs again' : 'Engine is running', [
                Field::choice('place', 'It runs', ['outdoors' => 'Outdoors', 'extraction' => 'On exhaust extraction', 'closed' => 'In the closed shop'], 'extraction'),
                Field::choice('neck', 'Neck', HeatCycle::NECKS, 'sealed'),
            ], ! $at->has('shut_off'))];
        }

        $stop = $this->judge($at)?->tone === 'stop';
        $forms = [
            new Form('reading', 'Record reading', [
                Field::temperature('ect', 'Coolant, live'), Field::temperature('far', 'Far side: '.$at->facts()->thermostatFarSide),
                Field::choice('sign', 'Anything wrong', ['none' => 'Nothing', 'steam' => 'Steam', 'lamp' => 'Warning lamp', 'drip' => 'New drip'], 'none'),
            ], ! $stop),
            new Form('shut_off', 'Engine is off', [], $at->has('reading')),
        ];

        return $stop ? array_reverse($forms) : $forms;
    }

    /** @param  array<string, mixed>  $values */
    public function admit(Situation $at, string $form, array $values): void
    {
        if ($form === 'start' && $values['place'] === 'closed') {
            throw new InvalidField('place', 'Never in a closed shop: exhaust kills before it is smelt. Push it outdoors or connect the extraction, then start.');
        }
    }

    public function obstacles(Situation $at): array
    {
        return match (true) {
            ! $at->has('start') => [Obstacle::missing('Say where it runs and how the neck stands.')],
            ! $at->has('reading') => [Obstacle::missing('Record at least one reading.')],
            $this->running($at) => [Obstacle::never('The engine is still running. Shut it off first.')],
            ! $this->mixed($at) => [Obstacle::missing('The thermostat never opened, so the radiator was not rinsed. Let it cool, warm it again under its cap, or give a reason.')],
            default => [],
        };
    }

    public function figure(Situation $at): Figure
    {
        return new Figure('Coolant', $at->last('reading')?->number('ect'), Dimension::Temperature, Figure::MEASURED, StopLimitAtNeck::of($at, $this->neck($at))->limit->degC(), 'shut down');
    }

    public function clock(Situation $at): ?Clock
    {
        $start = $at->last('start');

        return $start === null || ! $this->running($at) ? null : new Clock('Warm idle takes about ten minutes', $start->at, $start->at + 600, true);
    }

    public function judge(Situation $at): ?Verdict
    {
        $last = $at->last('reading');
        $limit = StopLimitAtNeck::of($at, $this->neck($at));
        if ($last === null) {
            $full = $at->facts()->thermostatFullC;

            return $full !== null && $limit->limit->degC() < $full
                ? Verdict::wait('It boils early here', self::warning($at)) : null;
        }

        return match (true) {
            $this->running($at) && $last->text('sign') !== 'none' => Verdict::stop('Shut off now', 'Steam, a lamp or a drip ends the run. Let it cool, then look.'),
            $this->running($at) && $last->number('ect') >= $limit->limit->degC() => Verdict::stop('Shut off now', "{$at->degrees((float) $last->number('ect'))} has reached the limit of {$at->degrees($limit->limit->degC())}: what is in it boils at {$at->degrees($limit->boiling->degC())} with the neck as it stands."),
            $this->mixed($at) => Verdict::pass('Mixed', 'The far side of the thermostat is hot: all of it goes round. Give it a few minutes, then shut off.'),
            ! $this->running($at) => Verdict::wait('Not mixed', 'The far side stayed cold: behind the thermostat the old coolant still stands.'),
            default => Verdict::wait('Not mixed yet', 'The far side of the thermostat is still cold. Read again in a few minutes.'),
        };
    }

    /** What plain water does in this shop, open and under the cap, against the thermostat. */
    public static function warning(Situation $at): string
    {
        $water = Mixture::water();
        $open = StopLimitAtNeck::boiling($at, $water, 0.0);
        $cap = $at->facts()->capOrNothingKpa();
        $full = $at->facts()->thermostatFullC;
        $text = "Water under an open neck or funnel boils at {$at->degrees($open)} here, so the run ends at {$at->degrees($open - 10.0)}";
        if ($full !== null && $open - 10.0 < $full) {
            $text .= ", before the thermostat is full open at {$at->degrees($full)}";
        }

        return $text.'.'.($cap > 0.0 ? ' Under its cap it holds to '.$at->degrees(StopLimitAtNeck::boiling($at, $water, $cap)).': rinse with the cap on.' : '');
    }

    private function neck(Situation $at): string
    {
        return $at->last('start')?->text('neck') ?? 'open';
    }

    /** Started, and not shut off since. */
    private function running(Situation $at): bool
    {
        return count($at->entries('start')) > count($at->entries('shut_off'));
    }

    private function mixed(Situation $at): bool
    {
        $opens = $at->facts()->thermostatStartC ?? 75.0;
        foreach ($at->entries('reading') as $entry) {
            if ($at->circuit()->gatesOf('thermostat') === [] || ($entry->number('ect') >= $opens && $entry->number('ect') - $entry->number('far') <= self::PASSED_GAP_C)) {
                return true;
            }
        }

        return false;
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 15.0;
    }
}
