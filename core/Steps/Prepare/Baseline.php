<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prepare;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Observed\BaselineRead;
use Aqbel\Core\Observed\NotRunBefore;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/** Stage 0: readings before the work, to hold the readings afterwards against. */
final class Baseline extends StepKind
{
    public function name(): string
    {
        return 'baseline';
    }

    protected function doing(): array
    {
        return [Does::RunsEngine];
    }

    public function title(Situation $at): string
    {
        return 'Baseline readings';
    }

    public function why(Situation $at): string
    {
        return 'The same readings are taken at the end. Without a baseline nobody can say what the repair changed.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Only if the engine can safely run: level good, no known leak, exhaust extraction on or outdoors.',
            'Note where the temperature settles'.($at->facts()->fanOnC === null ? '' : ', when the fan comes on')
                .($at->facts()->outlets === [] ? '.' : ', and the air at each outlet with the heater on full.'),
            'If it cannot run, say so; that is an answer.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return $at->latest(NotRunBefore::class) !== null ? [] : [Hazard::Exhaust, Hazard::Moving];
    }

    public function asks(Situation $at): array
    {
        return [BaselineRead::asked($at->facts()), NotRunBefore::asked()];
    }

    public function observes(): array
    {
        return [BaselineRead::class, NotRunBefore::class];
    }

    /** Readings are taken at the step itself. */
    public function atOnce(Situation $at): Form
    {
        return NotRunBefore::asked();
    }

    public function obstacles(Situation $at): array
    {
        return $at->latest(BaselineRead::class) !== null || $at->latest(NotRunBefore::class) !== null
            ? []
            : [Obstacle::missing('no_baseline', 'Take the readings, or record that the engine was not run.')];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        BaselineRead::admit($at, $form, $values);
    }

    /** What it shows before the work is no proof, and past the limit it is said: the neck stays shut. */
    public function judge(Situation $at): ?Verdict
    {
        $limit = StopLimitAtNeck::of($at, Neck::Sealed)->limit->degC();
        $past = array_filter($at->observed(BaselineRead::class), fn (BaselineRead $read) => $read->plateauC >= $limit);

        return $past === [] ? null : Verdict::wait(
            'past_limit',
            'It ran too hot',
            "{$at->degrees((float) end($past)->plateauC)} is past the limit of {$at->degrees($limit)}. Let it cool, "
                .'its neck stays shut till then. Why it does so is what this job looks for.',
        );
    }

    public function ran(Situation $at): ?int
    {
        $ran = array_filter($at->observed(BaselineRead::class), fn (BaselineRead $read) => $read->ran);

        return $ran === [] ? null : max(array_map(fn (BaselineRead $read) => $read->at(), $ran));
    }
}
