<?php

declare(strict_types=1);

namespace App\Elevation;

/** Where in the picture a name still finds room: tried all around its part, then all over the picture. */
final readonly class FreeRoom
{
    private const NEAR = 6.0;

    /** Its upper line stands so far under the top of the box that is tried for it. */
    private const SINKS = Label::LINE - 4.0;

    /** Lines all over the picture that are tried last, and how far apart in each. */
    private const ROWS = 24;

    private const APART = 32.0;

    /** Outside of the picture a unit weighs as much as so many square units over something else. */
    private const OUTSIDE = 1000.0;

    /** A name that strays by no more is looked for no further. */
    private const NEAR_ENOUGH = 30.0;

    /** A name over anything is worse than one that is far off. */
    private const OVER = 1000.0;

    /** So far from its part a name still stands beside it; each unit more weighs one. */
    private const BESIDE = 14.0;

    /** A name nearer to another part than to its own weighs as much as so many units more. */
    private const MISLEADS = 60.0;

    /**
     * @param  list<Box>  $taken
     * @param  list<Box>  $parts  that have names
     */
    public function __construct(private array $taken, private float $floor, private array $parts = [])
    {
    }

    public function isFree(Box $box): bool
    {
        return $this->clash($box, 0.0) <= 0.0;
    }

    /**
     * The first place where it lies over nothing, or the one where it lies over least.
     *
     * @param  list<string>  $lines
     * @param  int  $named  so many of the lines are the name of a part
     */
    public function beside(Box $about, string $kind, array $lines, int $named): Label
    {
        [$best, $least] = [null, INF];
        foreach ([self::around(...), self::anywhere(...)] as $places) {
            foreach ($places($about, count($lines)) as [$x, $y, $anchor]) {
                $label = new Label($kind, $lines, round($x, 1), round($y, 1), $anchor, $named);
                $box = $label->box();
                $costs = $this->strays($box, $about);
                if ($costs >= $least) {
                    continue;
                }
                $clash = $this->clash($box, $least) + $this->outside($box);
                $costs += $clash > 0.0 ? self::OVER + $clash : 0.0;
                if ($costs < $least) {
                    [$best, $least] = [$label, $costs];
                }
                if ($costs <= 0.0) {
                    return $label;
                }
            }
            if ($least <= self::NEAR_ENOUGH) {
                break;
            }
        }

        return $best ?? new Label($kind, $lines, 4.0, 18.0, 'start', $named);
    }

    /** @return list<array{float, float, string}> x, base of the first line, anchor: the likeliest first */
    private static function around(Box $about, int $lines): array
    {
        $high = $lines * Label::LINE;
        $left = $about->x - self::NEAR;
        $right = $about->x + $about->width + self::NEAR;
        $middle = $about->x + $about->width / 2.0;
        $above = $about->y - self::NEAR - $high + self::SINKS;
        $below = $about->y + $about->height + Label::LINE;
        $places = [[$middle, $below, 'middle'], [$middle, $above, 'middle']];
        for ($share = 0.5; $share >= -0.6; $share -= 0.1) {
            foreach ([0.5 + (0.5 - $share), $share] as $at) {
                $y = $about->y + $at * $about->height - $high / 2.0 + self::SINKS;
                array_push($places, [$right, $y, 'start'], [$left, $y, 'end']);
            }
        }

        return [
            ...$places,
            [$about->x, $below, 'start'],
            [$about->x + $about->width, $below, 'end'],
            [$about->x, $above, 'start'],
            [$about->x + $about->width, $above, 'end'],
        ];
    }

    /** @return list<array{float, float, string}> all over the picture, those nearest to a part first */
    private static function anywhere(Box $about, int $lines): array
    {
        $places = [];
        for ($row = 0; $row <= self::ROWS - $lines; $row++) {
            $y = 18.0 + $row * Label::LINE;
            for ($x = 4.0; $x < Scale::WIDTH - 4.0; $x += self::APART) {
                $places[] = [$x, $y, 'start'];
            }
            $places[] = [Scale::WIDTH - 4.0, $y, 'end'];
        }
        [$x, $y] = [$about->x + $about->width / 2.0, $about->y + $about->height / 2.0];
        $far = array_map(fn (array $place): float => hypot($place[0] - $x, $place[1] - $y), $places);
        array_multisort($far, $places);

        return $places;
    }

    private function strays(Box $label, Box $about): float
    {
        $own = $label->apart($about);
        $strays = max(0.0, $own - self::BESIDE);
        foreach ($this->parts as $part) {
            if ($own > 0.0 && $label->apart($part) < $own) {
                return $strays + self::MISLEADS;
            }
        }

        return $strays;
    }

    /** @param  float  $least  more than this is as good as any more */
    private function clash(Box $box, float $least): float
    {
        $clash = 0.0;
        [$right, $bottom] = [$box->x + $box->width, $box->y + $box->height];
        foreach ($this->taken as $other) {
            if (
                $other->x < $right
                && $box->x < $other->x + $other->width
                && $other->y < $bottom
                && $box->y < $other->y + $other->height
            ) {
                $clash += $box->over($other);
                if ($clash > $least) {
                    return $clash;
                }
            }
        }

        return $clash;
    }

    private function outside(Box $box): float
    {
        return self::OUTSIDE
            * (max(0.0, -$box->x)
                + max(0.0, $box->x + $box->width - Scale::WIDTH)
                + max(0.0, -$box->y)
                + max(0.0, $box->y + $box->height - $this->floor + 4.0));
    }
}
