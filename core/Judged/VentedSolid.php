<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Matter\Column;
use Aqbel\Core\Observed\PointCracked;
use Aqbel\Core\Observed\PressureLetOff;
use Aqbel\Core\Observed\PumpedToVent;
use Aqbel\Core\Plan\Plan;

/** Bleed points cracked under pressure: each as it ran last, and only while what was pumped in lifts coolant to it. */
final readonly class VentedSolid implements Judgement
{
    /** A tester that hardly moves shows nothing, kPa (common practice, no source). */
    private const LEAST_KPA = 2.0;

    /**
     * @param  list<Port>  $open  that have not run solid
     * @param  list<Port>  $unsaid  of which nothing was said
     * @param  list<Observation>  $restsOn
     */
    private function __construct(
        private VentedSolidCode $code,
        public array $open,
        public array $unsaid,
        private array $restsOn,
    ) {
    }

    public static function of(Situation $at): self
    {
        return $at->judged(self::class, fn (): self => self::judge($at));
    }

    private static function judge(Situation $at): self
    {
        [$solid, $said, $rests, $tooLittle] = [[], [], [], false];
        foreach ($at->observed(PointCracked::class) as $cracked) {
            $said[$cracked->point] = true;
            $pumped = self::pumpedBefore($at, $cracked);
            $port = $at->circuit()->ports[$cracked->point] ?? null;
            $lifts = $port !== null
                && $pumped !== null
                && ($pumped->kpa === null || $pumped->kpa >= self::liftsFromKpa($at, $port));
            $solid[$cracked->point] = $cracked->solid && $lifts;
            $tooLittle = $tooLittle || ($cracked->solid && ! $lifts);
            array_push($rests, ...array_filter([$pumped, $cracked]));
        }
        $points = $at->circuit()->portsOf(PortKind::Bleed);
        $open = array_values(array_filter($points, fn (Port $port) => ! ($solid[$port->id] ?? false)));
        $unsaid = array_values(array_filter($points, fn (Port $port) => ! isset($said[$port->id])));

        return new self(match (true) {
            $open === [] => VentedSolidCode::Solid,
            $tooLittle => VentedSolidCode::TooLittle,
            default => VentedSolidCode::AirCame,
        }, $open, $unsaid, $rests);
    }

    /** What a point was cracked under; null where the pressure was off. */
    private static function pumpedBefore(Situation $at, PointCracked $cracked): ?PumpedToVent
    {
        $last = null;
        foreach ($at->observed(PumpedToVent::class) as $pumped) {
            $last = $cracked->isAfter($pumped) ? $pumped : $last;
        }
        foreach ($at->observed(PressureLetOff::class) as $off) {
            $last = $last !== null && $off->isAfter($last) && $cracked->isAfter($off) ? null : $last;
        }

        return $last;
    }

    /** From here on coolant stands at a point, over atmosphere: the column from the cold mark to it. */
    public static function liftsFromKpa(Situation $at, Port $port): float
    {
        $lift = Plan::of($at)->choices->noseLiftMm;
        $mark = $at->circuit()->heightMm($at->circuit()->fillPort()->node, $lift) + $at->facts()->coldHeadMm;

        return max(self::LEAST_KPA, Column::kPa($at->circuit()->heightMm($port->node, $lift) - $mark));
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return $this->code === VentedSolidCode::Solid && $this->restsOn !== [] ? Outcome::Passes : Outcome::Waits;
    }

    public function latches(): bool
    {
        return false;
    }

    public function restsOn(): array
    {
        return $this->restsOn;
    }
}
