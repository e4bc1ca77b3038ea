<?php

declare(strict_types=1);

namespace Aqbel\Core\Sequence\Steps;

use Aqbel\Core\Judgement\Judgement;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Run\Entry;
use Aqbel\Core\Run\Situation;
use Aqbel\Core\Sequence\Clock;
use Aqbel\Core\Sequence\Field;
use Aqbel\Core\Sequence\Figure;
use Aqbel\Core\Sequence\Form;
use Aqbel\Core\Sequence\Hazard;
use Aqbel\Core\Sequence\Obstacle;
use Aqbel\Core\Sequence\PlanInput;
use Aqbel\Core\Sequence\Step;
use Aqbel\Core\Sequence\StepKind;

/** Stage 2: one drain point into a graduated vessel, closed with its washer. */
final class Drain extends StepKind
{
    private const MINUTES = 10;

    /** Below this share of the prediction something did not drain (common practice, no source). */
    private const SHORT = 0.7;

    public function name(): string
    {
        return 'drain';
    }

    public function title(Situation $at): string
    {
        return 'Drain: '.$at->port()->label;
    }

    public function why(Situation $at): string
    {
        $behind = (array) $at->param('empties');
        $what = $behind === [] ? 'what is left above it' : implode(', ', $behind);

        return "Lets out {$what}. What is predicted and what comes out must be compared before the next point.";
    }

    public function instructions(Situation $at): array
    {
        $port = $at->port();

        return array_values(array_filter([
            $port->access === '' ? null : "Access: {$port->access}.",
            $at->param('first') ? 'Pan underneath first, then cap off: air gets in and it drains fast. Left on, the vacuum holds the coolant back.' : null,
            'Open '.($port->tool === '' ? 'it' : "with {$port->tool}").' until it flows; do not take a drain cock out.',
            'When it has stopped, read the vessel on a level floor.',
            'Close it'.($port->washer === '' ? '' : " with {$port->washer}").($port->torqueNm === null ? ', by feel: no figure known.' : ", {$at->say($port->torqueNm, Dimension::Torque)}."),
        ]));
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Glycol, Hazard::Eyes];
    }

    public function forms(Situation $at): array
    {
        $port = $at->port();
        $forms = [];
        if (! $at->has('opened')) {
            $forms[] = new Form('opened', 'It is open and flowing');
        }
        $forms[] = new Form('out', 'Record what came out', [
            ...$this->vesselFields($at, 'volume', 'Came out', 'Drain pan, 0.5 L marks'),
            Field::choice('flow', 'It', ['ran' => 'ran out and stopped', 'early' => 'stopped early', 'blocked' => 'hardly came'], 'ran'),
        ], $at->has('opened'));
        if (! $at->has('closed')) {
            $forms[] = new Form('closed', 'Closed', array_filter([
                $port->torqueNm === null ? Field::check('by_feel', 'Closed by feel, no figure known', true) : Field::torque('torque', 'Torque applied', $port->torqueNm),
                $port->washer === '' ? null : Field::check('washer', "Fitted: {$port->washer}", true),
            ]), $at->has('out'));
        }

        return $forms;
    }

    public function obstacles(Situation $at): array
    {
        return array_values(array_filter([
            $at->has('out') ? null : Obstacle::missing('Record what came out, zero included.'),
            $at->has('closed') ? null : Obstacle::missing("{$at->port()->label} is not recorded as closed."),
        ]));
    }

    public function clock(Situation $at): ?Clock
    {
        $opened = $at->last('opened');

        return $opened === null || $at->has('out') ? null : new Clock('A drain takes about ten minutes', $opened->at, $opened->at + self::MINUTES * 60, true);
    }

    public function figure(Situation $at): Figure
    {
        $measured = $at->has('out') ? $at->sum('out', 'volume') : null;

        return new Figure($measured === null ? 'Expect' : 'Came out', $measured ?? (float) $at->param('predicted_ml'), Dimension::Volume,
            $measured === null ? Figure::PREDICTED : Figure::MEASURED, (float) $at->param('predicted_ml'), 'predicted');
    }

    public function judge(Situation $at): ?Judgement
    {
        $last = $at->last('out');
        if ($last === null) {
            return null;
        }
        $out = $at->sum('out', 'volume');
        $predicted = (float) $at->param('predicted_ml');
        $unsure = $at->rules()->plusMinusMl($last->text('vessel'));
        if ($out >= self::SHORT * $predicted - $unsure) {
            return Judgement::pass('Drained', "{$at->litres($out)} of {$at->litres($predicted)} predicted came out.");
        }
        $cause = $last->text('flow') === 'blocked' ? 'The cock is blocked or seized: clear it with wire, or use another drain point.'
            : 'No air is getting in, or it is blocked. Cap off, top bleed points open, heater hot, then let it run again.';

        return Judgement::wait('Short by '.$at->litres($predicted - $out), $cause.' What stays in dilutes the new fill.');
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return $entry->form !== 'out' ? [] : [new Line('Out: '.$at->port()->label, -($entry->number('volume') ?? 0.0), $at->rules()->plusMinusMl($entry->text('vessel')), null)];
    }

    public function ports(Situation $at): array
    {
        return match (true) {
            $at->has('closed') => [$at->port()->id => 'closed'],
            $at->has('opened') => [$at->port()->id => 'running'],
            default => [],
        };
    }

    public function handsOnMinutes(Step $step, PlanInput $input): float
    {
        return 6.0;
    }

    public function waitingMinutes(Step $step, PlanInput $input): float
    {
        return (float) self::MINUTES;
    }
}
