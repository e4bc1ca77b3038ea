<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Mix;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\Bucket;
use Aqbel\Core\Judged\MixComesTo;
use Aqbel\Core\Judged\MixComesToCode;
use Aqbel\Core\Judged\OldCoolant;
use Aqbel\Core\Observed\BatchMixed;
use Aqbel\Core\Observed\FromShelf;
use Aqbel\Core\Observed\JugByJug;
use Aqbel\Core\Observed\PointToo;
use Aqbel\Core\Observed\PouredBack;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\FurtherDrains;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Stores\ShelfLine;
use Aqbel\Core\Values;

/**
 * Stage 5: the coolant to pour, from what is retained and what is wanted. The ratio that counts is the whole
 * circuit's.
 */
final class MixCoolant extends StepKind
{
    /** What is mixed coolant on the shelf where its label tells nothing (common practice, no source). */
    private const USUAL_PREMIX = 0.5;

    private const NOTHING_ML = 5.0;

    public function name(): string
    {
        return 'mix';
    }

    protected function doing(): array
    {
        return [Does::TouchesShelf];
    }

    public function title(Situation $at): string
    {
        return 'Mix the coolant';
    }

    public function why(Situation $at): string
    {
        $mix = MixComesTo::wanted($at->job);
        $kept = $mix->retained->mL();
        $inside = $kept < self::NOTHING_ML
            ? ''
            : "{$at->litres($kept)} at {$at->say($mix->retainedFraction, Unit::Percent)} is still inside. ";

        return "{$inside}The bucket is mixed so that the whole circuit lands "
            ."on {$at->say($mix->targetFraction, Unit::Percent)}.";
    }

    public function instructions(Situation $at): array
    {
        $mix = MixComesTo::wanted($at->job);
        $bucket = new BucketToFill($at);
        $facts = $at->facts();
        $family = $facts->inhibitor === '' ? '' : ", {$facts->inhibitor}";
        $water = $bucket->isReady() ? '' : ', and distilled or deionised water';

        return array_values(
            array_filter([
                "{$facts->base->label()}{$family}, {$bucket->stock()}{$water}. Family from the manual; "
                .'colour proves nothing.',
                OldCoolant::of($at->job)->goesBackIn()
                    ? 'The clean old coolant goes back in first; the bucket is for the rest.'
                    : null,
                $bucket->instruction(),
                match (true) {
                    $mix->stockFraction >= 1.0 && Plan::of($at)->school->mixedOutside() => 'Mixed in the bucket only: '
                        .'the vacuum draws in whatever the hose finds.',
                    ! Inside::isPossible($at, $mix) => null,
                    default => "Or inside: all the {$bucket->stock()} first, {$at->litres($mix->stock()->mL())}, "
                        ."then chase it with {$at->litres($mix->water()->mL())} of water, both measured, "
                        ."{$at->litres(Inside::waterAtHandMl($mix))} of it at hand. "
                        .'Needed when much water is retained; goes wrong when the second vessel is guessed.',
                },
                'What is left over gets a label at the end: strength, family, date.',
            ]),
        );
    }

