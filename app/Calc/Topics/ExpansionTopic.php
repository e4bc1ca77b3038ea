<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Quantity\Temperature;

final class ExpansionTopic implements Topic
{
    public function name(): string
    {
        return 'expansion';
    }

    public function summary(): string
    {
        return 'how much a content grows between two temperatures, and whether it fits above the cold mark';
    }

    public function answer(Input $input): array
    {
        $coolant = $input->coolant();
        $from = $coolant->volumeGrowth(Temperature::celsius($input->number('from_c', -40, 150, 20)));
        $to = $coolant->volumeGrowth(Temperature::celsius($input->number('to_c', -40, 150)));
        $growth = $input->number('volume_ml', 1, 1_000_000) * ($to / $from - 1.0);
        $room = $input->optionalNumber('headspace_ml', 0, 1_000_000);

        return [
            'growth_ml' => $growth,
            'growth_fraction' => $to / $from - 1.0,
            'fits' => $room === null ? null : $growth <= $room,
        ];
    }
}
