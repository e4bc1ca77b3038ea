<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Temperature;

/**
 * When a standing engine is cold enough: two heat stores cooling together, T − T_a = (T₀ − T_a)·(w·e^(−t/τ₁) + (1 −
 * w)·e^(−t/τ)). Readings a few minutes apart say little of τ, so they are weighed with the engines a shop knows
 * (Bayes’ rule on a grid).
 */
final readonly class CoolDown
{
    /** Hood open, from common practice (95 °C → about 69 °C after 30 min and 43 °C after 90 min at 25 °C). */
    public const DEFAULT_TAU_MINUTES = 65.0;

    /** A thermometer, and the place it is held at, °C (common practice, no source). */
    private const READING_C = 1.0;

    /** What cools fast at first: coolant and radiator, minutes and share (common practice, no source). */
    private const FAST_MINUTES = [5.0, 12.0];

    private const FAST_SHARES = [0.0, 0.08, 0.16, 0.24];

    /** Some engines have mixed before anybody reads them (common practice, no source). */
    private const MIXED = 0.3;

    /** Time constants that are weighed, as shares of the usual one of such a body, and how many. */
    private const TAU_FROM = 0.35;

    private const TAU_TO = 2.9;

    private const TAUS = 44;

    /** Nothing that stands falls faster: such a step is no reading, °C a minute (common practice, no source). */
    private const FALLS_C_PER_MIN = 12.0;

    /** Engines so much less likely than the likeliest weigh nothing. */
    private const UNHEARD_OF = 1.0e-9;

    /** Minutes; nobody looks at the clock so closely. */
    private const NEAR_ENOUGH = 0.01;

    /** Nine engines of ten are cold when somebody comes back. */
    private const COME_BACK = 0.94;

    /** By one reading nobody knows the engine yet (by simulation, with engines that cool more slowly the colder they are). */
    private const COME_BACK_BY_ONE = 0.975;

    /**
     * @param  float  $minutesLow  80 % of such engines need between this and `minutesHigh`
     * @param  float  $comeBackMinutes  by then nine of ten are cold enough
     * @param  bool  $fitted  whether readings of this engine had a say
     */
    private function __construct(
        public float $tauMinutes,
        public float $minutesFromLast,
        public float $minutesLow,
        public float $minutesHigh,
        public float $comeBackMinutes,
        public bool $fitted,
    ) {
    }

    /**
     * @param  list<Reading>  $readings  in rising order of time
     *
     * @throws InvalidField without readings, on readings that do not
     * fall, or a safe temperature the air never lets it reach
     */
    public static function predict(
        Temperature $ambient,
        array $readings,
        Temperature $safe,
        ?CoolingBody $body = null,
    ): self {
        $body ??= CoolingBody::of();
        if ($safe->degC() <= $ambient->degC()) {
            throw new InvalidField(
                'safe_c',
                'The safe temperature must lie above the air temperature, or the engine never gets there.',
            );
        }
        if ($readings === []) {
            throw new InvalidField('readings', 'Give at least one reading.');
        }
        self::assertFalling($ambient, $readings);
        $last = $readings[count($readings) - 1];
        if ($last->temperature->degC() <= $safe->degC()) {
            return new self($body->tauMinutes(), 0.0, 0.0, 0.0, 0.0, false);
        }
        $readings = self::withoutTheFan($readings, $body->fanRanOnMinutes);
        [$weights, $minutes, $taus] = self::engines($ambient->degC(), $readings, $safe->degC(), $body);
        array_multisort($minutes, $weights, $taus);
        $tau = array_sum(array_map(fn (float $w, float $t) => $w * $t, $weights, $taus)) / array_sum($weights);
        $at = fn (float $share): float => self::quantile($minutes, $weights, $share);

        $last = $readings[count($readings) - 1];
        if (count($readings) === 1) {
            $excess = ($last->temperature->degC() - $ambient->degC()) / ($safe->degC() - $ambient->degC());
            $usual = $body->tauMinutes() * log($excess);

            return new self($body->tauMinutes(), $usual, $at(0.1), $at(0.9), $at(self::COME_BACK_BY_ONE), false);
        }

        return new self($tau, $at(0.5), $at(0.1), $at(0.9), $at(self::COME_BACK), true);
    }

    /**
     * Every engine of the grid: how likely it is, how long it still needs, and its τ.
     *
     * @param  non-empty-list<Reading>  $readings
     * @return array{list<float>, list<float>, list<float>}
     */
    private static function engines(float $ambient, array $readings, float $safe, CoolingBody $body): array
    {
        $since = array_map(fn (Reading $r) => $r->minute - $readings[0]->minute, $readings);
        $above = array_map(fn (Reading $r) => $r->temperature->degC() - $ambient, $readings);
        $last = count($readings) - 1;
        $slowly = [];
        $usual = $body->tauMinutes();
        for ($i = 0; $i < self::TAUS; $i++) {
            $tau = $usual * self::TAU_FROM * (self::TAU_TO / self::TAU_FROM) ** ($i / (self::TAUS - 1));
            $prior = exp(-0.5 * (log($tau / $usual) / $body->shelter->spread()) ** 2);
            $slowly[] = [$tau, $prior, array_map(fn (float $t) => exp(-$t / $tau), $since)];
        }
        $engines = [];
        $likeliest = 0.0;
        foreach (self::FAST_SHARES as $share) {
            foreach ($share > 0.0 ? self::FAST_MINUTES : [1.0] as $fast) {
                $quickly = array_map(fn (float $t) => $share * exp(-$t / $fast), $since);
                foreach ($slowly as [$tau, $prior, $slow]) {
                    [$start, $misfit] = self::fit($above, $quickly, $slow, 1.0 - $share);
                    // However well it fits, it is no cooler than it was read last.
                    $start = max($start, $above[$last] / ($quickly[$last] + (1.0 - $share) * $slow[$last]));
                    $prior *= $share > 0.0 ? (1.0 - self::MIXED) / 6.0 : self::MIXED;
                    $weight = $prior * exp(-0.5 * $misfit) + 1.0e-300;
                    $likeliest = max($likeliest, $weight);
                    $engines[] = [$weight, $start, $share, $fast, $tau];
                }
            }
        }
        [$weights, $minutes, $taus] = [[], [], []];
        foreach ($engines as [$weight, $start, $share, $fast, $tau]) {
            if ($weight > self::UNHEARD_OF * $likeliest) {
                $weights[] = $weight;
                $minutes[] = max(
                    0.0,
                    self::until(($safe - $ambient) / max(1.0, $start), $share, $fast, $tau) - $since[count($since) - 1],
                );
                $taus[] = $tau;
            }
        }

        return [$weights, $minutes, $taus];
    }

    /**
     * The excess over the air at the first reading that fits best, K, and how badly it does, in χ².
     *
     * @param  list<float>  $above  what was read above the air, K
     * @param  list<float>  $quickly  what the fast store keeps of the start by each reading
     * @param  list<float>  $slowly  the same of the slow one, of which there is so much
     * @return array{float, float}
     */
    private static function fit(array $above, array $quickly, array $slowly, float $slowShare): array
    {
        [$xx, $xy, $yy] = [0.0, 0.0, 0.0];
        foreach ($above as $i => $y) {
            $x = $quickly[$i] + $slowShare * $slowly[$i];
            $xx += $x * $x;
            $xy += $x * $y;
            $yy += $y * $y;
        }

        return [$xy / $xx, max(0.0, $yy - $xy * $xy / $xx) / self::READING_C ** 2];
    }

    /**
     * Minutes from the first reading until the excess is down to a share of what it was: by Newton’s method, which
     * comes from below and never overshoots, since the curve is convex.
     */
    private static function until(float $wanted, float $share, float $fast, float $tau): float
    {
        $t = max(0.0, $tau * log((1.0 - $share) / $wanted));
        for ($on = $share; $on > self::NEAR_ENOUGH; $t += $on) {
            [$quick, $slow] = [$share * exp(-$t / $fast), (1.0 - $share) * exp(-$t / $tau)];
            $on = ($quick + $slow - $wanted) / ($quick / $fast + $slow / $tau);
        }

        return $t;
    }

    /**
     * @param  list<float>  $values  in rising order
     * @param  list<float>  $weights
     */
    private static function quantile(array $values, array $weights, float $share): float
    {
        $wanted = $share * array_sum($weights);
        $so = 0.0;
        foreach ($values as $i => $value) {
            $so += $weights[$i];
            if ($so >= $wanted) {
                return $value;
            }
        }

        return $values[count($values) - 1];
    }

    /**
     * What was read while the fan still ran fell faster than what follows.
     *
     * @param  non-empty-list<Reading>  $readings
     * @return non-empty-list<Reading>
     */
    private static function withoutTheFan(array $readings, float $minutes): array
    {
        $until = $readings[0]->minute + $minutes;
        $after = array_values(
            array_filter($readings, fn (Reading $reading) => $minutes <= 0.0 || $reading->minute >= $until),
        );

        return $after === [] ? [$readings[count($readings) - 1]] : $after;
    }

    /** @param  non-empty-list<Reading>  $readings */
    private static function assertFalling(Temperature $ambient, array $readings): void
    {
        foreach ($readings as $i => $reading) {
            if ($i > 0 && $reading->minute <= $readings[$i - 1]->minute) {
                throw new InvalidField(
                    "readings.{$i}.t_min",
                    'Readings must follow each other in time. Give this one a later time than the one before.',
                );
            }
            $step = $i === 0 ? 0.0 : $readings[$i - 1]->temperature->degC() - $reading->temperature->degC();
            if ($i > 0 && $step > self::FALLS_C_PER_MIN * ($reading->minute - $readings[$i - 1]->minute)) {
                throw new InvalidField(
                    "readings.{$i}.temp_c",
                    'No engine that stands falls that fast. Read it again; if the one before was the slip, '
                        .'leave that out.',
                );
            }
            if (count($readings) > 1 && $reading->temperature->degC() <= $ambient->degC()) {
                throw new InvalidField(
                    "readings.{$i}.temp_c",
                    'A cooling engine stays warmer than the air. Check this reading and the air temperature.',
                );
            }
        }
        $count = count($readings);
        if ($count > 1 && $readings[$count - 1]->temperature->degC() >= $readings[0]->temperature->degC()) {
            throw new InvalidField(
                'readings.'.($count - 1).'.temp_c',
                'The readings do not fall, so there is no cool-down to predict. Read again once the engine stands '
                    .'still.',
            );
        }
    }
}
