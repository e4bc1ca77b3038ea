<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\Part;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Step;
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
    private function __construct(public string $item, public int $at, private string $name)
    {
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
    public static function all(JobState $job): array
    {
        return $job->once(self::class, fn (): array => [...self::cameOff($job), ...self::flushed($job)]);
    }

    /** @return list<self> */
    private static function cameOff(JobState $job): array
    {
        $off = [];
        foreach ([...$job->observedAnywhere(CameOut::class), ...array_map(CameOut::of(...), $job->cameUp())] as $out) {
            if ($out?->opensAJoint() === true) {
                $off[$out->told()->seq] = new self(self::BACK_ON, $out->at(), self::partOf($job, $out->part));
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
                    $off[] = new self("flushed_{$kind}", $ticked->at(), $part);
                }
            }
        }

        return $off;
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
