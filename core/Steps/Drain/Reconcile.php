<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\Circuit\PartVolume;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Findings\Drains;
use Aqbel\Core\Steps\StepKind;

/** Stage 2: content found less what came out, against what the engine should keep; and where the difference stands. */
final class Reconcile extends StepKind
{
    /** Volumes of a circuit model against a real engine (common practice, no source). */
    private const MODEL_SHARE = 0.02;

    private const HARDLY_ML = 30.0;

    /**
     * A part is only named where at least this share of what it should hold is really missing (common practice, no
     * source).
     */
    private const ACCOUNTS_FOR = 0.5;

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
        $further = Drains::choices($at);
        $unsettled = ! $this->judge($at)->passes();

        return array_values(array_filter([
            $further === [] ? null : self::moreForm($further)->aside(! $unsettled),
            $unsettled ? self::acceptedForm() : null,
            $unsettled || $at->entries() !== [] ? $this->elsewhereForm($at) : null,
        ]));
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [self::moreForm(Drains::everyChoice($at)), self::acceptedForm(), $this->elsewhereForm($at)];
    }

    private function elsewhereForm(Situation $at): Form
    {
        return CameOut::asked($at);
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return Elsewhere::lines($at, $entry);
    }

    public function obstacles(Situation $at): array
    {
        return $this->judge($at)->passes() || $at->has('more') || $at->has('accepted') ? []
            : [Obstacle::missing('not_settled', 'More stays inside than should. Open another point, or accept it.')];
    }

    public function goesByItself(Situation $at): bool
    {
        return $this->judge($at)->passes() && Drains::choices($at) === [];
    }

    public function figure(Situation $at): Figure
    {
        $ledger = $at->job->ledgerBefore(Stage::Rinse);

        return new Figure(
            'Stays inside',
            $ledger->contentMl,
            Dimension::Volume,
            Origin::Measured,
            Plan::of($at)->predicted->retainedMl,
            'predicted',
            $ledger->plusMinusMl,
        );
    }

    public function judge(Situation $at): Verdict
    {
        $ledger = $at->job->ledgerBefore(Stage::Rinse);
        if ($ledger->lines === []) {
            return Verdict::wait(
                'no_content',
                'Nothing to compare',
                'The content found is not recorded, so nobody knows what stayed inside.',
            );
        }
        $predicted = $this->predicted($at);
        $inside = "{$at->litres($ledger->contentMl)} ± {$at->litres($ledger->plusMinusMl)}";
        $more = $ledger->contentMl - $predicted;
        $suspects = $this->suspects($at);
        if ($suspects !== []) {
            [$suspect] = $suspects;
            $inAll = $more > 0.0 ? " In all {$inside} stays inside, predicted {$at->litres($predicted)}." : '';

            return Verdict::wait('did_not_drain', "{$suspect->part} probably did not drain",
                "{$at->circuit()->port($suspect->port)->label} gave {$at->litres($suspect->missingMl)} less than "
                    ."predicted, about what stands in {$suspect->part}.{$inAll}");
        }
        $further = implode('; ', Drains::choices($at));
        if ($more > $this->unsure($ledger)) {
            return Verdict::wait('more_inside', 'More inside than predicted', "{$at->litres($more)} more than the "
                .'model keeps, beyond the ± of the vessels. '
                .(
                    $further === ''
                        ? 'The heater was shut, or the content found was read too high.'
                        : "The heater was shut, or a branch was left out: {$further}."
                ));
        }
        if ($more < -$this->unsure($ledger)) {
            return Verdict::pass('less_inside', 'Less inside than predicted', 'More came out than a circuit found '
                ."{$at->litres($ledger->contentMl + $ledger->outMl())} full can give:"
                .' the content found was read too low. The ledger’s ± covers it.');
        }

        return Verdict::pass(
            'as_predicted',
            'As predicted',
            "{$inside} stays inside, predicted {$at->litres($predicted)}.".(
                $further === '' ? '' : " Not opened: {$further}."
            ),
        );
    }

    public function tables(Situation $at): array
    {
        $rows = [];
        $opened = Drains::letOutBeyondThePlan($at->job);
        $retained = Plan::of($at)->predicted->retained;
        $emptied = Elsewhere::byPart($at->job);
        foreach ($retained->byPart($at->circuit()) as $kept) {
            $gone = min($kept->ml, $emptied[$kept->part->id] ?? 0.0);
            $rows[$kept->part->id] = [$kept->part->label, $at->litres($kept->ml - $gone), $gone > 0.0 ? 'emptied another way' : 'no way down to an open drain'];
        }
        foreach ($opened->byPart($at->circuit()) as $let) {
            $keeps = array_sum(array_map($retained->in(...), $let->part->passages));
            $rows[$let->part->id] = [
                $let->part->label, $at->litres(max(0.0, $keeps - $let->ml)), 'drained by the point opened later',
            ];
        }
        $shut = Drains::keptByShutMl($at->job);
        if ($shut > 0.0) {
            $rows['shut'] = ['Above points left shut', $at->litres($shut), 'nobody opened them'];
        }
        $named = $this->predicted($at);
        foreach ($this->suspects($at) as $suspect) {
            $rows[$suspect->partId] = [
                $suspect->part,
                $at->litres($suspect->missingMl),
                "{$at->circuit()->port($suspect->port)->label} gave too little",
            ];
            $named += $suspect->missingMl;
        }
        $ledger = $at->job->ledgerBefore(Stage::Rinse);
        $rest = $ledger->contentMl - $named;
        if ($rows !== [] && $ledger->lines !== [] && abs($rest) > self::HARDLY_ML) {
            $within = abs($rest) <= $this->unsure($ledger);
            $rows[''] = [
                'Not accounted for',
                $at->litres($rest),
                $within
                    ? 'within the ± of vessels and model'
                    : 'more than the ± of vessels and model: '.$this->shortest($at),
            ];
        }

        return $rows === [] ? [] : [new Table('Where it stands', ['Part', 'Keeps', 'Because'], array_values($rows))];
    }

    public function orders(Situation $at): array
    {
        $more = $at->last('more');
        $point = $more === null ? null : Drains::stillShut($at->job, $more->text('point'));
        $next = 1 + count($at->job->stepsOf('reconcile'));

        return $point === null
            ? []
            : [Drains::further($at, $point), new Step("reconcile:{$next}", 'reconcile', Stage::Drain)];
    }

    private function unsure(Ledger $ledger): float
    {
        return hypot($ledger->plusMinusMl, self::MODEL_SHARE * $ledger->capacityMl);
    }

    /** The point that gave the least of what it should, in words. */
    private function shortest(Situation $at): string
    {
        $missing = [];
        foreach ($at->job->stepsOf('drain') as $step) {
            $missing[$step->params->text('port')] = Drains::expectedMl($at->job, $step) - $at->seenFrom($step)
                ->sum('out', 'volume');
        }
        arsort($missing);
        $port = array_key_first($missing);

        return $port === null || $missing[$port] <= 0.0 ? 'read the content found again'
            : "{$at->circuit()->port($port)->label} gave {$at->litres($missing[$port])} less than expected";
    }

    /** What the model keeps with the points that have been opened, and the parts emptied another way, by now; mL. */
    private function predicted(Situation $at): float
    {
        $emptied = Elsewhere::byPart($at->job);
        $blown = 0.0;
        foreach (Plan::of($at)->predicted->retained->byPart($at->circuit()) as $kept) {
            $blown += min($kept->ml, $emptied[$kept->part->id] ?? 0.0);
        }

        return max(0.0, Plan::of($at)->predicted->retainedMl + Drains::keptByShutMl($at->job) - Drains::letOutBeyondThePlan($at->job)->sum() - $blown);
    }

    /**
     * What another point gave in place of one that gave less is not inside: only so much is named as is missing in all.
     *
     * @return list<Suspect> points that gave less than they should, the largest first
     */
    private function suspects(Situation $at): array
    {
        $ledger = $at->job->ledgerBefore(Stage::Rinse);
        $missing = $ledger->lines === [] ? INF : $ledger->contentMl - $this->predicted($at);
        $named = [];
        foreach ($this->short($at) as $suspect) {
            if ($missing >= self::ACCOUNTS_FOR * $suspect->missingMl) {
                $named[] = $suspect->within($missing);
                $missing -= $suspect->missingMl;
            }
        }

        return $named;
    }

    /** @return list<Suspect> points that gave less than they should, whatever the others gave, the largest first */
    private function short(Situation $at): array
    {
        $suspects = [];
        foreach ($at->job->stepsOf('drain') as $step) {
            $seen = $at->seenFrom($step);
            $port = $step->params->text('port');
            $short = match (true) {
                $seen->has('out') => (new Drain)->short($seen),
                Drains::isLeftShut($at->job, $step) => null,
                isset($at->job->closed[$step->id]) => Drains::expectedMl($at->job, $step),
                default => null,
            };
            $parts = Plan::of($at)->predicted->letsOut($port)->byPart($at->circuit());
            if ($short !== null && $parts !== []) {
                // The part whose content comes nearest to what is missing.
                usort($parts, fn (PartVolume $a, PartVolume $b) => abs($a->ml - $short) <=> abs($b->ml - $short));
                $part = $parts[0]->part;
                // No part keeps more than it holds.
                $holds = array_sum(array_map(fn (string $passage) => $at->circuit()->passages[$passage]->volumeMl, $part->passages));
                $suspects[] = new Suspect($port, $part->id, $part->label, min($short, $holds));
            }
        }
        usort($suspects, fn (Suspect $a, Suspect $b) => $b->missingMl <=> $a->missingMl);

        return $suspects;
    }

    /** @param  array<string, string>  $points */
    private static function moreForm(array $points): Form
    {
        return new Form(
            'more',
            'Open this one too',
            [Field::choice('point', 'Point', $points, array_key_first($points))],
        );
    }

    private static function acceptedForm(): Form
    {
        return new Form('accepted', 'Accept what stays inside', [Field::text('why', 'Why')], false);
    }
}
