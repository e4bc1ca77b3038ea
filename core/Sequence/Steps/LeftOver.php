<?php

declare(strict_types=1);

namespace Aqbel\Core\Sequence\Steps;

use Aqbel\Core\Coolant\Container;
use Aqbel\Core\Coolant\Offer;
use Aqbel\Core\Coolant\ShelfLine;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Run\Entry;
use Aqbel\Core\Run\Situation;
use Aqbel\Core\Sequence\Field;
use Aqbel\Core\Sequence\Figure;
use Aqbel\Core\Sequence\Form;
use Aqbel\Core\Sequence\Hazard;
use Aqbel\Core\Sequence\Obstacle;
use Aqbel\Core\Sequence\PlanInput;
use Aqbel\Core\Sequence\Stage;
use Aqbel\Core\Sequence\Step;
use Aqbel\Core\Sequence\StepKind;
use Aqbel\Core\Sequence\Table;

/** Stage 11: what is left of the batch, labelled and on the shelf, or with the customer for topping up. */
final class LeftOver extends StepKind
{
    public function name(): string
    {
        return 'left_over';
    }

    public function title(Situation $at): string
    {
        return 'Label what is left';
    }

    public function why(Situation $at): string
    {
        return 'Mixed coolant without a label is waste: nobody knows its strength or family tomorrow.';
    }

    public function instructions(Situation $at): array
    {
        return ['Into a clean can, closed, out of reach of children and animals. Write the label below on it.', 'The customer gets some for the top-ups of the next days.'];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Glycol];
    }

    public function tables(Situation $at): array
    {
        $rest = $this->container($at, $at->sum('kept', 'volume') ?: $this->left($at));

        return [new Table('Label', ['On the can', 'Write'], [
            ['What', $rest->label()], ['Freezes at', $at->degrees($rest->freezePointC())], ['For', $at->circuit()->name], ['Mixed', 'today’s date and the number of this job'], ['Caution', 'Poisonous. Keep from children and animals.'],
        ])];
    }

    public function forms(Situation $at): array
    {
        return [
            new Form('kept', 'Record what is kept', [Field::volume('volume', 'Onto the shelf', 3.0 * $at->circuit()->capacityMl())->preset(round($this->left($at) / 50.0) * 50.0), Field::volume('customer', 'To the customer', 3.0 * $at->circuit()->capacityMl(), false)]),
            new Form('none', 'Nothing is left', [], false),
        ];
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('kept') || $at->has('none') ? [] : [Obstacle::missing('Say what happens to the rest of the batch.')];
    }

    public function figure(Situation $at): Figure
    {
        return new Figure('Left of the batch', $this->left($at), Dimension::Volume, Figure::PREDICTED);
    }

    public function usesShelf(): bool
    {
        return true;
    }

    public function shelf(Situation $at, Entry $entry): array
    {
        $kept = $entry->form === 'kept' ? (float) $entry->number('volume') : 0.0;

        return $kept > 0.0 ? [ShelfLine::put($this->container($at, $kept))] : [];
    }

    public function handsOnMinutes(Step $step, PlanInput $input): float
    {
        return 2.0;
    }

    private function container(Situation $at, float $ml): Container
    {
        return new Container('', Offer::PREMIX, $ml, MixStep::batchFraction($at) ?? $at->job->plan->input->targetFraction, $at->facts()->base, $at->facts()->inhibitor);
    }

    /** Mixed, less what was poured, plus what came back from funnel, hose and bucket. */
    private function left(Situation $at): float
    {
        $poured = $at->job->ledger()->inMl() - $at->job->ledgerBefore(Stage::Fill)->inMl();

        return max(0.0, MixStep::mixedMl($at) - $poured) + ($at->job->lastOf('fill_level', 'returned')?->number('left') ?? 0.0);
    }
}
