<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Flow\Silence;
use Aqbel\Core\Flow\SilentPort;
use Aqbel\Core\Flow\Tie;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\PointBled;
use Aqbel\Core\Judged\PointBledCode;
use Aqbel\Core\Observed\BubbleSeen;
use Aqbel\Core\Observed\PointClosed;
use Aqbel\Core\Observed\PointRuns;
use Aqbel\Core\Observed\Poured as Drawn;
use Aqbel\Core\Observed\StaysDry;
use Aqbel\Core\Plan\BleedRule;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\WhatHangsOn;
use Aqbel\Core\Plan\WhySilent;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\AtPoint;
use Aqbel\Core\Steps\Poured;
use Aqbel\Core\Values;

/** Stage 6: pour until this bleed point runs, watch it by the house rule, close it. */
final class Bleed extends Poured
{
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
        $point = new AtPoint($at);
        $torque = $point->torque();

        return array_values(
            array_filter([
                $point->access(),
                'Pour slowly at the neck. Squeeze the upper hose now and then.',
                ...array_map(
                    fn (Tie $tie) => WhatHangsOn::say($tie, $at->circuit(), $at->units),
                    Plan::of($at)->fill->ties,
                ),
                'Coolant at the point: say so. Close it '.$this->rule($at)->label().'.',
                'Close'
                .($port->washer === '' ? '' : " with {$port->washer}")
                .($torque === null ? ' by feel.' : ": {$torque}, no more; these snap."),
            ]),
        );
    }

    public function observes(): array
    {
        return [Drawn::class, PointRuns::class, BubbleSeen::class, PointClosed::class, StaysDry::class];
    }

    public function asks(Situation $at): array
    {
        [$runs, $dry] = [$at->latest(PointRuns::class) !== null, $at->latest(StaysDry::class) !== null];
        $bubble = $this->rule($at) === BleedRule::BubbleFreeMinute ? BubbleSeen::asked() : null;
        $offered = match (true) {
            $this->judgement($at)?->code === PointBledCode::NeverRan => [
                PointRuns::asked(),
                StaysDry::asked(),
                $this->pourForm($at, false),
            ],
            $at->latest(PointClosed::class) !== null => [$this->pourForm($at, false)],
            $dry && ! $runs => [(new AtPoint($at))->closedForm(), PointRuns::asked(), $this->pourForm($at, false)],
            ! $runs => [$this->pourForm($at), PointRuns::asked(), StaysDry::asked()],
            default => [(new AtPoint($at))->closedForm(), $bubble, $this->pourForm($at, false)],
        };

        return Form::offering($offered, [
            $this->pourForm($at), PointRuns::asked(), StaysDry::asked(), BubbleSeen::asked(), (new AtPoint($at))->closedForm(),
        ]);
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        $clock = $this->clock($at);
        if ($form === PointClosed::FORM && $clock !== null && ! $clock->over($at->now)) {
            $left = $clock->until - $at->now;
            throw new InvalidField(
                'finish',
                "The bubble-free minute is not over: {$left} s to go. Keep watching, or finish the step with a reason.",
            );
        }
    }

    public function judgement(Situation $at): ?PointBled
    {
        return PointBled::of($at);
    }

    public function clock(Situation $at): ?Clock
    {
        $bled = $this->judgement($at);
        $until = $bled?->until();

        return $bled === null || $until === null
            ? null
            : new Clock('One minute without a bubble', (int) $bled->watchedSince, $until);
    }

    public function obstacles(Situation $at): array
    {
        $label = $at->port()->label;
        $bled = $this->judgement($at);

        return match (true) {
            $bled?->code === PointBledCode::RanTooEarly => [
                Obstacle::missing(
                    'ran_too_early',
                    "{$label} runs with {$at->litres($bled->netInMl)} in, and "
                        ."{$at->litres((float) $bled->expectedMl)} reach it. "
                        .'Record what was poured, or look where that comes from.',
                ),
            ],
            $bled?->code === PointBledCode::NeverRan => [
                Obstacle::missing(
                    'not_run',
                    "{$label} is closed, and nobody saw it run: say that it ran, or that it stays dry.",
                ),
            ],
            $at->observed(PointClosed::class) !== [] => [],
            $at->observed(PointRuns::class) !== [] => [
                Obstacle::missing('not_closed', "{$label} is running and not closed."),
            ],
            $at->observed(StaysDry::class) !== [] => [
                Obstacle::missing('not_closed', "{$label} stays dry: close it all the same, and say so."),
            ],
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
        $bled = $this->judgement($at);

        return $bled === null ? null : BleedWords::of($at, $bled);
    }

    private function staysDry(Situation $at): bool
    {
        return $this->judgement($at)?->code === PointBledCode::StaysDry;
    }

    /** A point that stays dry is an answer; what it left is proven hot. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at)
            || $this->judgement($at)?->code === PointBledCode::ClosedUnwritten
            || ($this->staysDry($at) && $at->observed(PointClosed::class) !== []);
    }

    public function watch(Situation $at): array
    {
        return $this->staysDry($at) ? [self::DRY.$at->port()->label] : [];
    }

    public function sayWatch(string $code): string
    {
        return str_starts_with($code, self::DRY)
            ? substr($code, strlen(self::DRY)).' did not run: air may stand there'
            : $code;
    }

    public function figure(Situation $at): Figure
    {
        return new Figure(
            'In so far',
            $this->netIn($at),
            Dimension::Volume,
            Origin::Measured,
            PointBled::expectedMl($at),
            'runs here',
        );
    }

    public function ports(Situation $at): array
    {
        return match (true) {
            $at->observed(PointClosed::class) !== [] => [$at->port()->id => PortState::Closed],
            $at->observed(PointRuns::class) !== [] => [$at->port()->id => PortState::Running],
            default => [],
        };
    }

    private function rule(Situation $at): BleedRule
    {
        return Plan::of($at)->rules()->closeBleed;
    }
}
