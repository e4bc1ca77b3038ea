<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Matter\Column;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Groundwork;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\PlannedPour;
use Aqbel\Core\Plan\PredictedFill;
use Aqbel\Core\Plan\Tool;

/** Cold, the closed circuit is pumped up and a bleed point cracked until it runs solid: helps at a stubborn pocket. */
final class PressureVent extends Poured
{
    /** What the model takes as a surface above the neck. */
    private const MOST_HEAD_MM = 5000.0;

    public function id(): string
    {
        return 'pressure';
    }

    public function label(): string
    {
        return 'Pressure-assisted vent';
    }

    public function catch(): string
    {
        return 'Cold only, never above the cap.';
    }

    public function runs(): bool
    {
        return true;
    }

    public function isAid(): bool
    {
        return true;
    }

    public function whyNot(Circuit $circuit, Choices $choices): ?Misfit
    {
        return match (true) {
            ! $choices->has(Tool::PressureTester) => new Misfit(
                'no_tester',
                'needs the pressure tester',
                'The pressure tester has to be at hand.',
            ),
            $choices->bleedsOf($circuit) === [] => new Misfit(
                'no_bleed',
                'needs a bleed point',
                'There is no bleed point to crack.',
            ),
            $circuit->facts->mostToVentKpa() <= 0.0 => new Misfit(
                'no_cap',
                'needs a known cap rating',
                'The cap’s rating is not known, and nothing is pumped above it.',
            ),
            default => null,
        };
    }

    public function pours(Circuit $circuit, Choices $choices): array
    {
        return [
            PlannedPour::atTheNeck(
                $circuit,
                $choices->bleedsOf($circuit),
                min(self::MOST_HEAD_MM, Column::mm($circuit->facts->mostToVentKpa())),
            ),
        ];
    }

    /** Poured as by gravity, up to the mark; then pumped up and cracked. */
    public function steps(Groundwork $on, PredictedFill $fill): array
    {
        $steps = [];
        foreach ((new Gravity)->steps($on, (new Gravity)->predict($on)) as $step) {
            $steps[] = $step;
            if ($step->kind === 'fill_level') {
                $steps[] = new Step('vent_under_pressure', 'vent_under_pressure', Stage::Fill);
            }
        }

        return $steps;
    }

    /** It stands full by then, and at no height above the neck. */
    public function picture(JobState $job): ?Runs
    {
        return (new Gravity)->picture($job);
    }
}
