<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prove;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\WatchedBy;
use Aqbel\Core\Judged\DriveCode;
use Aqbel\Core\Judged\DriveRun;
use Aqbel\Core\Observed\Driven;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\EngineStart;
use Aqbel\Core\Steps\NotRun;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/** Stage 10: a short drive, or a run under load for what does not drive. */
final class Drive extends StepKind
{
    public function name(): string
    {
        return 'drive';
    }

    protected function doing(): array
    {
        return [Does::RunsEngine, Does::Guards];
    }

    public function observes(): array
    {
        return [Driven::class];
    }

    public function watchedBy(): WatchedBy
    {
        return WatchedBy::OnTheRoad;
    }

    public function title(Situation $at): string
    {
        return $at->facts()->stationary ? 'Run under load' : 'Short drive';
    }

    public function why(Situation $at): string
    {
        return 'Load and movement shake out what idling leaves.'
            .($at->facts()->stationary ? ' It does not drive, so it runs under load instead.' : '');
    }

    public function instructions(Situation $at): array
    {
        return [
            'Cap on to its stop; no rag, tool or tester left where it runs.',
            'Ten to fifteen minutes, '.($at->circuit()->hasHeater() ? 'heater on, ' : '').'eyes on the temperature.',
            'Straight after the drive a sealed circuit shows nothing: the level is read cold.',
        ];
    }

    public function asks(Situation $at): array
    {
        $stationary = $at->facts()->stationary;

        return Form::offering([Driven::asked($stationary)], [Driven::ever($stationary)]);
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        Driven::admit($values);
    }

    public function judgement(Situation $at): ?DriveRun
    {
        return DriveRun::of($at);
    }

    public function obstacles(Situation $at): array
    {
        return match ($this->judgement($at)?->code) {
            null => [Obstacle::missing('not_driven', 'Record the drive.')],
            DriveCode::TooLittle => [
                Obstacle::at(Gate::Sums, DriveCode::TooLittle->value, (string) EngineStart::dryBySums($at)),
            ],
            DriveCode::TooShort => [
                Obstacle::missing(
                    'too_short',
                    'It proves from '.self::least($at).' on: '
                        .($at->facts()->stationary ? 'run' : 'drive').' it once more, and record that.',
                ),
            ],
            DriveCode::NotSoLong => [
                Obstacle::missing(
                    'not_so_long',
                    'So long has not passed since the level was read: drive it, and record that when it is back.',
                ),
            ],
            DriveCode::NotHot => [
                Obstacle::missing(
                    'not_hot',
                    'It proves only hot: drive it until it is at its full temperature, and record that.',
                ),
            ],
            default => [],
        };
    }

    public function judge(Situation $at): ?Verdict
    {
        $run = $this->judgement($at);

        return match ($run?->code) {
            null => EngineStart::notYet($at, $at->facts()->stationary ? 'Do not run it' : 'Do not drive'),
            DriveCode::TooLittle => Verdict::stop(
                $run->code(),
                'Too little inside, by the sums',
                EngineStart::dryBySums($at).' A run without an alarm says that a number is wrong, not which.',
            ),
            DriveCode::Limit => Verdict::stop(
                $run->code(),
                'Too hot',
                "{$at->degrees((float) $run->drive->hottestC)} is past the limit of "
                    ."{$at->degrees($run->limitC)}. Let it cool, look for the cause, "
                    .'run it hot again before it drives.',
            ),
            DriveCode::LevelAlarm => Verdict::wait(
                $run->code(),
                'Pocket at the level sensor',
                'Not hot, but the alarm came: another heat cycle, vent near the sensor.',
            ),
            DriveCode::Overheats => Verdict::stop(
                $run->code(),
                'Overheats',
                'Air pocket or no flow. Let it cool; another heat cycle before it drives again.',
            ),
            DriveCode::Alarm => Verdict::stop(
                $run->code(),
                'It alarmed',
                'A lamp, steam or rough running on the drive. Let it cool and find '
                    .'out why before it drives again.',
            ),
            DriveCode::TooShort => Verdict::wait(
                $run->code(),
                'Too short',
                ucfirst(self::least($at)).' are the least that shake anything out.',
            ),
            DriveCode::NotSoLong => Verdict::wait(
                $run->code(),
                'Not so long yet',
                'It was told longer than has passed since the level was read '
                    .'or it was driven before: record it when it is back.',
            ),
            DriveCode::NotHot => Verdict::wait(
                $run->code(),
                'Not hot',
                "It was never at full temperature, {$at->degrees($run->fullC)} or more: cold it proves nothing.",
            ),
            DriveCode::RanCool => Verdict::pass(
                $run->code(),
                'Ran cool',
                match (true) {
                    $run->drive->hottestC !== null => 'No alarm.',
                    $run->drive->byHand => 'No alarm, hot by hand: less than a reading tells.',
                    default => 'No alarm, by the needle: less than a reading tells.',
                },
            ),
        };
    }

    /** How long or how far is enough. */
    private static function least(Situation $at): string
    {
        return match (true) {
            $at->facts()->stationary => 'ten minutes',
            $at->units === UnitSystem::UsCustomary => 'ten minutes or 3.2 miles',
            default => 'ten minutes or five kilometres',
        };
    }

    /** An alarm is not taken back like a slip. */
    public function endsIt(Situation $at, Entry $entry): bool
    {
        return $this->tellsDanger($at, $entry);
    }

    public function tellsDanger(Situation $at, Entry $entry): bool
    {
        $drive = Driven::of($entry);

        return $drive !== null && DriveRun::endsIt($at, $drive);
    }

    public function wasStopped(Situation $at): bool
    {
        return $this->judgement($at)?->isDanger() === true;
    }

    /** What was not driven takes its cool-down and its level with it. */
    public function needless(Situation $at): array
    {
        return $at->observed(Driven::class) === [] ? NotRun::followers($at) : [];
    }

    /** Nothing drives with its cap loose. */
    public function neckWhileRunning(Situation $at): Neck
    {
        return Neck::Sealed;
    }
}
