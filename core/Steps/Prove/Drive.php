<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prove;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\RunHot\StopLimitAtNeck;
use Aqbel\Core\Steps\StepKind;

/** Stage 10: a short drive, or a run under load for what does not drive. */
final class Drive extends StepKind
{
    private const LONGEST_S = 36_000.0;

    public function name(): string
    {
        return 'drive';
    }

    protected function doing(): array
    {
        return [Does::RunsEngine, Does::Guards];
    }

    public function title(Situation $at): string
    {
        return 'Short drive';
    }

    public function why(Situation $at): string
    {
        return 'Load and movement shake out what idling leaves. A machine that does not drive runs under load instead.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Ten to fifteen minutes, heater on, eyes on the temperature.',
            'Straight after the drive a sealed circuit shows nothing: the level is read cold.',
        ];
    }

    public function asks(Situation $at): array
    {
        return [new Form('driven', 'Record drive', [
            Field::duration('minutes', 'Driven for', Unit::Minute, self::LONGEST_S),
            Field::temperature('ect', 'Highest coolant', true, 0, 150),
            Field::choice('alarm', 'Alarm', ['none' => 'None', 'level' => 'Low level', 'hot' => 'Temperature'], 'none'),
        ])];
    }

    public function obstacles(Situation $at): array
    {
        return $at->has('driven') ? [] : [Obstacle::missing('not_driven', 'Record the drive.')];
    }

    public function judge(Situation $at): ?Verdict
    {
        if ($this->tooHot($at)) {
            return Verdict::stop(
                'limit',
                'Too hot',
                "{$at->degrees((float) $at->last('driven')?->number('ect'))} is past the limit of "
                    ."{$at->degrees($this->limitC($at))}. Let it cool, look for the cause, run it hot again before "
                    .'it drives.',
            );
        }

        return match ($at->last('driven')?->text('alarm')) {
            null => null,
            'level' => Verdict::wait(
                'level_alarm',
                'Pocket at the level sensor',
                'Not hot, but the alarm came: another heat cycle, vent near the sensor.',
            ),
            'hot' => Verdict::stop(
                'overheats',
                'Overheats',
                'Air pocket or no flow. Let it cool; another heat cycle before it drives again.',
            ),
            default => Verdict::pass('ran_cool', 'Ran cool', 'No alarm.'),
        };
    }

    public function wasStopped(Situation $at): bool
    {
        return $this->tooHot($at) || in_array($at->last('driven')?->text('alarm'), ['level', 'hot'], true);
    }

    private function tooHot(Situation $at): bool
    {
        return (float) $at->last('driven')?->number('ect') >= $this->limitC($at);
    }

    private function limitC(Situation $at): float
    {
        return StopLimitAtNeck::of($at, Neck::Sealed)->limit->degC();
    }

    /** Nothing drives with its cap loose. */
    public function neckWhileRunning(Situation $at): Neck
    {
        return Neck::Sealed;
    }
}
