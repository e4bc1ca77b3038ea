<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\HandOver;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Judged\Bucket;
use Aqbel\Core\Judged\InFunnel;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\PartUsed;
use Aqbel\Core\Stores\ShelfLine;

/** Stage 11: what is left of the batch, labelled and on the shelf, or with the customer for topping up. */
final class LeftOver extends StepKind
{
    private const MOST_CIRCUITS = 3.0;

    /** A rest is read to so many mL. */
    private const MARK_ML = 50.0;

    public function name(): string
    {
        return 'left_over';
    }

    protected function doing(): array
    {
        return [Does::TouchesShelf];
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
        return [
            'Into a clean can, closed, out of reach of children and animals. Write the label below on it.',
            'The customer gets some for the top-ups of the next days.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Glycol];
    }

    public function tables(Situation $at): array
    {
        $rest = $this->container($at, $at->sum('kept', 'volume') ?: $this->leftMl($at));

        return [new Table('Label', ['On the can', 'Write'], [
            ['What', $rest->label()],
            ['Freezes at', $at->degrees($rest->freezePointC())],
            ['For', $at->circuit()->name],
            ['Caution', 'Poisonous. Keep from children and animals.'],
        ], isLabel: true)];
    }

    public function asks(Situation $at): array
    {
        $most = self::MOST_CIRCUITS * $at->circuit()->capacityMl();

        return [
            new Form('kept', 'Record what is kept', [
                Field::volume('volume', 'Onto the shelf', $most)
                    ->preset(round($this->leftMl($at) / self::MARK_ML) * self::MARK_ML),
                Field::volume('customer', 'To the customer', $most, false),
            ]),
            new Form('none', 'Nothing is left', [], false),
        ];
    }

    public function atOnce(Situation $at): Form
    {
        return $this->forms($at)[0];
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('kept') || $at->has('none')
            ? []
            : [Obstacle::missing('not_said', 'Say what happens to the rest of what was mixed.')];
    }

    public function figure(Situation $at): Figure
    {
        return new Figure('Left of what was mixed', $this->leftMl($at), Dimension::Volume, Origin::Predicted);
    }

    public function shelf(Situation $at, Entry $entry): array
    {
        $kept = $entry->form === 'kept' ? (float) $entry->number('volume') : 0.0;

        return $kept > 0.0 ? [ShelfLine::put($this->container($at, $kept))] : [];
    }

    private function container(Situation $at, float $ml): PartUsed
    {
        return new PartUsed(
            '',
            Liquid::Premix,
            $ml,
            Bucket::fractionLeft($at),
            $at->facts()->base,
            $at->facts()->inhibitor,
        );
    }

    /** Mixed, less what was poured, plus what came back from funnel, hose and bucket. */
    private function leftMl(Situation $at): float
    {
        $poured = $at->job->ledger()->inMl() - $at->job->ledgerBefore(Stage::Fill)->inMl();

        return max(
            0.0,
            max(0.0, Bucket::batch($at->job)->ml - $poured) + (InFunnel::leftMl($at->job) ?? 0.0) - InFunnel::intoTheBottleMl($at->job),
        );
    }
}
