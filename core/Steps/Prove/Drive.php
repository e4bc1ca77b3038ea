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
        return [Does::RunsEngine];
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

    public function forms(Situation $at): array
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

    /** Nothing drives with its cap loose. */
    public function neckWhileRunning(Situation $at): Neck
    {
        return Neck::Sealed;
    }
}
