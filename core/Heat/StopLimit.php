<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

use Aqbel\Core\Quantity\Temperature;

/**
 * The engine temperature at which a bleeding run ends: the lowest of the vehicle's own limit, fan-on + 5 K and
 * boiling − 10 K.
 */
final readonly class StopLimit
{
    private const ABOVE_FAN = 5.0;

    public const BOILING_MARGIN = 10.0;

    public Temperature $limit;

    /** Which of them decided. */
    public StopReason $because;

    public function __construct(
        public Temperature $boiling,
        public ?Temperature $fanOn = null,
        ?Temperature $vehicleLimit = null,
        ?Temperature $usual = null,
    ) {
        $candidates = [StopReason::Boiling->value => $boiling->degC() - self::BOILING_MARGIN];
        if ($fanOn !== null) {
            $candidates[StopReason::Fan->value] = $fanOn->degC() + self::ABOVE_FAN;
        }
        if ($vehicleLimit !== null) {
            $candidates[StopReason::Vehicle->value] = $vehicleLimit->degC();
        }
        if ($usual !== null) {
            $candidates[StopReason::Usual->value] = $usual->degC();
        }
        asort($candidates);
        $this->because = StopReason::from(array_key_first($candidates));
        $this->limit = Temperature::celsius(reset($candidates));
    }

    /** Whether the coolant may get so warm before the run must end. */
    public function reaches(float $celsius): bool
    {
        return $this->limit->degC() >= $celsius;
    }

    /** Whether the fan comes on before the run must end; without a known fan-on temperature it proves nothing. */
    public function fanCanProve(): bool
    {
        return $this->fanOn !== null && $this->reaches($this->fanOn->degC());
    }
}
