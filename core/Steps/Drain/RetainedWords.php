<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\Circuit\Part;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Judged\DidNotDrain;
use Aqbel\Core\Judged\DrainsInTurn;
use Aqbel\Core\Judged\Retained;
use Aqbel\Core\Judged\RetainedCode;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Listed;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\FurtherDrains;
use Aqbel\Core\Steps\HangsOn;

/** What stayed inside after the drain, where it stands, and what it says of the points. */
final readonly class RetainedWords
{
    private const HARDLY_ML = 30.0;

    public function __construct(private Situation $at, private Retained $kept)
    {
    }

    public function verdict(): Verdict
    {
        [$at, $kept] = [$this->at, $this->kept];
        $inside = "{$at->litres(max(0.0, $kept->insideMl))} ± {$at->litres($kept->plusMinusMl)}";
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
            RetainedCode::DidNotDrain => $this->didNotDrain($inside),
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

    private function didNotDrain(string $inside): Verdict
    {
        [$at, $kept] = [$this->at, $this->kept];
        $suspect = $kept->suspects[0];
        $gave = "{$this->pointsOf($suspect)} gave {$at->litres($suspect->missingMl)} less than predicted";
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
    private function pointsOf(DidNotDrain $suspect): string
    {
        return Listed::of(array_map(fn (string $port) => $this->at->circuit()->port($port)->label, $suspect->ports));
    }

    /** @return list<Table> where it stands, and why */
    public function tables(): array
    {
        [$at, $kept, $rows] = [$this->at, $this->kept, []];
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
                $this->partOf($suspect) ?? "Above {$this->pointsOf($suspect)}",
                $at->litres($suspect->missingMl),
                "{$this->pointsOf($suspect)} gave too little",
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
                    : 'more than the ± of vessels and model: '.$this->shortest(),
            ];
        }

        return $rows === [] ? [] : [new Table('Where it stands', ['Part', 'Keeps', 'Because'], array_values($rows))];
    }

    /** The point that gave the least of what it should, in words. */
    private function shortest(): string
    {
        $at = $this->at;
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
