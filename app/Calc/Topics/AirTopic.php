<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Plan\AirsWay;
use Aqbel\Core\Plan\CaughtAir;
use Aqbel\Core\Plan\Freer;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;

final class AirTopic implements Topic
{
    public function name(): string
    {
        return 'air';
    }

    public function summary(): string
    {
        return 'where the air of a fill leaves, in what order, and what would free the pockets it leaves';
    }

    public function answer(Input $input): array
    {
        $circuit = $input->circuit();
        $planner = new Planner(StepCatalogue::standard(), SchoolCatalogue::standard());
        $way = AirsWay::of($circuit, $planner->plan($circuit, $input->choices($circuit)));

        return [
            'flows' => array_map(fn (PortRun $run) => ['port' => $run->port, 'at_ml' => $run->atMl], $way->flows),
            'silent' => array_map(FillTopic::silent(...), $way->silent),
            'caught' => array_map(fn (CaughtAir $caught) => [
                ...FillTopic::pocket($caught->pocket),
                'freed_by' => array_map(self::freer(...), $caught->freers),
            ], $way->caught),
        ];
    }

    /** @return array<string, mixed> */
    private static function freer(Freer $freer): array
    {
        return array_filter(
            [
                'by' => $freer->by->value,
                'by_mm' => $freer->byMm ?: null,
                'port' => $freer->port ?: null,
                'leaves_ml' => $freer->leavesMl,
                'air_ml' => $freer->airMl,
            ],
            fn ($value) => $value !== null,
        );
    }
}
