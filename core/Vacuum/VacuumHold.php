<?php

declare(strict_types=1);

namespace Aqbel\Core\Vacuum;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;

/**
 * Judges a held vacuum. Below half the atmosphere the inflow through a hole is choked, so a leak is a straight line in
 * time while settling (hoses, warming, damp boiling off) bends and stands, and a rocking adapter jumps once.
 */
final readonly class VacuumHold
{
    /** Under so long the needle says nothing, s (common practice, no source). */
    private const LEAST_SECONDS = 60.0;

    /** A test counts from this share of what was to be reached (common practice, no source). */
    public const COUNTS_FROM = 0.8;

    /** Gone so far, it is lost, whatever the shape. */
    private const LOST = 0.5;

    /** So likely a leak, or none, it is said; between the two, more readings are asked for. */
    private const LEAKS = 0.65;

    private const HOLDS = 0.6;

    private const RATHER = 0.6;

    /** Where a leak of so many times what the gauge can show is not excluded, nothing is waved through. */
    private const GROSS = 8.0;

    /** No circuit settles by more, inHg: two readings so far apart are a leak (common practice, no source). */
    private const SETTLES_IN_HG = 4.0;

    /**
     * Nothing that falls further than this to its newest reading is
     * tight, or settles; divisions (common practice, no source).
     */
    private const FALLS_AT_THE_END = 2.0;

    /**
     * So far above a straight line it stood, where a leak only opened later; divisions (common practice, no source).
     */
    private const OFF_THE_LINE = 1.2;

    private const ROUNDING = 1.0e-6;

    /** Coolant at 20 °C and air, Pa·s: half glycol, and dry air (any handbook table, from memory). */
    private const COOLANT_VISCOSITY = 4.0e-3;

    private const AIR_VISCOSITY = 1.8e-5;

    /** A needle that rises by so many divisions rises (common practice, no source). */
    private const DEEPER = 1.5;

    /** Nobody pumps again for less than this, inHg (common practice, no source). */
    private const PUMPED_IN_HG = 0.5;

    private const DISCHARGE = 0.8;

    /** Pieces of the drawn line. */
    private const DRAWN = 24;

    public HoldVerdict $verdict;

    public string $reason;

    public ?HoldFit $fit;

    /** From when on it is one hold, s after the first reading: since the needle last rose. */
    public float $startsAt;

    /** @var list<GaugeReading> from then on */
    private array $held;

    private float $seconds;

    private float $change;

    /**
     * @param  list<GaugeReading>  $readings  in rising order of time
     * @param  ?Pressure  $target  vacuum that was to be reached; null where none was named
     *
     * @throws InvalidField on readings out of order or deeper than the air allows
     */
    public function __construct(
        private Atmosphere $air,
        private Volume $void,
        public array $readings,
        private Pressure $resolution,
        private ?Pressure $target = null,
    ) {
        $this->assertPlausible();
        $pumped = Pressure::inchesOfMercury(self::PUMPED_IN_HG)->kPa() / $resolution->kPa();
        $this->held = array_slice($readings, HoldFit::startsAt($this->falls($readings), $pumped));
        $count = count($this->held);
        $this->startsAt = $count > 0 ? $this->held[0]->second - $readings[0]->second : 0.0;
        $this->seconds = $count > 0 ? $this->held[$count - 1]->second - $this->held[0]->second : 0.0;
        $this->change = $count > 0 ? $this->held[0]->vacuum->kPa() - $this->held[$count - 1]->vacuum->kPa() : 0.0;
        $this->fit = $count > 1 ? $this->fit() : null;
        [$this->verdict, $this->reason] = $this->judge();
    }

    /** The rise of the absolute pressure that is put down to a leak, kPa/min. */
    public function rateKpaPerMinute(): float
    {
        if ($this->verdict === HoldVerdict::Opened) {
            return $this->rateSinceItOpened();
        }
        $divisions
            = ($this->verdict === HoldVerdict::Leak ? $this->fit?->ifOneDivisions : $this->fit?->leakDivisions) ?? 0.0;
        // What fell further than anything settles is leak, at the least.
        $least = $this->verdict === HoldVerdict::Leak
            ? $this->change - Pressure::inchesOfMercury(self::SETTLES_IN_HG)->kPa()
            : 0.0;

        return max($divisions * $this->resolution->kPa(), $least) / max(1.0, $this->seconds) * 60.0;
    }

    private function rateSinceItOpened(): float
    {
        [$stood, $last] = [$this->held[$this->flatUntil()], $this->held[count($this->held) - 1]];

        return ($stood->vacuum->kPa() - $last->vacuum->kPa()) / max(1.0, $last->second - $stood->second) * 60.0;
    }

    /** Air coming in, mL/min at the shop's pressure. */
    public function airLeakMlPerMinute(): float
    {
        return $this->rateKpaPerMinute() * $this->void->mL() / $this->air->pressure->kPa();
    }

    /**
     * No leak above this, mL/min, in 95 of 100 holds that look like this; null before there are two readings, and where
     * the vacuum was gone before it was read again.
     */
    public function boundMlPerMinute(): ?float
    {
        if ($this->halfIsGone()) {
            return $this->boundOfWhatIsLost();
        }
        $own = $this->detectableMlPerMinute();

        return $this->fit === null || $own === null ? null : $this->fit->boundDivisions * $own;
    }

    /** What is lost is no line any more: the steepest fall between two readings, each a division off, while any is left. */
    private function boundOfWhatIsLost(): ?float
    {
        $outside = $this->air->pressure->kPa();
        $steepest = null;
        foreach (array_slice($this->held, 1) as $i => $reading) {
            $leftKpa = $reading->vacuum->kPa() - $this->resolution->kPa();
            if ($leftKpa <= 0.0) {
                break;
            }
            $before = $this->held[$i];
            $rises = Inflow::chokedRise($outside - $before->vacuum->kPa(), $outside - $leftKpa, $outside);
            $steepest = max($steepest ?? 0.0, $rises / ($reading->second - $before->second) * 60.0);
        }

        return $steepest === null ? null : $steepest * $this->void->mL() / $outside;
    }

    /** The smallest leak this gauge can show in this time, mL/min; null before there is a time. */
    public function detectableMlPerMinute(): ?float
    {
        return $this->seconds > 0.0
            ? $this->resolution->kPa() * $this->void->mL() / ($this->air->pressure->kPa() * $this->seconds / 60.0)
            : null;
    }

    /**
     * Diameter in µm of the round hole that passes the same air: choked isentropic flow at 20 °C, discharge 0.8
     * (ISO 6358; any gas-dynamics text).
     */
    public function holeMicrometres(): ?float
    {
        $flow = $this->airLeakMlPerMinute() / 60.0e6;
        if ($flow <= 0.0) {
            return null;
        }
        $sound = sqrt(1.4 * 287.05 * 293.15);
        $area = $flow / (self::DISCHARGE * $sound * (2.0 / 2.4) ** 3);

        return 1.0e6 * sqrt(4.0 * $area / M_PI);
    }

    /**
     * What a leak of so much air would weep of coolant under the cap, mL a day: laminar flow through the same fine path
     * (Hagen–Poiseuille, for the gas by the mean of its squared pressures; any text). An order of magnitude.
     */
    public function weepMlPerDay(float $airMlPerMinute, float $capKpa): float
    {
        $outside = $this->air->pressure->kPa();
        $inside = $this->readings === [] ? 0.0 : $this->air->under($this->readings[0]->vacuum)->kPa();
        $drives = ($outside ** 2 - $inside ** 2) / (2.0 * $outside);

        // Nothing comes in where nothing draws: such a hold tells of no path.
        return $drives <= 0.0
            ? 0.0
            : $airMlPerMinute * 1440.0 * ($capKpa / self::COOLANT_VISCOSITY) / ($drives / self::AIR_VISCOSITY);
    }

    /** @return non-empty-list<array{float, float}> seconds since the first reading, and kPa below the air */
    public function traced(): array
    {
        $points = array_map(
            fn (GaugeReading $r) => [$r->second - $this->readings[0]->second, $r->vacuum->kPa()],
            $this->readings,
        );

        return $points === [] ? [[0.0, 0.0]] : $points;
    }

    /**
     * @return list<array{float, float}> the same of the explanation that is believed; none while nothing is explained
     */
    public function believed(): array
    {
        if ($this->fit?->explained !== true || $this->verdict === HoldVerdict::Moved) {
            return [];
        }
        $fit = $this->fit;
        $points = [];
        for ($i = 0; $i <= self::DRAWN; $i++) {
            $t = $this->seconds * $i / self::DRAWN;
            $falls = $fit->leakDivisions * $i / self::DRAWN
                + $fit->settlingDivisions * (1.0 - exp(-$t / $fit->tauSeconds));
            $points[] = [$this->startsAt + $t, $this->held[0]->vacuum->kPa() - $falls * $this->resolution->kPa()];
        }

        return $points;
    }

    private function fit(): HoldFit
    {
        $first = $this->held[0];
        $seconds = array_map(fn (GaugeReading $r) => $r->second - $first->second, $this->held);
        $falls = $this->falls($this->held);
        assert($seconds !== [] && $falls !== []);

        $most = Pressure::inchesOfMercury(self::SETTLES_IN_HG)->kPa() / $this->resolution->kPa();

        return HoldFit::of($seconds, $falls, max(3.0, $most + 1.0));
    }

    /** @return array{HoldVerdict, string} */
    private function judge(): array
    {
        $lost = $this->lost();
        if ($lost !== null) {
            return [HoldVerdict::Lost, $lost];
        }
        if ($this->fit === null || $this->seconds < self::LEAST_SECONDS) {
            return [
                HoldVerdict::Inconclusive,
                $this->wasPumpedAgain()
                    ? 'The needle stands deeper than it did: pumped again, or one of the two misread. '
                        .'Put a misreading right; else the hold counts from here.'
                    : 'Two readings a minute apart are the least before the needle says anything.',
            ];
        }
        $drop = round(Pressure::kilopascals($this->change)->in(Unit::InchOfMercury), 2);
        $minutes = round($this->seconds / 60.0, 1);
        if ($this->opened()) {
            return [
                HoldVerdict::Opened,
                "The needle stood, then fell {$drop} inHg and goes on: a leak opened while it was held. "
                .'Look at what moves or hangs, mend it, pull again.',
            ];
        }
        if (
            count($this->held) > 2
            && $this->lastFall() > self::FALLS_AT_THE_END
            && $this->flatUntil() >= count($this->held) - 2
        ) {
            return [
                HoldVerdict::Inconclusive,
                "The last reading alone stands {$drop} inHg lower: an adapter that rocked, or a leak that has "
                .'just opened. Read again in a minute.',
            ];
        }
        $deeper = $this->change < -self::DEEPER * $this->resolution->kPa();
        if ($deeper || ! $this->fit->explained) {
            return [
                HoldVerdict::Inconclusive,
                $deeper
                    ? 'The vacuum grew deeper with the valve closed. Let the circuit come to one temperature, check '
                        .'the valve, and hold again.'
                    : 'Neither a leak nor settling falls like this. Read the needle again, straight on, and hold on.',
            ];
        }
        $tight = 1.0 - $this->fit->leak;
        $gross = $this->fit->boundDivisions > self::GROSS
            || $this->lastFall() > self::FALLS_AT_THE_END
            || $drop > self::SETTLES_IN_HG;

        // What fell by a division fell by what the gauge rounds, however long it has stood since.
        $within = $this->change <= $this->resolution->kPa() + self::ROUNDING;
        $holds = ($tight > self::HOLDS || $within) && ! $gross;
        // Early it fell further than a gauge can show: by a bend or at once, whichever it rather was.
        $fell = $this->change > self::FALLS_AT_THE_END * $this->resolution->kPa() + self::ROUNDING;

        return match (true) {
            (! $within && $this->fit->moved > self::RATHER)
                || ($holds && $fell && $this->flatUntil() > 0 && $this->fit->moved > $this->fit->settling) => [
                    HoldVerdict::Moved,
                    "The needle fell {$drop} inHg at once and stood ".($this->flatUntil() > 0 ? 'before and after' : 'since')
                    .': the adapter moved. Seat it, pull again and restart the hold.',
                ],
            ! $within && $this->fit->leak > self::LEAKS && count($this->held) > 2 => [
                HoldVerdict::Leak,
                "The needle fell {$drop} inHg in {$minutes} min"
                    .match (true) {
                        $this->lastFall() < 1.0 - self::ROUNDING => ', more like a line than like hoses settling',
                        $this->fit->settlingDivisions > 0.0 => ', part of it settling, and is still going',
                        default => ' in a straight line, and is still going',
                    }.': air is coming in.',
            ],
            count($this->held) === 2 && $drop > self::SETTLES_IN_HG => [
                HoldVerdict::Leak,
                "The needle fell {$drop} inHg in {$minutes} min: more than settling takes.",
            ],
            $holds && ! $fell && $this->fit->settling < self::RATHER => [
                HoldVerdict::Tight,
                'The needle '.($drop < 0.0 ? 'rose ' : 'moved ').abs($drop)
                    ." inHg in {$minutes} min, no more than the gauge can show.",
            ],
            $holds && count($this->held) > 2 => [
                HoldVerdict::Settling,
                "The needle fell {$drop} inHg early and now stands: hoses and damp settling. Pull again and restart "
                    .'the hold; no leak hunt yet.',
            ],
            default => [
                HoldVerdict::Inconclusive,
                'The needle is neither standing nor falling in a line. Keep holding and take more readings.',
            ],
        };
    }

    private function wasPumpedAgain(): bool
    {
        return count($this->held) < count($this->readings);
    }

    /** How much the needle fell to the newest reading, divisions. */
    private function lastFall(): float
    {
        $falls = $this->falls($this->held);
        $count = count($falls);

        return $count < 2 ? 0.0 : $falls[$count - 1] - $falls[$count - 2];
    }

    /** Up to which reading the needle stood, within a division. */
    private function flatUntil(): int
    {
        [$least, $most, $until] = [0.0, 0.0, 0];
        foreach ($this->falls($this->held) as $i => $fall) {
            [$least, $most] = [min($least, $fall), max($most, $fall)];
            if ($most - $least > 1.0 + self::ROUNDING) {
                break;
            }
            $until = $i;
        }

        return $until;
    }

    /** It stood for a while, then fell and goes on falling: neither a straight line from the start, nor one jump. */
    private function opened(): bool
    {
        $falls = $this->falls($this->held);
        $last = count($falls) - 1;
        $flat = $this->flatUntil();
        if ($flat < 1 || $last - $flat < 2 || $falls[$last] - $falls[$flat] <= self::FALLS_AT_THE_END) {
            return false;
        }
        $stood = $this->held[$flat]->second - $this->held[0]->second;
        $line = $falls[$last] * $stood / max(1.0, $this->seconds);
        $goesOn = 1.0 + self::ROUNDING < $falls[$last] - $falls[$flat + 1];

        return $goesOn && $stood >= self::LEAST_SECONDS && $line - $falls[$flat] > self::OFF_THE_LINE;
    }

    /**
     * @param  list<GaugeReading>  $readings
     * @return list<float> of the needle since the first of them, in divisions
     */
    private function falls(array $readings): array
    {
        return array_map(
            fn (GaugeReading $r) => ($readings[0]->vacuum->kPa() - $r->vacuum->kPa()) / $this->resolution->kPa(),
            $readings,
        );
    }

    /** Why it is no hold at all; null while it is one. */
    private function lost(): ?string
    {
        if ($this->held === []) {
            return null;
        }
        $deepest = max(array_map(fn (GaugeReading $r) => $r->vacuum->kPa(), $this->held));
        $wasNear = $this->held[0]->vacuum->kPa() > 0.0
            && ($this->target === null || $deepest >= self::COUNTS_FROM * $this->target->kPa());

        return match (true) {
            ! $wasNear => 'It never was near the target, so nothing was tested. Pull first, then hold.',
            $this->halfIsGone() => 'Half of the vacuum or more is gone: an open drain, a hose off, the '
                .'adapter off its seat. Look, pull again, restart.',
            default => null,
        };
    }

    private function halfIsGone(): bool
    {
        $count = count($this->held);

        return $count > 1
            && $this->held[$count - 1]->vacuum->kPa() <= self::LOST * $this->held[0]->vacuum->kPa();
    }

    private function assertPlausible(): void
    {
        foreach ($this->readings as $i => $reading) {
            if ($i > 0 && $reading->second <= $this->readings[$i - 1]->second) {
                throw new InvalidField(
                    "readings.{$i}.t_s",
                    'Readings must follow each other in time. Give this one a later time than the one before.',
                );
            }
            if ($reading->vacuum->kPa() < 0.0 || $reading->vacuum->kPa() >= $this->air->pressure->kPa()) {
                $most = floor(Pressure::kilopascals($this->air->pressure->kPa())->in(Unit::InchOfMercury) * 10) / 10;
                throw new InvalidField(
                    "readings.{$i}.inhg",
                    "Enter the gauge reading in inHg, from 0 to below {$most}: the air here holds no more.",
                );
            }
        }
    }
}
