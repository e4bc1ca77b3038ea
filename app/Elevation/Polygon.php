<?php

declare(strict_types=1);

namespace App\Elevation;

/** What is done to outlines: cut level, and written down. */
final class Polygon
{
    /**
     * @param  list<array{float, float}>  $polygon
     * @return list<array{float, float}>
     */
    public static function clip(array $polygon, float $cut, bool $keepAbove): array
    {
        $kept = [];
        foreach ($polygon as $i => $point) {
            $previous = $polygon[($i + count($polygon) - 1) % count($polygon)];
            $in = $keepAbove ? $point[1] <= $cut : $point[1] >= $cut;
            $wasIn = $keepAbove ? $previous[1] <= $cut : $previous[1] >= $cut;
            if ($in !== $wasIn) {
                $t = ($cut - $previous[1]) / ($point[1] - $previous[1]);
                $kept[] = [$previous[0] + ($point[0] - $previous[0]) * $t, $cut];
            }
            if ($in) {
                $kept[] = $point;
            }
        }

        return $kept;
    }

    /** @param  list<array{float, float}>  $polygon */
    public static function points(array $polygon): string
    {
        return implode(' ', array_map(fn (array $p) => round($p[0], 1).','.round($p[1], 1), $polygon));
    }
}
