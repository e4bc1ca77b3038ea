<?php

declare(strict_types=1);

namespace Aqbel\Core\Vacuum;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Volume;

/** What the needle tells in the middle of a vacuum fill. Boyle: the gas left is void·(p₁ − p_v)/(p − p_v). */
final readonly class VacuumProgress
{
    private function __construct(public Volume $void, public float $filledFraction, public Volume $remaining)
    {
    }

    /** @throws InvalidField when the needle has not fallen */
    public static function judge(
        Atmosphere $air,
        Pressure $startVacuum,
        Pressure $vacuumNow,
        Volume $added,
        Pressure $vapour,
    ): self {
        $start = $air->under($startVacuum)->kPa() - $vapour->kPa();
        $now = $air->under($vacuumNow)->kPa() - $vapour->kPa();
        if ($start <= 0.0) {
            throw new InvalidField(
                'start_inhg',
                'This vacuum is deeper than the air or the coolant’s vapour allows here. Check the reading and the '
                    .'barometer.',
            );
        }
        if ($now <= $start) {
            throw new InvalidField(
                'now_inhg',
                'The needle must stand lower than at the start: coolant that went in takes room from the vacuum.',
            );
        }
        $gasShare = $start / $now;
        $void = $added->mL() / (1.0 - $gasShare);
        $whole = $void * (1.0 - $start / ($air->pressure->kPa() - $vapour->kPa()));

        return new self(
            Volume::millilitres($void),
            1.0 - $gasShare,
            Volume::millilitres(max(0.0, $whole - $added->mL())),
        );
    }

    /**
     * The span that the gauge's resolution leaves: half a division either way on both readings.
     *
     * @return array{low: self, high: ?self} by void; high is null when the readings cannot be told apart
     */
    public static function span(
        Atmosphere $air,
        Pressure $startVacuum,
        Pressure $vacuumNow,
        Volume $added,
        Pressure $vapour,
        Pressure $resolution,
    ): array {
        $half = $resolution->kPa() / 2.0;
        $shift = fn (Pressure $reading, float $by): Pressure => Pressure::kilopascals(max(0.0, $reading->kPa() + $by));
        $ceiling = Pressure::kilopascals($air->pressure->kPa() - $vapour->kPa() - 0.05);
        $deepest = Pressure::kilopascals(min($ceiling->kPa(), $startVacuum->kPa() + $half));
        $shallow = $shift($startVacuum, -$half);
        $high = $shift($vacuumNow, $half);

        return [
            'low' => self::judge($air, $deepest, $shift($vacuumNow, -$half), $added, $vapour),
            'high' => $shallow->kPa() > $high->kPa() ? self::judge($air, $shallow, $high, $added, $vapour) : null,
        ];
    }
}
