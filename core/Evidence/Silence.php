<?php

declare(strict_types=1);

namespace Aqbel\Core\Evidence;

/** A stretch between two points in which no channel said anything, seconds of the stream. */
final readonly class Silence
{
    private function __construct(public float $fromS, public float $toS)
    {
    }

    /**
     * @param  array<string, list<array{float, float}>>  $channels  seconds and value, in any order
     * @param  float  $longS  what is not longer is no silence
     * @return list<self> in order
     */
    public static function all(array $channels, float $longS): array
    {
        $silent = [new self(-INF, INF)];
        foreach ($channels as $points) {
            $silent = self::both($silent, self::of(array_column($points, 0), $longS), $longS);
        }

        return array_values(array_filter($silent, fn (self $one) => $one->fromS > -INF && $one->toS < INF));
    }

    /**
     * Those of one channel, before its first point and after its last as well.
     *
     * @param  list<float>  $times  in any order
     * @return list<self> in order
     */
    private static function of(array $times, float $longS): array
    {
        for ($i = 1, $n = count($times); $i < $n; $i++) {
            if ($times[$i] < $times[$i - 1]) {
                sort($times);
                break;
            }
        }
        [$silent, $last] = [[], -INF];
        foreach ($times as $t) {
            if ($t - $last > $longS) {
                $silent[] = new self($last, $t);
            }
            $last = $t;
        }

        return [...$silent, new self($last, INF)];
    }

    /**
     * @param  list<self>  $some  in order
     * @param  list<self>  $others
     * @return list<self> what both have in common, where that is long enough
     */
    private static function both(array $some, array $others, float $longS): array
    {
        [$both, $i, $j] = [[], 0, 0];
        while ($i < count($some) && $j < count($others)) {
            [$from, $to] = [max($some[$i]->fromS, $others[$j]->fromS), min($some[$i]->toS, $others[$j]->toS)];
            if ($to - $from > $longS) {
                $both[] = new self($from, $to);
            }
            $some[$i]->toS < $others[$j]->toS ? $i++ : $j++;
        }

        return $both;
    }
}
