<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Drain;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stage 2: content found less what came out, against what the engine should keep; and where the difference stands. */
final class Reconcile extends StepKind
{
    /** Volumes of a circuit model against a real engine (common practice, no source). */
    private const MODEL_SHARE = 0.02;

    private const HARDLY_ML = 30.0;

    public function name(): string
    {
        return 'reconcile';
    }

    public function title(Situation $at): string
    {
        return 'What stayed inside';
    }

    public function why(Situation $at): string
    {
        return 'Retained coolant is content found minus what came out. It thins or sours the new fill, and its place is known: what the model says must stay, and whatever did not drain.';
    }

    public function instructions(Situation $at): array
    {
        return ['Compare with what the circuit should keep. A point that gave less than it should names the part that is still full.', 'Open one more point while the pans are still there, or accept what stays: the mixture takes it into account.'];
    }

    public function forms(Situation $at): array
    {
        $further = self::choices($at);

        return array_values(array_filter([
            $further === [] ? null : new Form('more', 'Open this one too', [Field::choice('point', 'Point', $further, array_key_first($further))], $this->judge($at)->passes() === false),
            $this->judge($at)->passes() === false ? new Form('accepted', 'Accept what stays inside', [Field::text('why', 'Why')], false) : null,
        ]));
    }

    public function obstacles(Situation $at): array
    {
        return $this->judge($at)->passes() !== false || $at->has('more') || $at->has('accepted') ? []
            : [Obstacle::missing('More stays inside than should. Open another point, or accept it.')];
    }

    public function figure(Situation $at): Figure
    {
        $ledger = $at->job->ledgerBefore(Stage::Rinse);

        return new Figure('Stays inside', $ledger->contentMl, Dimension::Volume, Figure::MEASURED, (float) $at->job->plan->predicted['retained_ml'], 'predicted', $ledger->plusMinusMl);
    }

    public function judge(Situation $at): Verdict
    {
        $ledger = $at->job->ledgerBefore(Stage::Rinse);
        if ($ledger->lines === []) {
            return Verdict::wait('Nothing to compare', 'The content found is not recorded, so nobody knows what stayed inside.');
        }
        $more = $ledger->contentMl - $this->predicted($at);
        $unsure = $this->unsure($ledger);
        $suspects = $this->suspects($at);
        if ($suspects !== []) {
            [$port, $part, $short] = $suspects[0];

            return Verdict::wait("{$part} probably did not drain", "{$at->circuit()->port($port)->label} gave {$at->litres($short)} less than predicted, about what stands in {$part}."
                .($ledger->contentMl > $this->predicted($at) ? " In all {$at->litres($ledger->contentMl)} ± {$at->litres($ledger->plusMinusMl)} stays inside, predicted {$at->litres($this->predicted($at))}." : ''));
        }
        if ($more > $unsure) {
            $further = self::choices($at);

            return Verdict::wait('More inside than predicted', "{$at->litres($more)} more than the model keeps, beyond the ± of the vessels. ".($further === [] ? 'The heater was shut, or the content found was read too high.' : 'The heater was shut, or a branch was left out: '.implode('; ', $further).'.'));
        }
        if ($more < -$unsure) {
            return Verdict::pass('Less inside than predicted', "More came out than a circuit found {$at->litres($ledger->contentMl + $ledger->outMl())} full can give: the content found was read too low. The ledger’s ± covers it.");
        }
        $further = self::choices($at);

        return Verdict::pass('As predicted', "{$at->litres($ledger->contentMl)} ± {$at->litres($ledger->plusMinusMl)} stays inside, predicted {$at->litres($this->predicted($at))}.".($further === [] ? '' : ' Not opened: '.implode('; ', $further).'.'));
    }

