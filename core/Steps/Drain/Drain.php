<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\DrainGave;
use Aqbel\Core\Judged\DrainGaveCode;
use Aqbel\Core\Judged\DrainsInTurn;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\CapOff;
use Aqbel\Core\Observed\DrainOpened;
use Aqbel\Core\Observed\DrainRan;
use Aqbel\Core\Observed\LeftShut;
use Aqbel\Core\Observed\PointClosed;
use Aqbel\Core\Observed\Remedied;
use Aqbel\Core\Plan\FurtherDrain;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\AtPoint;
use Aqbel\Core\Steps\Elsewhere;
use Aqbel\Core\Steps\FurtherDrains;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/** Stage 2: one drain point into a graduated vessel, closed with its washer. */
final class Drain extends StepKind
{
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
        $behind = (new DrainWords($at))->empties();
        $what = $behind === [] ? 'what is left above it' : implode(', ', $behind);

        return "Lets out {$what}. What is predicted and what comes out must be compared before the next point.";
    }

    public function instructions(Situation $at): array
    {
        return (new DrainWords($at))->instructions();
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Glycol, Hazard::Eyes];
    }

    public function observes(): array
    {
        return [
            DrainOpened::class,
            CapOff::class,
            DrainRan::class,
            PointClosed::class,
            Remedied::class,
            LeftShut::class,
            CameOut::class,
        ];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        $capOn = DrainGave::capIsOn($at);
        $untouched = ! $this->isOpen($at) && ! $this->isRead($at);

        return array_values(array_filter([
            $capOn ? CapOff::asked() : null,
            $this->outForm($at)->aside($capOn),
            $untouched ? $this->openedForm($at)->aside() : null,
            $untouched ? LeftShut::asked() : null,
            $this->isShort($at) ? $this->remedyForm($at, FurtherDrains::notOpened($at->job)) : null,
            $this->isClosed($at) || $untouched ? null : (new AtPoint($at))->closedForm($this->isRead($at)),
            CameOut::asked($at),
        ]));
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [
            $this->openedForm($at),
            CapOff::asked(),
            $this->outForm($at),
            $this->remedyForm($at, Plan::of($at)->predicted->further),
            (new AtPoint($at))->closedForm(),
            CameOut::asked($at),
            LeftShut::asked(),
        ];
    }

    /** What came out and that it is closed, on one sheet with the other points. */
    public function atOnce(Situation $at): ?Form
    {
        $others = array_filter($at->entries(), fn (Entry $entry) => DrainOpened::of($entry) === null);

        return $others !== [] || DrainGave::capIsOn($at)
            ? null
            : $this->outForm($at, together: DrainsInTurn::mayRunBeside($at->job, $at->step));
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        $this->complete($at, $form, $values);
    }

    public function complete(Situation $at, string $form, Values $values): Values
    {
        return DrainRan::asTold(
            $form,
            parent::complete($at, $form, $values),
            DrainsInTurn::ranWithOthers($at->job, $at->step),
        );
    }

    /** Also where the others are still to be read. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at)
            || in_array($this->judgement($at)?->code, [DrainGaveCode::WithOthers, DrainGaveCode::LeftShut], true);
    }

    public function obstacles(Situation $at): array
    {
        $gave = $this->judgement($at);
        $of = fn (DrainGaveCode $code): bool => $gave?->code === $code;

        return $of(DrainGaveCode::LeftShut) ? [] : Obstacle::those([
            'no_volume' => $gave !== null ? '' : 'Record what came out, zero included.',
            'cap_on' => DrainGave::capIsOn($at) ? 'The cap is still on: open it and let the rest run out.' : '',
            'no_volume_since' => $of(DrainGaveCode::RunsOn)
                ? 'The cap came off after the last reading: record what more came out.'
                : '',
            'no_remedy' => $this->isShort($at) && $at->latest(Remedied::class) === null
                ? 'It is short of what was predicted: say what was done about it.'
                : '',
            'mixed_up' => $of(DrainGaveCode::MixedUp) && $gave?->isAskedAt($at) === true
                ? 'Correct which point gave what, or say why both numbers stand.'
                : '',
            'not_closed' => $this->isClosed($at) ? '' : "{$at->port()->label} is not recorded as closed.",
        ]);
    }

    public function clock(Situation $at): ?Clock
    {
        $opened = $at->latest(DrainOpened::class);
        $seconds = (int) round(60.0 * Plan::of($at)->rules()->labour->of($this->name())->wait);

        return $opened === null || $this->isRead($at)
            ? null
            : new Clock('A drain takes about ten minutes', $opened->at(), $opened->at() + $seconds, true);
    }

    public function figure(Situation $at): Figure
    {
        $measured = $this->isRead($at) ? DrainsInTurn::outMl($at->job, $at->step) : null;
        $expected = DrainsInTurn::expectedMl($at->job)[$at->step->id];

        return new Figure($measured === null ? 'Expect' : 'Came out', $measured ?? $expected, Dimension::Volume,
            $measured === null ? Origin::Predicted : Origin::Measured, $expected, 'predicted');
    }

    public function judgement(Situation $at): ?DrainGave
    {
        return DrainGave::of($at);
    }

    public function judge(Situation $at): ?Verdict
    {
        $gave = $this->judgement($at);

        return $gave === null ? null : (new DrainWords($at))->of($gave);
    }

    public function orders(Situation $at): array
    {
        $point = $at->latest(Remedied::class)?->point;
        $other = $point === null ? null : FurtherDrains::stillShut($at->job, $point);

        return $other === null ? [] : [FurtherDrains::further($at, $other)];
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        $ran = DrainRan::of($entry);

        return match (true) {
            $ran === null => Elsewhere::lines($at, $entry),
            $ran->inAnothers => [],
            default => [
                new Line(
                    'Out: '.$at->port()->label,
                    -$ran->read->ml,
                    $ran->read->plusMinusMl($at),
                    null,
                    roughMl: $ran->read->roughMl,
                ),
            ],
        };
    }

    public function ports(Situation $at): array
    {
        return match (true) {
            $this->isClosed($at) => [$at->port()->id => PortState::Closed],
            $this->isOpen($at) || $this->isRead($at) => [$at->port()->id => PortState::Running],
            default => [],
        };
    }

    private function isOpen(Situation $at): bool
    {
        return $at->latest(DrainOpened::class) !== null;
    }

    private function isRead(Situation $at): bool
    {
        return $at->latest(DrainRan::class) !== null;
    }

    /** Said by itself, or with what came out. */
    private function isClosed(Situation $at): bool
    {
        return $at->latest(PointClosed::class) !== null || $at->latest(DrainRan::class)?->shut === true;
    }

    /** It gave too little; of several that ran together it is asked once. */
    private function isShort(Situation $at): bool
    {
        $gave = $this->judgement($at);

        return $gave?->code === DrainGaveCode::Short && $gave->isAskedAt($at);
    }

    private function openedForm(Situation $at): Form
    {
        return DrainOpened::asked($at->step->params->ticked('first'));
    }

    private function outForm(Situation $at, bool $together = false): Form
    {
        $isOnly = count($at->job->stepsOf($this->name())) < 2;

        return DrainRan::asked(
            $at,
            $isOnly ? null : $together,
            $at->latest(PointClosed::class) === null ? (new AtPoint($at))->shut() : null,
        );
    }

    /** @param  list<FurtherDrain>  $others  points that may be opened instead */
    private function remedyForm(Situation $at, array $others): Form
    {
        $points = array_map(fn (FurtherDrain $f) => $f->port, $others);

        return Remedied::asked(
            $at->circuit(),
            array_combine($points, array_map(fn (string $port) => $at->circuit()->port($port)->label, $points)),
        );
    }
}
