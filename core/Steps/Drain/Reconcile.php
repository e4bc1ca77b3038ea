<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\Retained;
use Aqbel\Core\Judged\RetainedCode;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\PointToo;
use Aqbel\Core\Observed\RestAccepted;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Range;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Elsewhere;
use Aqbel\Core\Steps\FurtherDrains;
use Aqbel\Core\Steps\StepKind;

/** Stage 2: content found less what came out, against what the engine should keep; and where the difference stands. */
final class Reconcile extends StepKind
{
    public function name(): string
    {
        return 'reconcile';
    }

    protected function doing(): array
    {
        return [Does::MovesCoolant, Does::Balances];
    }

    public function title(Situation $at): string
    {
        return 'What stayed inside';
    }

    public function why(Situation $at): string
    {
        return 'Retained coolant is content found minus what came out. It thins or sours the new fill, and its '
            .'place is known: what the model says must stay, and whatever did not drain.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Compare with what the circuit should keep. A point that gave less than it should names the part that is '
                .'still full.',
            'Open one more point while the pans are still there, or accept what stays: the mixture takes it into '
                .'account.',
        ];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        $further = FurtherDrains::choices($at);
        $unsettled = ! $this->judge($at)->passes();

        return array_values(
            array_filter([
                $further === []
                    ? null
                    : self::moreForm($further)->aside(
                        ! $unsettled || $this->judgement($at)->code === RetainedCode::TooRough,
                    ),
                $unsettled ? RestAccepted::asked() : null,
                $unsettled || $at->entries() !== [] ? CameOut::asked($at) : null,
            ]),
        );
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [self::moreForm(FurtherDrains::everyChoice($at)), RestAccepted::asked(), CameOut::asked($at)];
    }

    /** @param  array<string, string>  $points */
    private static function moreForm(array $points): Form
    {
        return PointToo::asked('Open this one too', $points);
    }

    public function observes(): array
    {
        return [PointToo::class, RestAccepted::class, CameOut::class];
    }

    public function judgement(Situation $at): Retained
    {
        return Retained::of($at);
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return Elsewhere::lines($at, $entry);
    }

    public function obstacles(Situation $at): array
    {
        return $this->judge($at)->passes()
            || $at->latest(PointToo::class) !== null
            || self::isAccepted($at)
            ? []
            : [Obstacle::missing('not_settled', 'More stays inside than should. Open another point, or accept it.')];
    }

    /** Also where it was answered. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at)
            || $at->latest(PointToo::class) !== null
            || self::isAccepted($at);
    }

    /** What was accepted is what was inside then: not what a number put right since has added. */
    private static function isAccepted(Situation $at): bool
    {
        $accepted = $at->latest(RestAccepted::class);
        $then = $accepted === null ? null : $at->job->upTo($accepted->told()->seq);
        [$now, $before] = [Retained::of($at), $then === null ? null : Retained::of($then->at($at->step, $at->now))];

        return $before !== null && $now->insideMl <= $before->insideMl + $now->unsureMl;
    }

    public function goesByItself(Situation $at): bool
    {
        return $this->judge($at)->passes() && FurtherDrains::choices($at) === [];
    }

    public function figure(Situation $at): Figure
    {
        $ledger = $at->job->ledgerBefore(Stage::Rinse);

        return new Figure(
            'Stays inside',
            max(0.0, $ledger->contentMl),
            Dimension::Volume,
            Origin::Measured,
            $this->judgement($at)->predictedMl,
            'predicted',
            Range::within($ledger->contentMl, $ledger->plusMinusMl),
        );
    }

    public function judge(Situation $at): Verdict
    {
        return (new RetainedWords($at, $this->judgement($at)))->verdict();
    }

    public function tables(Situation $at): array
    {
        return (new RetainedWords($at, $this->judgement($at)))->tables();
    }

    public function orders(Situation $at): array
    {
        $more = $at->latest(PointToo::class);
        $point = $more === null ? null : FurtherDrains::stillShut($at->job, $more->point);
        $next = 1 + count($at->job->stepsOf('reconcile'));

        return $point === null
            ? []
            : [FurtherDrains::further($at, $point), new Step("reconcile:{$next}", 'reconcile', Stage::Drain)];
    }
}
