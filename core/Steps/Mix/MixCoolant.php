<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Mix;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Vessel;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Findings\Bucket;
use Aqbel\Core\Steps\Findings\Coolant;
use Aqbel\Core\Steps\Findings\Drains;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Stores\Liquid;
use Aqbel\Core\Stores\PartUsed;
use Aqbel\Core\Stores\ShelfLine;
use Aqbel\Core\Stores\Shopping;
use Aqbel\Core\Values;

/**
 * Stage 5: the coolant to pour, from what is retained and what is wanted. The ratio that counts is the whole
 * circuit's.
 */
final class MixCoolant extends StepKind
{
    /** Mixed for topping up where next to nothing is missing, mL (common practice, no source). */
    private const LEAST_ML = 1000.0;

    /** A rest in a new container smaller than this is not worth a label, mL. */
    private const DREGS_ML = 50.0;

    /** The circuit within so much of the target is on it (common practice, no source). */
    private const CLOSE = 0.03;

    /** More glycol than this is never better (common practice, no source). */
    private const MOST = 0.6;

    /** What rounding to the marks of a bucket may add. */
    private const MARKS = 0.015;

    /** No batch is larger than so many circuits. */
    private const MOST_CIRCUITS = 3.0;

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
        $mix = $this->mix($at);

        return "{$at->litres($mix->retained->mL())} at {$at->say($mix->retainedFraction, Unit::Percent)} is "
            .'still inside.'
            ." The bucket is mixed so that the whole circuit lands on {$at->say($mix->targetFraction, Unit::Percent)}.";
    }

    public function instructions(Situation $at): array
    {
        $mix = $this->mix($at);
        $facts = $at->facts();
        [$stock, $water] = $this->marks($at);
        $liquid = $this->stockWord($at);
        $family = $facts->inhibitor === '' ? '' : ", {$facts->inhibitor}";
        $spare = round(100.0 * (Shopping::SPARE - 1.0));
        $much = $this->batchMl($mix) <= self::LEAST_ML
            ? 'A litre is enough for topping up.'
            : "That is {$spare} % more than the circuit takes.";

        return array_values(array_filter([
            "{$facts->base->label()}{$family}, {$liquid}, and distilled or deionised water. Family from the manual; "
                .'colour proves nothing.',
            Coolant::of($at->job)->goesBackIn()
                ? 'The clean old coolant goes back in first; the bucket is for the rest.'
                : null,
            "Level bench, everything clean. {$this->vessel($at)->name}: {$liquid} to the {$at->litres($stock)} mark,"
                ." then water to the {$at->litres($stock + $water)} mark. {$much} Stir.",
            $mix->stockFraction < 1.0 ? null : (Plan::of($at)->school->mixedOutside()
                ? 'Mixed in the bucket only: the vacuum draws in whatever the hose finds.'
                : "Or inside: all the {$liquid} first, {$at->litres($mix->stock()->mL())}, then chase it with "
                    ."{$at->litres($mix->water()->mL())} of water,"
                    .' both measured. Needed when much water is retained; goes wrong when the second vessel is '
                    .'guessed.'),
            'What is left over gets a label at the end: strength, family, date.',
        ]));
    }

    public function tables(Situation $at): array
    {
        $mix = $this->mix($at);
        [$stock, $water] = $this->marks($at);
        $name = $mix->stockFraction < 1.0 ? 'Premix '.$at->say($mix->stockFraction, Unit::Percent) : 'Concentrate';
        $reused = Coolant::of($at->job)->goesBackIn() && $at->has('reused');
        $rows = array_values(array_filter([
            $reused ? ['Old coolant, clean', $at->litres($at->sum('reused', 'volume')), 'first'] : null,
            $stock > 0.0 ? [$name, $at->litres($stock), "to the {$at->litres($stock)} mark"] : null,
            $water > 0.0 ? ['Water', $at->litres($water), "up to the {$at->litres($stock + $water)} mark"] : null,
        ]));

        return $rows === []
            ? []
            : [new Table("Order of pouring, {$this->vessel($at)->name}", ['Liquid', 'Amount', 'Where'], $rows)];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Glycol];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        $forms = [];
        $further = Drains::choices($at);
        if ($further !== [] && ! self::isWithinReach($this->mix($at)) && ! $at->has('batch')) {
            $forms[] = self::moreForm($further);
        }
        $reuse = Coolant::of($at->job)->goesBackIn() && ! $at->has('reused');
        if ($reuse) {
            $forms[] = self::reusedForm($at);
        }
        if (Bucket::isInside($at->job)) {
            return [Inside::form($at, $this->mix($at))];
        }
        $forms[] = $this->batchForm($at)->aside($reuse);
        if (Inside::isPossible($at, $this->mix($at))) {
            $forms[] = Inside::form($at, $this->mix($at));
        }
        if (Plan::of($at)->school->mixedOutside() && Bucket::batch($at->job)->ml <= 0.0) {
            $forms[] = self::jugsForm();
        }
        if ($this->mixedOnTheShelf($at) !== []) {
            $forms[] = $this->shelfForm($at);
        }

        return $forms;
    }

    /** Where nothing goes back in and the target is within reach. */
    public function atOnce(Situation $at): ?Form
    {
        $forms = $this->forms($at);

        return $at->entries() === [] && $forms[0]->name === 'batch' && self::isWithinReach($this->mix($at)) ? $forms[0] : null;
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [
            self::moreForm(Drains::everyChoice($at)),
            self::reusedForm($at),
            $this->batchForm($at),
            Inside::form($at, $this->mix($at)),
            self::jugsForm(),
            $this->shelfForm($at),
        ];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if (in_array($form, ['batch', Bucket::INSIDE], true) && $values->number('concentrate') + $values->number('water') <= 0.0) {
            throw new InvalidField('concentrate', 'Enter how much of each went into the bucket.');
        }
        $id = $form === 'shelf' ? $values->text('container') : Source::from($values->text('from'))->partUsed();
        $container = $id === null ? null : $at->stores->container($id);
        $taken = (float) $values->number($form === 'shelf' ? 'volume' : 'concentrate');
        if ($container !== null && $taken > $container->ml + 1.0) {
            throw new InvalidField($form === 'shelf' ? 'volume' : 'concentrate',
                "That container holds only {$at->litres($container->ml)}. Record what came out of it, then the rest "
                    .'from another.');
        }
    }

    /** The strength of what came off the shelf, or out of the circuit, is kept as it was at that moment. */
    public function complete(Situation $at, string $form, Values $values): Values
    {
        return match ($form) {
            'shelf' => $values->with('fraction', $at->stores->container($values->text('container'))->fraction ?? 0.5),
            'reused' => $values->with(
                'fraction',
                $at->job->ledgerBefore(Stage::Drain)->fraction() ?? $at->facts()->targetFraction,
            ),
            default => $values,
        };
    }

    public function shelf(Situation $at, Entry $entry): array
    {
        if ($entry->form === 'shelf') {
            return [ShelfLine::taken($entry->text('container'), (float) $entry->number('volume'))];
        }
        $source = Source::from($entry->text('from'));
        $used = (float) $entry->number('concentrate');
        if ($source->partUsed() !== null) {
            return [ShelfLine::taken($source->partUsed(), $used)];
        }
        $offer = $source->offer() === null ? null : $at->stores->offer($source->offer());
        $left = $offer === null ? 0.0 : Source::newContainers($offer, $used) * $offer->ml - $used;

        return $offer === null || $left <= self::DREGS_ML ? []
            : [
                ShelfLine::put(
                    new PartUsed(
                        '',
                        $offer->liquid,
                        $left,
                        $offer->fraction,
                        $at->facts()->base,
                        $at->facts()->inhibitor,
                    ),
                ),
            ];
    }

    public function obstacles(Situation $at): array
    {
        $mix = $this->mix($at);

        return match (true) {
            $at->has('more') || $at->has('jugs') => [],
            ! $at->has('batch') && ! $at->has(Bucket::INSIDE) && ! $at->has('shelf') && ! $at->has('reused') && $this->judge($at)?->passes() !== true => [
                Obstacle::missing('not_mixed', 'Record what was mixed.'),
            ],
            ! self::isWithinReach($mix) && $this->judge($at)?->passes() !== true => [Obstacle::missing('out_of_reach', 'The target cannot be reached with what stays inside. Open another drain, rinse less,'
                ." or accept {$at->say($mix->finalFraction(), Unit::Percent)} with a reason.")],
            default => [],
        };
    }

    public function orders(Situation $at): array
    {
        $more = $at->last('more');
        $point = $more === null ? null : Drains::stillShut($at->job, $more->text('point'));
        $next = 1 + count($at->job->stepsOf('mix'));

        return $point === null ? [] : [Drains::further($at, $point), new Step("mix:{$next}", 'mix', Stage::Mix)];
    }

    public function figure(Situation $at): Figure
    {
        if (Bucket::isInside($at->job)) {
            $target = $this->mix($at)->targetFraction;

            return new Figure('Mixed inside it comes to', $this->final($at), Unit::Percent, Origin::Measured, $target, 'wanted');
        }
        $fraction = $this->bucket($at);
        $wanted = $this->mix($at)->bucketFraction();

        return new Figure($fraction === null ? 'Mix the bucket to' : 'Bucket', $fraction ?? $wanted, Unit::Percent,
            $fraction === null ? Origin::Predicted : Origin::Measured, $wanted, 'wanted');
    }

    public function judge(Situation $at): ?Verdict
    {
        $mix = $this->mix($at);
        $fraction = $this->bucket($at);
        if ($fraction === null) {
            $pure = $mix->finalFraction() > $mix->targetFraction
                ? "even plain water leaves the circuit at {$at->say($mix->finalFraction(), Unit::Percent)}"
                : "even pure {$this->stockWord($at)} brings the circuit only to {$at->say($mix->finalFraction(), Unit::Percent)}";

            return self::isWithinReach($mix) ? null : Verdict::stop(
                'out_of_reach',
                'Out of reach',
                "With {$at->litres($mix->retained->mL())} inside, {$pure}. Wanted: {$at->say($mix->targetFraction, Unit::Percent)}. {$this->rescue($at)}",
            );
        }
        $inside = Bucket::isInside($at->job);
        $final = $this->final($at);
        $coolant = new Mixture($at->facts()->base, min(1.0, $final));
        $freeze = ($coolant->freezeIsBound() ? 'below ' : '').$at->degrees($coolant->freezePoint()->degC());
        $text = "The circuit will stand at {$at->say($final, Unit::Percent)}: freezes at {$freeze}.";
        if ($final > max(self::MOST, $mix->targetFraction) + self::MARKS) {
            return Verdict::wait(
                'too_strong',
                'Stronger than 60 %',
                "{$text} More glycol is not better: it carries less heat. Add water.",
            );
        }
        $off = abs($final - $mix->targetFraction);

        return $off <= self::CLOSE
            ? Verdict::pass('on_target', 'On target', $text)
            : Verdict::wait('off_target', 'Off by '.$at->say($off, Unit::Percent), $text.($inside
                ? " All of the concentrate goes in: {$at->litres($mix->stock()->mL())} of it, then water up to the mark."
                : $this->toAdd($at)));
    }

    /** Glycol share of the circuit when what was mixed has filled it. */
    private function final(Situation $at): float
    {
        $mix = $this->mix($at);
        $glycol = Bucket::isInside($at->job) ? Bucket::batch($at->job)->glycolMl : $mix->room->mL() * (float) $this->bucket($at);

        return ($glycol + $mix->retained->mL() * $mix->retainedFraction) / $mix->capacity->mL();
    }

    private function bucket(Situation $at): ?float
    {
        return Bucket::batch($at->job)->fraction();
    }

    private function mix(Situation $at): Mix
    {
        $ledger = $at->job->ledgerBefore(Stage::Fill);
        $choices = Plan::of($at)->choices;
        $capacity = $ledger->capacityMl - $ledger->headspaceMl;
        $retained = max(0.0, min($capacity, $ledger->contentMl));

        return new Mix(
            Volume::millilitres($capacity),
            Volume::millilitres($retained),
            $ledger->fraction() ?? 0.0,
            $choices->targetFraction,
            $choices->stockFraction,
        );
    }

    private function batchMl(Mix $mix): float
    {
        return max(self::LEAST_ML, Shopping::SPARE * $mix->room->mL());
    }

    /** @return array{float, float} mL of stock and of water that still go into the bucket, to its marks */
    private function marks(Situation $at): array
    {
        $mix = $this->mix($at);

        return Bucket::batch($at->job)
            ->missing($mix, $this->batchMl($mix), $this->vessel($at)->graduationMl);
    }

    private function vessel(Situation $at): Vessel
    {
        return Plan::of($at)->rules()->vessels->forBatch($this->batchMl($this->mix($at)));
    }

    private function stockWord(Situation $at): string
    {
        return Plan::of($at)->choices->stockFraction < 1.0 ? 'premix' : 'concentrate';
    }

    /** What still goes into the bucket, as a sentence of its own. */
    private function toAdd(Situation $at): string
    {
        [$stock, $water] = $this->marks($at);
        $add = array_filter([
            $stock > 0.0 ? "{$at->litres($stock)} {$this->stockWord($at)}" : null,
            $water > 0.0 ? "{$at->litres($water)} water" : null,
        ]);

        return $add === [] ? '' : ' Add '.implode(' and ', $add).' to the bucket.';
    }

    /** What counts as on target once it is poured cannot be out of reach before. */
    private static function isWithinReach(Mix $mix): bool
    {
        return abs($mix->finalFraction() - $mix->targetFraction) <= self::CLOSE;
    }

    /** Which further drain brings it nearest to the target, where one brings it nearer at all. */
    private function rescue(Situation $at): string
    {
        $mix = $this->mix($at);
        [$best, $reaches] = [null, $mix->finalFraction()];
        foreach (Drains::notOpened($at->job) as $further) {
            $retained = Volume::millilitres(max(0.0, $mix->retained->mL() - $further->volumeMl));
            $with = new Mix($mix->capacity, $retained, $mix->retainedFraction, $mix->targetFraction, $mix->stockFraction);
            if (abs($with->finalFraction() - $mix->targetFraction) < abs($reaches - $mix->targetFraction)) {
                [$best, $reaches] = [$further->port, $with->finalFraction()];
            }
        }

        return $best === null ? 'Drain more, or accept it with a reason.'
            : "{$at->circuit()->port($best)->label} opened too, it reaches {$at->say($reaches, Unit::Percent)}.";
    }

    /** @return array<string, string> label by id of mixed coolant on the shelf */
    private function mixedOnTheShelf(Situation $at): array
    {
        if (Plan::of($at)->choices->stockFraction < 1.0) {
            return [];
        }
        $suiting = $at->stores->suiting($at->facts()->base, $at->facts()->inhibitor);
        $labels = [];
        foreach ($suiting->shelf as $container) {
            if ($container->liquid === Liquid::Premix) {
                $labels[$container->id] = Source::onShelf($at, $container);
            }
        }

        return $labels;
    }

    private function batchForm(Situation $at): Form
    {
        $most = self::MOST_CIRCUITS * $at->circuit()->capacityMl();
        [$stock, $water] = $this->marks($at);
        $premix = Plan::of($at)->choices->stockFraction < 1.0;
        $sources = Source::choices($at, $premix ? Liquid::Premix : Liquid::Concentrate, $stock);
        $likely = Source::likeliest($at, array_keys($sources), $stock);

        return new Form('batch', $at->has('batch') ? 'Add to the batch' : 'Record batch', [
            Field::volume(
                'concentrate',
                $premix ? 'Premix '.$at->say(Plan::of($at)->choices->stockFraction, Unit::Percent) : 'Concentrate',
                $most,
            )
                ->preset($stock),
            Field::volume('water', 'Water', $most)->preset($water),
            count($sources) > 1
                ? Field::choice('from', ($premix ? 'Premix' : 'Concentrate').' from', $sources, $likely)
                : null,
        ], closes: true);
    }

    private static function jugsForm(): Form
    {
        return new Form('jugs', 'No bucket: drawn from jugs, one liquid each', [], false);
    }

    private function shelfForm(Situation $at): Form
    {
        $labels = $this->mixedOnTheShelf($at);

        return new Form('shelf', 'Use mixed coolant from the shelf', [
            Field::choice('container', 'Container', $labels, (string) array_key_first($labels)),
            Field::volume('volume', 'Taken', self::MOST_CIRCUITS * $at->circuit()->capacityMl()),
        ], false);
    }

    private static function reusedForm(Situation $at): Form
    {
        return new Form(
            'reused',
            'Record what goes back in',
            [Field::volume('volume', 'Clean old coolant', $at->circuit()->capacityMl())],
        );
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
}
