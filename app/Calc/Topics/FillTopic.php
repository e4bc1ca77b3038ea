<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Flow\SilentPort;
use Aqbel\Core\Flow\Tie;
use Aqbel\Core\Flow\Ties;
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
        [$circuit, $at, $open, $gates] = [
            $input->circuit(),
            $input->text('at'),
            $input->names('open'),
            $input->names('open_gates'),
        ];
        $lift = $input->number('nose_lift_mm', -2000, 2000, 0);
        $head = $input->number('head_mm', -5000, 5000, 0);
        $barometer = $input->number('barometer_kpa', 50, 110, Atmosphere::SEA_LEVEL_KPA);
        $inside = $input->volumes('retained', $circuit);
        $fill = fn (Circuit $circuit, float $coarseness): Filling => Filling::of(
            $circuit,
            $at,
            $open,
            $gates,
            $lift,
            $head,
            $barometer,
            $coarseness,
            inside: $inside,
        );
        $result = $fill($circuit, 1.0);
        $ties = Ties::of(
            $circuit,
            $lift,
            fn (Circuit $other, float $coarseness): float => $fill($other, $coarseness)->airMl,
        );

        return [
            'capacity_ml' => $result->capacityMl,
            'accepted_ml' => $result->acceptedMl,
            'air_ml' => $result->airMl,
            'headspace_ml' => $result->headspaceMl,
            'flows' => array_map(fn (PortRun $f) => ['port' => $f->port, 'at_ml' => $f->atMl], $result->flows),
            'pockets' => array_map(self::pocket(...), $result->pockets),
            'silent' => array_map(self::silent(...), $result->silent),
            'ties' => array_map(self::tie(...), $ties->all),
        ];
    }

    /** @return array<string, mixed> */
    public static function tie(Tie $tie): array
    {
        return [
            'nodes' => [$tie->one, $tie->other],
            'apart_mm' => $tie->apartMm,
            'air_low_ml' => $tie->lowMl,
            'air_high_ml' => $tie->highMl,
        ];
    }

    /** @return array<string, mixed> */
    public static function silent(SilentPort $silent): array
    {
        return [
            'port' => $silent->port, 'because' => $silent->because->value, 'missing_mm' => $silent->missingMm,
            'about' => $silent->about,
        ];
    }

    /** @return array<string, mixed> */
    public static function pocket(Pocket $pocket): array
    {
        return [
            'volume_ml' => $pocket->volumeMl(), 'open' => $pocket->open, 'highest_mm' => $pocket->highestMm,
            'passages' => $pocket->air->toArray(),
        ];
    }
}
