<?php

declare(strict_types=1);

namespace Aqbel\Core\Vacuum;

/** A leak as a straight line and a settling as a bend, held against what was seen: least squares by their sums. */
final readonly class LineAndBend
{
    /** The nearest line is looked for until it is found within this, divisions. */
    private const WITHIN = 0.15;

    /** @var non-empty-list<float> of the settling that has come by each reading */
    public array $bends;

    private float $yy;

    private float $yx;

    private float $yb;

    private float $xx;

    private float $xb;

    private float $bb;

    /**
     * @param  non-empty-list<float>  $seconds  since the first reading
     * @param  non-empty-list<float>  $shares  of the whole time
     * @param  non-empty-list<float>  $seen  falls of the needle, divisions
     * @param  non-empty-list<float>  $counts  for how many readings each stands
     * @param  float  $tau  of the settling, s
     * @param  float  $settlesAtMost  divisions
     */
    public function __construct(
        array $seconds,
        array $shares,
        array $seen,
        array $counts,
        public float $tau,
        private float $settlesAtMost,
    ) {
        [$yy, $yx, $yb, $xx, $xb, $bb, $bends] = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0, []];
        foreach ($seconds as $i => $second) {
            [$x, $y, $n] = [$shares[$i] ?? 0.0, $seen[$i] ?? 0.0, $counts[$i] ?? 1.0];
            $bends[] = $b = 1.0 - exp(-$second / $tau);
            $yy += $n * $y * $y;
            $yx += $n * $y * $x;
            $yb += $n * $y * $b;
            $xx += $n * $x * $x;
            $xb += $n * $x * $b;
            $bb += $n * $b * $b;
        }
        [$this->yy, $this->yx, $this->yb, $this->xx, $this->xb, $this->bb] = [$yy, $yx, $yb, $xx, $xb, $bb];
        $this->bends = $bends;
    }

    /** The settling that explains most of what a leak leaves, divisions; the leak over the whole time. */
    public function bend(float $leak): float
    {
        return $this->bb > 0.0
            ? min($this->settlesAtMost, max(0.0, ($this->yb - $leak * $this->xb) / $this->bb))
            : 0.0;
    }

    /** What both leave, squared divisions summed over the readings. */
    public function leaves(float $leak, float $settling): float
    {
        return $this->yy
            - 2.0 * ($leak * $this->yx + $settling * $this->yb - $leak * $settling * $this->xb)
            + $leak * $leak * $this->xx
            + $settling * $settling * $this->bb;
    }

    /**
     * @param  float  $most  divisions
     * @return array{float, float} the leak that comes nearest, divisions over the whole time, and what it leaves
     */
    public function nearest(float $most): array
    {
        [$nearest, $least] = [0.0, INF];
        for ($step = $most / 8.0; $step >= self::WITHIN; $step /= 2.0) {
            for ($i = -4; $i <= 4; $i++) {
                $leak = max(0.0, $nearest + $i * $step);
                $leaves = $this->leaves($leak, $this->bend($leak));
                [$nearest, $least] = $leaves < $least ? [$leak, $leaves] : [$nearest, $least];
            }
        }

        return [$nearest, $least];
    }
}
