<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Flow\Silence;
use Aqbel\Core\Flow\SilentPort;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\BleedRule;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\WhySilent;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Values;

/** Stage 6: pour until this bleed point runs, watch it by the house rule, close it. */
final class Bleed extends Poured
{
    private const MINUTE_S = 60;

    /** So far past the prediction a silent point is called late (common practice, no source). */
    private const LATE = 1.15;

    /** Kept for the next visit, with the point’s name. */
    private const DRY = 'dry_point:';

    public function name(): string
    {
        return 'bleed';
    }

    protected function doing(): array
    {
        return [...parent::doing(), Does::Fills, Does::AnyOrder];
    }

    public function title(Situation $at): string
    {
        return 'Fill until it runs: '.$at->port()->label;
    }

    public function why(Situation $at): string
    {
        $silent = self::silent($at);

        return $silent === null
            ? 'It is the next point the rising coolant reaches. Closed too early it keeps air, too late it wastes '
                .'coolant.'
            : 'By the model it stays silent. '.WhySilent::of($silent, $at->circuit(), $at->units);
    }

    /** What keeps it from running, where the plan says that it will not. */
    private static function silent(Situation $at): ?SilentPort
    {
        $params = $at->step->params;
        $missing = $params->number('missing_mm');
        if ($missing === null) {
            return null;
        }
        $because = Silence::tryFrom($params->text('silent')) ?? ($missing > 0.0 ? Silence::Above : Silence::Hump);

        return new SilentPort($params->text('port'), $because, $missing, $params->text('about'));
    }

    public function instructions(Situation $at): array
    {
        $port = $at->port();
        $torque = $this->torque($at, $port);

        return array_values(array_filter([
            $this->access($at, $port),
            'Pour slowly at the neck. Squeeze the upper hose now and then.',
            'Coolant at the point: say so. Close it '.$this->rule($at)->label().'.',
            'Close'.(
                $port->washer === '' ? '' : " with {$port->washer}"
            ).($torque === null ? ' by feel.' : ": {$torque}, no more; these snap."),
        ]));
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        if ($at->has('closed')) {
            return [$this->pourForm($at, false)];
        }
        if ($at->has('dry') && ! $at->has('running')) {
            return [$this->closedForm($at), self::runningForm(), $this->pourForm($at, false)];
        }
        if (! $at->has('running')) {
            return [$this->pourForm($at), self::runningForm(), self::dryForm()];
        }
        $bubble = $this->rule($at) === BleedRule::BubbleFreeMinute ? [self::bubbleForm()] : [];

        return [$this->closedForm($at), ...$bubble, $this->pourForm($at, false)];
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [$this->pourForm($at), self::runningForm(), self::dryForm(), self::bubbleForm(), $this->closedForm($at)];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        $clock = $this->clock($at);
        if ($form === 'closed' && $clock !== null && ! $clock->over($at->now)) {
            $left = $clock->until - $at->now;
            throw new InvalidField(
                'finish',
                "The bubble-free minute is not over: {$left} s to go. Keep watching, or finish the step with a reason.",
            );
        }
    }

    public function clock(Situation $at): ?Clock
    {
        $running = $at->last('running');
        if ($running === null || $at->has('closed') || $this->rule($at) !== BleedRule::BubbleFreeMinute) {
            return null;
        }
        $since = max($running->at, $at->last('bubble')->at ?? 0);

        return new Clock('One minute without a bubble', $since, $since + self::MINUTE_S);
    }

    public function obstacles(Situation $at): array
    {
        $label = $at->port()->label;

        return match (true) {
            $at->has('closed') => [],
            $at->has('running') => [Obstacle::missing('not_closed', "{$label} is running and not closed.")],
            $at->has('dry') => [Obstacle::missing('not_closed', "{$label} stays dry: close it all the same, "
                .'and say so.')],
            default => [
                Obstacle::missing(
                    'not_run',
                    "{$label} has not run yet. Pour on, raise the nose, or say why it stays dry.",
                ),
            ],
        };
    }

    public function judge(Situation $at): ?Verdict
    {
        $rule = $this->rule($at)->label();
        if ($this->staysDry($at)) {
            $where = $this->pocket($at);

            return Verdict::wait(
                'stays_dry',
                'Will not run',
                "It is closed without having run.{$where} The warm-ups must bring that out; it is kept as a watch "
                    .'for the next visit.',
            );
        }
        if ($at->has('closed')) {
            return Verdict::pass('closed', 'Closed', "Ran at {$at->litres($this->netIn($at))} in, closed {$rule}.");
        }
        $clock = $this->clock($at);
        if ($clock !== null) {
            return $clock->over($at->now)
                ? Verdict::pass('close_it', 'Close it now', 'A full minute without a bubble.')
                : Verdict::wait('running', 'Running', 'Watch the stream. Every bubble starts the minute again.');
        }
        if ($at->has('running')) {
            return Verdict::pass('close_it', 'Close it now', "House rule: {$rule}.");
        }
        $expected = $at->step->params->number('at_ml');
        $gone = $this->netIn($at);

        return $expected === null || $gone <= self::LATE * $expected ? null : Verdict::wait('should_run', 'Should be running',
            "Predicted to run after {$at->litres($expected)}, and {$at->litres($gone)} is in. The point is blocked, "
                .'or coolant is going elsewhere: look underneath.');
    }

    /** Said that it will not run, and never seen running. */
    private function staysDry(Situation $at): bool
    {
        return $at->has('dry') && ! $at->has('running');
    }

    /** A point that stays dry is an answer; what it left is proven hot. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at) || ($this->staysDry($at) && $at->has('closed'));
    }

    public function watch(Situation $at): array
    {
        return $this->staysDry($at) ? [self::DRY.$at->port()->label] : [];
    }

    public function sayWatch(string $code): string
    {
        return str_starts_with($code, self::DRY) ? substr($code, strlen(self::DRY)).' did not run: air may stand there' : $code;
    }

    private function pocket(Situation $at): string
    {
        $pocket = Plan::of($at)->fill->pockets[0] ?? null;

        return $pocket === null ? '' : ' The model has air at: '.implode(', ', $pocket->air->labels($at->circuit())).'.';
    }

    public function figure(Situation $at): Figure
    {
        return new Figure(
            'Gone in',
            $this->netIn($at),
            Dimension::Volume,
            Origin::Measured,
            $at->step->params->number('at_ml'),
            'runs here',
        );
    }

    public function ports(Situation $at): array
    {
        return match (true) {
            $at->has('closed') => [$at->port()->id => PortState::Closed],
            $at->has('running') => [$at->port()->id => PortState::Running],
            default => [],
        };
    }

    private function rule(Situation $at): BleedRule
    {
        return Plan::of($at)->rules()->closeBleed;
    }

    private static function runningForm(): Form
    {
        return new Form('running', 'It runs');
    }

    private static function dryForm(): Form
    {
        return new Form('dry', 'It will not run', [Field::text('why', 'What was tried', true)], false);
    }

    private static function bubbleForm(): Form
    {
        return new Form('bubble', 'Saw a bubble');
    }
}
