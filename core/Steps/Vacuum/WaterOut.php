<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\WaterCameOut;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Range;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** After a leak was looked for under water: the water out again. What stays dilutes the fill, so the batch follows. */
final class WaterOut extends StepKind
{
    /**
     * More than this of the capacity stays inside, and the batch no
     * longer lands on its target (common practice, no source).
     */
    private const TELLS = 0.02;

    public function name(): string
    {
        return 'water_out';
    }

    protected function doing(): array
    {
        return [Does::MovesCoolant, Does::OpensNeck];
    }

    public function title(Situation $at): string
    {
        return 'Water out again';
    }

    public function why(Situation $at): string
    {
        return 'The water was for the drip alone. What of it stays inside is counted, and the batch is made '
            .'stronger for it.';
    }

    public function instructions(Situation $at): array
    {
        $drains = array_map(
            fn (string $port) => $at->circuit()->port($port)->label,
            $at->circuit()->portIds(PortKind::Drain),
        );

        return [
            'Pressure off first, then the cap. Pans underneath: '.implode(', ', $drains).'.',
            'Read what came out, close every point again with its washer and its torque.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Waste];
    }

    public function asks(Situation $at): array
    {
        return [WaterCameOut::asked($at)];
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        $out = WaterCameOut::of($entry);

        return $out === null
            ? []
            : [
                new Line(
                    'Out: water of the leak test',
                    -$out->read->ml,
                    $out->read->plusMinusMl($at),
                    null,
                    roughMl: $out->read->roughMl,
                ),
            ];
    }

    public function obstacles(Situation $at): array
    {
        return $at->observed(WaterCameOut::class) !== []
            ? []
            : [Obstacle::missing('no_volume', 'Record how much of the water came out.')];
    }

    public function figure(Situation $at): Figure
    {
        $ledger = $at->job->ledgerBefore(Stage::Fill);

        return new Figure(
            'Stays inside',
            $ledger->contentMl,
            Dimension::Volume,
            Origin::Measured,
            within: Range::within($ledger->contentMl, $ledger->plusMinusMl),
        );
    }

    public function judge(Situation $at): ?Verdict
    {
        if ($at->observed(WaterCameOut::class) === []) {
            return null;
        }
        $more = $this->staysMl($at);

        return $this->tells($at)
            ? Verdict::pass(
                'stays',
                'Some stays',
                "{$at->litres($more)} more inside than before the water: the batch is made stronger next.",
            )
            : Verdict::pass('out', 'Out', 'As much inside as before the water.');
    }

    /** The batch once more, where what stays would thin it. */
    public function orders(Situation $at): array
    {
        return $this->tells($at) ? [new Step('mix:'.(1 + count($at->job->stepsOf('mix'))), 'mix', Stage::Mix)] : [];
    }

    private function tells(Situation $at): bool
    {
        return $this->staysMl($at) > self::TELLS * $at->circuit()->capacityMl();
    }

    /** mL inside more than when it was closed up. */
    private function staysMl(Situation $at): float
    {
        return $at->job->ledgerBefore(Stage::Fill)->contentMl - $at->job->ledgerBefore(Stage::CloseUp)->contentMl;
    }
}
