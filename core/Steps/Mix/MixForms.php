<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Mix;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\Bucket;
use Aqbel\Core\Judged\MixComesTo;
use Aqbel\Core\Judged\OldCoolant;
use Aqbel\Core\Observed\BatchMixed;
use Aqbel\Core\Observed\FromShelf;
use Aqbel\Core\Observed\JugByJug;
use Aqbel\Core\Observed\PointToo;
use Aqbel\Core\Observed\PouredBack;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\FurtherDrains;
use Aqbel\Core\Stores\Liquid;

/**
 * What is asked where the coolant is mixed: what goes back in, the bucket, both poured one after the other, the shelf.
 */
final readonly class MixForms
{
    /** No batch is larger than so many circuits. */
    private const MOST_CIRCUITS = 3.0;

    public function __construct(private Situation $at)
    {
    }

    /** @return list<Form> */
    public function all(): array
    {
        return Form::offering($this->offered(), $this->ever());
    }

    /** @return list<Form> */
    private function offered(): array
    {
        $mix = MixComesTo::wanted($this->at->job);
        $reuse = OldCoolant::of($this->at->job)->goesBackIn() && $this->at->observed(PouredBack::class) === [];
        $further = MixComesTo::isWithinReach($mix) || $this->at->observed(BatchMixed::class) !== []
                ? []
                : FurtherDrains::choices($this->at);
        $first = [$further === [] ? null : self::moreForm($further), $reuse ? $this->backForm() : null];
        if (Bucket::isInside($this->at->job)) {
            return [...array_filter($first), Inside::form($this->at, $mix)];
        }

        return array_values(
            array_filter([
                ...$first,
                $this->batchForm()->aside($reuse),
                Inside::isPossible($this->at, $mix) ? Inside::form($this->at, $mix) : null,
                Plan::of($this->at)->school->mixedOutside() && Bucket::batch($this->at->job)->ml <= 0.0
                    ? JugByJug::asked()
                    : null,
                $this->mixedOnTheShelf() !== [] ? $this->shelfForm() : null,
            ]),
        );
    }

    /** @return list<Form> */
    private function ever(): array
    {
        return [
            self::moreForm(FurtherDrains::everyChoice($this->at)),
            $this->backForm(),
            $this->batchForm(),
            Inside::form($this->at, MixComesTo::wanted($this->at->job)),
            JugByJug::asked(),
            $this->shelfForm(),
        ];
    }

    /** @return array<string, string> label by id of mixed coolant on the shelf */
    private function mixedOnTheShelf(): array
    {
        if (Plan::of($this->at)->choices->stockFraction < 1.0) {
            return [];
        }
        $suiting = $this->at->stores->suiting($this->at->facts()->base, $this->at->facts()->inhibitor);
        $labels = [];
        foreach ($suiting->shelf as $container) {
            if ($container->liquid === Liquid::Premix) {
                $labels[$container->id] = Source::onShelf($this->at, $container);
            }
        }

        return $labels;
    }

    private function batchForm(): Form
    {
        $bucket = new BucketToFill($this->at);
        $sources = Source::choices(
            $this->at,
            Plan::of($this->at)->choices->stockFraction < 1.0 ? Liquid::Premix : Liquid::Concentrate,
            $bucket->stockMl,
        );

        return BatchMixed::askedOfTheBucket(
            $this->at->observed(BatchMixed::class) === [] ? 'Record what is mixed' : 'Add to what is mixed',
            $bucket->label(),
            self::MOST_CIRCUITS * $this->at->circuit()->capacityMl(),
            [$bucket->stockMl, $bucket->waterMl],
            $sources,
            Source::likeliest($this->at, array_keys($sources), $bucket->stockMl),
        );
    }

    private function shelfForm(): Form
    {
        return FromShelf::asked($this->mixedOnTheShelf(), self::MOST_CIRCUITS * $this->at->circuit()->capacityMl());
    }

    private function backForm(): Form
    {
        return PouredBack::asked($this->at->circuit()->capacityMl());
    }

    /** @param  array<string, string>  $points */
    private static function moreForm(array $points): Form
    {
        return PointToo::asked('Open this one too', $points);
    }
}
