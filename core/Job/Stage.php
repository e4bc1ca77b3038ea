<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** The stages of the job, in the order they are done. */
enum Stage: int
{
    case Plan = 0;
    case MakeSafe = 1;
    case Drain = 2;
    case Rinse = 3;
    case CloseUp = 4;
    case Mix = 5;
    case Fill = 6;
    case Vacuum = 7;
    case RunHot = 8;
    case Cool = 9;
    case Prove = 10;
    case HandOver = 11;

    /**
     * All stages in the order in which this sequence comes to them;
     * one it has no step of keeps its place before the next.
     *
     * @param  iterable<Step>  $steps
     * @return list<self>
     */
    public static function asTheyCome(iterable $steps): array
    {
        $first = [];
        foreach ($steps as $step) {
            $first[$step->stage->value] ??= count($first);
        }
        $place = count($first);
        $places = [];
        foreach (array_reverse(self::cases()) as $stage) {
            $place = $first[$stage->value] ?? $place;
            $places[$stage->value] = $place;
        }
        $stages = self::cases();
        usort($stages, fn (self $a, self $b) => [$places[$a->value], $a->value] <=> [$places[$b->value], $b->value]);

        return $stages;
    }

    public function label(): string
    {
        return match ($this) {
            self::Plan => 'Plan',
            self::MakeSafe => 'Make safe',
            self::Drain => 'Drain',
            self::Rinse => 'Rinse',
            self::CloseUp => 'Close up',
            self::Mix => 'Mix',
            self::Fill => 'Fill',
            self::Vacuum => 'Prove tight',
            self::RunHot => 'Run hot',
            self::Cool => 'Cool',
            self::Prove => 'Prove',
            self::HandOver => 'Hand over',
        };
    }
}