    public function tables(Situation $at): array
    {
        return (new BucketToFill($at))->tables(OldCoolant::of($at->job)->goesBackIn() ? Bucket::backMl($at->job) : 0.0);
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Glycol];
    }

    public function observes(): array
    {
        return [PointToo::class, BatchMixed::class, FromShelf::class, PouredBack::class, JugByJug::class];
    }

    public function asks(Situation $at): array
    {
        return (new MixForms($at))->all();
    }

    /** Where nothing goes back in and the target is within reach. */
    public function atOnce(Situation $at): ?Form
    {
        $first = $this->forms($at)[0];

        return $at->entries() === []
            && BatchMixed::isForm($first->name)
            && MixComesTo::isWithinReach(MixComesTo::wanted($at->job))
            ? $first
            : null;
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        $id = $form === FromShelf::FORM
                ? FromShelf::containerIn($values)
                : Source::from(BatchMixed::takesFrom($values))->partUsed();
        $can = $id === null ? null : $at->stores->container($id);
        $there = $at->litres((float) $can?->ml);
        match (true) {
            BatchMixed::isForm($form) => BatchMixed::admit($values, $can?->mostMl(), $there),
            $form === FromShelf::FORM => FromShelf::admit($values, $can?->mostMl(), $there),
            default => null,
        };
    }

    /** The strength of what came off the shelf, or out of the circuit, is kept as it was at that moment. */
    public function complete(Situation $at, string $form, Values $values): Values
    {
        return match ($form) {
            FromShelf::FORM => FromShelf::asStrongAs(
                $values,
                $at->stores->container(FromShelf::containerIn($values))->fraction ?? self::USUAL_PREMIX,
            ),
            PouredBack::FORM => PouredBack::asStrongAs(
                $values,
                $at->job->ledgerBefore(Stage::Drain)->fraction() ?? $at->facts()->targetFraction,
            ),
            default => $values,
        };
    }

    public function shelf(Situation $at, Entry $entry): array
    {
        [$taken, $mixed] = [FromShelf::of($entry), BatchMixed::of($entry)];

        return match (true) {
            $taken !== null => [ShelfLine::taken($taken->container, $taken->ml, Source::plusMinusMl($at, $taken->ml))],
            $mixed !== null => Source::from($mixed->from)->shelf($at, $mixed->stockMl),
            default => [],
        };
    }

    public function obstacles(Situation $at): array
    {
        $mixed = $this->judgement($at);
        $accept = "or accept {$at->say($mixed->fraction ?? 0.0, Unit::Percent)} with a reason: then that is the plan.";
        // Jug by jug nothing is in the bucket yet; what is in it all the same is judged.
        $missing = Bucket::batch($at->job)->ml <= 0.0 && $at->latest(JugByJug::class) === null
            ? [Obstacle::missing('not_mixed', 'Record what was mixed.')]
            : [];

        return match (true) {
            $at->latest(PointToo::class) !== null => [],
            $mixed === null => $missing,
            $mixed->code === MixComesToCode::OutOfReach => [
                ...$missing,
                self::risk(
                    $mixed,
                    "The target cannot be reached with what stays inside. Open another drain, rinse less, {$accept}",
                ),
            ],
            $mixed->isRisk() => [self::risk($mixed, "{$this->judge($at)?->reason} Put it right, {$accept}")],
            default => [],
        };
    }

    /** What freezes too early or carries too little heat is passed over by whom the house lets. */
    private static function risk(MixComesTo $mixed, string $text): Obstacle
    {
        return $mixed->isRisk()
            ? Obstacle::at(Gate::Frost, $mixed->code(), $text)
            : Obstacle::missing($mixed->code(), $text);
    }

    public function orders(Situation $at): array
    {
        $more = $at->latest(PointToo::class);
        $point = $more === null ? null : FurtherDrains::stillShut($at->job, $more->point);
        $next = 1 + count($at->job->stepsOf('mix'));

        return $point === null ? [] : [FurtherDrains::further($at, $point), new Step("mix:{$next}", 'mix', Stage::Mix)];
    }

    public function figure(Situation $at): Figure
    {
        $mix = MixComesTo::wanted($at->job);
        if (Bucket::isInside($at->job)) {
            return new Figure(
                'Mixed inside it comes to',
                $this->judgement($at)?->fraction,
                Unit::Percent,
                Origin::Measured,
                $mix->targetFraction,
                'wanted',
            );
        }
        [$fraction, $wanted] = [Bucket::batch($at->job)->fraction(), $mix->bucketFraction()];

        return new Figure($fraction === null ? 'Mix the bucket to' : 'Bucket', $fraction ?? $wanted, Unit::Percent,
            $fraction === null ? Origin::Predicted : Origin::Measured, $wanted, 'wanted');
    }

    public function judgement(Situation $at): ?MixComesTo
    {
        return MixComesTo::of($at);
    }

    public function judge(Situation $at): ?Verdict
    {
        $mixed = $this->judgement($at);

        return $mixed === null ? null : MixWords::of($at, $mixed);
    }
}
