<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;

/** Stage 6: pour until this bleed point runs, watch it by the house rule, close it. */
final class Bleed extends Poured
{
    private const MINUTE = 60;

    public function name(): string
    {
        return 'bleed';
    }

    public function title(Situation $at): string
    {
        return 'Fill until it runs: '.$at->port()->label;
    }

    public function why(Situation $at): string
    {
        $never = $at->param('missing_mm');

        return $never === null
            ? 'It is the next point the rising coolant reaches. Closed too early it keeps air, too late it wastes coolant.'
            : 'It lies '.$at->say((float) $never, Dimension::Length).' above the surface and cannot run by itself: raise the nose or set a funnel that high.';
    }

    public function instructions(Situation $at): array
    {
        $port = $at->port();

        return array_values(array_filter([
            $this->access($at, $port),
            'Pour slowly at the neck. Squeeze the upper hose now and then.',
            'Coolant at the point: say so. Close it '.HouseRules::BLEED_RULES[$at->rules()->closeBleed].'.',
            'Close'.($port->washer === '' ? '' : " with {$port->washer}").($port->torqueNm === null ? ' by feel.' : ": {$at->say($port->torqueNm, Dimension::Torque)}, no more; these snap."),
        ]));
    }

    public function forms(Situation $at): array
    {
        $forms = [];
        if ($at->has('closed')) {
            return [$this->pourForm($at, false)];
        }
        if (! $at->has('running')) {
            return [$this->pourForm($at), new Form('running', 'It runs', [], false), new Form('dry', 'It will not run', [Field::text('why', 'What was tried', true)], false)];
        }
        if ($at->rules()->closeBleed === 'bubble_free_minute') {
            $forms[] = new Form('bubble', 'Saw a bubble', [], false);
        }
        $port = $at->port();
        $closed = new Form('closed', 'Closed', array_filter([
            $port->torqueNm === null ? Field::check('by_feel', 'Closed by feel, no figure known', true) : Field::torque('torque', 'Torque applied', $port->torqueNm),
            $port->washer === '' ? null : Field::check('washer', "Fitted: {$port->washer}", true),
        ]));

        return [$closed, ...$forms, $this->pourForm($at, false)];
    }

    /** @param  array<string, mixed>  $values */
    public function admit(Situation $at, string $form, array $values): void
    {
        $clock = $this->clock($at);
        if ($form === 'closed' && $clock !== null && ! $clock->over($at->now)) {
            throw new InvalidField('torque', 'The bubble-free minute is not over: '.($clock->until - $at->now).' s to go. Keep watching, or finish the step with a reason.');
        }
    }

    public function clock(Situation $at): ?Clock
    {
        $running = $at->last('running');
        if ($running === null || $at->has('closed') || $at->rules()->closeBleed !== 'bubble_free_minute') {
            return null;
        }
        $since = max($running->at, $at->last('bubble')->at ?? 0);

        return new Clock('One minute without a bubble', $since, $since + self::MINUTE);
    }

    public function obstacles(Situation $at): array
    {
        return match (true) {
            $at->has('closed') => [],
            $at->has('running') => [Obstacle::missing("{$at->port()->label} is running and not closed.")],
            default => [Obstacle::missing("{$at->port()->label} has not run yet. Pour on, raise the nose, or say why it stays dry.")],
        };
    }

    public function judge(Situation $at): ?Verdict
    {
        if ($at->has('closed')) {
            return Verdict::pass('Closed', 'Ran at '.$at->litres($this->netIn($at)).' in, closed '.HouseRules::BLEED_RULES[$at->rules()->closeBleed].'.');
        }
        $clock = $this->clock($at);
        if ($clock !== null) {
            return $clock->over($at->now) ? Verdict::pass('Close it now', 'A full minute without a bubble.') : Verdict::wait('Running', 'Watch the stream. Every bubble starts the minute again.');
        }
        if ($at->has('running')) {
            return Verdict::pass('Close it now', 'House rule: '.HouseRules::BLEED_RULES[$at->rules()->closeBleed].'.');
        }
        $expected = $at->param('at_ml');
        $gone = $this->netIn($at);
        if ($expected !== null && $gone > 1.15 * (float) $expected) {
            return Verdict::wait('Should be running', "Predicted to run after {$at->litres((float) $expected)}, and {$at->litres($gone)} is in. The point is blocked, or coolant is going elsewhere: look underneath.");
        }

        return null;
    }

    public function figure(Situation $at): Figure
    {
        return new Figure('Gone in', $this->netIn($at), Dimension::Volume, Figure::MEASURED,
            $at->param('at_ml') === null ? null : (float) $at->param('at_ml'), 'runs here');
    }

    public function ports(Situation $at): array
    {
        return match (true) {
            $at->has('closed') => [$at->port()->id => 'closed'],
            $at->has('running') => [$at->port()->id => 'running'],
            default => [],
        };
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 8.0;
    }
}
