<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

/**
 * How long each activity takes, by the code of its kind of step: a shop's rule. The defaults are common practice, no
 * source; a kind of step that is not listed says its own. Where an activity is done several times, these are the
 * minutes of one.
 */
final readonly class Labour
{
    /** @var array<string, array{int, int}> hands and waiting */
    private const USUAL = [
        'found' => [5, 0],
        'baseline' => [3, 0],
        'gather' => [5, 0],
        'make_safe' => [4, 0],
        'inspect' => [5, 0],
        'put_right' => [8, 0],
        'find_drip' => [10, 5],
        'drain' => [6, 10],
        'reconcile' => [2, 0],
        'look' => [2, 0],
        'find_cause' => [30, 0],
        'jar_test' => [4, 0],
        'rinse' => [1, 0],
        'rinse_fill' => [8, 0],
        'rinse_run' => [15, 0],
        'rinse_drain' => [10, 0],
        'rinse_flow' => [5, 0],
        'back_flush' => [25, 0],
        self::RINSE_CYCLE => [33, 97],
        'cure' => [1, 0],
        'cured' => [0, 0],
        'close_up' => [10, 0],
        'mix' => [6, 0],
        'open_bleeds' => [3, 0],
        'fill_through' => [12, 0],
        'bleed' => [8, 0],
        'fill_level' => [6, 0],
        'routine' => [6, 0],
        'vent_under_pressure' => [8, 0],
        'vent_between' => [4, 0],
        'funnel_off' => [3, 0],
        'set_up_vacuum' => [5, 0],
        'pull' => [5, 3],
        'hold' => [3, 0],
        'leak_hunt' => [15, 0],
        'vacuum_fill' => [10, 0],
        'pressure_test' => [5, 5],
        'refit' => [4, 0],
        'heat_cycle' => [20, 0],
        'cool_down' => [2, 90],
        'cold_level' => [4, 0],
        'why_stopped' => [10, 0],
        'why_unshown' => [10, 0],
        'leak_check' => [5, 0],
        'drive' => [15, 0],
        'refractometer' => [2, 0],
        'complaint' => [4, 0],
        'follow_up' => [2, 0],
        'left_over' => [2, 0],
        'dispose' => [3, 0],
        'sign_off' => [3, 0],
        self::RAISE => [5, 0],
        'lower' => [3, 0],
        self::FUNNEL => [4, 0],
    ];

    /** One rinse with its fill, warm-up, cool-down and drain. */
    public const RINSE_CYCLE = 'rinse_cycle';

    /** The nose up. */
    public const RAISE = 'raise';

    /** A high funnel on, and off again. */
    public const FUNNEL = 'funnel';

    private const ANY_STEP = [5, 0];

    /** Closing up and mixing take so much of a cure, roughly. */
    private const WHILE_CURING = 20.0;

    /** @param  array<string, Minutes>  $own  of this shop, by activity */
    public function __construct(public array $own = [])
    {
    }

    public function of(string $activity): Minutes
    {
        return $this->own[$activity] ?? self::usual($activity);
    }

    public static function usual(string $activity): Minutes
    {
        return new Minutes(...self::USUAL[$activity] ?? self::ANY_STEP);
    }

    /** @return list<string> all that a shop may set, in the order of the work */
    public static function activities(): array
    {
        return array_keys(self::USUAL);
    }

    /** What is left of a cure after the work that goes on meanwhile. */
    public function leftOfCure(float $cureMinutes): float
    {
        return max(0.0, $cureMinutes - self::WHILE_CURING);
    }
}
