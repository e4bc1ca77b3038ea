<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Job\Step;

/**
 * How many runs a plan will likely take. Its sequence holds what its way wants to see at the least, most
 * often one run; each further one is ordered by what was seen.
 */
final readonly class LikelyRuns
{
    /**
     * The air a fill leaves is known to so much of the capacity, one standard deviation (common practice, no source).
     */
    private const AIR_KNOWN_TO = 0.01;

    /** 95 % of a range lie within so many standard deviations on either side. */
    private const WIDE = 1.96;

    /** Amounts of air that are tried, over three standard deviations on either side. */
    private const TRIED = 61;

    /** No chance is given as surer than this: the model does not know that much (common practice, no source). */
    private const SUREST = 0.98;

    /**
     * @param  int  $planned  in the sequence
     * @param  int  $likely  in the end, by how running works the air out that the fill leaves
     * @param  float  $enough  how likely it is that those planned are enough, 0 to 1
     * @param  Minutes  $each  further one
     */
    private function __construct(public int $planned, public int $likely, public float $enough, public Minutes $each)
    {
    }

    public static function of(Plan $plan, Circuit $circuit, Kinds $kinds): self
    {
        $planned = count(array_filter($plan->steps, fn (Step $step) => $step->kind === 'heat_cycle'));

        return $planned === 0
            ? new self(0, 0, 1.0, new Minutes())
            : new self(
                $planned,
                max($planned, self::wanted($plan, $plan->choices->airLimitMl($circuit), $plan->fill->airMl)),
                self::isEnough($plan, $circuit, $planned),
                self::eachFurther($plan, $kinds),
            );
    }

    /** All runs on top of those planned that are likely. */
    public function further(): Minutes
    {
        return $this->each->times($this->likely - $this->planned);
    }

    /** So many runs until one brings nothing more that counts, if the fill left so much air. */
    private static function wanted(Plan $plan, float $limitMl, float $airMl): int
    {
        $fill = $plan->fill;
        $share = $fill->airMl <= 0.0 ? 0.0 : $airMl / $fill->airMl;

        return $plan->school->heatCycles($fill->leaving($share), $limitMl, $plan->rules()->purgingFactor);
    }

    /** Over the air that the fill may really have left. */
    private static function isEnough(Plan $plan, Circuit $circuit, int $planned): float
    {
        $fill = $plan->fill;
        $spread = hypot(
            self::AIR_KNOWN_TO * $circuit->capacityMl(),
            ($fill->airHighMl() - $fill->airLowMl()) / (2.0 * self::WIDE),
        );
        $limit = $plan->choices->airLimitMl($circuit);
        [$enough, $all] = [0.0, 0.0];
        for ($i = 0; $i < self::TRIED; $i++) {
            $off = 6.0 * $i / (self::TRIED - 1) - 3.0;
            $weight = exp(-$off ** 2 / 2.0);
            $all += $weight;
            $enough += self::wanted($plan, $limit, max(0.0, $fill->airMl + $off * $spread)) <= $planned ? $weight : 0.0;
        }

        return min(self::SUREST, max(1.0 - self::SUREST, $enough / $all));
    }

    /** What one round more takes, however its runs follow each other. */
    private static function eachFurther(Plan $plan, Kinds $kinds): Minutes
    {
        $warmUp = $plan->school->warmUp();
        $sum = fn (int $rounds): Minutes => array_reduce(
            HeatRound::planned($warmUp, $rounds),
            fn (Minutes $sum, Step $step) => $sum->plus($kinds->labour($step, $plan->choices)),
            new Minutes(),
        );
        [$one, $two] = [$sum(1), $sum(2)];

        return new Minutes($two->hands - $one->hands, $two->wait - $one->wait);
    }
}
