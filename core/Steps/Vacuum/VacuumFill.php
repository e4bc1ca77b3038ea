<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Fill\Poured;
use Aqbel\Core\Steps\Findings\Bucket;
use Aqbel\Core\Steps\TopUp;
use Aqbel\Core\Vacuum\VacuumProgress;

/** Stage 7: the vacuum draws the coolant in; the needle tells how much more it will take. */
final class VacuumFill extends Poured
{
    /** What is left of the old coolant is as warm as the shop. */
    private const SHOP_C = 20.0;

    /** A needle at zero with less than this share of what was expected inside has let air in (common practice, no source). */
    private const DRAWN = 0.75;

    /** No jug is filled to less than this. */
    private const HARDLY_ML = 20.0;

    public function name(): string
    {
        return 'vacuum_fill';
    }

    public function title(Situation $at): string
    {
        return 'Let the vacuum draw it in';
    }

    public function why(Situation $at): string
    {
        return 'What the needle still shows is room. Two readings and the volume between them give the room that '
            .'is left, by Boyle’s law.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Hose primed with coolant, no slug of air; its end held at the bottom of the bucket.',
            'Open slowly. Shut the valve before the bucket runs dry or is changed; the vacuum left waits.',
            'From jugs: one entry a jug, with what was in it. The needle then tells what the next one must be.',
            'Needle at zero and hoses round again: full. Then top up the neck.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Collapse, Hazard::Glycol];
    }

    public function asks(Situation $at): array
    {
        return [new Form('poured', 'Record what went in', [
            ...$this->vesselFields($at, 'volume', 'Drawn in since', VesselUse::Mix),
            Gauge::field($at, 'Gauge shows now'),
            TopUp::jugField($at),
        ])];
    }

    /** What the next jug must hold, once the needle tells how much is still to come. */
    public function tables(Situation $at): array
    {
        $next = $this->next($at);
        if ($next === null || $this->atZero($at)) {
            return [];
        }
        $rows = [];
        if ($next->isReachable()) {
            $rows = array_values(array_filter([
                $next->stockMl() > self::HARDLY_ML ? ['Concentrate', $at->litres($next->stockMl())] : null,
                $next->waterMl() > self::HARDLY_ML ? ['Water', $at->litres($next->waterMl())] : null,
            ]));
        }
        [$low, $high] = $next->range();
        $rows[] = ['Still to come', $at->litres($low).' to '.($high === null ? 'more than the needle tells' : $at->litres($high))];

        return [new Table('The next jug, so that all of it lands on '.$at->say($next->target, Unit::Percent), ['Liquid', 'Amount'], $rows)];
    }

    private function next(Situation $at): ?NextJug
    {
        $progress = $this->progress($at);
        $full = $this->atZero($at);
        $remaining = $progress?->remaining->mL();
        $ledger = $at->job->ledger();

        return ! $full && $remaining === null ? null : new NextJug(
            $ledger->contentMl,
            $ledger->fraction() ?? 0.0,
            $full ? 0.0 : (float) $remaining,
            max(0.0, $ledger->capacityMl - $ledger->headspaceMl - $ledger->contentMl),
            Plan::of($at)->choices->targetFraction,
            $full ? [0.0, 0.0] : $this->span($at),
        );
    }

    /** @return array{float, ?float} mL still to come, by what the needle can tell; no upper end where it cannot */
    private function span(Situation $at): array
    {
        [$start, $now, $in] = $this->readings($at) ?? [0.0, 0.0, 0.0];
        try {
            $span = VacuumProgress::span(
                Gauge::air($at), Pressure::kilopascals($start), Pressure::kilopascals($now), Volume::millilitres($in),
                $this->vapour($at), Gauge::resolution($at),
            );
        } catch (InvalidField) {
            return [0.0, null];
        }

        return [$span['low']->remaining->mL(), $span['high']?->remaining->mL()];
    }

