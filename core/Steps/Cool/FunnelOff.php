<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Fill\FillLevel;
use Aqbel\Core\Steps\Findings\Bucket;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/**
 * Stage 9: the funnel that stayed on while it ran comes off. What the circuit drew from it is inside; what is left
 * goes where it goes.
 */
final class FunnelOff extends StepKind
{
    public const OFF = 'off';

    /** What stands in a funnel is read against its own marks, if it has any, mL (common practice, no source). */
    private const UNSURE_ML = 50.0;

    private const BOTTLE = 'recovery';

    private const GOES = [self::BOTTLE => 'Into the recovery bottle', 'container' => 'Into a labelled container'];

    public function name(): string
    {
        return 'funnel_off';
    }

    protected function doing(): array
    {
        return [Does::OpensNeck, Does::MovesCoolant, Does::Guards];
    }

    public function title(Situation $at): string
    {
        return 'Funnel off';
    }

    public function why(Situation $at): string
    {
        return 'While it cools the circuit draws from the funnel what its air and its warmth gave back. Taken off '
            .'cold, it has had all of it.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Cold by default. Read what stands in it, stopper in, lift it off.',
            'Hot only with gloves and glasses: squeeze the upper hose and hold it, stopper in, let go, lift.',
            'What is left goes into the recovery bottle or a labelled container. Then the cap.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Scald];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        return $at->has(self::OFF) ? [] : $this->ever($at);
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        [$volume, $vessel] = $this->vesselFields($at, 'volume', 'Left in the funnel', VesselUse::Measure);
        $read = CoolDownWait::readJustNow($at);

        return [new Form(self::OFF, 'The funnel is off', [
            $volume,
            $vessel,
            Field::choice('goes', 'It goes', self::GOES, 'container'),
            match (true) {
                CoolDownWait::wasColdUnread($at, $at->now) => null,
                $read === null => Field::coolant('ect', 'Coolant now'),
                default => Field::coolant('ect', 'Coolant now')->preset($read),
            },
        ], closes: true)];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        $most = self::stoodMl($at);
        if ((float) $values->number('volume') > $most + self::UNSURE_ML) {
            throw new InvalidField('volume', "No more than {$at->litres($most)} was ever in it. Read it again, or "
                .'correct what stood in it after the pour.');
        }
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return $entry->form !== self::OFF ? [] : [new Line(
            'Drawn from the funnel',
            FillLevel::leftMl($at->job) - (float) $entry->number('volume'),
            self::UNSURE_ML,
            Bucket::fraction($at),
            fromBatch: true,
        )];
    }

    public function obstacles(Situation $at): array
    {
        return $at->has(self::OFF) ? [] : [Obstacle::never('funnel_on', 'The funnel is on. Take it off, and say '
            .'what was left in it.')];
    }

    public function judge(Situation $at): ?Verdict
    {
        $entry = $at->last(self::OFF);
        if ($entry === null) {
            return null;
        }
        $drawn = self::stoodMl($at) - (float) $entry->number('volume');

        return Verdict::pass('funnel_off', 'Off', "{$at->litres($drawn)} went from it into the circuit. The level "
            .'at the mark tells the rest.');
    }

    /** Whether it came off a hot neck, which its cap has sealed since: as it was read then. */
    public static function leftItHot(Situation $at): bool
    {
        $ect = $at->job->lastOf('funnel_off', self::OFF)?->number('ect');

        return $ect !== null && ! HotNeck::mayBeOpened($at, $ect);
    }

    /** What went from it into the recovery bottle, mL: it is not left of the batch. */
    public static function intoTheBottleMl(JobState $job): float
    {
        $off = $job->lastOf('funnel_off', self::OFF);

        return $off?->text('goes') === self::BOTTLE ? (float) $off->number('volume') : 0.0;
    }

    /** What was topped up into it while it ran may all stand there still, until it is off, mL. */
    public static function mayStandMl(JobState $job): float
    {
        return $job->lastOf('funnel_off', self::OFF) === null && $job->running()->neck() === Neck::Funnel ? self::toppedMl($job) : 0.0;
    }

    /** What stood in it after the pour, and what was topped up into it while it ran, mL. */
    private static function stoodMl(Situation $at): float
    {
        return FillLevel::leftMl($at->job) + self::toppedMl($at->job);
    }

    private static function toppedMl(JobState $job): float
    {
        $topped = array_map(fn (Step $run) => $job->entriesOf($run->id, 'topped'), $job->stepsOf('heat_cycle'));

        return array_sum(array_map(fn (Entry $entry) => (float) $entry->number('volume'), array_merge(...$topped, ...[[]])));
    }
}
