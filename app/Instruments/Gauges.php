<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Models\Feed;
use App\Models\Job;
use Aqbel\Core\Instruments\ChannelKind;
use Aqbel\Core\Instruments\RunWatch;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Judged\NeckAtRun;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Observed\FanTurned;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;

/**
 * What stands beside a step while instruments send: the newest values, the
 * curve, what was found in it, and how long it is to the limit.
 */
final readonly class Gauges
{
    /** A curve goes back so far at most, ms. */
    private const LONGEST_MS = 3_600_000;

    /** How it climbs is told by the last minutes, ms. */
    private const CLIMB_MS = 300_000;

    public function __construct(private Job $job, private UnitSystem $units, private int $nowMs)
    {
    }

    /**
     * @param  ?int  $sinceMs  what came after it; null for the whole curve
     * @return array<string, mixed>
     */
    public function since(?int $sinceMs): array
    {
        $from = max($this->nowMs - self::LONGEST_MS, $sinceMs === null ? 0 : $sinceMs + 1);
        $points = SeriesStore::here()->stretch($this->job->id, $from, $this->nowMs + 60_000);
        $at = Watch::inHand($this->job, intdiv($this->nowMs, 1000));
        $channels = [];
        foreach ($points as $channel => $of) {
            $kind = ChannelKind::of($channel);
            $thin = Curve::thin($kind?->believed($of) ?? []);
            $channels[$channel] = [
                't' => array_map(fn (array $point) => round($point[0], 1), $thin),
                'v' => array_map(fn (array $point) => $this->shown($kind, $point[1]), $thin),
            ];
        }
        $last = (int) Feed::query()->sending()->where('job_id', $this->job->id)->max('last_ms');

        return [
            'now' => $this->nowMs,
            'unit' => $this->units === UnitSystem::UsCustomary ? '°F' : '°C',
            'channels' => (object) $channels,
            'silent_s' => $last === 0 ? null : max(0, intdiv($this->nowMs - $last, 1000)),
            'danger' => $this->job->danger_since !== null,
        ] + ($at === null || ! Watch::runs($at) ? ['runs' => false] : $this->ofARun($at));
    }

    /** @return array<string, mixed> */
    private function ofARun(Situation $at): array
    {
        $since = RunWatch::since($at);
        $limit = StopLimitAtNeck::of($at, NeckAtRun::orLikely($at))->limit->degC();
        $facts = $at->facts();
        $levels = [
            'thermostat opens' => $facts->thermostatStartC,
            'wide open' => $facts->thermostatFullC,
            'fan on' => $facts->fanOnC,
            'shut off' => $limit,
        ];
        $marks = [];
        foreach ($at->entries() as $entry) {
            if (Told::isByInstrument($entry)) {
                $marks[] = ['t' => $entry->at, 'text' => self::marked($entry->form, Told::by($entry)->shows)];
            }
        }

        return [
            'runs' => $since !== null,
            'minutes_to_limit' => $since === null
                    ? null
                    : RunWatch::of(
                        $at,
                        SeriesStore::here()->stretch(
                            $this->job->id,
                            max(1000 * $since, $this->nowMs - self::CLIMB_MS),
                            $this->nowMs,
                        ),
                    )->minutesToLimit(),
            'limit' => $this->shown(ChannelKind::Coolant, $limit),
            'levels' => array_map(
                fn (string $text, ?float $c) => ['v' => $this->shown(ChannelKind::Coolant, (float) $c), 'text' => $text],
                array_keys(array_filter($levels)),
                array_filter($levels),
            ),
            'marks' => array_values(array_filter($marks, fn (array $mark) => $mark['text'] !== '')),
        ];
    }

    private static function marked(string $form, string $shows): string
    {
        return match (true) {
            $form === FanTurned::form(true) => 'fan on',
            $form === FanTurned::form(false) => 'fan off',
            default => [
                'thermostat_open' => 'thermostat open',
                'limit_reached' => 'limit',
                'sensor_in_air' => 'sensor in air',
                'thermostat_shut' => 'thermostat shut',
            ][$shows] ?? '',
        };
    }

    private function shown(?ChannelKind $kind, float $value): float
    {
        return round(
            $kind?->unit() === Unit::Celsius && $this->units === UnitSystem::UsCustomary ? 1.8 * $value + 32.0 : $value,
            1,
        );
    }
}
