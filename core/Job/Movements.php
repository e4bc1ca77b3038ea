<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Ledger\Line;

/** What moved coolant in a job, line by line, and what it comes to. */
final class Movements
{
    private const WHOLE = 99;

    /** @var array<int, Ledger> worked out so far, by the stage they end before */
    private array $ledgers = [];

    /** @var ?array<int, array{Step, Kind}> what of the entries may move coolant, by its place among them */
    private ?array $movers = null;

    /** @var array<int, list<Line>> what of it did, as worked out so far */
    private array $moved = [];

    public function __construct(private readonly JobState $job)
    {
    }

    /** The ledger as the stages before the one given leave it; whole when none is given. */
    public function before(?Stage $stage): Ledger
    {
        return $this->ledgers[$stage->value ?? self::WHOLE] ??= $this->fold($stage->value ?? self::WHOLE);
    }

    private function fold(int $beforeStage): Ledger
    {
        $job = $this->job;
        $lines = [];
        foreach ($this->movers ??= $this->movers() as $i => [$step, $kind]) {
            if ($step->stage->value >= $beforeStage) {
                continue;
            }
            // What one moves may ask what was inside before its stage.
            $this->moved[$i] ??= $kind->ledger($job->at($step, $job->entries[$i]->at), $job->entries[$i]);
            if ($this->moved[$i] === []) {
                unset($this->movers[$i]);
            } else {
                array_push($lines, ...$this->moved[$i]);
            }
        }

        return new Ledger($job->circuit->capacityMl(), $job->plan->headspaceMl(), $lines);
    }

    /** @return array<int, array{Step, Kind}> */
    private function movers(): array
    {
        $movers = [];
        foreach ($this->job->entries as $i => $entry) {
            $step = $this->job->steps[$entry->step] ?? null;
            if ($step === null || ($entry->belongsToEveryStep() && ! $entry->isAnyTime())) {
                continue;
            }
            $kind = $this->job->kinds->reading($step, $entry);
            if ($kind->does(Does::MovesCoolant)) {
                $movers[$i] = [$step, $kind];
            }
        }

        return $movers;
    }
}
