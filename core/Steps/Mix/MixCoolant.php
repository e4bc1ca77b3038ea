<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Mix;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Mixing\Batch;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Drain\Drain;
use Aqbel\Core\Steps\Drain\Reconcile;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Stores\Inventory;
use Aqbel\Core\Stores\Offer;
use Aqbel\Core\Stores\PartUsed;
use Aqbel\Core\Stores\ShelfLine;
use Aqbel\Core\Stores\Shopping;

/** Stage 5: the coolant to pour, from what is retained and what is wanted. The ratio that counts is the whole circuit's. */
final class MixCoolant extends StepKind
{
    /** Mixed for topping up where next to nothing is missing (common practice, no source). */
    private const LEAST_ML = 1000.0;

    /** A rest in a new container smaller than this is not worth a label. */
    private const DREGS_ML = 50.0;

    private const CLOSE = 0.03;

    private const MOST = 0.6;

    private const LIQUIDS = ['batch' => 'The batch', 'concentrate' => 'Concentrate', 'water' => 'Water'];

    /** Off by less than this a top-up changes nothing worth saying. */
    private const OFF = 0.02;

    /** What rounding to the marks of a bucket may add. */
    private const MARKS = 0.015;

    public function name(): string
    {
        return 'mix';
    }

    public function title(Situation $at): string
    {
        return 'Mix the coolant';
    }

    public function why(Situation $at): string
    {
        $mix = $this->mix($at);

        return "{$at->litres($mix->retained->mL())} at {$at->say($mix->retainedFraction, Unit::Percent)} is still inside. The bucket is mixed so that the whole circuit lands on {$at->say($mix->targetFraction, Unit::Percent)}.";
    }

    public function instructions(Situation $at): array
    {
        $mix = $this->mix($at);
        $facts = $at->facts();
        $vessel = $this->vessel($at);
        [$stock, $water] = $this->marks($at);
        $liquid = $mix->stockFraction < 1.0 ? 'premix' : 'concentrate';

        return array_values(array_filter([
            "{$facts->base->label()}".($facts->inhibitor === '' ? '' : ", {$facts->inhibitor}").", {$liquid}, and distilled or deionised water. Family from the manual; colour proves nothing.",
            $this->reuses($at) ? 'The clean old coolant goes back in first; the bucket is for the rest.' : null,
            "Level bench, everything clean. {$vessel}: {$liquid} to the {$at->litres($stock)} mark, then water to the {$at->litres($stock + $water)} mark. ".(Shopping::SPARE * $mix->room->mL() < self::LEAST_ML ? 'A litre is enough for topping up.' : 'That is 15 % more than the circuit takes.').' Stir.',
            $at->job->plan->input->school === Choices::VACUUM
                ? 'Mixed in the bucket only: the vacuum draws in whatever the hose finds.'
                : 'Or inside: all the '.$liquid." first, {$at->litres($mix->stock()->mL())}, then chase it with {$at->litres($mix->water()->mL())} of water, both measured. Needed when much water is retained; goes wrong when the second vessel is guessed.",
            'What is left over gets a label at the end: strength, family, date.',
        ]));
    }

