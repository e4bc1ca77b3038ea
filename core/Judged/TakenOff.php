<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\Part;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Observed\CameOut;
use Aqbel\Core\Observed\SetUp;
use Aqbel\Core\Observed\Ticked;
use Aqbel\Core\Observed\WasSetBack;

/** A hose or a part that came off on the way: for a flush, or where nobody planned it. */
final readonly class TakenOff
{
    /** Parts that are flushed against the flow with both hoses off, by the kind of their passages. */
    public const FLUSHED = ['radiator' => 'Radiator', 'heater' => 'Heater core'];

    /** What comes off in several goes is put back in one tick. */
    private const BACK_ON = 'back_on';

    /**
     * @param  string  $item  as which closing up ticks that it is back
     * @param  int  $at  Unix seconds
     * @param  string  $name  empty where nobody said what it was
     */
    private function __construct(public string $item, public int $at, public Stage $stage, private string $name)
    {
    }

    /** @return list<self> up to the stage of a step */
    public static function upTo(Situation $at): array
    {
        return array_values(array_filter(
            self::all($at->job),
            fn (self $off) => $off->stage->value <= $at->step->stage->value,
        ));
    }

    /** @return list<self> of which nobody has said since that they are back; whoever flushes a part goes on with it */
    public static function standing(JobState $job): array
    {
        return array_values(array_filter(
            self::all($job),
            fn (self $off) => $off->item === self::BACK_ON && ! $off->isBack($job),
        ));
    }

    public function label(): string
    {
        return match (true) {
            $this->item !== self::BACK_ON => "{$this->name}, flushed: both hoses",
            $this->name === '' => 'what was taken off',
            default => $this->name,
        };
    }

    /** @return list<self> */
    private static function all(JobState $job): array
    {
        return $job->once(self::class, fn (): array => [...self::cameOff($job), ...self::flushed($job)]);
    }

    /** @return list<self> */
    private static function cameOff(JobState $job): array
    {
        $off = [];
        foreach ([...$job->observedAnywhere(CameOut::class), ...array_map(CameOut::of(...), $job->cameUp())] as $out) {
            if ($out?->opensAJoint() === true) {
                $off[$out->told()->seq] = self::at($job, $out->told(), self::BACK_ON, self::partOf($job, $out->part));
            }
        }

        return array_values($off);
    }

    private static function partOf(JobState $job, ?string $id): string
    {
        $named = array_filter($job->circuit->parts(), fn (Part $part) => $part->id === $id);

        return ($named === [] ? null : reset($named))->label ?? '';
    }

    /** @return list<self> */
    private static function flushed(JobState $job): array
    {
        $off = [];
        foreach ($job->stepsThat(Does::TakesHosesOff) as $step) {
            foreach ($job->observed($step->id, Ticked::class) as $ticked) {
                foreach (array_intersect_key(self::FLUSHED, array_flip($ticked->items)) as $kind => $part) {
                    $off[] = self::at($job, $ticked->told(), "flushed_{$kind}", $part);
                }
            }
        }

        return $off;
    }

    private static function at(JobState $job, Told $told, string $item, string $name): self
    {
        return new self($item, $told->at, ($job->steps[$told->step] ?? null)->stage ?? Stage::Plan, $name);
    }

    /** At closing up, or where it was seen. */
    private function isBack(JobState $job): bool
    {
        foreach ($job->cameUp() as $line) {
            if (WasSetBack::of($line)?->what === SetUp::JointOff && $line->at >= $this->at) {
                return true;
            }
        }

        return array_filter($job->stepsThat(Does::ClosesUp), fn (Step $step) => $this->isBackBy($job, $step)) !== [];
    }

    private function isBackBy(JobState $job, Step $closing): bool
    {
        $end = $job->closed[$closing->id] ?? null;
        $ticks = array_filter(
            $job->observed($closing->id, Ticked::class),
            fn (Ticked $ticked) => $ticked->at() >= $this->at && in_array($this->item, $ticked->items, true),
        );

        return $ticks !== [] || ($end?->is(Lines::Finish) === true && $end->at >= $this->at);
    }
}
