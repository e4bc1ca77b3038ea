<?php

declare(strict_types=1);

namespace App\Calc;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;
use Aqbel\Core\Document;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Matter\Atmosphere;
use Aqbel\Core\Matter\Glycol;
use Aqbel\Core\Matter\Mixture;
use Aqbel\Core\Quantity\Length;
use Aqbel\Core\Quantity\Pressure;

/** What a script gives a topic: a document, and the things of the trade that several topics read from one. */
final readonly class Input extends Document
{
    /** `barometer_kpa` where given, else `elevation_m`; one of them is needed unless a default is named. */
    public function atmosphere(bool $seaLevelByDefault = false): Atmosphere
    {
        if ($this->has('barometer_kpa')) {
            return Atmosphere::ofBarometer(Pressure::kilopascals($this->number('barometer_kpa', 50, 110)));
        }

        return Atmosphere::atElevation(
            Length::metres($this->number('elevation_m', -500, 5000, $seaLevelByDefault ? 0.0 : null)),
        );
    }

    public function coolant(): Mixture
    {
        $base = $this->choice('base', array_map(fn (Glycol $b) => $b->value, Glycol::cases()));

        return new Mixture(Glycol::from($base), $this->number('volume_fraction', 0, 1));
    }

    /** @throws InvalidField with the path inside the circuit */
    public function circuit(string $name = 'circuit'): Circuit
    {
        try {
            return CircuitReader::read($this->object($name));
        } catch (InvalidField $invalid) {
            throw $invalid->field === $name ? $invalid : $invalid->within($name);
        }
    }

    /** The elevation of `atmosphere()`, or that at which its barometer stands in a standard atmosphere; m. */
    public function elevationM(): float
    {
        return $this->atmosphere(seaLevelByDefault: true)->elevation()->mm() / 1000.0;
    }
}
