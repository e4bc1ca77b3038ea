<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Heat\TopUp;
use Aqbel\Core\Heat\TopUps;

final class TopUpsTopic implements Topic
{
    private const USUAL_PLUS_MINUS_ML = 30.0;

    public function name(): string
    {
        return 'top-ups';
    }

    public function summary(): string
    {
        return 'whether successive cold top-ups are air working out, a leak, or both, and what is still to come';
    }

    public function answer(Input $input): array
    {
        $topUps = array_map(fn (Input $one) => new TopUp(
            $one->number('ml', 0, 100_000),
            $one->number('plus_minus_ml', 0, 100_000, self::USUAL_PLUS_MINUS_ML),
            $one->has('at_h') ? $one->number('at_h', 0, 1.0e6) : null,
        ), $input->objects('top_ups', 0, 200));
        $errors = array_map(fn (TopUp $topUp) => $topUp->plusMinusMl, $topUps);
        $series = new TopUps($topUps, $input->number('settled_ml', 0, 100_000, 2.0 * max([1.0, ...$errors])));

        return [
            'verdict' => $series->verdict->value,
            'still_to_come_ml' => $series->stillToComeMl,
            'still_to_come_ml_low' => $series->lowMl,
            'still_to_come_ml_high' => $series->highMl,
            'leak_ml_per_cycle' => $series->leakMlPerCycle,
        ];
    }
}
