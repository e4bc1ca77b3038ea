<?php

declare(strict_types=1);

namespace Aqbel\Core\Virtual;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PassageKind;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Heat\Purging;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Quantity\Pressure;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A vehicle that is not there: engine with its coolant and radiator as two heat stores, a thermostat that lags, a fan
 * with hysteresis, a heater, pockets of air that leave while their loop flows, a vacuum or a pressure that leaks and
 * settles. One fixed step after the other; the same seed gives the same trace to the byte. Its figures are invented
 * defaults of an engine of two litres or so, scaled by what the circuit holds (common practice, no source).
 */
final class Vehicle
{
    public const STEP_S = 0.5;

    /** Instruments are read so often. */
    private const SAMPLE_S = 1.0;

    /** kJ/K of the metal that warms with the coolant, and of a litre of coolant. */
    private const METAL_KJ_K = 30.0;

    private const LITRE_KJ_K = 3.6;

    private const RADIATOR_METAL_KJ_K = 4.0;

    /** Heat into the coolant, kW at idle and more for each revolution a minute above it. */
    private const IDLE_KW = 6.0;

    private const KW_PER_RPM = 0.006;

    private const IDLE_RPM = 800.0;

    /**
     * kW/K: through the radiator at idle wide open; from it still, and with its fan; from the engine; by the heater.
     */
    private const FLOW_KW_K = 1.3;

    private const STILL_KW_K = 0.015;

    private const FAN_KW_K = 0.55;

    private const WEAK_FAN = 0.25;

    private const ENGINE_KW_K = 0.02;

    private const HEATER_KW_K = 0.03;

    /**
     * s: wax, heater outlet, the hose behind the thermostat; a backwards thermostat is warmed by what comes past it.
     */
    private const WAX_S = 18.0;

    private const BACKWARDS_S = 240.0;

    /** So far open, what comes through warms the hose behind it. */
    private const LETS_THROUGH = 0.01;

    private const OUTLET_S = 25.0;

    /** Of the way from outside to coolant, an outlet gets so warm. */
    private const OUTLET_SHARE = 0.68;

    private const BOILS_OVER_ML = 20.0;

    /**
     * From so many revolutions a minute the pump pushes through a
     * core that is full of air; below, so little gets through.
     */
    private const PUSHES_RPM = 1800.0;

    private const STARVED = 0.02;

    private const SENSOR_IN_AIR_K = 28.0;

    private const SETTLING_INHG = 0.6;

    private const SETTLING_S = 70.0;

    private const INHG_KPA = 3.38639;

    private float $engineC;

    private float $radiatorC;

    private float $farC;

    private float $outletC;

    private float $open = 0.0;

    private bool $fan = false;

    private float $rpm = 0.0;

    private float $heater = 1.0;

    private bool $capped = true;

    /** Pressure inside over the air outside, kPa; negative under vacuum; null while the circuit breathes. */
    private ?float $gaugeKpa = null;

    private float $settlingKpa = 0.0;

    /** @var array<string, float> mL by passage */
    private array $airMl = [];

    private float $contentMl;

    private ?float $openedAt = null;

    /** @var list<float> */
    private array $fanOn = [];

    /** @var list<float> */
    private array $fanOff = [];

    private float $inKj = 0.0;

    private float $lostKj = 0.0;

    private float $pouredMl = 0.0;

    private float $lostMl = 0.0;

    private readonly Randomizer $chance;

    private readonly float $engineKjK;

    private readonly float $radiatorKjK;

    /** °C under its cap, and with the neck open. */
    private readonly float $boilsCapped;

    private readonly float $boilsOpen;

