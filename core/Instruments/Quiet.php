<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

use Aqbel\Core\Evidence\HotStream;
use Aqbel\Core\Evidence\RunFacts;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\WatchedBy;
use Aqbel\Core\Judged\HeardRunning;
use Aqbel\Core\Judged\NeckAtRun;
use Aqbel\Core\Judged\StopLimitAtNeck;

/**
 * What a look at a job leaves for the batches that follow it: as long as nobody writes anything and their points show
 * no danger, nothing of them counts before the next look.
 */
final readonly class Quiet
{
    /** After so long the job is looked at again, whatever comes, ms. */
    public const LOOK_MS = 10_000;

    /** Every danger of a stream is one of so much of it, s: the longest, a thermostat that stays shut, of twenty. */
    public const SHOWS_S = 60;

    /**
     * @param  int  $line  of the journal, the newest that was seen
     * @param  int  $atMs  of the look, Unix ms
     * @param  ?RunFacts  $facts  what an engine that runs is judged by; null while none does
     * @param  float  $unsaidToC  up to which one may run that nobody said was started, °C; 0 where none may
     */
    public function __construct(
        public int $line,
        public int $atMs,
        public ?RunFacts $facts,
        public float $unsaidToC = 0.0,
    ) {
    }

    /** Null where every point may be one that counts, as of a needle that is pulled down. */
    public static function of(Situation $at, ?WatchedBy $by, int $atMs): ?self
    {
        if ($by === WatchedBy::VacuumGauge || $by === WatchedBy::PressureGauge) {
            return null;
        }
        $limit = match (true) {
            $by === WatchedBy::OnTheRoad => StopLimitAtNeck::of($at, Neck::Sealed),
            $by === WatchedBy::Engine && RunWatch::since($at) !== null => StopLimitAtNeck::of($at, NeckAtRun::orLikely($at)),
            default => null,
        };

        return new self(
            $at->job->journal->last(),
            $atMs,
            $limit === null ? null : RunFacts::of($at->facts(), $limit->limit->degC()),
            $limit !== null || HeardRunning::isToRun($at) || HeardRunning::mayNot($at) !== null
                ? 0.0
                : HeardRunning::limitC($at),
        );
    }

    /** @param  int  $line  the newest of the journal */
    public function stillHolds(int $line, int $nowMs): bool
    {
        return $line === $this->line && $nowMs >= $this->atMs && $nowMs - $this->atMs < self::LOOK_MS;
    }

    /** @param  array<string, list<array{float, float}>>  $channels  of the last SHOWS_S, Unix seconds and value, in order */
    public function mayBeDanger(array $channels): bool
    {
        if ($this->facts !== null) {
            return (new HotStream($this->facts, RunWatch::believed($channels)))->danger;
        }
        $of = fn (ChannelKind $kind): array => array_column($channels[$kind->value] ?? [], 1);

        return array_filter($of(ChannelKind::Rpm), HeardWatch::turns(...)) !== []
            && max([0.0, ...$of(ChannelKind::Coolant)]) >= $this->unsaidToC;
    }

    /** @return array{line: int, at: int, unsaidToC: float, facts: ?array{?float, ?float, ?float, ?float, ?float}} */
    public function toArray(): array
    {
        $facts = $this->facts;

        return [
            'line' => $this->line,
            'at' => $this->atMs,
            'unsaidToC' => $this->unsaidToC,
            'facts' => $facts === null
                ? null
                : [$facts->startC, $facts->fullC, $facts->fanOnC, $facts->fanOffC, $facts->limitC],
        ];
    }

    /** As it was kept; null of anything else. */
    public static function fromJson(string $kept): ?self
    {
        $told = json_decode($kept, true);
        if (! is_array($told) || ! is_int($told['line'] ?? null) || ! is_int($told['at'] ?? null)) {
            return null;
        }
        $facts = $told['facts'] ?? null;

        return new self($told['line'], $told['at'], is_array($facts) ? new RunFacts(...array_map(
            fn (mixed $celsius): ?float => is_numeric($celsius) ? (float) $celsius : null,
            array_values($facts),
        )) : null, is_numeric($told['unsaidToC'] ?? null) ? (float) $told['unsaidToC'] : 0.0);
    }
}
