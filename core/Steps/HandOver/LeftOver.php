<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\HandOver;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\Bucket;
use Aqbel\Core\Judged\InFunnel;
use Aqbel\Core\Observed\NothingLeft;
use Aqbel\Core\Observed\RestKept;
use Aqbel\Core\Quantity\Dimension;
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
use Aqbel\Core\Values;

/** Stage 11: what is left of the batch, labelled and on the shelf, or with the customer for topping up. */
final class LeftOver extends StepKind
{
    private const MOST_CIRCUITS = 3.0;

    /** Common practice, no source. */
    private const HANGS_ON_ML = 300.0;

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

    public function observes(): array
    {
        return [RestKept::class, NothingLeft::class];
    }

    private function shelvedMl(Situation $at): float
    {
        return array_sum(array_map(fn (RestKept $kept) => $kept->shelfMl, $at->observed(RestKept::class)));
    }

    /** What is left and not kept yet. */
    private function toKeepMl(Situation $at): float
    {
        $kept = array_map(fn (RestKept $kept) => $kept->shelfMl + $kept->customerMl, $at->observed(RestKept::class));

        return max(0.0, $this->leftMl($at) - array_sum($kept));
    }

    public function tables(Situation $at): array
    {
        $rest = $this->container($at, $this->shelvedMl($at) ?: $this->leftMl($at));

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
        $kept = RestKept::asked(round($this->toKeepMl($at) / PartUsed::MARK_ML) * PartUsed::MARK_ML, $most);
        $none = NothingLeft::asked();

        return Form::offering([$kept, $this->leftMl($at) <= self::unseenMl($at) ? $none : null], [$kept, $none]);
    }

    /** What hangs on bucket, hose and jug, or is less than the sums can tell, mL. */
    private static function unseenMl(Situation $at): float
    {
        return max(self::HANGS_ON_ML, $at->job->ledger()->plusMinusMl);
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if ($form !== RestKept::FORM) {
            return;
        }
        $said = array_sum(RestKept::litres($values));
        $left = $this->toKeepMl($at);
        if ($said < $left - self::unseenMl($at) && trim($values->text(RestKept::REST)) === '') {
            throw new InvalidField(
                RestKept::REST,
                "By the sums {$at->litres($left)} are left, and {$at->litres($said)} are kept: "
                    ."say here where the other {$at->litres($left - $said)} went, or correct what was poured.",
            );
        }
    }

    public function atOnce(Situation $at): Form
    {
        return $this->forms($at)[0];
    }

    public function obstacles(Situation $at): array
    {
        return $at->latest(RestKept::class) !== null || $at->latest(NothingLeft::class) !== null
            ? []
            : [Obstacle::missing('not_said', 'Say what happens to the rest of what was mixed.')];
    }

    public function figure(Situation $at): Figure
    {
        return new Figure('Left of what was mixed', $this->leftMl($at), Dimension::Volume, Origin::Predicted);
    }

    public function shelf(Situation $at, Entry $entry): array
    {
        $kept = RestKept::of($entry)->shelfMl ?? 0.0;

        return $kept > 0.0 ? [ShelfLine::put($this->container($at, $kept), PartUsed::MARK_ML)] : [];
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
        return max(
            0.0,
            max(0.0, Bucket::batch($at->job)->ml - $at->job->pouredMl())
                + (InFunnel::leftMl($at->job) ?? 0.0)
                - InFunnel::intoTheBottleMl($at->job),
        );
    }
}
