<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Situation;

/** Points that by the journal stand open, and that no step still to come shuts: whoever was to shut them was passed over. */
final class StandsOpen
{
    /** @return list<string> ids of ports */
    public static function of(Situation $at): array
    {
        return $at->job->once(self::class, function () use ($at): array {
            $minded = [];
            foreach ($at->job->steps as $id => $step) {
                if (! isset($at->job->closed[$id])) {
                    $minded[] = $step->params->text('port');
                }
            }
            $open = array_filter($at->job->ports($at->now), fn (PortState $is) => $is !== PortState::Closed);

            return array_values(array_diff(array_keys($open), $minded));
        });
    }
}
