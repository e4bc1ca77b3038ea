<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** What has to come off to reach a port or a part: an undertray, an intake duct, a wheel. */
final readonly class Cover
{
    /**
     * @param  bool  $neededToRun  back before the first start (fan, belts, intake); a floor guard may wait for the
     * leak check
     */
    public function __construct(
        public string $id,
        public string $label,
        public float $minutes,
        public bool $neededToRun,
    ) {
    }
}
