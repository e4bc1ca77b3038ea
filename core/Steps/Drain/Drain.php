<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
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
use Aqbel\Core\Steps\StepKind;

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
            $this->access($at, $port),
            $at->param('first') ? 'Pan underneath first. Cap off and top bleed points open: air gets in, it drains fast. Cap on: the vacuum holds the coolant back, good while a hose is pulled off; open it once the pan is under.' : null,
            $this->glugs($at),
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
            $forms[] = new Form('opened', 'It is open and flowing', $at->param('first') ? [Field::choice('cap', 'Cap', ['off' => 'Off: drains fast', 'on' => 'On: holds it back while a hose comes off'], 'off')] : []);
        }
        if ($this->capIsOn($at)) {
            $forms[] = new Form('cap_off', 'Cap is off now, it runs', [], $at->has('opened'));
        }
        $forms[] = new Form('out', 'Record what came out', [
            ...$this->vesselFields($at, 'volume', 'Came out', 'Drain pan, 0.5 L marks'),
            Field::choice('flow', 'It', ['ran' => 'ran out and stopped', 'early' => 'stopped early', 'blocked' => 'hardly came'], 'ran'),
        ], $at->has('opened') && ! $this->capIsOn($at));
        if ($this->short($at) !== null) {
            $others = array_map(fn (string $port) => $at->circuit()->port($port)->label, array_combine($ports = self::notOpened($at), $ports));
            $forms[] = new Form('remedy', 'Record what was done about it', array_filter([
                Field::choice('remedy', 'It stopped early', ['air' => 'Cap or bleed point opened, ran again', 'cleared' => 'Cleared with wire', 'replaced' => 'Plug or cock replaced'] + ($others === [] ? [] : ['other' => 'Seized: another point']) + ['left' => 'Left as it is'], 'air'),
                $others === [] ? null : Field::choice('point', 'Other point', ['none' => 'None'] + $others, 'none'),
            ]), false);
        }
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
            $this->capIsOn($at) ? Obstacle::missing('The cap is still on: open it and let the rest run out.') : null,
            $this->short($at) !== null && ! $at->has('remedy') ? Obstacle::missing('It is short of what was predicted: say what was done about it.') : null,
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

        return new Figure($measured === null ? 'Expect' : 'Came out', $measured ?? $this->expected($at), Dimension::Volume,
            $measured === null ? Figure::PREDICTED : Figure::MEASURED, $this->expected($at), 'predicted');
    }

    public function judge(Situation $at): ?Verdict
    {
        $last = $at->last('out');
        if ($last === null) {
            return null;
        }
        $short = $this->short($at);
        if ($short === null) {
            return Verdict::pass('Drained', "{$at->litres($at->sum('out', 'volume'))} of {$at->litres($this->expected($at))} predicted came out.");
        }

        return Verdict::wait('Short by '.$at->litres($short), match (true) {
            $this->capIsOn($at) => 'The cap is still on: the vacuum holds it back. Pan under it, then open the cap.',
            $last->text('flow') === 'blocked' => 'The cock is blocked or seized: clear it with wire, or use another drain point.',
            default => 'No air is getting in, or it is blocked. '.($this->glugs($at) ?? 'Cap off, top bleed points open, heater hot, then let it run again.'),
        }.' Record what more comes out; what stays in dilutes the new fill.');
    }

    public function orders(Situation $at): array
    {
        $remedy = $at->last('remedy');
        $other = $remedy?->text('remedy') === 'other' ? $remedy->text('point') : 'none';

        return in_array($other, self::notOpened($at), true) ? [self::further($at, $other)] : [];
    }

    /** What should come out here: predicted for a circuit full to its mark, less what was already missing at the top. */
    public function expected(Situation $at): float
    {
        $found = $at->job->lastOf('found', 'found');
        $missing = $found === null ? 0.0 : max(0.0, $at->job->ledger()->capacityMl - $at->job->ledger()->headspaceMl - $at->job->ledgerBefore(Stage::Drain)->contentMl);
        foreach ($at->job->stepsOf('drain') as $step) {
            $predicted = (float) $step->params['predicted_ml'];
            if ($step->id === $at->step->id) {
                return max(0.0, $predicted - $missing);
            }
            $missing -= self::blocked($at->seenFrom($step)) ? 0.0 : min($missing, $predicted);
        }

        return (float) $at->param('predicted_ml');
    }

    /** A drain point that was not on the plan, as a step of its own. */
    public static function further(Situation $at, string $port): Step
    {
        $circuit = $at->circuit();
        $ran = array_values(array_map(fn (Step $s) => (string) $s->params['port'], array_filter($at->job->stepsOf('drain'), fn (Step $s) => ! self::blocked($at->seenFrom($s)))));
        $drained = fn (string ...$ports): float => Drainage::of($circuit, array_values($ports), Filling::usualGates($circuit), $at->job->plan->input->noseLiftMm)->drainedMl;
        $parts = (array) ($at->job->plan->predicted['further'][$port]['parts'] ?? []);

        return new Step("drain:{$port}", 'drain', Stage::Drain, ['port' => $port, 'predicted_ml' => $drained(...$ran, ...[$port]) - $drained(...$ran), 'first' => false, 'empties' => array_slice(array_keys($parts), 0, 3)]);
    }

    /**
     * Drain points without a step so far, those that would let out most first.
     *
     * @return list<string>
     */
    public static function notOpened(Situation $at): array
    {
        return array_values(array_filter(array_keys((array) ($at->job->plan->predicted['further'] ?? [])), fn (string $port) => ! isset($at->job->steps["drain:{$port}"])));
    }

    /** mL that should have come out and did not; null while within the vessel and the model. */
    public function short(Situation $at): ?float
    {
        $last = $at->last('out');
        if ($last === null) {
            return null;
        }
        $out = $at->sum('out', 'volume');
        $predicted = $this->expected($at);

        return $out >= self::SHORT * $predicted - $at->rules()->plusMinusMl($last->text('vessel')) ? null : $predicted - $out;
    }

    /** Next to nothing came, so what stands above it is still there. */
    private static function blocked(Situation $at): bool
    {
        return $at->last('out')?->text('flow') === 'blocked';
    }

    private function capIsOn(Situation $at): bool
    {
        return $at->last('opened')?->text('cap') === 'on' && ! $at->has('cap_off');
    }

    /** The region that drains slowly for want of air, with the point that cures it. */
    private function glugs(Situation $at): ?string
    {
        foreach ((array) ($at->job->plan->predicted['slow'] ?? []) as $region) {
            if (array_intersect($region['parts'], (array) $at->param('empties')) !== []) {
                return implode(', ', $region['parts']).' gets no air and glugs'.($region['air_port'] === null ? '.' : ": open {$at->circuit()->port($region['air_port'])->label}.");
            }
        }

        return null;
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

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 6.0;
    }

    public function waitingMinutes(Step $step, Choices $input): float
    {
        return (float) self::MINUTES;
    }
}
