<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

use Aqbel\Core\Evidence\Code;
use Aqbel\Core\Evidence\Evidence;
use Aqbel\Core\Evidence\HotStream;
use Aqbel\Core\Evidence\RunFacts;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Judged\HeaterAir;
use Aqbel\Core\Judged\HeaterWatch;
use Aqbel\Core\Judged\HotProofs;
use Aqbel\Core\Judged\NeckAtRun;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Observed\FanTurned;
use Aqbel\Core\Observed\HeldAtSpeed;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Observed\Started;

/**
 * Watches the channels of a running engine and says what of them counts: a reading where
 * something was shown or has changed, a fan that turned, a danger at once. Points stay beside
 * the journal; what rests on them stands in it, a few lines a run.
 */
final readonly class RunWatch
{
    /** Judged over so long at most, s: what was before has become lines already. */
    public const LOOKS_BACK_S = 900;

    /** A turning point is believed when so much has come after it, s. */
    private const SETTLES_S = 8;

    /** The same thing is not said twice within so long, s. */
    private const APART_S = 6;

    /** A value is that of a moment when it is no older than so much, s: a thermometer walks from outlet to outlet. */
    private const HOLDS_S = 20.0;

    private const OUTLET_HOLDS_S = 90.0;

    /** From here on revs drive air out, and below it stands at idle, 1/min (common practice, no source). */
    private const REVVED_RPM = 1800.0;

    private const IDLE_RPM = 1300.0;

    /** A reading is worth a line when coolant has risen by so much, or so much time has passed. */
    private const CHANGED_C = 10.0;

    private const EVERY_S = 240;

    private const FIRST_S = 60;

    /** While a cold heater is watched, s. */
    private const WATCHED_S = 20;

    /**
     * @param  array<string, list<array{float, float}>>  $channels  Unix seconds and
     * value, by channel; what cannot be is left out already
     */
    private function __construct(private Situation $at, private array $channels, private HotStream $stream)
    {
    }

    /** From when on points are needed, Unix seconds; null where no engine runs. */
    public static function since(Situation $at): ?int
    {
        $start = $at->latest(Started::class);

        return $start === null || $at->latest(ShutOff::class)?->isAfter($start) === true
            ? null
            : max($start->at(), $at->now - self::LOOKS_BACK_S);
    }

    /** @param  array<string, list<array{float, float}>>  $channels  Unix seconds and value, by channel */
    public static function of(Situation $at, array $channels): self
    {
        $can = self::believed($channels);
        $limit = StopLimitAtNeck::of($at, NeckAtRun::orLikely($at))->limit->degC();

        return new self($at, $can, new HotStream(RunFacts::of($at->facts(), $limit), $can));
    }

    /**
     * Without what no instrument reads.
     *
     * @param  array<string, list<array{float, float}>>  $channels
     * @return array<string, list<array{float, float}>>
     */
    public static function believed(array $channels): array
    {
        $can = [];
        foreach ($channels as $name => $points) {
            $can[$name] = ChannelKind::of($name)?->believed($points) ?? [];
        }

        return $can;
    }

    /** Minutes until the limit, as it climbs now; null where it does not. */
    public function minutesToLimit(): ?float
    {
        return $this->stream->minutesToLimit;
    }

    /** @return list<RunLine> in order of time, none of which stands in the journal already */
    public function lines(): array
    {
        $lines = [];
        foreach ($this->stream->evidence as $one) {
            $line = match ($one->code) {
                Code::LimitReached, Code::SensorInAir, Code::ThermostatShut => $this->reading(
                    (int) ceil($one->fromS),
                    $one->code,
                ),
                Code::FanOn, Code::FanOff => $this->turned($one),
                Code::ThermostatOpen => $this->opened($one),
                default => null,
            };
            if ($line !== null) {
                $lines[] = $line;
            }
        }
        $lines = [...$lines, ...$this->held()];
        usort($lines, fn (RunLine $a, RunLine $b) => $a->at <=> $b->at);
        $now = $lines === [] || $this->end() - $lines[count($lines) - 1]->at > self::APART_S ? $this->changed() : null;

        return [...$lines, ...$now === null ? [] : [$now]];
    }

    private function end(): int
    {
        $ends = array_map(
            fn (array $points): float => $points === [] ? 0.0 : $points[count($points) - 1][0],
            array_values($this->channels),
        );

        return (int) floor(max([0.0, ...$ends]));
    }

    private function turned(Evidence $one): ?RunLine
    {
        $at = (int) round($one->fromS);
        $on = $one->code === Code::FanOn;
        foreach ($this->at->observed(FanTurned::class) as $told) {
            if ($told->on === $on && $told->at() > $at - self::APART_S) {
                return null;
            }
        }

        return $this->end() - $at < self::SETTLES_S
            ? null
            : new RunLine($at, FanTurned::form($on), Told::byInstrument($one->code->value));
    }

    /**
     * Revs held, and let go: the time of each begins and ends by the count.
     *
     * @return list<RunLine>
     */
    private function held(): array
    {
        [$revved, $since] = [false, 0];
        foreach ($this->at->observed(HeldAtSpeed::class) as $told) {
            [$revved, $since]
                = $told->rpm() === null ? [$revved, $since] : [$told->rpm() >= self::REVVED_RPM, $told->at()];
        }
        $started = $this->at->latest(Started::class)?->at() ?? 0;
        // Shut off, it was let go.
        [$revved, $since] = $started > $since ? [false, $started] : [$revved, $since];
        $say = fn (bool $to, float $at): RunLine => new RunLine(
            (int) round($at),
            HeldAtSpeed::form(),
            HeldAtSpeed::streamed($to)->and(Told::byInstrument(Code::RpmHold->value)),
        );
        $lines = [];
        foreach ($this->stream->evidence as $one) {
            if ($one->code !== Code::RpmHold || ($one->value ?? 0.0) < self::REVVED_RPM) {
                continue;
            }
            if (! $revved && $one->fromS > $since) {
                [$revved, $since] = [true, $one->fromS];
                $lines[] = $say(true, $since);
            }
            if ($revved && $one->toS > $since && $this->idlesAfter((float) $one->toS)) {
                [$revved, $since] = [false, $one->toS];
                $lines[] = $say(false, $since);
            }
        }

        return $lines;
    }

    private function idlesAfter(float $moment): bool
    {
        foreach ($this->channels[ChannelKind::Rpm->value] ?? [] as [$at, $rpm]) {
            if ($at > $moment && $rpm <= self::IDLE_RPM) {
                return true;
            }
        }

        return false;
    }

    /** When hot coolant has come through: both sides warm, and near each other. Once is enough for a run. */
    private function opened(Evidence $one): ?RunLine
    {
        foreach ($this->readings() as $told) {
            if ($told->told()->shows === $one->code->value) {
                return null;
            }
        }
        for ($at = (int) ceil($one->fromS); $at <= $this->end(); $at++) {
            [$coolant, $far] = [
                $this->value(ChannelKind::Coolant->value, $at, self::HOLDS_S),
                $this->value(ChannelKind::FarSide->value, $at, self::HOLDS_S),
            ];
            if ($coolant !== null && $far !== null && HotProofs::isFarSideHot($this->at->circuit(), $coolant, $far)) {
                return $this->reading($at, $one->code);
            }
        }

        return null;
    }

    /** A reading of a moment, where the stream says that and the journal does not. */
    private function reading(int $at, Code $code): ?RunLine
    {
        foreach ($this->readings() as $told) {
            if ($told->told()->shows === $code->value && $told->at() > $at - self::APART_S) {
                return null;
            }
        }

        return $this->read($at, $code);
    }

    /** What has changed since the last reading. */
    private function changed(): ?RunLine
    {
        $end = $this->end();
        $readings = $this->readings();
        $last = $readings === [] ? null : $readings[count($readings) - 1];
        $start = $this->at->latest(Started::class);
        $coolant = $this->value(ChannelKind::Coolant->value, $end, self::HOLDS_S);
        if ($start === null || $coolant === null || ($last !== null && $end <= $last->at())) {
            return null;
        }
        $line = $this->read($end, null);
        $as = $line === null ? null : HotReading::of(new Entry(0, $end, '', '', $line->form, $line->values));
        $changed = match (true) {
            $line === null || $as === null => false,
            $last === null => $end - $start->at() >= self::FIRST_S,
            $coolant - $last->coolantC >= self::CHANGED_C, $end - $last->at() >= self::EVERY_S => true,
            $this->turnedHot($last, $as) => true,
            default => $this->watched() && $end - $last->at() >= self::WATCHED_S,
        };

        return $changed ? $line : null;
    }

    private function watched(): bool
    {
        $limit = StopLimitAtNeck::of($this->at, NeckAtRun::orLikely($this->at));

        return HeaterWatch::of($this->at, $limit)->goesOn();
    }

    /** An outlet that is hot now and was not. */
    private function turnedHot(HotReading $last, HotReading $now): bool
    {
        foreach ($now->outletsC as $outlet => $celsius) {
            $was = $last->outletsC[$outlet] ?? null;
            if (
                $celsius >= HeaterAir::hotFrom($this->at, $now)
                && ($was === null || $was < HeaterAir::hotFrom($this->at, $last))
            ) {
                return true;
            }
        }

        return false;
    }

    private function read(int $at, ?Code $code): ?RunLine
    {
        // A limit is one of either side: where the far one alone is read, it says how hot the coolant is.
        $coolant = $this->value(ChannelKind::Coolant->value, $at, self::HOLDS_S)
            ?? ($code === Code::LimitReached ? $this->value(ChannelKind::FarSide->value, $at, self::HOLDS_S) : null);
        if ($coolant === null) {
            return null;
        }
        $outlets = [];
        foreach ($this->at->facts()->outlets as $i => $outlet) {
            $celsius = $this->value(ChannelKind::Outlet->value.".{$outlet}", $at, self::OUTLET_HOLDS_S)
                ?? ($i === 0 ? $this->value(ChannelKind::Outlet->value, $at, self::OUTLET_HOLDS_S) : null);
            $outlets += $celsius === null ? [] : [$outlet => $celsius];
        }
        $values = HotReading::streamed(
            $coolant,
            $this->value(ChannelKind::FarSide->value, $at, self::HOLDS_S),
            $outlets,
        );

        return new RunLine($at, HotReading::form(), $values->and(Told::byInstrument($code?->value)));
    }

    /** The newest value at a moment, not older than so much. */
    private function value(string $channel, int $at, float $holds): ?float
    {
        $points = $this->channels[$channel] ?? [];
        for ($i = count($points) - 1; $i >= 0; $i--) {
            if ($points[$i][0] <= $at + 1.0) {
                return $at - $points[$i][0] > $holds ? null : $points[$i][1];
            }
        }

        return null;
    }

    /** @return list<HotReading> */
    private function readings(): array
    {
        return $this->at->observed(HotReading::class);
    }
}
