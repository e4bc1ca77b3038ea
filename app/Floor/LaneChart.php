<?php

declare(strict_types=1);

namespace App\Floor;

/** The hours ahead as lanes: solid where hands are needed, open where a clock runs. Geometry in drawing units. */
final readonly class LaneChart
{
    public const HOURS = 6;

    public const WIDTH = 960;

    public const LEFT = 120;

    private const ROW = 30;

    private const HEAD = 28;

    /** @param  array<FloorJob>  $jobs */
    public function __construct(private array $jobs, private int $now)
    {
    }

    public function height(): int
    {
        return self::HEAD + self::ROW * count($this->jobs);
    }

    /** @return list<array{x: float, text: string}> a line each hour; the last has no text */
    public function hours(): array
    {
        $lines = [];
        for ($hour = 0; $hour <= self::HOURS; $hour++) {
            $lines[] = [
                'x' => self::x($hour * 60.0),
                'text' => $hour < self::HOURS ? date('H:i', $this->now + $hour * 3600) : '',
            ];
        }

        return $lines;
    }

    /** @return list<array{plate: string, y: int, spans: list<array{hands: bool, x: float, y: int, width: float}>}> */
    public function rows(): array
    {
        $rows = [];
        foreach (array_values($this->jobs) as $i => $job) {
            $y = self::HEAD - 2 + $i * self::ROW;
            $rows[] = ['plate' => $job->plate, 'y' => $y + 15, 'spans' => $this->spans($job, $y)];
        }

        return $rows;
    }

    /** @return list<array{hands: bool, x: float, y: int, width: float}> */
    private function spans(FloorJob $job, int $y): array
    {
        $minute = $job->secondsLeft() / 60.0;
        $lanes = $minute > 0.0 ? [new Lane(false, $minute), ...$job->summary->lanes] : $job->summary->lanes;
        [$spans, $from] = [[], 0.0];
        foreach ($lanes as $lane) {
            $to = min($from + $lane->minutes, self::HOURS * 60.0);
            if ($from < self::HOURS * 60.0) {
                $width = round(max(1.0, self::x($to) - self::x($from)), 1);
                $spans[] = [
                    'hands' => $lane->hands,
                    'x' => round(self::x($from), 1),
                    'y' => $lane->hands ? $y : $y + 8,
                    'width' => $width,
                ];
            }
            $from += $lane->minutes;
        }

        return $spans;
    }

    private static function x(float $minute): float
    {
        return self::LEFT + $minute * (self::WIDTH - self::LEFT) / (self::HOURS * 60.0);
    }
}
