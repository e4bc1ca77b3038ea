<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

/** How an instrument stands with the server: what its own count is on the server's clock, and how much it may send. */
final readonly class Sender
{
    /** Lines a second that every instrument may send. */
    public const A_SECOND = 20;

    /** And so many at once, after it was silent for a minute. */
    public const AT_ONCE = 1200;

    /** An instrument whose clock is so near the server's is believed, ms. */
    private const NEAR_MS = 2_000;

    /** Further ahead of the server than that, its clock has jumped, ms. */
    private const AHEAD_MS = 5_000;

    /**
     * @param  ?int  $offsetMs  what is added to its own count for the server's clock; null before it sent anything
     * @param  ?int  $firstMs  of its first point, Unix ms
     * @param  ?int  $lastMs  of its newest point, Unix ms
     * @param  int  $jumps  how often its clock jumped
     * @param  float  $allowance  lines it may send at once
     * @param  ?int  $allowedAt  since when they count, Unix ms
     * @param  ?string  $outlet  at which its thermometer is held now
     */
    public function __construct(
        public ?int $offsetMs = null,
        public ?int $firstMs = null,
        public ?int $lastMs = null,
        public int $jumps = 0,
        public float $allowance = self::AT_ONCE,
        public ?int $allowedAt = null,
        public ?string $outlet = null,
    ) {
    }

    /** The same with so many lines less to send; null where they are too many at once. */
    public function allowed(int $lines, int $nowMs): ?self
    {
        $since = $this->allowedAt === null ? 0 : max(0, $nowMs - $this->allowedAt);
        $allowance = min((float) self::AT_ONCE, $this->allowance + self::A_SECOND * $since / 1000.0);

        return $lines > $allowance
            ? null
            : new self(
                $this->offsetMs,
                $this->firstMs,
                $this->lastMs,
                $this->jumps,
                $allowance - $lines,
                $nowMs,
                $this->outlet,
            );
    }

    /**
     * Whether it goes on where it was: its clock stands as it did, and nothing is as old as what it sent before.
     *
     * @param  non-empty-list<SentPoint>  $points
     */
    public function goesOn(array $points, int $nowMs): bool
    {
        $ms = self::newest($points) + (int) $this->offsetMs;

        return $this->offsetMs !== null
            && $this->lastMs !== null
            && $ms >= $this->lastMs - self::NEAR_MS
            && $ms <= $nowMs + self::AHEAD_MS;
    }

    /**
     * After such points: its own count is laid over the server's clock once, and anew where it has jumped or begun again.
     *
     * @param  non-empty-list<SentPoint>  $points
     * @param  \Closure(int, int): array<string, list<array{float, float}>>  $stored  what it sent from one moment to
     *                                                                                another, Unix ms; Unix seconds and
     *                                                                                value by channel, as it is stored
     * @param  \Closure(float): float  $asStored  a value as it comes back
     */
    public function after(array $points, int $nowMs, \Closure $stored, \Closure $asStored): self
    {
        $newest = self::newest($points);
        [$offset, $jumps] = [$this->offsetMs, $this->jumps];
        if ($offset === null) {
            $offset = abs($nowMs - $newest) <= self::NEAR_MS ? 0 : $nowMs - $newest;
        } elseif (
            $newest + $offset > $nowMs + self::AHEAD_MS
            || $this->beganAgain($points, $newest + $offset, $stored, $asStored)
        ) {
            $offset = $nowMs - $newest;
            $jumps++;
        }
        $ms = $newest + $offset;

        return new self(
            $offset,
            $this->firstMs ?? $ms,
            max($this->lastMs ?? 0, $ms),
            $jumps,
            $this->allowance,
            $this->allowedAt,
            $this->outlet,
        );
    }

    /**
     * @param  list<SentPoint>  $points
     * @return array<string, array<int, float>> value by Unix ms, by channel
     */
    public function onTheClock(array $points): array
    {
        $laid = [];
        foreach ($points as $point) {
            $channel = $point->channel === ChannelKind::Outlet->value && $this->outlet !== null
                    ? "{$point->channel}.{$this->outlet}"
                    : $point->channel;
            $laid[$channel][self::ms($point) + (int) $this->offsetMs] = $point->value;
        }

        return $laid;
    }

    /**
     * Its count goes back to where it has been, and says something else
     * of that time: what was only sent twice says the same.
     *
     * @param  list<SentPoint>  $points
     * @param  \Closure(int, int): array<string, list<array{float, float}>>  $stored
     * @param  \Closure(float): float  $asStored
     */
    private function beganAgain(array $points, int $ms, \Closure $stored, \Closure $asStored): bool
    {
        if ($this->lastMs === null || $ms >= $this->lastMs - self::NEAR_MS) {
            return false;
        }
        if ($ms < (int) $this->firstMs - self::AHEAD_MS) {
            return true;
        }
        $laid = $this->onTheClock($points);
        $known = $stored(min([$ms, ...array_merge(...array_map(array_keys(...), array_values($laid)))]), $ms);
        [$same, $other] = [0, 0];
        foreach ($laid as $channel => $values) {
            $was = array_column(
                array_map(fn (array $point) => [(int) round($point[0] * 1000.0), $point[1]], $known[$channel] ?? []),
                1,
                0,
            );
            foreach ($values as $at => $value) {
                isset($was[$at]) && ($was[$at] === $asStored($value) ? $same++ : $other++);
            }
        }

        return $other > $same;
    }

    /** @param  non-empty-list<SentPoint>  $points */
    private static function newest(array $points): int
    {
        return max(array_map(self::ms(...), $points));
    }

    private static function ms(SentPoint $point): int
    {
        return (int) round($point->seconds * 1000.0);
    }
}
