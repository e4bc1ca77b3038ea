<?php

declare(strict_types=1);

namespace App\Floor;

/**
 * The hours ahead as lanes: solid where somebody is at it, open where a clock runs, as the plan of the day has it over
 * people and tools; what that does not reach stands as it would go by itself. Geometry in drawing units.
 */
final readonly class LaneChart
{
    public const HOURS = 6;

    public const WIDTH = 960;

    public const LEFT = 120;

    private const ROW = 30;

    /** A bar this wide has room for a letter. */
    private const LETTER = 14.0;

    private const HEAD = 28;

    /**
     * @param  array<FloorJob>  $jobs
     * @param  array<array-key, list<DaySpan>>  $planned  by job
     */
    public function __construct(private array $jobs, private int $now, private array $planned = [])
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

    /**
     * @return list<array{
     *     plate: string,
     *     y: int,
     *     spans: list<array{hands: bool, x: float, y: int, width: float, who: string}>,
     * }>
     */
    public function rows(): array
    {
        $rows = [];
        foreach (array_values($this->jobs) as $i => $job) {
            $y = self::HEAD - 2 + $i * self::ROW;
            $rows[] = [
                'plate' => $job->plate,
                'y' => $y + 15,
                'spans' => isset($this->planned[$job->id])
                    ? $this->asPlanned($this->planned[$job->id], $y)
                    : $this->spans($job, $y),
            ];
        }

        return $rows;
    }

    /**
     * @param  list<DaySpan>  $planned
     * @return list<array{hands: bool, x: float, y: int, width: float, who: string}>
     */
    private function asPlanned(array $planned, int $y): array
    {
        $spans = [];
        foreach ($planned as $span) {
            if ($span->fromMin < self::HOURS * 60.0) {
                $spans[] = self::span($span->who !== '', $span->fromMin, $span->toMin, $y, $span->who);
            }
        }

        return $spans;
    }

    /** @return array{hands: bool, x: float, y: int, width: float, who: string} */
    private static function span(bool $hands, float $fromMin, float $toMin, int $y, string $who = ''): array
    {
        $width = round(max(1.0, self::x(min($toMin, self::HOURS * 60.0)) - self::x($fromMin)), 1);

        return [
            'hands' => $hands,
            'x' => round(self::x($fromMin), 1),
            'y' => $hands ? $y : $y + 8,
            'width' => $width,
            'who' => $width >= self::LETTER ? $who : '',
        ];
    }

    /** @return list<array{hands: bool, x: float, y: int, width: float, who: string}> */
    private function spans(FloorJob $job, int $y): array
    {
        $minute = $job->secondsLeft() / 60.0;
        $lanes = $minute > 0.0 ? [new Lane(false, $minute), ...$job->summary->lanes] : $job->summary->lanes;
        [$spans, $from] = [[], 0.0];
        foreach ($lanes as $lane) {
            $to = min($from + $lane->minutes, self::HOURS * 60.0);
            if ($from < self::HOURS * 60.0) {
                $spans[] = self::span($lane->hands, $from, $to, $y);
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