    private function __construct(
        private readonly Circuit $circuit,
        private readonly Faults $faults,
        int $seed,
        private readonly Atmosphere $air,
        private readonly float $ambientC,
        Volumes $inside,
    ) {
        $this->chance = new Randomizer(new Mt19937($seed));
        [$this->engineC, $this->radiatorC, $this->farC, $this->outletC] = array_fill(0, 4, $ambientC);
        $radiator = array_sum(
            array_map(
                fn ($passage) => $passage->kind === PassageKind::Radiator ? $passage->volumeMl : 0.0,
                $circuit->passages,
            ),
        );
        $share = min(0.5, $radiator / max(1.0, $circuit->capacityMl()));
        $this->engineKjK = self::METAL_KJ_K + (self::LITRE_KJ_K * (1.0 - $share) * $circuit->capacityMl()) / 1000.0;
        $this->radiatorKjK = self::RADIATOR_METAL_KJ_K + (self::LITRE_KJ_K * $share * $circuit->capacityMl()) / 1000.0;
        $mixture = new Mixture(
            $circuit->facts->base,
            min(1.0, max(0.0, $faults->number('mixture', $circuit->facts->targetFraction))),
        );
        $capKpa = $faults->has('cap', 'worn')
            ? 0.3 * $circuit->facts->capOrNothingKpa()
            : $circuit->facts->capOrNothingKpa();
        $this->boilsCapped = $mixture->boilingPoint(Pressure::kilopascals($air->pressure->kPa() + $capKpa))->degC();
        $this->boilsOpen = $mixture->boilingPoint($air->pressure)->degC();
        $filled = Filling::of(
            $circuit,
            $circuit->fillPort()->id,
            $circuit->portIds(PortKind::Bleed),
            $circuit->usualGates(),
            barometerKpa: $air->pressure->kPa(),
            inside: $inside,
        );
        foreach (array_filter($filled->pockets, fn (Pocket $pocket) => ! $pocket->open) as $pocket) {
            foreach ($pocket->air->toArray() as $passage => $ml) {
                $this->airMl[$passage] = ($this->airMl[$passage] ?? 0.0) + $ml;
            }
        }
        if ($faults->has('pocket', 'heater')) {
            foreach ($circuit->passages as $id => $passage) {
                if ($passage->kind === PassageKind::Heater) {
                    $this->airMl[$id] = max($this->airMl[$id] ?? 0.0, 0.9 * $passage->volumeMl);
                }
            }
        }
        $this->contentMl = $circuit->capacityMl() - $circuit->headspaceMl() - array_sum($this->airMl);
    }

    /**
     * @param  list<Action>  $actions  in order of time
     * @param  Volumes  $inside  what stood in it when it was filled, before all of this
     */
    public static function run(
        Circuit $circuit,
        Faults $faults,
        int $seed,
        Atmosphere $air,
        float $ambientC,
        array $actions,
        float $seconds,
        Volumes $inside = new Volumes,
    ): Trace {
        $vehicle = new self($circuit, $faults, $seed, $air, $ambientC, $inside);
        $stored = $vehicle->storedKj();
        $channels = [];
        $next = 0;
        $steps = (int) round($seconds / self::STEP_S);
        for ($step = 0; $step <= $steps; $step++) {
            $now = $step * self::STEP_S;
            while (isset($actions[$next]) && $actions[$next]->atS <= $now) {
                $vehicle->act($actions[$next++]);
            }
            if (fmod($now, self::SAMPLE_S) < self::STEP_S / 2.0) {
                foreach ($vehicle->read($now) as $channel => $value) {
                    $channels[$channel][] = [$now, $value];
                }
            }
            if ($step < $steps) {
                $vehicle->step($now);
            }
        }

        return new Trace(
            $channels,
            $vehicle->openedAt,
            $vehicle->fanOn,
            $vehicle->fanOff,
            $vehicle->airMl,
            $vehicle->contentMl,
            ['in' => $vehicle->inKj, 'stored' => $vehicle->storedKj() - $stored, 'lost' => $vehicle->lostKj],
            $vehicle->pouredMl,
            $vehicle->lostMl,
        );
    }

    private function storedKj(): float
    {
        return $this->engineKjK * $this->engineC + $this->radiatorKjK * $this->radiatorC;
    }

    private function act(Action $action): void
    {
        match ($action->kind) {
            'start' => $this->rpm = $action->value > 0.0 ? $action->value : self::IDLE_RPM,
            'stop' => $this->rpm = 0.0,
            'rpm' => $this->rpm = $this->rpm > 0.0 ? $action->value : 0.0,
            'heater' => $this->heater = max(0.0, min(1.0, $action->value)),
            'cap' => $this->capped = $action->value > 0.0,
            'pull' => $this->close(-min($action->value * self::INHG_KPA, $this->air->pressure->kPa() - 2.5)),
            'pump' => $this->close($action->value),
            'release' => [$this->gaugeKpa, $this->settlingKpa] = [null, 0.0],
            'pour' => $this->pour($action->value),
            'drain' => $this->lose(min($this->contentMl, $action->value)),
            default => null,
        };
    }

    /** Under vacuum or pressure from now on: hoses give way a little, and that settles. */
    private function close(float $kpa): void
    {
        $this->gaugeKpa = $kpa;
        $this->settlingKpa
            = ($kpa < 0.0 ? 1.0 : -1.0) * self::SETTLING_INHG * self::INHG_KPA * min(1.0, abs($kpa) / 70.0);
    }

    private function pour(float $ml): void
    {
        $room = $this->circuit->capacityMl() - $this->contentMl - array_sum($this->airMl);
        $in = min($ml, max(0.0, $room));
        $this->contentMl += $in;
        $this->pouredMl += $in;
    }

