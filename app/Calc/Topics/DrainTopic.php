<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\DrainedPort;
use Aqbel\Core\Flow\SlowRegion;

final class DrainTopic implements Topic
{
    public function name(): string
    {
        return 'drain';
    }

    public function summary(): string
    {
        return 'what each drain lets out of a circuit, and what stays';
    }

    public function answer(Input $input): array
    {
        $result = Drainage::of(
            $input->circuit(),
            $input->names('open'),
            $input->names('open_gates'),
            $input->number('nose_lift_mm', -2000, 2000, 0),
            $input->names('air_open'),
        );

        return [
            'drains' => array_map(
                fn (DrainedPort $d) => ['port' => $d->port, 'volume_ml' => $d->volumeMl],
                $result->drains,
            ),
            'drained_ml' => $result->drainedMl,
            'retained_ml' => $result->retainedMl,
            'retained' => $result->retained->toArray(),
            'slow' => array_map(
                fn (SlowRegion $s) => ['passages' => $s->passages, 'air_port' => $s->airPort],
                $result->slow,
            ),
        ];
    }
}
