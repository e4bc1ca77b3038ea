<?php

declare(strict_types=1);

namespace Aqbel\Core\Writing;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepKind;

/** Cautions of a step that nobody has acknowledged in its job. */
final class Cautions
{
    /** @return list<Hazard> */
    public static function unread(Situation $at, StepKind $kind): array
    {
        return array_values(
            array_filter(
                $kind->hazards($at),
                fn (Hazard $hazard) => $hazard->isAcknowledged() && ! $at->job->hasAcknowledged($hazard->value),
            ),
        );
    }

    /** @return list<Obstacle> */
    public static function open(Situation $at, StepKind $kind): array
    {
        $missing = fn (Hazard $hazard): Obstacle => Obstacle::missing(
            "caution.{$hazard->value}",
            "Read and tick the caution: {$hazard->title()}.",
        );

        return array_map($missing, self::unread($at, $kind));
    }
}
