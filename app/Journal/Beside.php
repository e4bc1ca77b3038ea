<?php

declare(strict_types=1);

namespace App\Journal;

use App\Models\Job;
use App\Models\Person;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\NewLine;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Steps\StepCatalogue;
use Illuminate\Support\Facades\Cache;

/** Two people at one bucket, a tablet each: what one has just written is not counted again without a second press. */
final readonly class Beside
{
    /** Within so long the same from two people may be one and the same, s (common practice, no source). */
    private const BESIDE_S = 120;

    /** So long a line that waited may lie before somebody sends it once more, s. */
    private const ASKED_S = 86_400;

    /** Two numbers no further apart are the same, mL. */
    private const SAME_ML = 1.0;

    public function __construct(private Job $job, private Person $person, private StepCatalogue $kinds)
    {
    }

    /**
     * @param  int  $at  Unix seconds, when it was written
     * @param  int  $waitedS  before it arrived: whatever came meanwhile was written without sight of it
     *
     * @throws InvalidField the first time
     */
    public function assertNot(JobState $state, NewLine $written, int $at, int $waitedS = 0): void
    {
        $ml = (float) $written->values->number(VesselReading::VOLUME);
        $step = $state->steps[$written->step] ?? null;
        if ($ml <= 0.0 || $step === null || ! $this->kinds->does($step, Does::MovesCoolant)) {
            return;
        }
        $asked = "beside.{$this->job->id}.{$this->person->id}.{$step->id}.{$written->form}.".round($ml);
        foreach ($state->entriesOf($step->id, $written->form) as $line) {
            $same = ! in_array($line->by, ['', (string) $this->person->id], true)
                && $line->at - $at <= max(self::BESIDE_S, $waitedS) && $at - $line->at <= self::BESIDE_S
                && abs((float) $line->number(VesselReading::VOLUME) - $ml) < self::SAME_ML;
            if ($same) {
                if (! Cache::add($asked, true, $waitedS > 0 ? self::ASKED_S : self::BESIDE_S)) {
                    return;
                }
                throw new InvalidField(
                    VesselReading::VOLUME,
                    "{$line->person} has just written the same. Where this is another one, send it once more.",
                );
            }
        }
    }
}
