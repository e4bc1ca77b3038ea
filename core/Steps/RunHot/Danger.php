<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Circuit\Facts;
use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\AnyTime\Outlet;

/**
 * What ends a hot run, latched: from the first such reading on this run cannot be proven, however calm the next ones
 * are. It ends in shut-off, cool-down and a cause, or a stated “not found”.
 */
final readonly class Danger
{
    private const LIMIT = 'limit';

    /** Colder than this behind a thermostat that should be wide open: it is shut (common practice, no source). */
    private const THERMOSTAT_GAP_C = 30.0;

    /**
     * So far past full open, and no earlier, a shut thermostat is told from a slow one (common practice, no source).
     */
    private const PAST_FULL_OPEN_C = 3.0;

    /** From so far below full open on, the heater must be warm (common practice, no source). */
    private const HEATER_FROM_C = 5.0;

    /**
     * A live reading so far below a hot far side is not of coolant: the sensor sits in air (common practice, no
     * source).
     */
    private const SENSOR_GAP_C = 25.0;

    /** A far side as hot as this has hot coolant in it, °C (common practice, no source). */
    private const FAR_HOT_C = 75.0;

    private function __construct(public string $code, public string $title, public string $reason)
    {
    }

    /** The first of a run; null while there was none. The last start begins the run. */
    public static function of(Situation $at, StopLimit $limit): ?self
    {
        [$first, $runs] = [null, false];
        foreach ($at->job->writtenAt($at->step->id) as $entry) {
            if ($entry->form === EngineStart::FORM) {
                [$first, $runs] = [null, true];
            }
            $runs = $runs && $entry->form !== 'shut_off';
            $first ??= match (true) {
                $entry->form === 'reading' => self::in($at, $entry, $limit),
                $entry->form === ByHand::FORM => self::felt($entry),
                $runs && Outlet::isLost($at, $entry) => new self('coolant_lost', 'Shut off now', 'Coolant is lost while the engine runs, and the head is the first '
                    .'to be dry. Let it cool, find where, bring the level back.'),
                default => null,
            };
        }

        return $first;
    }

    public function isLimit(): bool
    {
        return $this->code === self::LIMIT;
    }

    public function verdict(bool $running): Verdict
    {
        return $running
            ? Verdict::stop($this->code, $this->title, $this->reason)
            : Verdict::stop(
                $this->code,
                'Stopped',
                "{$this->reason} This run proves nothing any more: cool it down, look for the cause, then run it "
                    .'again.',
            );
    }

    private static function in(Situation $at, Entry $reading, StopLimit $limit): ?self
    {
        $ect = (float) $reading->number('ect');
        $far = $reading->number('far');
        $facts = $at->facts();
        $hottest = max($ect, $far ?? $ect);

        return match (true) {
            $reading->text('sign') !== 'none' => self::sign(),
            $hottest >= $limit->limit->degC() => new self(self::LIMIT, 'Shut off now', "{$at->degrees($hottest)} has reached"
                ." the limit of {$at->degrees($limit->limit->degC())}: {$limit->because->label()}. It boils at "
                ."{$at->degrees($limit->boiling->degC())}."),
            $far !== null && self::sensorInAir($ect, $far) => new self(
                'sensor_in_air',
                'Shut off now',
                "The live reading says {$at->degrees($ect)} while {$at->degrees($far)} stands at the far side:"
                    .' the sensor sits in air, and nobody knows how hot the head is.',
            ),
            $far !== null && self::thermostatShut($facts, $ect, $far) => new self('thermostat_shut', 'Thermostat shut',
                'Hot before it and cold behind it: an air pocket at the thermostat, or fitted the wrong way round. '
                    .'Shut off, cool, top up.'),
            self::heaterCold($at, $ect, $reading) => self::heaterAir(),
            default => null,
        };
    }

    private static function felt(Entry $felt): ?self
    {
        return match (true) {
            $felt->text('sign') !== 'none' => self::sign(),
            ByHand::needleIsHigh($felt) => new self('needle_high', 'Shut off now', 'The needle stands above the middle, and without a live '
                .'reading nobody knows how hot it is. Shut off, let it cool, look at the level.'),
            ByHand::needleIsInAir($felt) => new self('sensor_in_air', 'Shut off now', 'The needle is low while the far side is hot: the sensor sits in '
                .'air, or the gauge is dead, and nobody knows how hot the head is.'),
            ByHand::heaterIsCold($felt) => self::heaterAir(),
            default => null,
        };
    }

    private static function sign(): self
    {
        return new self('sign', 'Shut off now', 'Steam, a lamp, a drip or rough running ends the run. Let it cool, then look.');
    }

    private static function heaterAir(): self
    {
        return new self('heater_cold', 'Heater cold', 'Air in the heater core, or the level is low. Shut off, cool, top up; then higher idle '
            .'when it is safe.');
    }

    /** The live reading is not of coolant. */
    public static function sensorInAir(float $ect, float $far): bool
    {
        return $far >= self::FAR_HOT_C && $far - $ect > self::SENSOR_GAP_C;
    }

    private static function thermostatShut(Facts $facts, float $ect, float $far): bool
    {
        $full = $facts->thermostatFullC;

        return $full !== null && $ect >= $full + self::PAST_FULL_OPEN_C && $ect - $far > self::THERMOSTAT_GAP_C;
    }

    private static function heaterCold(Situation $at, float $ect, Entry $reading): bool
    {
        $facts = $at->facts();
        $full = $facts->thermostatFullC;
        $outlets = array_map(fn (string $o) => $reading->number("outlet_{$o}"), $facts->outlets);
        $read = array_filter($outlets, fn (?float $celsius) => $celsius !== null);

        return $full !== null && $ect >= $full - self::HEATER_FROM_C && $read !== [] && min($read) < HeaterAir::coldBelow($at, $reading);
    }
}
