<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\FrostKept;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Saying\Obstacle;

/** A mixture short of what was wanted, or too strong, is put right or accepted by a lead. */
final class FrostGate
{
    /** Null where it protects as was wanted, and while nothing is known. */
    public static function obstacle(Situation $at): ?Obstacle
    {
        $kept = FrostKept::of($at);
        if ($kept === null || (! $kept->isShort() && ! $kept->isTooStrong())) {
            return null;
        }
        $is = "{$at->say($kept->fraction, Unit::Percent)} ± {$at->say($kept->plusMinus, Unit::Percent)}";

        return $kept->isShort()
            ? Obstacle::at(
                Gate::Frost,
                'frost',
                "{$is} glycol is inside and {$at->say($kept->target, Unit::Percent)} is wanted: it freezes too early. "
                    .self::remedy($at, $kept, 'concentrate'),
            )
            : Obstacle::at(
                Gate::Frost,
                'too_strong',
                "{$is} glycol is inside: it carries less heat. ".self::remedy($at, $kept, 'water'),
            );
    }

    private static function remedy(Situation $at, FrostKept $kept, string $liquid): string
    {
        [$out, $pour] = $kept->remedy();
        $draw = $out > 0.0 ? "Draw off {$at->litres($out)} and pour" : 'Pour';

        return "{$draw} {$at->litres($pour)} of {$liquid}, run it until it is mixed, and measure again.";
    }
}
