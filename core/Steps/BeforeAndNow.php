<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Observed\BaselineRead;
use Aqbel\Core\Observed\FanTurned;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Saying\Table;

/** The baseline beside the same readings of the last hot run. */
final class BeforeAndNow
{
    private const NOT_READ = '–';

    /** @return list<Table> none where there is no baseline */
    public static function tables(Situation $at): array
    {
        $baselines = $at->job->observedAnywhere(BaselineRead::class);
        $before = $baselines === [] ? null : $baselines[count($baselines) - 1];
        if ($before === null || ! $before->ran) {
            return [];
        }
        [$last, $fanOn, $fanOff] = self::afterwards($at);
        $say = fn (?float $celsius): string => $celsius === null ? self::NOT_READ : $at->degrees($celsius);
        $rows = [['Coolant settled at', $say($before->plateauC), $say($last?->coolantC)]];
        foreach ($at->facts()->outlets as $outlet) {
            $rows[] = [
                "Outlet air, {$outlet}",
                $say($before->outletsC[$outlet] ?? null),
                $say($last->outletsC[$outlet] ?? null),
            ];
        }
        $rows[] = ['Fan on', $say($before->fanOnC), $say($fanOn)];
        $rows[] = ['Fan off', $say($before->fanOffC), $say($fanOff)];
        $read = array_filter($rows, fn (array $row) => $row[1] !== self::NOT_READ || $row[2] !== self::NOT_READ);

        return [new Table('Against the baseline', ['Reading', 'Before', 'Now'], array_values($read))];
    }

    /**
     * @return array{?HotReading, ?float, ?float} the last reading, and the coolant
     * when the fan was last heard to come on and to go off, °C
     */
    private static function afterwards(Situation $at): array
    {
        $run = null;
        foreach ($at->job->stepsOf('heat_cycle') as $step) {
            $run = $at->job->observed($step->id, HotReading::class) === [] ? $run : $step;
        }
        [$last, $on, $off] = [null, null, null];
        $told = $run === null
                ? []
                : Told::merged(
                    $at->job->observed($run->id, HotReading::class),
                    $at->job->observed($run->id, FanTurned::class),
                );
        foreach ($told as $one) {
            if ($one instanceof HotReading) {
                $last = $one;
            } elseif ($one->on) {
                $on = $last?->coolantC;
            } else {
                $off = $last?->coolantC;
            }
        }

        return [$last, $on, $off];
    }
}
