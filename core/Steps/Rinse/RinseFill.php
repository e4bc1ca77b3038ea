<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Observed\RinseWaterIn;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stage 3: water, or cleaner, for one rinse cycle. A cycle is fill, warm-up, cool-down and drain, each a step. */
final class RinseFill extends StepKind
{
    /** Of less than this nobody speaks, mL. */
    private const HARDLY_ML = 50.0;

    /** Tap water of middling hardness, 200 mg/L as calcium carbonate (common practice, no source). */
    private const LIME_G_PER_L = 0.2;

    public function name(): string
    {
        return 'rinse_fill';
    }

    protected function doing(): array
    {
        return [Does::MovesCoolant];
    }

    public function title(Situation $at): string
    {
        return "Rinse {$at->step->params->whole('cycle')}: ".($this->withCleaner($at) ? 'cleaner in' : 'water in');
    }

    public function why(Situation $at): string
    {
        return $this->withCleaner($at)
            ? 'The loose dirt is out; the cleaner takes what sticks. Its label says how much and how long.'
            : 'Water takes up what stayed inside; the drain then leaves '
                    .(RinsePart::isRun($at->step)
                        ? 'only its share of the mixture.'
                        : 'what it did not reach: it is not run.');
    }

    public function instructions(Situation $at): array
    {
        return array_values(
            array_filter([
                'Drains shut'
                .($at->circuit()->hasHeater() ? ', heater full hot' : '')
                .($at->circuit()->hasBleedPoints() ? ', bleed points open until they run.' : '.'),
                $this->withCleaner($at) ? 'Cleaner by its label first, then water to the mark.' : 'Water to the mark.',
                $this->isLast($at)
                    ? 'This is the last one: distilled or deionised water, condensate is doubtful.'
                    : null,
                'Write down all of it; it counts in the mixture.',
            ]),
        );
    }

    public function asks(Situation $at): array
    {
        $likely = match (true) {
            $this->withCleaner($at) => RinseWaterIn::CLEANER,
            $this->isLast($at) => RinseWaterIn::PURE,
            default => RinseWaterIn::TAP,
        };

        return [RinseWaterIn::asked($at, $likely)];
    }

    public function observes(): array
    {
        return [RinseWaterIn::class];
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return RinseWater::lines($at, $entry);
    }

    public function obstacles(Situation $at): array
    {
        return $at->observed(RinseWaterIn::class) !== []
            ? []
            : [Obstacle::missing('no_volume', 'Record the water that went in.')];
    }

    public function figure(Situation $at): Figure
    {
        $ledger = $at->job->ledgerBefore(Stage::CloseUp);
        $in = array_sum(array_map(fn (RinseWaterIn $some) => $some->read->ml, $at->observed(RinseWaterIn::class)));
        $room = max(0.0, $ledger->capacityMl - $ledger->headspaceMl - $ledger->contentMl + $in);

        return new Figure('In so far', $in, Dimension::Volume, Origin::Measured, $room, 'room for');
    }

    /** A rinse that is passed over is passed over whole. */
    public function needless(Situation $at): array
    {
        return $at->observed(RinseWaterIn::class) === [] ? RinsePart::needlessWithout($at) : [];
    }

    /** Tap water in the last rinse: what stays of it leaves its lime where it is hottest. */
    public function judge(Situation $at): ?Verdict
    {
        $told = $at->observed(RinseWaterIn::class);
        $tap = array_filter($told, fn (RinseWaterIn $some) => $some->isTap());
        if ($told === [] || ! $this->isLast($at)) {
            return null;
        }
        $stays = Plan::of($at)->predicted->retainedMl;

        if (self::hadCleaner($told)) {
            return Verdict::wait(
                'cleaner_last',
                'Cleaner last',
                'None of it may stay inside: a rinse of clear water is added after it.',
            );
        }

        return $tap === []
            ? Verdict::pass('pure_last', 'Pure water last', 'What stays of it leaves nothing behind.')
            : Verdict::wait(
                'tap_last',
                'Tap water last',
                ($stays < self::HARDLY_ML
                    ? 'By the model next to none of it stays inside; what does leaves its lime where it is hottest. '
                    : "About {$at->litres($stays)} of it stays inside, with some "
                        .round((self::LIME_G_PER_L * $stays) / 1000.0, 1)
                        .' g of lime from water of middling hardness, which settles where it is hottest. ')
                    .'Distilled or deionised water for the last rinse, or one more of it.',
            );
    }

    /** @param  list<RinseWaterIn>  $told */
    public static function hadCleaner(array $told): bool
    {
        return array_filter($told, fn (RinseWaterIn $some) => $some->hasCleaner()) !== [];
    }

    private function withCleaner(Situation $at): bool
    {
        return $at->step->params->text('with') === RinsePart::CLEANER;
    }

    private function isLast(Situation $at): bool
    {
        return RinsePart::rest($at->step) === [];
    }
}
