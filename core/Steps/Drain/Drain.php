<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\LeftShut;
use Aqbel\Core\Plan\FurtherDrain;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Findings\Drains;
use Aqbel\Core\Steps\StepKind;

/** Stage 2: one drain point into a graduated vessel, closed with its washer. */
final class Drain extends StepKind
{
    /** Below this share of the prediction something did not drain (common practice, no source). */
    private const SHORT = 0.7;

    /** Above this share of it more came than stands above the point (common practice, no source). */
    private const MORE = 1.3;

    /** Whether it ran at the same time as others: then they are judged by their sum. */
    public const TOGETHER = 'together';

    public const WITH_OTHERS = 'with';

    private const RAN = ['' => 'by itself', self::WITH_OTHERS => 'with the others, judged as one sum'];

    /** Ticked with the volume: closed again, as it should be. */
    private const SHUT = 'shut';

    private const LEFT_SHUT = 'left_shut';

    /** @var array<string, string> what can be done about a point that stopped early */
    private const REMEDIES = [
        'air' => 'Cap or bleed point opened, ran again', 'cleared' => 'Cleared with wire', 'replaced' => 'Plug or cock replaced',
        'other' => 'Seized: another point', 'left' => 'Left as it is',
    ];

    public function name(): string
    {
        return 'drain';
    }

    protected function doing(): array
    {
        return [Does::Drains, Does::AnyOrder, Does::MovesCoolant, Does::OpensNeck];
    }

    public function title(Situation $at): string
    {
        return 'Drain: '.$at->port()->label;
    }

    public function why(Situation $at): string
    {
        $behind = $this->empties($at);
        $what = $behind === [] ? 'what is left above it' : implode(', ', $behind);

        return "Lets out {$what}. What is predicted and what comes out must be compared before the next point.";
    }

