<?php

declare(strict_types=1);

namespace App\Shop;

use Aqbel\Core\Plan\AfterVacuum;
use Aqbel\Core\Plan\BleedRule;
use Aqbel\Core\Plan\HoldLength;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Field;

/** Every rule that a shop may set for itself. Plans that are made keep the rules they were made by. */
final class RuleBook
{
    /** What a shop may set of how it goes, beside what is usual. */
    public const LEAST_FACTOR = 0.4;

    public const MOST_FACTOR = 2.5;

    private const PRACTICE = 'Common practice, no source.';

    /** Core seconds as stored minutes and hours, core millimetres as kilometres, kPa as inches of mercury. */
    private const MINUTES = 1.0 / 60.0;

    private const HOURS = 1.0 / 3600.0;

    private const KILOMETRES = 1.0e-6;

    /** @return array<string, list<HouseRule>> by what they are about */
    public static function groups(): array
    {
        $inHg = 1.0 / Unit::InchOfMercury->toBase(1.0);

        return [
            'Safety' => [
                new HouseRule(
                    Field::temperature('safe', 'A sealed neck is opened below', true, 25.0, 50.0),
                    ['safeTemperatureC'],
                    'A neck that was sealed while warming is under pressure. Lower is safer and waits longer; the '
                        .'service manual outranks it.',
                    self::PRACTICE,
                ),
            ],
            'Bleeding and air' => [
                new HouseRule(
                    Field::choice('close_bleed', 'A running bleed point is closed', self::labels(BleedRule::cases())),
                    ['closeBleed'],
                    'The longer it runs, the less air stays behind it and the more coolant is caught.',
                    self::PRACTICE,
                ),
                new HouseRule(
                    Field::fraction('air_share', 'Air that a fill may leave, of the capacity', 0.005, 0.10),
                    ['airShare'],
                    'Above this the plan looks for another way of filling.',
                    self::PRACTICE,
                ),
                new HouseRule(
                    Field::number('fan_cycles', 'Fan cycles that prove a warm-up', 1, 5),
                    ['fanCycles'],
                    'One opening of the thermostat may push an air pocket past it; the next shows whether '
                        .'it came back.',
                    self::PRACTICE,
                ),
                new HouseRule(
                    Field::number('follow_up_days', 'Level looked at again after, days', 0, 30),
                    ['followUpDays'],
                    'The last small air leaves in the first days of driving.',
                    self::PRACTICE,
                ),
            ],
            'Vacuum' => [
                new HouseRule(
                    Field::vacuum('vacuum', 'Vacuum pulled at sea level', Unit::InchOfMercury->toBase(29.0)),
                    ['seaLevelVacuumInHg'],
                    'Less can be had at this shop’s elevation; the plan computes how much. Hoses collapse '
                        .'visibly, which is usual.',
                    self::PRACTICE,
                    $inHg,
                    least: 15.0,
                ),
                new HouseRule(
                    Field::choice(
                        'hold_length',
                        'A hold is',
                        [HoldLength::Glance->value => 'a short look', HoldLength::Real->value => 'a test'],
                    ),
                    ['holdLength'],
                    'A short look shows a fitting left open; only the longer test finds a weep.',
                    self::PRACTICE,
                ),
                new HouseRule(
                    Field::duration('glance', 'A short look lasts', Unit::Minute, 600.0),
                    ['glanceMinutes'],
                    'Long enough for hoses to settle.',
                    self::PRACTICE,
                    self::MINUTES,
                    least: 1.0,
                ),
                new HouseRule(
                    Field::duration('hold', 'A test lasts', Unit::Minute, 3600.0),
                    ['holdMinutes'],
                    'The longer it is, the smaller the leak it shows.',
                    self::PRACTICE,
                    self::MINUTES,
                    least: 5.0,
                ),
                new HouseRule(
                    Field::vacuum('gauge', 'The gauge is read to', Unit::InchOfMercury->toBase(2.0)),
                    ['gaugeResolutionInHg'],
                    'What the needle cannot show is not judged: half a mark is usual.',
                    self::PRACTICE,
                    $inHg,
                    least: 0.05,
                ),
                new HouseRule(
                    Field::choice('after_vacuum', 'After a vacuum fill', self::labels(AfterVacuum::cases())),
                    ['afterVacuum'],
                    'Where the hold was a short look, or was passed over, it is pressed all the same.',
                    self::PRACTICE,
                ),
                new HouseRule(
                    Field::text('hold_is_enough', 'Why the hold is enough', true),
                    ['holdIsEnoughBecause'],
                    'Stands on the record of every such job, so that nobody types it again.',
                    self::PRACTICE,
                ),
            ],
            'Mixture' => [
                new HouseRule(
                    Field::fraction('old_share', 'Old coolant that may stay, where it must not', 0.01, 0.25),
                    ['oldShare'],
                    'Another family or spoilt coolant sours the new fill. The rinse is planned down to this share.',
                    self::PRACTICE,
                ),
            ],
            'How this shop goes, beside what is usual' => [
                new HouseRule(
                    Field::number(
                        'cooling_factor',
                        'A cool-down takes, times the usual',
                        self::LEAST_FACTOR,
                        self::MOST_FACTOR,
                    ),
                    ['coolingFactor'],
                    'Taken over from signed jobs under Records, How well we predict, or set here. '
                        .'No neck opens sooner for it than a usual engine allows.',
                    self::PRACTICE,
                ),
                new HouseRule(
                    Field::number(
                        'purging_factor',
                        'Air that a run leaves, times the usual',
                        self::LEAST_FACTOR,
                        self::MOST_FACTOR,
                    ),
                    ['purgingFactor'],
                    'By two cold levels after one another. It decides how many runs a plan reckons with, '
                        .'and proves nothing.',
                    self::PRACTICE,
                ),
            ],
            'Change of the coolant, whichever comes first' => [
                ...self::interval('first', 'First', 'changeFirst'),
                ...self::interval('later', 'Later', 'changeLater'),
            ],
        ];
    }

    /** @return list<HouseRule> */
    public static function all(): array
    {
        return array_merge(...array_values(self::groups()));
    }

    /** @return list<HouseRule> */
    private static function interval(string $name, string $label, string $in): array
    {
        $why = 'Where the service manual gives none. A vehicle may have its own.';

        return [
            new HouseRule(
                Field::length("{$name}_km", "{$label} change after", 0.0, 1.0e12)->in(Unit::Kilometre),
                [$in, 'km'], $why, self::PRACTICE, self::KILOMETRES,
            ),
            new HouseRule(
                Field::number("{$name}_months", "{$label} change after, months", 1, 240),
                [$in, 'months'],
                $why,
                self::PRACTICE,
            ),
            new HouseRule(
                Field::duration("{$name}_hours", "{$label} change after running", Unit::Hour, 3600.0 * 100_000),
                [$in, 'hours'], $why, self::PRACTICE, self::HOURS,
            ),
        ];
    }

    /**
     * @param  list<BleedRule>|list<AfterVacuum>  $cases
     * @return array<string, string>
     */
    private static function labels(array $cases): array
    {
        return array_combine(
            array_column($cases, 'value'),
            array_map(fn (BleedRule|AfterVacuum $c) => $c->label(), $cases),
        );
    }
}
