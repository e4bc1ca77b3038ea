<?php

declare(strict_types=1);

namespace App\Shop;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Plan\Labour;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Illuminate\Validation\ValidationException;

/** Minutes of each activity as a shop sets them: hands, and what then waits by itself. */
final class LabourSheet
{
    private const MOST_HANDS = 600.0;

    private const MOST_WAIT = 2_880.0;

    private const GROUPS = [
        'Prepare and make safe' => [
            'found' => 'Say how it arrived',
            'baseline' => 'Read level and temperature before',
            'gather' => 'Gather tools and parts',
            'make_safe' => 'Make safe',
            'inspect' => 'Look at hoses, clamps, cap',
            'put_right' => 'Put right what was found',
            'find_drip' => 'Find a drip under pressure',
        ],
        'Drain' => [
            'drain' => 'Drain, each point',
            'reconcile' => 'Compare what came out',
            'look' => 'Look at the coolant',
            'find_cause' => 'Find the cause of loss',
            'jar_test' => 'Jar test',
        ],
        'Rinse' => [
            'rinse' => 'Set up for rinsing',
            Labour::RINSE_CYCLE => 'One rinse: fill, warm up, cool, drain',
            'rinse_fill' => 'Fill with water',
            'rinse_run' => 'Run hot with water',
            'rinse_drain' => 'Drain the water',
            'rinse_flow' => 'Rinse with the engine off',
            'back_flush' => 'Back-flush a part',
        ],
        'Close up and mix' => [
            'cure' => 'Start a cure',
            'cured' => 'Look whether it has cured',
            'close_up' => 'Close up',
            'mix' => 'Mix a batch',
        ],
        'Fill' => [
            'open_bleeds' => 'Open the bleed points',
            'fill_through' => 'Fill through a hose, and put it back',
            'bleed' => 'Pour, and close a point',
            'fill_level' => 'Fill to the level',
            'routine' => 'The manual’s own routine, besides its times',
            'vent_under_pressure' => 'Vent under pressure',
            'funnel_off' => 'Funnel off after the run',
            'vent_between' => 'Crack a vent between warm-ups',
            Labour::RAISE => 'Nose up',
            'lower' => 'Nose down again',
            Labour::FUNNEL => 'High funnel on, and off again',
        ],
        'Vacuum and pressure' => [
            'set_up_vacuum' => 'Set up the vacuum filler',
            'pull' => 'Pull',
            'hold' => 'Hold, besides its own length',
            'leak_hunt' => 'Hunt a leak',
            'vacuum_fill' => 'Fill by vacuum',
            'pressure_test' => 'Pressure test',
        ],
        'Run hot and cool' => [
            'refit' => 'Refit a cover',
            'heat_cycle' => 'A heat cycle',
            'cool_down' => 'A cool-down',
            'cold_level' => 'Read and set the cold level',
            'why_stopped' => 'Find why a run was stopped',
            'why_unshown' => 'Find why a run does not show all',
        ],
        'Prove and hand over' => [
            'leak_check' => 'Look for drips',
            'drive' => 'A drive',
            'refractometer' => 'Measure the mixture',
            'complaint' => 'Try the complaint again',
            'follow_up' => 'Arrange the next look',
            'left_over' => 'What is left',
            'dispose' => 'Dispose of the old',
            'sign_off' => 'Sign off',
        ],
    ];

    /** @return array<string, array<string, string>> label by activity, by part of the work */
    public static function groups(): array
    {
        return self::GROUPS;
    }

    public static function label(string $activity): string
    {
        return array_merge(...array_values(self::GROUPS))[$activity] ?? $activity;
    }

    /**
     * @param  array<mixed>  $typed  hands and wait, by activity
     * @return array<string, Minutes> those that are not as usual
     *
     * @throws ValidationException with every activity whose minutes cannot be used
     */
    public static function read(array $typed, Labour $before): array
    {
        [$own, $problems] = [[], []];
        foreach (Labour::activities() as $activity) {
            $row = is_array($typed[$activity] ?? null) ? $typed[$activity] : [];
            try {
                $minutes = new Minutes(
                    self::minutes($row['hands'] ?? null, self::MOST_HANDS, $before->of($activity)->hands),
                    self::minutes($row['wait'] ?? null, self::MOST_WAIT, $before->of($activity)->wait),
                );
                if ($minutes != Labour::usual($activity)) {
                    $own[$activity] = $minutes;
                }
            } catch (InvalidField $problem) {
                $problems["labour.{$activity}"] = self::label($activity).": {$problem->getMessage()}";
            }
        }

        return $problems === [] ? $own : throw ValidationException::withMessages($problems);
    }

    private static function minutes(mixed $typed, float $most, float $before): float
    {
        return is_string($typed) && trim($typed) !== ''
            ? (float) Field::number('minutes', 'Minutes', 0.0, $most)->read($typed, UnitSystem::Metric)[0]
            : $before;
    }
}