    public function instructions(Situation $at): array
    {
        $port = $at->port();
        $cap = 'Pan underneath first. Cap off and top bleed points open: air gets in, it drains fast. Cap on: the '
            .'vacuum holds the coolant back, good while a hose is pulled off; open it once the pan is under.';
        $torque = $this->torque($at, $port);

        return array_values(array_filter([
            $this->access($at, $port),
            $at->step->params->ticked('first') ? $cap : null,
            $this->glugs($at),
            'Open '.($port->tool === '' ? 'it' : "with {$port->tool}").' until it flows; do not take a drain cock out.',
            'When it has stopped, read the vessel on a level floor.',
            'Close it'.(
                $port->washer === '' ? '' : " with {$port->washer}"
            ).($torque === null ? ', by feel: no figure known.' : ", {$torque}."),
        ]));
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Glycol, Hazard::Eyes];
    }

    public function observes(): array
    {
        return [CameOut::class, LeftShut::class];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        $forms = [];
        if ($this->capIsOn($at)) {
            $forms[] = self::capOffForm();
        }
        $forms[] = $this->outForm($at)->aside($this->capIsOn($at));
        if (! $at->has('opened') && ! $at->has('out')) {
            $forms[] = $this->openedForm($at)->aside();
        }
        if (! $at->has('opened') && ! $at->has('out')) {
            $forms[] = LeftShut::asked();
        }
        if ($this->short($at) !== null) {
            $forms[] = $this->remedyForm($at, Drains::notOpened($at->job));
        }
        if (! $this->isClosed($at) && ($at->has('opened') || $at->has('out'))) {
            $forms[] = $this->closedForm($at, $at->has('out'));
        }

        return [...$forms, $this->elsewhereForm($at)];
    }

    /** What came out and that it is closed, on one sheet with the other points. */
    public function atOnce(Situation $at): ?Form
    {
        return $at->has('out') || $this->capIsOn($at) || $at->entries() !== $at->entries('opened') ? null : $this->outForm($at, together: true);
    }

    /** Also where the others are still to be read. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at) || in_array($this->verdict($at)?->code, ['with_others', self::LEFT_SHUT], true);
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [
            $this->openedForm($at), self::capOffForm(), $this->outForm($at),
            $this->remedyForm($at, Plan::of($at)->predicted->further), $this->closedForm($at),
            $this->elsewhereForm($at), LeftShut::asked(),
        ];
    }

    private function elsewhereForm(Situation $at): Form
    {
        return CameOut::asked($at);
    }

    public function obstacles(Situation $at): array
    {
        return Drains::isLeftShut($at->job, $at->step) ? [] : array_values(array_filter([
            $at->has('out') ? null : Obstacle::missing('no_volume', 'Record what came out, zero included.'),
            $this->capIsOn($at)
                ? Obstacle::missing('cap_on', 'The cap is still on: open it and let the rest run out.')
                : null,
            $this->runsOn($at) ? Obstacle::missing('no_volume_since', 'The cap came off after the last reading: '
                .'record what more came out.') : null,
            $this->short($at) !== null && ! $at->has('remedy')

                    ? Obstacle::missing('no_remedy', 'It is short of what was predicted: say what was done about it.')
                    : null,
            $this->isClosed($at)
                ? null
                : Obstacle::missing('not_closed', "{$at->port()->label} is not recorded as closed."),
        ]));
    }

    public function clock(Situation $at): ?Clock
    {
        $opened = $at->last('opened');
        $seconds = (int) round(60.0 * Plan::of($at)->rules()->labour->of($this->name())->wait);

        return $opened === null || $at->has('out')
            ? null
            : new Clock('A drain takes about ten minutes', $opened->at, $opened->at + $seconds, true);
    }

    public function figure(Situation $at): Figure
    {
        $measured = $at->has('out') ? $at->sum('out', 'volume') : null;
        $expected = Drains::expectedMl($at->job, $at->step);

        return new Figure($measured === null ? 'Expect' : 'Came out', $measured ?? $expected, Dimension::Volume,
            $measured === null ? Origin::Predicted : Origin::Measured, $expected, 'predicted');
    }

    public function judge(Situation $at): ?Verdict
    {
        $last = $at->last('out');
        if ($last === null) {
            return Drains::isLeftShut($at->job, $at->step)
                ? Verdict::wait(self::LEFT_SHUT, 'Left shut', 'Nobody opened it: nothing came out here, and what stands above it stays inside.')
                : null;
        }
        if ($this->runsOn($at)) {
            return Verdict::wait('runs_on', 'Runs on', 'The cap is off now: record what more came out.');
        }
        if (Drains::waitsForOthers($at->job, $at->step)) {
            return Verdict::wait('with_others', 'With the others', "{$at->litres($at->sum('out', 'volume'))} came out here. "
                .'It is judged with what the others give, as one sum.');
        }
        $short = $this->short($at);
        if ($short === null) {
            $expected = Drains::expectedMl($at->job, $at->step);

            $out = $at->sum('out', 'volume');
            if ($out > self::MORE * $expected + self::plusMinusMl($at, $last)) {
                return Verdict::wait(
                    'more_than_predicted',
                    'More than stands above it',
                    "{$at->litres($out)} came out where {$at->litres($expected)} was predicted: a point before it "
                        .'had not run out, or one of the two was misread.',
                );
            }

            return Verdict::pass(
                'drained',
                'Drained',
                "{$at->litres($at->sum('out', 'volume'))} of {$at->litres($expected)} predicted came out.",
            );
        }
        $why = match (true) {
            $this->capIsOn($at) => 'The cap is still on: the vacuum holds it back. Pan under it, then open the cap.',
            $last->text('flow') === 'blocked' => 'The cock is blocked or seized: clear it with wire, or use '
                .'another drain point.',
            default => 'No air is getting in, or it is blocked. '
                .($this->glugs($at) ?? 'Cap off, top bleed points open, heater hot, then let it run again.'),
        };

        return Verdict::wait(
            'short',
            'Short by '.$at->litres($short),
            "{$why} Record what more comes out; what stays in dilutes the new fill.",
        );
    }

    public function orders(Situation $at): array
    {
        $remedy = $at->last('remedy');
        $other = $remedy?->text('remedy') === 'other' ? Drains::stillShut($at->job, $remedy->text('point')) : null;

        return $other === null ? [] : [Drains::further($at, $other)];
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return $entry->form !== 'out'
            ? Elsewhere::lines($at, $entry)
            : [
                new Line(
                    'Out: '.$at->port()->label,
                    -($entry->number('volume') ?? 0.0),
                    self::plusMinusMl($at, $entry),
                    null,
                ),
            ];
    }

    public function ports(Situation $at): array
    {
        return match (true) {
            $this->isClosed($at) => [$at->port()->id => PortState::Closed],
            $at->has('opened') || $at->has('out') => [$at->port()->id => PortState::Running],
            default => [],
        };
    }

    /** Said by itself, or with what came out. */
    private function isClosed(Situation $at): bool
    {
        return $at->has('closed') || $at->last('out')?->ticked(self::SHUT) === true;
    }

    /** mL that should have come out and did not; null while within the vessel and the model. */
    public function short(Situation $at): ?float
    {
        $last = $at->last('out');
        if ($last === null || Drains::waitsForOthers($at->job, $at->step)) {
            return null;
        }
        $out = $at->sum('out', 'volume');
        $predicted = Drains::expectedMl($at->job, $at->step);

        return $out >= self::SHORT * $predicted - self::plusMinusMl($at, $last) ? null : $predicted - $out;
    }

    /** The cap came off after the last volume was read. */
    private function runsOn(Situation $at): bool
    {
        $off = $at->last('cap_off');
        $out = $at->last('out');

        return $off !== null && $out !== null && $off->seq > $out->seq;
    }

    private function capIsOn(Situation $at): bool
    {
        return $at->last('opened')?->text('cap') === 'on' && ! $at->has('cap_off');
    }

    /** @return list<string> names of the parts it empties */
    private function empties(Situation $at): array
    {
        $label = fn (string $passage): string => $at->circuit()->passages[$passage]->label ?? $passage;

        return array_values(array_unique(array_map($label, $at->step->params->list('empties'))));
    }

    /** The region that drains slowly for want of air, with the point that cures it. */
    private function glugs(Situation $at): ?string
    {
        $circuit = $at->circuit();
        foreach (Plan::of($at)->predicted->slow as $region) {
            $parts = array_values(
                array_unique(array_map(fn (string $id) => $circuit->passages[$id]->label ?? $id, $region->passages)),
            );
            if (array_intersect($parts, $this->empties($at)) !== []) {
                return implode(', ', $parts).' gets no air and glugs'.(
                    $region->airPort === null ? '.' : ": open {$circuit->port($region->airPort)->label}."
                );
            }
        }

        return null;
    }

    private function openedForm(Situation $at): Form
    {
        $cap = Field::choice(
            'cap',
            'Cap',
            ['off' => 'Off: drains fast', 'on' => 'On: holds it back while a hose comes off'],
            'off',
        );

        return new Form('opened', 'It is open and flowing', $at->step->params->ticked('first') ? [$cap] : []);
    }

    private static function capOffForm(): Form
    {
        return new Form('cap_off', 'Cap is off now, it runs');
    }

    private function outForm(Situation $at, bool $together = false): Form
    {
        return new Form('out', 'Record what came out', [
            ...$this->vesselFields($at, 'volume', 'Came out', VesselUse::Drain),
            Field::choice(
                'flow',
                'It',
                ['ran' => 'ran out and stopped', 'early' => 'stopped early', 'blocked' => 'hardly came'],
                'ran',
            ),
            count($at->job->stepsOf($this->name())) < 2 ? null : Field::choice(self::TOGETHER, 'It ran', self::RAN, $together ? self::WITH_OTHERS : '')->optional(),
            $at->has('closed') ? null : Field::check(self::SHUT, 'Closed again: '.lcfirst($this->shut($at))),
        ], closes: true);
    }

    private function shut(Situation $at): string
    {
        $port = $at->port();

        return $port->torqueNm === null
            ? 'By feel, no figure known'.($port->washer === '' ? '' : ", {$port->washer}")
            : $this->torqueWrench($at, $port);
    }

    /** @param  list<FurtherDrain>  $others  points that may be opened instead */
    private function remedyForm(Situation $at, array $others): Form
    {
        $points = array_map(fn (FurtherDrain $f) => $f->port, $others);
        $labels = array_combine($points, array_map(fn (string $port) => $at->circuit()->port($port)->label, $points));
        $remedies = $others === [] ? array_diff_key(self::REMEDIES, ['other' => true]) : self::REMEDIES;

        return new Form('remedy', 'Record what was done about it', [
            Field::choice('remedy', 'It stopped early', $remedies, 'air'),
            $others === [] ? null : Field::choice('point', 'Other point', ['none' => 'None'] + $labels, 'none'),
        ], false);
    }
}
