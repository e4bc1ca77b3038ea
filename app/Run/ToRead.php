<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Writing\Cautions;

/** The cautions of a step: those somebody has to have read, and those that are only shown. */
final readonly class ToRead
{
    /** @var list<Hazard> that nobody has read in this job */
    public array $unread;

    /** @var list<Hazard> shown wherever they arise, and ask for no press */
    public array $shown;

    /**
     * Whether the press that enters something says that they were read: they stand above it. Not before an engine is
     * started; and one that came up after something was written is read by itself, as nothing more may be to enter.
     */
    public bool $withTheEntry;

    /** @param  bool  $idle  whether the step is behind, or still to come */
    public function __construct(Situation $at, StepKind $kind, bool $done, bool $idle)
    {
        $shown = array_filter($kind->hazards($at), fn (Hazard $hazard) => ! $hazard->isAcknowledged());
        $this->shown = $done ? [] : array_values($shown);
        $this->unread = $idle ? [] : Cautions::unread($at, $kind);
        $this->withTheEntry = ! $kind->does(Does::RunsEngine) && $at->entries() === [];
    }

    /** @return list<UnreadCaution> */
    public function of(string $step): array
    {
        return array_map(fn (Hazard $hazard) => new UnreadCaution($hazard, $step), $this->unread);
    }
}
