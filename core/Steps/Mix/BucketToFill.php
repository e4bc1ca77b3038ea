<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Mix;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\Bucket;
use Aqbel\Core\Judged\MixComesTo;
use Aqbel\Core\Mixing\Mix;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Vessel;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Listed;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Stores\Shopping;

/** What goes into which vessel, up to which of its marks, beside what is in it already. */
final readonly class BucketToFill
{
    /** Mixed for topping up where next to nothing is missing, mL (common practice, no source). */
    private const LEAST_ML = 1000.0;

    /** mL that is in it so far, and of stock and of water that still goes in. */
    private float $thereMl;

    public float $stockMl;

    public float $waterMl;

    private Vessel $vessel;

    private bool $premix;

    private Mix $mix;

    /** Lots of the same size it is mixed in; the vessel holds one. */
    private int $lots;

    /** Whether the vessel is a measure that is filled and emptied into a larger one, again and again. */
    private bool $scooped;

    public function __construct(private Situation $at)
    {
        $this->mix = MixComesTo::wanted($at->job);
        $batch = Bucket::batch($at->job);
        $this->vessel = Plan::of($at)->rules()->vessels->forBatch($this->inAllMl());
        $this->thereMl = $batch->ml;
        $loads = max(1, (int) ceil(($this->inAllMl() - $this->thereMl) / $this->vessel->holdsMl()));
        $this->scooped = $loads > 1 && $this->vessel->use !== VesselUse::Mix;
        $this->lots = $this->scooped ? 1 : $loads;
        [$this->stockMl, $this->waterMl] = $batch->missing(
            $this->mix,
            $this->inAllMl(),
            $this->lots * $this->vessel->graduationMl,
        );
        $this->premix = Plan::of($at)->choices->stockFraction < 1.0;
    }

    private function inAllMl(): float
    {
        return max(self::LEAST_ML, Shopping::SPARE * $this->mix->room->mL());
    }

    /** Premix alone, and nothing to mix. */
    public function isReady(): bool
    {
        return $this->premix && $this->waterMl <= 0.0 && $this->thereMl <= 0.0;
    }

    public function stock(): string
    {
        return $this->premix ? 'premix' : 'concentrate';
    }

    /** As it stands on its label. */
    public function label(): string
    {
        return $this->premix
            ? 'Premix '.$this->at->say(Plan::of($this->at)->choices->stockFraction, Unit::Percent)
            : 'Concentrate';
    }

    /** How it is mixed, and that it is enough. */
    public function instruction(): string
    {
        $spare = round(100.0 * (Shopping::SPARE - 1.0));
        $much = $this->inAllMl() <= self::LEAST_ML
                ? 'That is enough for topping up.'
                : "That is {$spare} % more than the circuit takes.";

        return match (true) {
            $this->isReady() => 'The premix is ready as it '
                ."is: {$this->at->litres($this->stockMl)}. {$much} Nothing is mixed.",
            $this->isBeyondHelp() => 'Set this batch aside, labelled.',
            $this->isEnough(), $this->thereMl > 0.0 && $this->stockMl + $this->waterMl <= 0.0 => 'It is mixed. Stir.',
            $this->scooped => 'Level bench, everything clean. Into a clean bucket, '
                ."load by load with {$this->measure()}: ".implode(', then ', $this->amounts()).". {$much} Stir.",
            $this->isShared() => 'A like share to each of the buckets it is in, measured: '
                .implode(', then ', $this->amounts()).'. Stir.',
            default => "Level bench, everything clean. {$this->vessel->name}{$this->often()}: "
                .implode(', then ', array_filter([
                    $this->stockMl > 0.0 ? "{$this->stock()} to the {$this->stockMark()} mark" : null,
                    $this->waterMl > 0.0 ? "water to the {$this->waterMark()} mark" : null,
                ])).". {$much} Stir.",
        };
    }

    /** @return list<Table> the order of pouring; none where nothing goes in any more */
    public function tables(float $backMl): array
    {
        $rows = $this->isEnough() || $this->isBeyondHelp() ? [] : array_values(
            array_filter([
                $backMl > 0.0 ? ['Old coolant, clean', $this->at->litres($backMl), 'first'] : null,
                $this->stockMl > 0.0
                    ? [
                        $this->label(),
                        $this->at->litres($this->stockMl),
                        $this->isReady() ? 'as it is' : $this->upTo("to the {$this->stockMark()} mark"),
                    ]
                    : null,
                $this->waterMl > 0.0
                    ? [
                        'Water',
                        $this->at->litres($this->waterMl),
                        $this->upTo("up to the {$this->waterMark()} mark"),
                    ]
                    : null,
            ]),
        );

        return $rows === []
            ? []
            : [
                new Table(
                    $this->isReady() ? 'What is poured' : "Order of pouring, {$this->vessel->name}",
                    ['Liquid', 'Amount', 'Where'],
                    $rows,
                ),
            ];
    }

    /** What still goes in, as a sentence of its own. */
    public function toAdd(): string
    {
        return match (true) {
            $this->amounts() === [] => $this->isBeyondHelp()
                ? ' Nothing that is added to it brings the circuit there: set this batch aside, take its line back, '
                    .'and mix afresh.'
                : '',
            $this->isBeyondHelp() => " To put that right would take {$this->at->litres($this->stockMl + $this->waterMl)} "
                .'more than is there, and the circuit takes less: set this batch aside, take its line back, and mix '
                .'afresh.',
            default => ' Add '.Listed::of($this->amounts()).' to the bucket.',
        };
    }

    /** @return list<string> what still goes in, one liquid after the other, as it is measured */
    private function amounts(): array
    {
        return array_values(array_filter([
            $this->stockMl > 0.0 ? "{$this->vessel->mark($this->stockMl)} {$this->stock()}" : null,
            $this->waterMl > 0.0 ? "{$this->vessel->mark($this->waterMl)} water" : null,
        ]));
    }

    /** Whether it is in several buckets, so that what still goes in stands at no mark of one. */
    private function isShared(): bool
    {
        return $this->lots < 2 && $this->thereMl > 0.0
            && $this->thereMl + $this->stockMl + $this->waterMl > $this->vessel->holdsMl();
    }

    /** Whether what is mixed fills the circuit, and brings it to its strength. */
    private function isEnough(): bool
    {
        return $this->thereMl >= $this->mix->room->mL() && $this->lands();
    }

    /** Whether what is mixed brings the circuit to its strength, as far as there is enough of it. */
    private function lands(): bool
    {
        $share = Bucket::batch($this->at->job)->fraction();
        $off = $share === null ? INF : abs(
            $this->mix->room->mL() * $share
            + $this->mix->retained->mL() * $this->mix->retainedFraction
            - $this->mix->capacity->mL() * $this->mix->targetFraction,
        );

        return $off <= MixComesTo::CLOSE * $this->mix->capacity->mL();
    }

    /** Whether to put right what is mixed takes more than a whole batch, or nothing that is added does it. */
    private function isBeyondHelp(): bool
    {
        $more = $this->stockMl + $this->waterMl;

        return $this->thereMl > 0.0 && (
            $more > $this->inAllMl()
            || ($more <= 0.0 && ! $this->lands() && MixComesTo::isWithinReach($this->mix))
        );
    }

    private function upTo(string $mark): string
    {
        return match (true) {
            $this->scooped => 'measured, load by load',
            $this->isShared() => 'measured, a like share to each bucket',
            default => $mark.$this->often(),
        };
    }

    private function measure(): string
    {
        return 'the '.lcfirst($this->vessel->name);
    }

    /** Where one vessel does not hold it all. */
    private function often(): string
    {
        return $this->lots < 2 ? '' : ", {$this->lots} times";
    }

    private function stockMark(): string
    {
        return $this->vessel->mark($this->inOneMl() + $this->stockMl / $this->lots);
    }

    private function waterMark(): string
    {
        return $this->vessel->mark($this->inOneMl() + ($this->stockMl + $this->waterMl) / $this->lots);
    }

    /** What is in the vessel before; where it is mixed in several lots the first of them is another vessel’s. */
    private function inOneMl(): float
    {
        return $this->lots < 2 ? $this->thereMl : 0.0;
    }
}
