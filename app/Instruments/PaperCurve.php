<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Models\Job;
use Aqbel\Core\Instruments\ChannelKind;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Observed\FanTurned;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Observed\Started;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;

/** The curve of one run as it stands in record and PDF: what the screen showed, laid out once on the server. */
final readonly class PaperCurve
{
    public const WIDTH = 640;

    public const HEIGHT = 190;

    public const LEFT = 44;

    private const RIGHT = 8;

    private const TOP = 8;

    public const FOOT = 20;

    /** After the engine was shut off, s. */
    private const AFTER_S = 60;

    /** @var array<string, string> points of a polyline by channel */
    public array $lines;

    private float $least;

    private float $most;

    /**
     * @param  array<string, list<array{float, float}>>  $channels  Unix seconds and °C
     * @param  list<array{0: int, 1: int}>  $fan  stretches, Unix seconds
     * @param  array<string, float>  $levels  °C by name
     */
    private function __construct(
        public string $title,
        array $channels,
        private array $fan,
        private array $levels,
        private int $from,
        private int $to,
        private UnitSystem $units,
    ) {
        $all = [
            ...array_merge(...array_map(fn (array $points) => array_column($points, 1), array_values($channels))),
            ...array_values($levels),
            20.0,
        ];
        [$this->least, $this->most] = [min($all), max($all) + 4.0];
        $this->lines = array_map(
            fn (array $points) => implode(
                ' ',
                array_map(fn (array $point) => "{$this->x($point[0])},{$this->y($point[1])}", Curve::thin($points)),
            ),
            $channels,
        );
    }

    /**
     * Of points that are not kept yet.
     *
     * @param  array<string, list<array{float, float}>>  $points  seconds and value, by channel
     */
    public static function before(string $title, array $points, UnitSystem $units): ?self
    {
        $warm = array_filter(
            $points,
            fn (string $channel) => in_array(
                ChannelKind::of($channel),
                [ChannelKind::Coolant, ChannelKind::FarSide, ChannelKind::Outlet],
                true,
            ),
            ARRAY_FILTER_USE_KEY,
        );
        $ends = array_map(fn (array $of): float => $of[count($of) - 1][0], array_values(array_filter($warm)));

        return $ends === [] ? null : new self($title, $warm, [], [], 0, max(1, (int) max($ends)), $units);
    }

    /** @return list<self> of every run that instruments saw */
    public static function all(Job $job, JobState $state, StepCatalogue $kinds, UnitSystem $units): array
    {
        if ($job->document !== null || ! SeriesStore::here()->has($job->id)) {
            return [];
        }
        $curves = [];
        foreach ($state->steps as $step) {
            $curve = self::of($job, $state, $step, $kinds, $units);
            $curves = $curve === null ? $curves : [...$curves, $curve];
        }

        return $curves;
    }

    private static function of(Job $job, JobState $state, Step $step, StepCatalogue $kinds, UnitSystem $units): ?self
    {
        $start = $state->observed($step->id, Started::class)[0] ?? null;
        $offs = $state->observed($step->id, ShutOff::class);
        if ($start === null) {
            return null;
        }
        $to = $offs === [] ? now()->getTimestamp() : $offs[count($offs) - 1]->at() + self::AFTER_S;
        $channels = [];
        foreach (SeriesStore::here()->stretch($job->id, 1000 * $start->at(), 1000 * $to) as $channel => $points) {
            $kind = ChannelKind::of($channel);
            $can = $kind?->believed($points) ?? [];
            if (
                $can !== []
                && in_array($kind, [ChannelKind::Coolant, ChannelKind::FarSide, ChannelKind::Outlet], true)
            ) {
                $channels[$channel] = $can;
            }
        }
        if ($channels === []) {
            return null;
        }
        $facts = $state->circuit->facts;
        $levels = array_filter(['thermostat opens' => $facts->thermostatStartC, 'fan on' => $facts->fanOnC]);

        return new self(
            $kinds->of($step)->title($state->at($step, $to)),
            $channels,
            self::fan($state, $step, $to),
            $levels,
            $start->at(),
            $to,
            $units,
        );
    }

    /** @return list<array{0: int, 1: int}> */
    private static function fan(JobState $state, Step $step, int $to): array
    {
        [$stretches, $since] = [[], null];
        foreach ($state->observed($step->id, FanTurned::class) as $turned) {
            if ($turned->on) {
                $since = $turned->at();
            } elseif ($since !== null) {
                $stretches[] = [$since, $turned->at()];
                $since = null;
            }
        }

        return $since === null ? $stretches : [...$stretches, [$since, $to]];
    }

    public static function named(string $channel): string
    {
        return ['coolant_c' => 'coolant', 'far_side_c' => 'far side'][$channel]
            ?? trim(str_replace(['outlet_c', '.'], ['outlet', ' '], $channel));
    }

    public function x(float $at): float
    {
        return round(
            self::LEFT
                + ((self::WIDTH - self::LEFT - self::RIGHT) * ($at - $this->from)) / max(1, $this->to - $this->from),
            1,
        );
    }

    public function y(float $celsius): float
    {
        return round(
            self::TOP
                + ((self::HEIGHT - self::TOP - self::FOOT) * ($this->most - $celsius))
                    / max(1.0, $this->most - $this->least),
            1,
        );
    }

    /** @return list<array{x: float, width: float}> while the fan ran */
    public function fanStretches(): array
    {
        return array_map(
            fn (array $one) => [
                'x' => $this->x($one[0]),
                'width' => max(1.0, round($this->x($one[1]) - $this->x($one[0]), 1)),
            ],
            $this->fan,
        );
    }

    /** @return list<array{y: float, text: string}> */
    public function levelLines(): array
    {
        return array_map(
            fn (string $name, float $celsius) => [
                'y' => $this->y($celsius),
                'text' => "{$name} {$this->units->format($celsius, Dimension::Temperature)}",
            ],
            array_keys($this->levels),
            $this->levels,
        );
    }

    /** @return list<array{y: float, text: string}> */
    public function scale(): array
    {
        return array_map(
            fn (int $celsius) => [
                'y' => $this->y($celsius),
                'text' => $this->units->format($celsius, Dimension::Temperature),
            ],
            array_values(
                array_filter([20, 40, 60, 80, 100, 120], fn (int $c) => $c >= $this->least && $c <= $this->most),
            ),
        );
    }

    /** @return list<array{x: float, text: string}> */
    public function minutes(): array
    {
        $every = ($this->to - $this->from) > 3600 ? 15 : 5;

        $marks = array_map(
            fn (int $minute) => ['x' => $this->x($this->from + 60 * $minute), 'text' => "{$minute} min"],
            range(0, intdiv($this->to - $this->from, 60), $every),
        );

        return array_values(array_filter($marks, fn (array $mark) => $mark['x'] < self::WIDTH - 40));
    }

    /** In words, for whoever does not see it. */
    public function said(): string
    {
        return "{$this->title}: "
            .implode(', ', array_map(self::named(...), array_keys($this->lines)))
            .' over '
            .intdiv($this->to - $this->from, 60)
            .' min';
    }
}
