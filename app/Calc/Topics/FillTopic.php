<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Matter\Atmosphere;

final class FillTopic implements Topic
{
    public function name(): string
    {
        return 'fill';
    }

    public function summary(): string
    {
        return 'what a pour into a circuit accepts, which ports run, where air stays';
    }

    public function answer(Input $input): array
    {
        $result = Filling::of(
            $input->circuit(),
            $input->text('at'),
            $input->names('open'),
            $input->names('open_gates'),
            $input->number('nose_lift_mm', -2000, 2000, 0),
            $input->number('head_mm', -5000, 5000, 0),
            $input->number('barometer_kpa', 50, 110, Atmosphere::SEA_LEVEL_KPA),
        );

        return [
            'capacity_ml' => $result->capacityMl,
            'accepted_ml' => $result->acceptedMl,
            'air_ml' => $result->airMl,
            'headspace_ml' => $result->headspaceMl,
            'flows' => $result->flows,
            'pockets' => $result->pockets,
        ];
    }
}
