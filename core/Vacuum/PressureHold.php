<?php

declare(strict_types=1);

namespace Aqbel\Core\Vacuum;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Pressure;

/**
 * Judges a circuit that was pumped up and held. A loss falls on; hoses creep and the pump’s own heat goes within
 * minutes; a change of temperature is taken out by the gas law. Falling by less than a division is no fall.
 */
final readonly class PressureHold
{
    /** A test counts from this share of what was asked for (common practice, no source). */
    public const COUNTS_FROM = 0.8;

    /** What hoses give, mL per kPa: an invented default until pump strokes measure it. */
    private const HOSES_ML_PER_KPA = 1.5;

    /** A warm engine changes the reading after so long, s (common practice, no source). */
    public const WARM_S = 120.0;

    private const LEAST_S = 60.0;

    private const LEAKS = 0.5;

    private const HOLDS = 0.7;

    /** Hoses do not give so many divisions: where such a loss is not excluded, or two readings show it, it counts. */
    private const GROSS = 8.0;

    /** Gone so far, it is lost, whatever the shape. */
    private const LOST = 0.5;

    /** Up to a division is what the gauge rounds, however long it has stood since. */
    private const ROUNDED = 1.0 + 1.0e-6;

    /** A needle that fell by no more to its newest reading stands: a division, and half of one misread. */
    private const STANDS = 1.5;

    /** Hoses that gave nothing in the first minute give no more later, divisions (common practice, no source). */
    private const GIVES_LATE = 2.5;

    private const ICE_K = 273.15;

    public PressureVerdict $verdict;

    public string $reason;

    /** How much of the change is temperature, kPa. */
    public float $temperatureEffectKpa;

    public float $lossMlPerMinute;

    /** No loss above this, mL/min, in 95 of 100 tests that look like this. */
    public float $boundMlPerMinute;

    /**
     * @param  non-empty-list<PressureReading>  $readings  in rising order of time
     * @param  Pressure  $asked  pressure that was to be reached
     * @param  float  $gasMl  gas above the coolant
     *
     * @throws InvalidField on readings out of order
     */
    public function __construct(
        array $readings,
        Pressure $asked,
        Pressure $outside,
        private float $gasMl,
        Pressure $resolution,
        bool $warm = false,
    ) {
        foreach ($readings as $i => $reading) {
            if ($i > 0 && $reading->second <= $readings[$i - 1]->second) {
                throw new InvalidField(
                    "readings.{$i}.t_s",
                    'Readings must follow each other in time. Give this one a later time than the one before.',
                );
            }
        }
        $lost = count($readings) > 1
            && min(array_map(fn (PressureReading $r) => $r->pressure->kPa(), $readings))
                <= self::LOST * $readings[0]->pressure->kPa();
        $from = HoldFit::startsAt(self::falls($readings, $outside, $resolution));
        $readings = array_slice($readings, $from) ?: $readings;
        [$first, $last] = [$readings[0], $readings[count($readings) - 1]];
        $seconds = $last->second - $first->second;
        $inside = $first->pressure->kPa() + $outside->kPa();
        $this->temperatureEffectKpa = self::warming($first, $last, $inside);
        $falls = self::falls($readings, $outside, $resolution);
        $fit = HoldFit::of(array_map(fn (PressureReading $r) => $r->second - $first->second, $readings), $falls);
        $perDivision = $resolution->kPa() * ($gasMl / $inside + self::HOSES_ML_PER_KPA) / max(1.0, $seconds) * 60.0;
        $this->boundMlPerMinute = $fit->boundDivisions * $perDivision;
        $fell = $falls[count($falls) - 1];
        $tight = 1.0 - $fit->leak;
        [$this->verdict, $this->reason] = match (true) {
            $first->pressure->kPa() < self::COUNTS_FROM * $asked->kPa() => [
                PressureVerdict::NoTest, 'It was pumped to less than four fifths of what a test needs.',
            ],
            $lost => [
                PressureVerdict::Lost,
                'Half of the pressure or more is gone: what stands now is a leak that has emptied.',
            ],
            $warm && $seconds > self::WARM_S => [
                PressureVerdict::Inconclusive, 'On a warm engine the reading moves by itself after two '
                    .'minutes. Test cold.',
            ],
            count($readings) < 2 || $seconds < self::LEAST_S => [
                PressureVerdict::Inconclusive, $from > 0
                    ? 'It stands higher than it did: pumped again, or one of the two misread. It counts from here.'
                    : 'Two readings a minute apart are the least.',
            ],
            count($readings) > 2 ? $fit->leak > self::LEAKS && $fell > self::ROUNDED : $fell > self::GROSS => [
                PressureVerdict::Leak, count($readings) > 2
                    ? 'The pressure falls on after hoses and pump have settled.'
                    : 'The pressure fell by more than hoses give.',
            ],
            $warm => [PressureVerdict::Inconclusive, 'It stands, but a warm engine hides a weep. Test cold.'],
            self::gave($readings, $falls) => [
                PressureVerdict::Inconclusive, 'It stood, then fell: hoses give at once, not later. '
                    .'Look what moved, pump it up again and hold it.',
            ],
            $fell <= self::ROUNDED || ($tight > self::HOLDS && $fit->boundDivisions < self::GROSS && $fell <= self::GROSS
                && $fell - ($falls[count($falls) - 2] ?? 0.0) <= self::STANDS
                && self::bends($readings, $falls)) => [
                    PressureVerdict::Tight,
                    $fell <= self::ROUNDED ? 'It moved by no more than the gauge shows.' : 'It fell at first and stands now: '
                        .'hoses giving.',
                ],
            default => [PressureVerdict::Inconclusive, 'It fell, and does not show yet whether it goes on. '
                    .'Hold it longer.'],
        };
        $leaks = in_array($this->verdict, [PressureVerdict::Leak, PressureVerdict::Lost], true);
        $this->lossMlPerMinute = ($leaks ? $fit->ifOneDivisions : $fit->leakDivisions) * $perDivision;
    }

    /**
     * Whether it fell more in the first half of the time than in the second, as what hoses give does, or in the second by
     * no more than a needle that stands.
     *
     * @param  non-empty-list<PressureReading>  $readings
     * @param  non-empty-list<float>  $falls
     */
    private static function bends(array $readings, array $falls): bool
    {
        $half = ($readings[0]->second + $readings[count($readings) - 1]->second) / 2.0;
        $early = 0.0;
        foreach ($readings as $i => $reading) {
            if ($reading->second > $half) {
                $before = $readings[$i - 1] ?? $reading;
                $share = $i === 0 ? 0.0 : ($half - $before->second) / ($reading->second - $before->second);
                $early = ($falls[$i - 1] ?? 0.0) * (1.0 - $share) + $falls[$i] * $share;
                break;
            }
        }

        return max(self::STANDS, $early) >= $falls[count($falls) - 1] - $early;
    }

    /**
     * Whether it stood for a minute before it fell from one reading to the next by more than hoses give so late.
     *
     * @param  non-empty-list<PressureReading>  $readings
     * @param  non-empty-list<float>  $falls
     */
    private static function gave(array $readings, array $falls): bool
    {
        $stood = 0.0;
        foreach ($readings as $i => $reading) {
            if ($i > 0 && $stood >= self::LEAST_S && $falls[$i] - $falls[$i - 1] > self::GIVES_LATE) {
                return true;
            }
            if ($falls[$i] >= 1.0) {
                return false;
            }
            $stood = $reading->second - $readings[0]->second;
        }

        return false;
    }

    /**
     * @param  non-empty-list<PressureReading>  $readings
     * @return non-empty-list<float> since the first of them, of which temperature accounts for nothing, in divisions
     */
    private static function falls(array $readings, Pressure $outside, Pressure $resolution): array
    {
        $first = $readings[0];
        $inside = $first->pressure->kPa() + $outside->kPa();

        return array_map(
            fn (PressureReading $r) => ($first->pressure->kPa()
                + self::warming($first, $r, $inside)
                - $r->pressure->kPa())
                / $resolution->kPa(),
            $readings,
        );
    }

    /** What a change of temperature does to the pressure, kPa. */
    private static function warming(PressureReading $from, PressureReading $to, float $insideKpa): float
    {
        return $insideKpa * ($to->temperature->degC() - $from->temperature->degC())
            / ($from->temperature->degC() + self::ICE_K);
    }
}
