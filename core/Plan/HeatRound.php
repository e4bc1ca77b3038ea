<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Values;

/** A heat cycle with its cool-down and its cold level. */
final class HeatRound
{
    /** @return list<Step> */
    public static function steps(int $round): array
    {
        $about = new Values(['round' => $round]);

        return [
            new Step("heat_cycle:{$round}", 'heat_cycle', Stage::RunHot, $about),
            new Step("cool_down:{$round}", 'cool_down', Stage::Cool),
            new Step("cold_level:{$round}", 'cold_level', Stage::Cool, $about),
        ];
    }
}
