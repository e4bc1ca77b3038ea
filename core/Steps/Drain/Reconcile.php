<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\Circuit\Part;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\DidNotDrain;
use Aqbel\Core\Judged\DrainsInTurn;
use Aqbel\Core\Judged\Retained;
use Aqbel\Core\Judged\RetainedCode;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\PointToo;
use Aqbel\Core\Observed\RestAccepted;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Range;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Listed;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Elsewhere;
use Aqbel\Core\Steps\FurtherDrains;
use Aqbel\Core\Steps\HangsOn;
use Aqbel\Core\Steps\StepKind;

/** Stage 2: content found less what came out, against what the engine should keep; and where the difference stands. */
final class Reconcile extends StepKind
{
    private const HARDLY_ML = 30.0;

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
            || $at->latest(RestAccepted::class) !== null
            ? []
            : [Obstacle::missing('not_settled', 'More stays inside than should. Open another point, or accept it.')];
    }

    /** Also where it was answered. */
    public function goesOn(Situation $at): bool
    {
        return parent::goesOn($at)
            || $at->latest(PointToo::class) !== null
            || $at->latest(RestAccepted::class) !== null;
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
            $ledger->contentMl,
            Dimension::Volume,
            Origin::Measured,
            $this->judgement($at)->predictedMl,
            'predicted',
            Range::within($ledger->contentMl, $ledger->plusMinusMl),
        );
    }

    public function judge(Situation $at): Verdict
    {
        $kept = $this->judgement($at);
        $inside = "{$at->litres($kept->insideMl)} ± {$at->litres($kept->plusMinusMl)}";
        $further = implode('; ', FurtherDrains::choices($at));

        return match ($kept->code) {
            RetainedCode::NoContent => Verdict::wait(
                $kept->code(),
                'Nothing to compare',
                'The content found is not recorded, so nobody knows what stayed inside.',
            ),
            RetainedCode::NothingOut => Verdict::wait(
                $kept->code(),
                'Nothing came out',
                "Every point was left shut: all {$at->litres($kept->insideMl)} of the old stays inside. "
                    .'Say what came out another way, open a point, or accept it.',
            ),
            RetainedCode::DidNotDrain => $this->didNotDrain($at, $kept, $inside),
            RetainedCode::MoreInside => Verdict::wait(
                $kept->code(),
                'More inside than predicted',
                "{$at->litres($kept->moreMl())} more than the model keeps, beyond the ± of the vessels. "
                    .(($at->circuit()->hasHeater() ? 'The heater was shut, ' : 'It stopped early, ')
                        .($at->circuit()->isRough()
                            ? 'the circuit holds other volumes than its layout says, '
                            : '')
                        .($further === ''
                            ? 'or the content found was read too high.'
                            : "or a branch was left out: {$further}.")),
            ),
            RetainedCode::LessInside => Verdict::pass(
                $kept->code(),
                'Less inside than predicted',
                "{$inside} stays inside, predicted {$at->litres($kept->predictedMl)}: "
                    .'the points let out more than the model knows of, or the content found was read too low.',
            ),
            RetainedCode::TooRough => Verdict::wait(
                $kept->code(),
                'More than was inside',
                "{$at->litres($at->job->ledgerBefore(Stage::Drain)->contentMl)} was found, and "
                    ."{$at->litres(-$kept->insideMl)} more came out."
                    .HangsOn::oneNumber($at, -$kept->insideMl),
            ),
            RetainedCode::AsPredicted => Verdict::pass(
                $kept->code(),
                'As predicted',
                "{$inside} stays inside, predicted {$at->litres($kept->predictedMl)}."
                    .($further === '' ? '' : " Not opened: {$further}."),
            ),
        };
    }

    private function didNotDrain(Situation $at, Retained $kept, string $inside): Verdict
    {
        $suspect = $kept->suspects[0];
        $gave = "{$this->pointsOf($at, $suspect)} gave {$at->litres($suspect->missingMl)} less than predicted";
        $inAll = $kept->moreMl() > 0.0
                ? " In all {$inside} stays inside, predicted {$at->litres($kept->predictedMl)}."
                : '';
        $part = $this->partOf($suspect);

        return $part === null
            ? Verdict::wait(
                $kept->code(),
                'Several parts did not drain',
                "{$gave}, more than any one part above them holds: no air got in, or it was found less full than "
                    ."was said.{$inAll}",
            )
            : Verdict::wait(
                $kept->code(),
                "{$part} probably did not drain",
                "{$gave}, about what stands in {$part}.{$inAll}",
            );
    }

    /** In words; null where no single part holds so much. */
    private function partOf(DidNotDrain $suspect): ?string
    {
        return $suspect->parts === []
            ? null
            : Listed::either(array_map(fn (Part $part) => $part->label, $suspect->parts));
    }

    /** Those that ran together are one. */
    private function pointsOf(Situation $at, DidNotDrain $suspect): string
    {
        return Listed::of(array_map(fn (string $port) => $at->circuit()->port($port)->label, $suspect->ports));
    }

    public function tables(Situation $at): array
    {
        [$kept, $rows] = [$this->judgement($at), []];
        $opened = Retained::letOutBeyondThePlan($at->job);
        $retained = Plan::of($at)->predicted->retained;
        foreach ($retained->byPart($at->circuit()) as $stays) {
            $gone = Retained::emptiedMl($at->job, $stays);
            $rows[$stays->part->id] = [
                $stays->part->label,
                $at->litres($stays->ml - $gone),
                $gone > 0.0 ? 'emptied another way' : 'no way down to an open drain',
            ];
        }
        foreach ($opened->byPart($at->circuit()) as $let) {
            $keeps = array_sum(array_map($retained->in(...), $let->part->passages));
            $rows[$let->part->id] = [
                $let->part->label, $at->litres(max(0.0, $keeps - $let->ml)), 'drained by the point opened later',
            ];
        }
        $shut = DrainsInTurn::keptByShutMl($at->job);
        if ($shut > 0.0) {
            $rows['shut'] = ['Above points left shut', $at->litres($shut), 'nobody opened them'];
        }
        $named = $kept->predictedMl;
        foreach ($kept->suspects as $suspect) {
            $part = count($suspect->parts) === 1 ? $suspect->parts[0]->id : implode(' ', $suspect->ports);
            $rows[$part] = [
                $this->partOf($suspect) ?? "Above {$this->pointsOf($at, $suspect)}",
                $at->litres($suspect->missingMl),
                "{$this->pointsOf($at, $suspect)} gave too little",
            ];
            $named += $suspect->missingMl;
        }
        $rest = $kept->insideMl - $named;
        if ($rows !== [] && $kept->code !== RetainedCode::NoContent && abs($rest) > self::HARDLY_ML) {
            $rows[''] = [
                'Not accounted for',
                $at->litres($rest),
                abs($rest) <= $kept->unsureMl
                    ? 'within the ± of vessels and model'
                    : 'more than the ± of vessels and model: '.$this->shortest($at),
            ];
        }

        return $rows === [] ? [] : [new Table('Where it stands', ['Part', 'Keeps', 'Because'], array_values($rows))];
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

    /** The point that gave the least of what it should, in words. */
    private function shortest(Situation $at): string
    {
        $missing = [];
        foreach (DrainsInTurn::expectedMl($at->job) as $id => $expected) {
            $step = $at->job->steps[$id];
            $missing[$step->params->text('port')] = $expected - DrainsInTurn::outMl($at->job, $step);
        }
        arsort($missing);
        $port = array_key_first($missing);

        return $port === null || $missing[$port] <= 0.0 ? 'read the content found again'
            : "{$at->circuit()->port($port)->label} gave {$at->litres($missing[$port])} less than expected";
    }
}
