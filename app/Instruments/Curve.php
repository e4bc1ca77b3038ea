<?php

declare(strict_types=1);

namespace App\Instruments;

/**
 * A channel as a picture needs it: of every little stretch the first,
 * the lowest and the highest point, so that no peak is lost.
 */
final class Curve
{
    /** Stretches of a whole curve: more than a screen shows. */
    private const STRETCHES = 120;

    /**
     * @param  list<array{float, float}>  $points  Unix seconds and value, in order
     * @return list<array{float, float}>
     */
    public static function thin(array $points): array
    {
        $count = count($points);
        if ($count <= 3 * self::STRETCHES) {
            return $points;
        }
        [$from, $long] = [$points[0][0], max(1.0, $points[$count - 1][0] - $points[0][0])];
        $kept = [];
        foreach ($points as $i => [$t, $value]) {
            $stretch = (int) min(self::STRETCHES - 1, floor(self::STRETCHES * ($t - $from) / $long));
            $of = $kept[$stretch] ?? ['first' => $i, 'low' => $i, 'high' => $i];
            $of['low'] = $value < $points[$of['low']][1] ? $i : $of['low'];
            $of['high'] = $value > $points[$of['high']][1] ? $i : $of['high'];
            $kept[$stretch] = $of;
        }
        $places = [];
        foreach ($kept as $of) {
            $places += array_flip(array_values($of));
        }
        $places[$count - 1] = true;
        ksort($places);

        return array_values(array_intersect_key($points, $places));
    }
}
