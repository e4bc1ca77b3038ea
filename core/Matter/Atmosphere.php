<?php

declare(strict_types=1);

namespace Aqbel\Core\Matter;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Length;
use Aqbel\Core\Quantity\Pressure;

/** The air the shop stands in. */
final readonly class Atmosphere
{
    public const SEA_LEVEL_KPA = 101.325;

    /** Of the standard atmosphere, 1/m. */
    private const LAPSE = 2.25577e-5;

    private const EXPONENT = 5.2559;

    private function __construct(public Pressure $pressure)
    {
    }

    /**
     * Standard atmosphere: p = 101.325·(1 − 2.25577·10⁻⁵·h)^5.2559, h in metres
     * (ASHRAE Handbook—Fundamentals, psychrometrics; ICAO standard atmosphere).
     *
     * @throws InvalidField outside −500 to 5000 m
     */
    public static function atElevation(Length $elevation): self
    {
        $metres = $elevation->mm() / 1000.0;
        if (! ($metres >= -500.0 && $metres <= 5000.0)) {
            throw new InvalidField(
                'elevation_m',
                'Enter the elevation above sea level in metres, between -500 and 5000.',
            );
        }

        return new self(Pressure::kilopascals(self::SEA_LEVEL_KPA * (1.0 - self::LAPSE * $metres) ** self::EXPONENT));
    }

    /** @throws InvalidField outside 50 to 110 kPa */
    public static function ofBarometer(Pressure $reading): self
    {
        if (! ($reading->kPa() >= 50.0 && $reading->kPa() <= 110.0)) {
            throw new InvalidField(
                'barometer_kpa',
                'Enter the absolute barometer reading in kPa, between 50 and 110 (a weather report reduced to sea '
                    .'level will not do).',
            );
        }

        return new self($reading);
    }

    /** Where the standard atmosphere stands at this pressure: the equation of atElevation(), solved for h. */
    public function elevation(): Length
    {
        return Length::metres(
            (1.0 - ($this->pressure->kPa() / self::SEA_LEVEL_KPA) ** (1.0 / self::EXPONENT)) / self::LAPSE,
        );
    }

    /** A gauge vacuum of the same quality here as the one named at sea level. */
    public function sameQuality(Pressure $seaLevelVacuum): Pressure
    {
        return Pressure::kilopascals($seaLevelVacuum->kPa() * $this->pressure->kPa() / self::SEA_LEVEL_KPA);
    }

    /** The absolute pressure left under a gauge vacuum. */
    public function under(Pressure $vacuum): Pressure
    {
        return Pressure::kilopascals($this->pressure->kPa() - $vacuum->kPa());
    }
}