    public function obstacles(Situation $at): array
    {
        return match (true) {
            $this->atZero($at) => [],
            $at->has('poured') => [
                Obstacle::missing('not_at_zero', 'The needle is not at zero: the circuit still takes coolant.'),
            ],
            default => [Obstacle::missing('no_volume', 'Record what the vacuum drew in.')],
        };
    }

    public function figure(Situation $at): Figure
    {
        $progress = $this->progress($at);
        $left = $progress?->remaining->mL() ?? max(0.0, $this->expected($at) - $this->netIn($at));

        return new Figure('Still to come', $this->atZero($at) ? 0.0 : $left, Dimension::Volume,
            $progress === null ? Origin::Predicted : Origin::Measured, 0.0, 'needle at zero');
    }

    public function judge(Situation $at): ?Verdict
    {
        if (! $at->has('poured')) {
            return null;
        }
        $in = $at->litres($at->sum('poured', 'volume'));
        $missed = $this->next($at)?->missed($at) ?? '';
        if ($this->atZero($at) && $this->netIn($at) < self::DRAWN * $this->expected($at)) {
            return Verdict::wait('air_came_in', 'Air came in', "The needle is at zero with {$at->litres($this->netIn($at))} in, and "
                ."{$at->litres($this->expected($at))} was to be drawn: the hose took air, or the valve stood open. Pull again, or pour the rest at "
                .'the neck and let the warm-ups bring the air out.');
        }
        if ($this->atZero($at)) {
            return $missed === ''
                ? Verdict::pass('full', 'Full', "{$in} drawn in. Top up the neck.")
                : Verdict::wait('full_missed', 'Full, and off target', "{$in} drawn in. {$missed}");
        }
        $progress = $this->progress($at);
        if ($missed !== '') {
            return Verdict::wait('missed', 'It will miss its target', $missed);
        }

        return Verdict::wait('filling', 'Filling', $progress === null
            ? "{$in} in. The needle must fall before it tells what is left."
            : "{$in} in, {$at->say($progress->filledFraction, Unit::Percent)} of the void. Have "
                ."{$at->litres($progress->remaining->mL())} more ready".$this->ofWhat($at).'.');
    }

    /** What the next jug is made of, where no bucket was mixed for it. */
    private function ofWhat(Situation $at): string
    {
        $next = Bucket::batch($at->job)->ml > 0.0 ? null : $this->next($at);

        return $next === null ? '' : ": {$at->litres($next->stockMl())} concentrate and {$at->litres($next->waterMl())} water";
    }

    private function progress(Situation $at): ?VacuumProgress
    {
        $readings = $this->readings($at);
        if ($readings === null) {
            return null;
        }
        try {
            return VacuumProgress::judge(
                Gauge::air($at),
                Pressure::kilopascals($readings[0]),
                Pressure::kilopascals($readings[1]),
                Volume::millilitres($readings[2]),
                $this->vapour($at),
            );
        } catch (InvalidField) {
            return null;
        }
    }

    /** @return ?array{float, float, float} vacuum at the start and now, kPa, and what went in between, mL */
    private function readings(Situation $at): ?array
    {
        $pull = $at->job->before($at->step, 'hold') ?? $at->job->before($at->step, 'pull');
        $start = $pull === null ? null : $at->seenFrom($pull)->last('reading')?->number('vacuum');
        $now = $at->last('poured')?->number('vacuum');
        $in = $at->sum('poured', 'volume');

        return $start === null || $now === null || $in <= 0.0 ? null : [$start, $now, $in];
    }

    private function vapour(Situation $at): Pressure
    {
        return $at->facts()->coolant()->vapourPressure(Temperature::celsius(self::SHOP_C));
    }

    private function atZero(Situation $at): bool
    {
        $now = $at->last('poured')?->number('vacuum');

        return $now !== null && $now <= Gauge::resolution($at)->kPa();
    }
}
