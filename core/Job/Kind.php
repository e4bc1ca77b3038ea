<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;

/** What the fold of a job asks of a kind of step. */
interface Kind
{
    public function does(Does $what): bool;

    /** @return list<class-string<Observation>> what its lines tell of */
    public function observes(): array;

    /** @return list<Line> what an entry moves into or out of the circuit */
    public function ledger(Situation $at, Entry $entry): array;

    /** @return array<string, PortState> by port: how this step has left its points */
    public function ports(Situation $at): array;

    /** What the numbers of a step mean, impossible sums before anything else. */
    public function verdict(Situation $at): ?Verdict;

    /** @return list<Obstacle> what keeps a step from being finished */
    public function open(Situation $at): array;

    /** Whether by the journal the engine runs at this step: started, and not shut off since. */
    public function runsNow(Situation $at): bool;

    /** When the engine last ran at this step, Unix seconds; null when it has not. */
    public function ran(Situation $at): ?int;

    /** How the neck stood while the engine ran at this step; null where that is not known. */
    public function neckWhileRunning(Situation $at): ?Neck;
}
