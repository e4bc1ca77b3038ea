<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Job\Neck;

/** How a school warms the circuit up: how the neck stands meanwhile, who tops up when, and what ends it. */
enum WarmUp
{
    /** Under its cap; topped up cold. */
    case Usual;

    /** At the open neck, topped to the brim as it sinks; the cap goes on at operating temperature. */
    case OpenNeck;

    /**
     * Under a resting cap, topped up after each run until one takes no more than reading error; then the cap is
     * tightened.
     */
    case LooseCap;

    /** Under the funnel it was poured through, its level kept up; it comes off when it has cooled. */
    case UnderFunnel;

    /** Under its cap; after each cool-down a vent is cracked. */
    case VentBetween;

    /** Whether its runs follow each other warm, and it is cooled down after the last. */
    public function staysWarm(): bool
    {
        return $this === self::LooseCap || $this === self::UnderFunnel;
    }

    /** Whether no cap is tight before it has cooled: on an open neck it goes on at operating temperature. */
    public function staysUnsealed(): bool
    {
        return ! $this->neck()->holdsPressure() && $this !== self::OpenNeck;
    }

    public function neck(): Neck
    {
        return match ($this) {
            self::Usual, self::VentBetween => Neck::Sealed,
            self::OpenNeck => Neck::Open,
            self::LooseCap => Neck::Resting,
            self::UnderFunnel => Neck::Funnel,
        };
    }
}