    public function tables(Situation $at): array
    {
        $rows = [];
        foreach ((array) $at->job->plan->predicted['retained'] as $label => $ml) {
            $rows[(string) $label] = [(string) $label, $at->litres($ml), 'no way down to an open drain'];
        }
        foreach ($this->opened($at) as $label => $ml) {
            $rows[$label] = [$label, $at->litres(max(0.0, ((float) ($at->job->plan->predicted['retained'][$label] ?? 0.0)) - $ml)), 'drained by the point opened later'];
        }
        $named = $this->predicted($at);
        foreach ($this->suspects($at) as [$port, $part, $short]) {
            $rows[$part] = [$part, $at->litres($short), "{$at->circuit()->port($port)->label} gave too little"];
            $named += $short;
        }
        $ledger = $at->job->ledgerBefore(Stage::Rinse);
        if ($rows !== [] && $ledger->lines !== [] && abs($ledger->contentMl - $named) > self::HARDLY_ML) {
            $within = abs($ledger->contentMl - $named) <= $this->unsure($ledger);
            $rows[''] = ['Not accounted for', $at->litres($ledger->contentMl - $named), $within ? 'within the ± of vessels and model' : 'more than the ± of vessels and model: '.$this->shortest($at)];
        }

        return $rows === [] ? [] : [new Table('Where it stands', ['Part', 'Keeps', 'Because'], array_values($rows))];
    }

    public function orders(Situation $at): array
    {
        $point = $at->last('more')?->text('point');

        return $point === null || ! in_array($point, Drain::notOpened($at), true) ? []
            : [Drain::further($at, $point), new Step('reconcile:'.(1 + count($at->job->stepsOf('reconcile'))), 'reconcile', Stage::Drain)];
    }

    /**
     * Drain points still shut, in words: what each would let out and what it costs.
     *
     * @return array<string, string> by port
     */
    public static function choices(Situation $at): array
    {
        $choices = [];
        foreach (Drain::notOpened($at) as $port) {
            $further = (array) $at->job->plan->predicted['further'][$port];
            $choices[$port] = "{$at->circuit()->port($port)->label}, {$at->litres($further['volume_ml'])} in ".round($further['minutes']).' min';
        }

        return $choices;
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
            $seen = $at->seenFrom($step);
            $missing[(string) $step->params['port']] = (new Drain)->expected($seen) - $seen->sum('out', 'volume');
        }
        arsort($missing);
        $port = array_key_first($missing);

        return $port === null || $missing[$port] <= 0.0 ? 'read the content found again' : "{$at->circuit()->port($port)->label} gave {$at->litres($missing[$port])} less than expected";
    }

    /** What the model keeps with the points that have been opened by now. */
    private function predicted(Situation $at): float
    {
        return max(0.0, (float) $at->job->plan->predicted['retained_ml'] - array_sum($this->opened($at)));
    }

    /** @return array<string, float> mL by part that points opened beyond the plan let out */
    private function opened(Situation $at): array
    {
        $opened = [];
        foreach ((array) ($at->job->plan->predicted['further'] ?? []) as $port => $further) {
            if (isset($at->job->closed["drain:{$port}"])) {
                foreach ($further['parts'] as $label => $ml) {
                    $opened[(string) $label] = ($opened[(string) $label] ?? 0.0) + $ml;
                }
            }
        }

        return $opened;
    }

    /**
     * Points that gave less than they should, each with the part whose content comes nearest to what is missing.
     *
     * @return list<array{string, string, float}> port, part, mL missing; the largest first
     */
    private function suspects(Situation $at): array
    {
        $suspects = [];
        foreach ($at->job->stepsOf('drain') as $step) {
            $seen = $at->seenFrom($step);
            $port = (string) $step->params['port'];
            $short = $seen->has('out') ? (new Drain)->short($seen) : (isset($at->job->closed[$step->id]) ? (new Drain)->expected($seen) : null);
            $parts = (array) ($at->job->plan->predicted['lets_out'][$port] ?? $at->job->plan->predicted['further'][$port]['parts'] ?? []);
            if ($short === null || $parts === []) {
                continue;
            }
            uasort($parts, fn (float $a, float $b) => abs($a - $short) <=> abs($b - $short));
            $suspects[] = [$port, (string) array_key_first($parts), $short];
        }
        usort($suspects, fn (array $a, array $b) => $b[2] <=> $a[2]);

        return $suspects;
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 2.0;
    }
}
