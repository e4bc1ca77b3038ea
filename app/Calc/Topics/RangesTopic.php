<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\DrainRange;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Plan\Ranges;
use Aqbel\Core\Plan\Settling;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;

final class RangesTopic implements Topic
{
    private const MOST_DRAWS = 2000;

    public function name(): string
    {
        return 'ranges';
    }

    public function summary(): string
    {
        return 'how sure drains, what stays and air of a plan are, and the one measurement that would settle most';
    }

    public function answer(Input $input): array
    {
        $circuit = $input->circuit();
        $planner = new Planner(StepCatalogue::standard(), SchoolCatalogue::standard());
        $plan = $planner->plan($circuit, $input->choices($circuit));
        $ranges = Ranges::of(
            $circuit,
            $plan,
            (int) $input->number('seed', 0, 2_147_483_647, 1),
            (int) $input->number('samples', Ranges::LEAST_DRAWS, self::MOST_DRAWS, Ranges::USUAL_DRAWS),
        );

        return [
            'drains' => array_map(
                fn (DrainRange $drain) => [
                    'port' => $drain->port,
                    'ml' => $drain->ml->value,
                    'low_ml' => $drain->ml->low,
                    'high_ml' => $drain->ml->high,
                ],
                $ranges->drains,
            ),
            'retained_ml' => $ranges->retainedMl->value,
            'retained_low_ml' => $ranges->retainedMl->low,
            'retained_high_ml' => $ranges->retainedMl->high,
            'air_ml' => $ranges->airMl->value,
            'air_low_ml' => $ranges->airMl->low,
            'air_high_ml' => $ranges->airMl->high,
            'order_sure' => $ranges->orderSure,
            'ties' => array_map(FillTopic::tie(...), $plan->fill->ties),
            'settles_most' => self::settling($ranges->settlesMost, $circuit),
        ];
    }

    /** @return ?array<string, mixed> null where no air hangs on any single height, volume or gate */
    private static function settling(?Settling $settling, Circuit $circuit): ?array
    {
        return $settling === null ? null : [
            ...match (true) {
                $settling->gate !== null => ['passage' => $circuit->gates[$settling->gate]->passage, 'what' => 'weeps'],
                $settling->node === null => ['passage' => $settling->passage, 'what' => 'volume'],
                default => ['node' => $settling->node, 'what' => 'height'],
            },
            'air_span_ml' => $settling->spanMl,
            'air_span_then_ml' => $settling->thenMl,
        ];
    }
}
