<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

use Aqbel\Core\Quantity\Temperature;

/** The engine temperature at which a bleeding run ends: the lowest of the vehicle's own limit, fan-on + 5 K and boiling − 10 K. */
final readonly class StopLimit
{
    private const ABOVE_FAN = 5.0;

    public const BOILING_MARGIN = 10.0;

    public Temperature $limit;

    /** Which of the three decided, in words. */
    public string $because;

    public function __construct(public Temperature $boiling, public ?Temperature $fanOn = null, ?Temperature $vehicleLimit = null)
    {
        $candidates = ['a safe margin below boiling, with the neck as it stands' => $boiling->degC() - self::BOILING_MARGIN];
        if ($fanOn !== null) {
            $candidates['just above fan-on'] = $fanOn->degC() + self::ABOVE_FAN;
        }
        if ($vehicleLimit !== null) {
            $candidates['the vehicle’s own limit'] = $vehicleLimit->degC();
        }
        asort($candidates);
        $this->because = array_key_first($candidates);
        $this->limit = Temperature::celsius($candidates[$this->because]);
    }

    /** Whether the fan comes on before the run must end; without a known fan-on temperature it proves nothing. */
    public function fanCanProve(): bool
    {
        return $this->fanOn !== null && $this->limit->degC() >= $this->fanOn->degC();
    }
}
