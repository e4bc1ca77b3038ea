<?php

declare(strict_types=1);

namespace Aqbel\Core\Evidence;

/**
 * Turns the channels of a hot run into dated evidence: instruments, imported files and what a
 * person typed alike, which is a thin stream. Thresholds are common practice, without a source;
 * they were set on streams of the virtual vehicle and of others.
 */
final readonly class HotStream
{
    private const LEAST_C = -35.0;

    private const MOST_C = 165.0;

    /** A single reading so far from both beside it is of no coolant, K. */
    private const STRAY_K = 12.0;

    public const RUNS_RPM = 350.0;

    private const HOLD_RPM = 1300.0;

    private const HOLD_S = 30.0;

    private const SILENT_S = 30.0;

    /** A value is that of a moment when it is no older than so much, s. */
    private const HOLDS_S = 20.0;

    /**
     * A fan that comes turns the coolant so near above where it comes on;
     * further on it turned by itself, as when revs are let go.
     */
    private const FAN_OVERSHOOT_K = 5.0;

    /** The far side so far below the live reading before: the thermostat was shut. */
    private const SHUT_GAP_K = 12.0;

    /** And so much warmer within so long: it opened. */
    private const OPENS_K = 6.0;

    private const OPENS_WITHIN_S = 75.0;

    /** So far below where it starts to open it is shut, */
    private const STILL_SHUT_K = 15.0;

    /** and the far side has come along by more than this share only where it is stuck open. */
    private const FOLLOWS = 0.5;

    private const NEAR_OPENING_K = 6.0;

    private const PAST_FULL_K = 3.0;

    private const COLD_GAP_K = 28.0;

    private const COLD_FOR_S = 20.0;

    private const AIR_GAP_K = 15.0;

    private const AIR_FAR_C = 55.0;

    private const AIR_FOR_S = 4.0;

    private const HOT_C = 80.0;

    private const OUTLET_SHARE = 0.34;

    private const OUTLET_S = 75.0;

    /** A heater cold while the engine is hot is watched so long, then it is danger. */
    private const OUTLET_DANGER_S = 180.0;

    private const SLOPE_S = 120.0;

    private const CLIMBS_K_MIN = 0.4;

    private const SOON_MIN = 5.0;

    /** @var list<Evidence> by time */
    public array $evidence;

    public bool $danger;

    /** Null where it does not climb at the end of the stream. */
    public ?float $minutesToLimit;

    private Channel $coolant;

    private Channel $far;

    private Channel $rpm;

    /** @param  array<string, list<array{float, float}>>  $channels  by name: seconds, and °C or rpm */
    public function __construct(private RunFacts $facts, private array $channels)
    {
        $raw = $this->channel('coolant_c');
        $this->coolant = $raw->withoutStrays(self::STRAY_K);
        $this->far = $this->channel('far_side_c')->withoutStrays(self::STRAY_K);
        $this->rpm = Channel::of($channels['rpm'] ?? [], 0.0, 12_000.0);
        $opened = $this->opened();
        $evidence = [
            ...$this->engine(),
            ...$this->limit($raw),
            ...$this->inAir(),
            ...$opened,
            ...$this->shut($opened !== []),
            ...$this->fans(),
            ...$this->outlets(),
            ...$this->holds(),
            ...$this->silences(),
            ...$this->climbs(),
        ];
        usort($evidence, fn (Evidence $a, Evidence $b) => $a->fromS <=> $b->fromS);
        $this->evidence = $evidence;
        $this->danger = array_filter($evidence, self::isDanger(...)) !== [];
        $this->minutesToLimit = $this->minutesAt($this->coolant->last());
    }

    private static function isDanger(Evidence $one): bool
    {
        return match ($one->code) {
            Code::LimitReached, Code::SensorInAir, Code::ThermostatShut => true,
            Code::OutletCold => ($one->toS ?? $one->fromS) - $one->fromS >= self::OUTLET_DANGER_S,
            default => false,
        };
    }

    private function channel(string $name): Channel
    {
        return Channel::of($this->channels[$name] ?? [], self::LEAST_C, self::MOST_C);
    }

    private function runs(float $at): bool
    {
        if ($this->rpm->isEmpty()) {
            return true;
        }
        $rpm = $this->rpm->at($at, self::SILENT_S);

        return $rpm === null || $rpm > self::RUNS_RPM;
    }

    /** @return list<Evidence> */
    private function engine(): array
    {
        [$found, $runs] = [[], false];
        foreach ($this->rpm->t as $i => $t) {
            $now = $this->rpm->v[$i] > self::RUNS_RPM;
            if ($now !== $runs) {
                $found[] = new Evidence($now ? Code::EngineOn : Code::EngineOff, $t, null, $this->rpm->v[$i]);
                $runs = $now;
            }
        }

        return $found;
    }

    /**
     * The first reading at the limit, of either sensor: believed first.
     *
     * @return list<Evidence>
     */
    private function limit(Channel $raw): array
    {
        $limit = $this->facts->limitC;
        $first = null;
        foreach ($limit === null ? [] : [$raw, $this->channel('far_side_c')] as $channel) {
            foreach ($channel->t as $i => $t) {
                if ($channel->v[$i] >= $limit) {
                    $first = $first === null || $t < $first->fromS
                            ? new Evidence(Code::LimitReached, $t, null, $channel->v[$i])
                            : $first;
                    break;
                }
            }
        }

        return $first === null ? [] : [$first];
    }

    /** @return list<Evidence> */
    private function inAir(): array
    {
        $since = null;
        $coolant = $this->coolant->atEach($this->far->t, self::HOLDS_S);
        foreach ($this->far->t as $i => $t) {
            $live = $coolant[$i];
            $cold
                = $live !== null && $this->far->v[$i] >= self::AIR_FAR_C && $live <= $this->far->v[$i] - self::AIR_GAP_K;
            $since = $cold ? $since ?? $t : null;
            if (
                $since !== null
                && ($t - $since >= self::AIR_FOR_S || ($i === count($this->far->t) - 1 && $t > $since))
            ) {
                return [new Evidence(Code::SensorInAir, $since, $t, $live)];
            }
        }

        return [];
    }

    /**
     * The far side rises fast while the engine side is near the opening temperature, from well below it. One that is
     * stuck open has warmed with the engine from the start.
     *
     * @return list<Evidence>
     */
    private function opened(): array
    {
        $start = $this->facts->startC;
        if ($start === null || $this->far->isEmpty()) {
            return [];
        }
        $full = $this->facts->fullC ?? $start + 12.0;
        $trough = null;
        $coolant = $this->coolant->atEach($this->far->t, self::SILENT_S);
        if ($this->warmsFromTheStart($coolant, $start)) {
            return [];
        }
        $lows = $this->far->lowest(self::OPENS_WITHIN_S);
        foreach ($this->far->t as $i => $t) {
            $live = $coolant[$i];
            if ($live === null || $live < $start - self::NEAR_OPENING_K) {
                continue;
            }
            // From where it rises: the lowest of the last while.
            [$low, $from] = [$this->far->v[$lows[$i]], $this->far->t[$lows[$i]]];
            $before = $coolant[$lows[$i]] ?? $live;
            $near = $before <= $full + self::NEAR_OPENING_K;
            $rise = $this->far->v[$i] - $low;
            // Faster than the engine itself warms: coolant came past.
            $faster = $rise >= self::OPENS_K && $rise > 2.0 * max(0.0, $live - $before);
            if ($near && $faster && $before - $low >= self::SHUT_GAP_K) {
                $trough = new Evidence(Code::ThermostatOpen, $from, $t, $live);
                break;
            }
        }

        return $trough === null ? [] : [$trough];
    }

    /**
     * Whether the far side warmed with the engine long before it opens: what a fan cools there later, and what comes
     * back, is no opening.
     *
     * @param  list<?float>  $coolant  at each moment of the far side
     */
    private function warmsFromTheStart(array $coolant, float $start): bool
    {
        $cold = null;
        foreach ($coolant as $i => $live) {
            if ($live === null) {
                continue;
            }
            $cold ??= [$live, $this->far->v[$i]];
            if ($live >= $start - self::STILL_SHUT_K) {
                $warmed = $live - $cold[0];

                return $warmed >= self::STILL_SHUT_K && self::FOLLOWS * $warmed < $this->far->v[$i] - $cold[1];
            }
        }

        return false;
    }

    /** @return list<Evidence> */
    private function shut(bool $opened): array
    {
        $full = $this->facts->fullC;
        if ($opened || $full === null || $this->far->isEmpty()) {
            return [];
        }
        $since = null;
        $behind = $this->far->atEach($this->coolant->t, self::SILENT_S);
        foreach ($this->coolant->t as $i => $t) {
            $far = $behind[$i];
            $cold = $far !== null
                && $this->coolant->v[$i] >= $full + self::PAST_FULL_K
                && $this->coolant->v[$i] - $far >= self::COLD_GAP_K;
            $since = $cold ? $since ?? $t : null;
            if ($since !== null && $t - $since >= self::COLD_FOR_S) {
                return [new Evidence(Code::ThermostatShut, $since, $t, $far)];
            }
        }

        return [];
    }

    /**
     * Turning points of the coolant above fan-off: where it falls from fan-on, and rises
     * again from fan-off, with the engine running at one speed.
     *
     * @return list<Evidence>
     */
    private function fans(): array
    {
        $on = $this->facts->fanOnC;
        if ($on === null || $this->coolant->isEmpty()) {
            return [];
        }
        $off = $this->facts->fanOffC ?? $on - 5.0;
        $turn = max(1.5, min(3.0, 0.45 * ($on - $off)));
        $smooth = $this->coolant->smoothed(4.0);
        [$found, $rising] = [[], true];
        [$extreme, $at] = [-INF, 0.0];
        foreach ($smooth->t as $i => $t) {
            $v = $smooth->v[$i];
            if ($rising) {
                if ($v >= $extreme) {
                    [$extreme, $at] = [$v, $t];
                } elseif ($v <= $extreme - $turn) {
                    if ($extreme >= $on - 1.6 && $extreme <= $on + self::FAN_OVERSHOOT_K && $this->isSteady($at, $t)) {
                        $found[] = new Evidence(
                            Code::FanOn,
                            $this->crossed($smooth, $at, $on),
                            null,
                            round($extreme, 1),
                        );
                    }
                    [$rising, $extreme, $at] = [false, $v, $t];
                }
            } elseif ($v <= $extreme) {
                [$extreme, $at] = [$v, $t];
            } elseif ($v >= $extreme + $turn) {
                $last = $found === [] ? null : $found[count($found) - 1];
                if (
                    $last?->code === Code::FanOn
                    && $extreme <= $off + 2.0
                    && $extreme >= $off - 6.0
                    && $this->isSteady($at, $t)
                ) {
                    $found[] = new Evidence(Code::FanOff, $at, null, round($extreme, 1));
                }
                [$rising, $extreme, $at] = [true, $v, $t];
            }
        }

        return $found;
    }

    /** Whether the engine ran all the while, and nobody let go of the revs just then, or drove off. */
    private function isSteady(float $from, float $to): bool
    {
        if (! $this->runs($from) || ! $this->runs($to)) {
            return false;
        }
        $speed = Channel::of($this->channels['speed_kmh'] ?? [], 0.0, 300.0);
        if (! $speed->isEmpty() && ($speed->mean($from - 10.0, $to) ?? 0.0) > 15.0) {
            return false;
        }
        [$before, $after] = [$this->rpm->mean($from - 40.0, $from - 8.0), $this->rpm->mean($from, $to)];

        return $before === null || $after === null || $before < self::HOLD_RPM || $after > 0.75 * $before;
    }

    /** When it was last at the fan’s temperature before it turned; where it turned, where it never was. */
    private function crossed(Channel $smooth, float $turned, float $on): float
    {
        $crossed = $turned;
        foreach (array_reverse(array_keys($smooth->t)) as $i) {
            if ($smooth->t[$i] <= $turned && $smooth->t[$i] >= $turned - 60.0 && $smooth->v[$i] >= $on - 0.6) {
                $crossed = $smooth->t[$i];
            } elseif ($smooth->t[$i] < $turned) {
                break;
            }
        }

        return $crossed;
    }

    /** @return list<Evidence> */
    private function outlets(): array
    {
        $found = [];
        foreach ($this->channels as $name => $points) {
            if ($name !== 'outlet_c' && ! str_starts_with($name, 'outlet_c.')) {
                continue;
            }
            $outlet = Channel::of($points, self::LEAST_C, self::MOST_C);
            if ($outlet->isEmpty() || $this->coolant->isEmpty()) {
                continue;
            }
            $outside = $this->channel('ambient_c');
            $cold = $outside->isEmpty() ? min($outlet->v[0], $this->coolant->v[0]) : min([INF, ...$outside->v]);
            [$since, $last, $value] = [null, null, null];
            $coolant = $this->coolant->atEach($outlet->t, self::SILENT_S);
            foreach ($outlet->t as $i => $t) {
                $live = $coolant[$i];
                // Once it is hot, a degree less is not the end of it.
                $is = $live !== null
                    && $live >= self::HOT_C - ($since === null ? 0.0 : 3.0)
                    && self::OUTLET_SHARE * ($live - $cold) > $outlet->v[$i] - $cold;
                if (! $is && $since !== null) {
                    if ($last - $since >= self::OUTLET_S) {
                        break;
                    }
                    $since = null;
                }
                if ($is) {
                    [$since, $last, $value] = [$since ?? $t, $t, $outlet->v[$i]];
                }
            }
            if ($since !== null && $last - $since >= self::OUTLET_S) {
                $found[] = new Evidence(Code::OutletCold, $since, $last, $value);
            }
        }

        return $found;
    }

    /** @return list<Evidence> */
    private function holds(): array
    {
        $found = [];
        [$since, $last, $values] = [null, 0.0, []];
        foreach ([...array_map(null, $this->rpm->t, $this->rpm->v), [INF, 0.0]] as [$t, $rpm]) {
            if ($rpm > self::HOLD_RPM && $t < INF && ($since === null || $t - $last <= self::SILENT_S)) {
                [$since, $last] = [$since ?? $t, $t];
                $values[] = $rpm;
            } elseif ($since !== null) {
                if ($last - $since >= self::HOLD_S) {
                    sort($values);
                    $found[] = new Evidence(Code::RpmHold, $since, $last, $values[intdiv(count($values), 2)]);
                }
                [$since, $values] = [null, []];
            }
        }

        return $found;
    }

    /** @return list<Evidence> */
    private function silences(): array
    {
        $silences = array_filter(
            Silence::all($this->channels, self::SILENT_S),
            fn (Silence $one) => $this->ran($one->fromS),
        );

        return array_values(
            array_map(
                fn (Silence $one) => new Evidence(Code::Silent, $one->fromS + self::SILENT_S, $one->toS),
                $silences,
            ),
        );
    }

    /** Whether the engine ran when something was last heard. */
    private function ran(float $at): bool
    {
        return ! $this->rpm->isEmpty() && ($this->rpm->at($at, self::SILENT_S) ?? 0.0) > self::RUNS_RPM;
    }

    /**
     * Above where the thermostat holds it and still rising, or minutes from the limit.
     *
     * @return list<Evidence>
     */
    private function climbs(): array
    {
        $normal = max($this->facts->fanOnC ?? -INF, $this->facts->fullC ?? -INF);
        if ($this->facts->limitC === null || $normal === -INF) {
            return [];
        }
        [$since, $last, $least] = [null, null, null];
        foreach ($this->coolant->t as $i => $t) {
            $minutes = $this->coolant->v[$i] >= $normal + 1.0 ? $this->minutesAt($t) : null;
            if ($minutes !== null && $minutes < self::SOON_MIN) {
                [$since, $last, $least] = [$since ?? $t, $t, min($least ?? INF, $minutes)];
            } elseif ($since !== null) {
                break;
            }
        }

        return $since === null ? [] : [new Evidence(Code::Climbing, $since, $last, $least)];
    }

    /** By the slope of the last two minutes; null while it does not climb. */
    private function minutesAt(float $t): ?float
    {
        $limit = $this->facts->limitC;
        $now = $this->coolant->at($t);
        $slope = $limit === null || $now === null ? null : $this->coolant->slope($t - self::SLOPE_S, $t);
        if ($slope === null || $slope * 60.0 < self::CLIMBS_K_MIN || ! $this->runs($t)) {
            return null;
        }

        return max(0.0, ($limit - $now) / ($slope * 60.0));
    }
}