    public function tables(Situation $at): array
    {
        $mix = $this->mix($at);
        $vessel = $this->vessel($at);
        [$stock, $water] = $this->marks($at);
        $rows = array_values(array_filter([
            $this->reuses($at) && $at->has('reused') ? ['Old coolant, clean', $at->litres($at->sum('reused', 'volume')), 'first'] : null,
            $stock > 0.0 ? [$mix->stockFraction < 1.0 ? 'Premix '.$at->say($mix->stockFraction, Unit::Percent) : 'Concentrate', $at->litres($stock), "to the {$at->litres($stock)} mark"] : null,
            $water > 0.0 ? ['Water', $at->litres($water), "up to the {$at->litres($stock + $water)} mark"] : null,
        ]));

        return $rows === [] ? [] : [new Table("Order of pouring, {$vessel}", ['Liquid', 'Amount', 'Where'], $rows)];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Glycol];
    }

    public function forms(Situation $at): array
    {
        $most = 3.0 * $at->circuit()->capacityMl();
        [$stock, $water] = $this->marks($at);
        $stores = $at->stores->suiting($at->facts()->base, $at->facts()->inhibitor);
        $premix = $at->job->plan->input->stockFraction < 1.0;
        $from = $this->sources($at, $stores, $premix ? Offer::PREMIX : Offer::CONCENTRATE, $stock);
        $forms = [];
        if ($this->reuses($at) && ! $at->has('reused')) {
            $forms[] = new Form('reused', 'Record what goes back in', [Field::volume('volume', 'Clean old coolant', $at->circuit()->capacityMl())]);
        }
        $forms[] = new Form('batch', $at->has('batch') ? 'Add to the batch' : 'Record batch', array_filter([
            Field::volume('concentrate', $premix ? 'Premix '.$at->say($at->job->plan->input->stockFraction, Unit::Percent) : 'Concentrate', $most)->preset($stock),
            Field::volume('water', 'Water', $most)->preset($water),
            count($from) > 1 ? Field::choice('from', ($premix ? 'Premix' : 'Concentrate').' from', $from, $this->likeliest($stores, array_keys($from), $stock)) : null,
        ]), $forms === []);
        $mixed = array_filter($stores->shelf, fn (PartUsed $c) => $c->kind === Offer::PREMIX && ! $premix);
        if ($mixed !== []) {
            $labels = array_map(fn (PartUsed $c) => $this->onShelf($at, $c), array_combine(array_map(fn (PartUsed $c) => $c->id, $mixed), $mixed));
            $forms[] = new Form('shelf', 'Use mixed coolant from the shelf', [Field::choice('container', 'Container', $labels, (string) array_key_first($labels)), Field::volume('volume', 'Taken', $most)], false);
        }
        $further = Reconcile::choices($at);
        if ($further !== [] && ! $this->mix($at)->reachable() && ! $at->has('batch')) {
            array_unshift($forms, new Form('more', 'Open this one too', [Field::choice('point', 'Point', $further, array_key_first($further))]));
        }

        return $forms;
    }

    /** @param  array<string, mixed>  $values */
    public function admit(Situation $at, string $form, array $values): void
    {
        if ($form === 'batch' && $values['concentrate'] + $values['water'] <= 0.0) {
            throw new InvalidField('concentrate', 'Enter how much of each went into the bucket.');
        }
        $id = $form === 'shelf' ? $values['container'] : (str_starts_with($values['from'] ?? '', 'shelf:') ? substr($values['from'], 6) : null);
        $container = $id === null ? null : $at->stores->container($id);
        $taken = $form === 'shelf' ? $values['volume'] : ($values['concentrate'] ?? 0.0);
        if ($container !== null && $taken > $container->ml + 1.0) {
            throw new InvalidField($form === 'shelf' ? 'volume' : 'concentrate', "That container holds only {$at->litres($container->ml)}. Record what came out of it, then the rest from another.");
        }
    }

    public function complete(Situation $at, string $form, array $values): array
    {
        return match ($form) {
            'shelf' => [...$values, 'fraction' => $at->stores->container($values['container'])->fraction ?? 0.5],
            'reused' => [...$values, 'fraction' => $at->job->ledgerBefore(Stage::Drain)->fraction() ?? $at->facts()->targetFraction],
            default => $values,
        };
    }

    public function usesShelf(): bool
    {
        return true;
    }

    public function shelf(Situation $at, Entry $entry): array
    {
        if ($entry->form === 'shelf') {
            return [ShelfLine::taken($entry->text('container'), (float) $entry->number('volume'))];
        }
        [$where, $id] = [...explode(':', $entry->text('from'), 2), ''];
        $used = (float) $entry->number('concentrate');
        $offer = $where === 'new' ? $at->stores->offer($id) : null;
        $left = $offer === null ? 0.0 : ceil($used / $offer->ml - 1.0e-9) * $offer->ml - $used;

        return match (true) {
            $where === 'shelf' => [ShelfLine::taken($id, $used)],
            $offer !== null && $left > self::DREGS_ML => [ShelfLine::put(new PartUsed('', $offer->kind, $left, $offer->fraction, $at->facts()->base, $at->facts()->inhibitor))],
            default => [],
        };
    }

    public function obstacles(Situation $at): array
    {
        return match (true) {
            $at->has('more') => [],
            ! $at->has('batch') && ! $at->has('shelf') && ! $at->has('reused') => [Obstacle::missing('Record what was mixed.')],
            ! $this->mix($at)->reachable() => [Obstacle::missing("The target cannot be reached with what stays inside. Open another drain, rinse less, or accept {$at->say($this->mix($at)->finalFraction(), Unit::Percent)} with a reason.")],
            default => [],
        };
    }

    public function orders(Situation $at): array
    {
        $more = $at->last('more')?->text('point');

        return $more === null || ! in_array($more, Drain::notOpened($at), true) ? []
            : [Drain::further($at, $more), new Step('mix:'.(1 + count($at->job->stepsOf('mix'))), 'mix', Stage::Mix)];
    }

    public function figure(Situation $at): Figure
    {
        $fraction = $this->batch($at)->fraction();

        return new Figure($fraction === null ? 'Mix the bucket to' : 'Bucket', $fraction ?? $this->mix($at)->bucketFraction(), Unit::Percent,
            $fraction === null ? Figure::PREDICTED : Figure::MEASURED, $this->mix($at)->bucketFraction(), 'wanted');
    }

    public function judge(Situation $at): ?Verdict
    {
        $mix = $this->mix($at);
        $fraction = $this->batch($at)->fraction();
        if ($fraction === null) {
            return $mix->reachable() ? null : Verdict::stop('Out of reach', "With {$at->litres($mix->retained->mL())} inside, even pure ".($mix->stockFraction < 1.0 ? 'premix' : 'concentrate')." brings the circuit only to {$at->say($mix->finalFraction(), Unit::Percent)}. {$this->rescue($at)}");
        }
        $final = ($mix->room->mL() * $fraction + $mix->retained->mL() * $mix->retainedFraction) / $mix->capacity->mL();
        $coolant = new Mixture($at->facts()->base, min(1.0, $final));
        $freeze = ($coolant->freezeIsBound() ? 'below ' : '').$at->degrees($coolant->freezePoint()->degC());
        $text = "The circuit will stand at {$at->say($final, Unit::Percent)}: freezes at {$freeze}.";
        if ($final > max(self::MOST, $mix->targetFraction) + self::MARKS) {
            return Verdict::wait('Stronger than 60 %', "{$text} More glycol is not better: it carries less heat. Add water.");
        }
        [$stock, $water] = $this->marks($at);
        $add = implode(' and ', array_filter([$stock > 0.0 ? "{$at->litres($stock)} ".($mix->stockFraction < 1.0 ? 'premix' : 'concentrate') : null, $water > 0.0 ? "{$at->litres($water)} water" : null]));

        return abs($final - $mix->targetFraction) <= self::CLOSE
            ? Verdict::pass('On target', $text)
            : Verdict::wait('Off by '.$at->say(abs($final - $mix->targetFraction), Unit::Percent), $text.($add === '' ? '' : " Add {$add} to the bucket."));
    }

    /** Strength of all that was mixed in the job, for whatever is poured afterwards; null before the first batch. */
    public static function batchFraction(Situation $at): ?float
    {
        return self::mixed($at, $at->job->stepsOf('mix'))->fraction();
    }

    /** What a top-up is made with; the batch, as long as the circuit stands where it should. */
    public static function liquidField(Situation $at): Field
    {
        return Field::choice('liquid', 'With', self::LIQUIDS, 'batch', self::nextPour($at))->optional();
    }

    /** Glycol share of what was topped up with. */
    public static function liquidFraction(Situation $at, Entry $entry): float
    {
        return match ($entry->text('liquid')) {
            'concentrate' => 1.0, 'water' => 0.0, default => self::batchFraction($at) ?? $at->job->plan->input->targetFraction
        };
    }

    /** Where the circuit stands and what the next pour should be; empty while it is on target. */
    public static function nextPour(Situation $at): string
    {
        $now = $at->job->ledger()->fraction();
        $wanted = $at->job->plan->input->targetFraction;

        return $now === null || abs($now - $wanted) <= self::OFF ? ''
            : "The ledger has {$at->say($now, Unit::Percent)}, {$at->say($wanted, Unit::Percent)} is wanted: make the next top-up ".($now < $wanted ? 'concentrate.' : 'water.');
    }

    /** mL mixed in the job. */
    public static function mixedMl(Situation $at): float
    {
        return self::mixed($at, $at->job->stepsOf('mix'))->ml;
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 6.0;
    }

    private function batch(Situation $at): Batch
    {
        return self::mixed($at, [$at->step]);
    }

    /** @param  list<Step>  $steps */
    private static function mixed(Situation $at, array $steps): Batch
    {
        $batch = Batch::empty();
        foreach ($steps as $step) {
            foreach ($at->job->entriesOf($step->id) as $entry) {
                $batch = match ($entry->form) {
                    'batch' => $batch->with((float) $entry->number('concentrate'), $at->job->plan->input->stockFraction)->with((float) $entry->number('water'), 0.0),
                    'shelf', 'reused' => $batch->with((float) $entry->number('volume'), (float) $entry->number('fraction')),
                    default => $batch,
                };
            }
        }

        return $batch;
    }

    private function mix(Situation $at): Mix
    {
        $ledger = $at->job->ledgerBefore(Stage::Fill);
        $capacity = $ledger->capacityMl - $ledger->headspaceMl;
        $retained = max(0.0, min($capacity, $ledger->contentMl));

        return new Mix(Volume::millilitres($capacity), Volume::millilitres($retained), $ledger->fraction() ?? 0.0, $at->job->plan->input->targetFraction, $at->job->plan->input->stockFraction);
    }

    /** @return array{float, float} mL of stock and of water that still go into the bucket, to its marks */
    private function marks(Situation $at): array
    {
        return $this->batch($at)->missing($this->mix($at), $at->rules()->graduationMl($this->vessel($at)), self::LEAST_ML);
    }

    private function vessel(Situation $at): string
    {
        return $at->rules()->mixingVessel(max(self::LEAST_ML, Shopping::SPARE * $this->mix($at)->room->mL()));
    }

    /** Which further drain would make the target reachable, or come nearest. */
    private function rescue(Situation $at): string
    {
        $mix = $this->mix($at);
        $best = null;
        foreach (Drain::notOpened($at) as $port) {
            $retained = max(0.0, $mix->retained->mL() - (float) $at->job->plan->predicted['further'][$port]['volume_ml']);
            $with = new Mix($mix->capacity, Volume::millilitres($retained), $mix->retainedFraction, $mix->targetFraction, $mix->stockFraction);
            $best = $best === null || $with->finalFraction() > $best[1] ? [$port, $with->finalFraction()] : $best;
        }

        return $best === null ? 'Drain more, or accept it with a reason.'
            : "{$at->circuit()->port($best[0])->label} opened too, it reaches {$at->say($best[1], Unit::Percent)}.";
    }

    private function reuses(Situation $at): bool
    {
        return $at->job->lastOf('look', 'seen')?->text('next') === 'reuse';
    }

    /**
     * Where the stock comes from: part-used containers first, then the price list, then none that is kept.
     *
     * @return array<string, string>
     */
    private function sources(Situation $at, Inventory $stores, string $kind, float $neededMl): array
    {
        $fits = fn (PartUsed|Offer $one) => $one->kind === $kind && abs($one->fraction - $at->job->plan->input->stockFraction) < 0.02;
        $sources = [];
        foreach (array_filter($stores->shelf, $fits) as $container) {
            $sources["shelf:{$container->id}"] = $this->onShelf($at, $container);
        }
        foreach (array_filter($stores->offers, $fits) as $offer) {
            $count = (int) max(1.0, ceil($neededMl / $offer->ml));
            $sources["new:{$offer->id}"] = "New, {$count} × {$at->litres($offer->ml)}";
        }

        return [...$sources, 'elsewhere' => 'The drum, not counted'];
    }

    /**
     * The part-used container that has enough, else the cheapest new ones.
     *
     * @param  list<string>  $sources
     */
    private function likeliest(Inventory $stores, array $sources, float $neededMl): string
    {
        $cost = [];
        foreach ($sources as $source) {
            [$where, $id] = [...explode(':', $source, 2), ''];
            $offer = $where === 'new' ? $stores->offer($id) : null;
            $cost[$source] = match (true) {
                $where === 'shelf' => ($stores->container($id)->ml ?? 0.0) >= $neededMl ? 0.0 : INF,
                $offer !== null => ceil($neededMl / $offer->ml) * $offer->price,
                default => PHP_FLOAT_MAX,
            };
        }
        asort($cost);

        return (string) array_key_first($cost);
    }

    private function onShelf(Situation $at, PartUsed $container): string
    {
        return ($container->kind === Offer::PREMIX ? "{$at->say($container->fraction, Unit::Percent)}, " : '')."{$at->litres($container->ml)} left".($container->from === '' ? '' : ", {$container->from}");
    }
}