    private function lose(float $ml): void
    {
        $this->contentMl -= $ml;
        $this->lostMl += $ml;
    }

    private function step(float $now): void
    {
        $this->thermostat($now);
        $this->fan($now);
        $this->heat();
        $this->purge();
        $this->gauge();
        $leak = $this->faults->number('leak', 0.0);
        if ($leak > 0.0 && $this->gaugeKpa === null) {
            $this->lose(min($this->contentMl, $leak * self::STEP_S / 60.0));
        }
        $over = $this->engineC - ($this->capped ? $this->boilsCapped : $this->boilsOpen);
        if ($over > 0.0) {
            // So much boils over in a second for each kelvin.
            $this->lose(min($this->contentMl, self::BOILS_OVER_ML * $over * self::STEP_S));
        }
    }

    private function thermostat(float $now): void
    {
        $facts = $this->circuit->facts;
        [$start, $full] = [$facts->thermostatStartC ?? 85.0, $facts->thermostatFullC ?? 95.0];
        // Air at the wax keeps it cold.
        $felt = $this->faults->has('pocket', 'thermostat') && array_sum($this->airMl) > 0.25 * $this->startAir()
                ? $this->engineC - 12.0
                : $this->engineC;
        $wanted = match (true) {
            $this->faults->has('thermostat', 'shut') => 0.0,
            $this->faults->has('thermostat', 'open') => 1.0,
            default => max(0.0, min(1.0, ($felt - $start) / max(1.0, $full - $start))),
        };
        $lag = $this->faults->has('thermostat', 'backwards') ? self::BACKWARDS_S : self::WAX_S;
        $this->open += ($wanted - $this->open) * self::STEP_S / $lag;
        if ($this->openedAt === null && $this->open > self::LETS_THROUGH && ! $this->faults->has('thermostat', 'open')) {
            $this->openedAt = $now;
        }
    }

    private ?float $startAirMl = null;

    private function startAir(): float
    {
        return $this->startAirMl ??= max(1.0, array_sum($this->airMl));
    }

    private function fan(float $now): void
    {
        $facts = $this->circuit->facts;
        $on = $facts->fanOnC ?? ($facts->thermostatFullC ?? 95.0) + 3.0;
        $off = $facts->fanOffC ?? $on - 5.0;
        if (! $this->fan && $this->rpm > 0.0 && $this->engineC >= $on && ! $this->faults->has('fan', 'dead')) {
            $this->fan = true;
            $this->fanOn[] = $now;
        } elseif ($this->fan && ($this->engineC <= $off || $this->rpm <= 0.0)) {
            $this->fan = false;
            $this->fanOff[] = $now;
        }
    }

    /** kW that pass from the engine to the radiator for each kelvin between them. */
    private function flow(): float
    {
        $pump = $this->rpm / self::IDLE_RPM;
        $starved = array_sum($this->airMl) > 0.4 * $this->circuit->capacityMl() ? 0.2 : 1.0;

        return $this->open * self::FLOW_KW_K * min(3.0, $pump) * $starved;
    }

    private function heaterFlows(): float
    {
        $heater = array_filter($this->circuit->passages, fn ($passage) => $passage->kind === PassageKind::Heater);
        $volume = array_sum(array_map(fn ($passage) => $passage->volumeMl, $heater));
        $air = array_sum(array_map(fn (string $id) => $this->airMl[$id] ?? 0.0, array_keys($heater)));

        return $volume <= 0.0 ? 0.0 : $this->heater * max(0.0, 1.0 - $air / $volume / 0.6);
    }

    private function heat(): void
    {
        $in = $this->rpm > 0.0 ? self::IDLE_KW + self::KW_PER_RPM * max(0.0, $this->rpm - self::IDLE_RPM) : 0.0;
        $flow = $this->flow();
        $across = $flow * ($this->engineC - $this->radiatorC);
        // Never more in a step than evens them out.
        $even
            = ($this->engineC - $this->radiatorC) / (1.0 / $this->engineKjK + 1.0 / $this->radiatorKjK) / self::STEP_S;
        $across = abs($across) > abs(0.5 * $even) ? 0.5 * $even : $across;
        $heater = $this->rpm > 0.0 ? self::HEATER_KW_K * $this->heaterFlows() : 0.0;
        $fromEngine = (self::ENGINE_KW_K + $heater) * ($this->engineC - $this->ambientC);
        $fan = $this->fan ? self::FAN_KW_K * ($this->faults->has('fan', 'weak') ? self::WEAK_FAN : 1.0) : 0.0;
        $fromRadiator = (self::STILL_KW_K + $fan) * ($this->radiatorC - $this->ambientC);
        $this->engineC += ($in - $across - $fromEngine) * self::STEP_S / $this->engineKjK;
        $this->radiatorC += ($across - $fromRadiator) * self::STEP_S / $this->radiatorKjK;
        $this->inKj += $in * self::STEP_S;
        $this->lostKj += ($fromEngine + $fromRadiator) * self::STEP_S;
        // What comes past the thermostat warms the hose behind it at once.
        $share = min(1.0, $flow / 0.25);
        $target = $this->radiatorC + $share * 0.9 * ($this->engineC - $this->radiatorC);
        $this->farC += ($target - $this->farC) * self::STEP_S / 6.0;
        $warm = $this->ambientC + self::OUTLET_SHARE * $this->heaterFlows() * ($this->engineC - $this->ambientC);
        $this->outletC += ($warm - $this->outletC) * self::STEP_S / self::OUTLET_S;
    }

    private function purge(): void
    {
        if ($this->rpm <= 0.0) {
            return;
        }
        foreach ($this->airMl as $passage => $ml) {
            $kind = $this->circuit->passages[$passage]->kind;
            $flows = $kind === PassageKind::Heater
                    ? $this->heater * $this->throughCore($passage, $ml)
                    : max($this->open, 0.2);
            $left = $ml * exp((-Purging::perMinute($this->rpm) * $flows * self::STEP_S) / 60.0);
            $this->airMl[$passage] = $left;
        }
    }

    /**
     * Share of its flow that a heater core has left: at idle next to nothing
     * passes one that is nearly all air, revs push through.
     */
    private function throughCore(string $passage, float $airMl): float
    {
        $full = 1.0 - min(1.0, $airMl / max(1.0, $this->circuit->passages[$passage]->volumeMl));

        return ! $this->faults->has('pocket', 'heater') || $this->rpm >= self::PUSHES_RPM
            ? 1.0
            : max(self::STARVED, $full ** 2);
    }

    /** A leak takes air through the hole, as much as it would take coolant, choked under vacuum; hoses settle. */
    private function gauge(): void
    {
        if ($this->gaugeKpa === null) {
            return;
        }
        $gas = max(50.0, $this->circuit->capacityMl() - $this->contentMl);
        $leak = $this->faults->number('leak', 0.0) * ($this->gaugeKpa < 0.0 ? 1.0 : $this->gaugeKpa / 100.0);
        $change = $this->air->pressure->kPa() * $leak / $gas * self::STEP_S / 60.0;
        $this->gaugeKpa += $this->gaugeKpa < 0.0 ? min($change, -$this->gaugeKpa) : -min($change, $this->gaugeKpa);
        $settles = $this->settlingKpa * self::STEP_S / self::SETTLING_S;
        $this->gaugeKpa += $settles;
        $this->settlingKpa -= $settles;
    }

    /** @return array<string, float> as instruments show it */
    private function read(float $now): array
    {
        $noise = fn (float $by): float => $by * ($this->chance->getInt(0, 2000) / 1000.0 - 1.0);
        $coolant = $this->engineC + $this->faults->number('sensor', 0.0);
        if ($this->faults->has('pocket', 'sensor') && array_sum($this->airMl) > 0.3 * $this->startAir()) {
            $coolant -= self::SENSOR_IN_AIR_K * min(1.0, max(0.0, $this->engineC - $this->ambientC) / 60.0);
        }
        $shown = [
            'coolant_c' => round($coolant + $noise(0.3)),
            'far_side_c' => round($this->farC + $noise(0.4), 1),
            'ambient_c' => $this->ambientC,
            'rpm' => $this->rpm <= 0.0 ? 0.0 : round($this->rpm + $noise(15.0)),
            'level_mm' => round(
                (100.0
                    * ($this->contentMl
                        - $this->circuit->capacityMl()
                        + $this->circuit->headspaceMl()
                        + array_sum($this->airMl)))
                    / 1000.0,
                1,
            ),
        ];
        if ($this->circuit->facts->outlets !== []) {
            $shown['outlet_c'] = round($this->outletC + $noise(0.4), 1);
        }
        if ($this->gaugeKpa !== null && $this->gaugeKpa < 0.0) {
            $slipped = $this->faults->has('adapter', 'moved') && $now > 240.0 ? 1.5 : 0.0;
            $shown['vacuum_inhg'] = max(0.0, round(2.0 * (-$this->gaugeKpa / self::INHG_KPA - $slipped)) / 2.0);
        } elseif ($this->gaugeKpa !== null) {
            $shown['pressure_kpa'] = round($this->gaugeKpa / 2.0) * 2.0;
        }

        return $shown;
    }
}
