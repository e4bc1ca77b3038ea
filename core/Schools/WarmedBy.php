<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Misfit;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Plan\WarmUp;

/** How it is warmed up afterwards. */
enum WarmedBy: string
{
    case Sealed = 'sealed';
    case LooseCap = 'loose_cap';
    case OpenNeck = 'open_neck';
    case UnderFunnel = 'under_funnel';
    case VentBolt = 'vent_bolt';
    case Routine = 'routine';

    public function label(): string
    {
        return match ($this) {
            self::Sealed => 'Sealed under its cap',
            self::LooseCap => 'Cap resting, topped up after each run',
            self::OpenNeck => 'Neck open, topped up as it sinks',
            self::UnderFunnel => 'Under the funnel',
            self::VentBolt => 'Vent bolt cracked between runs',
            self::Routine => 'The manual’s own routine',
        };
    }

    public function warmUp(): WarmUp
    {
        return match ($this) {
            self::LooseCap => WarmUp::LooseCap,
            self::OpenNeck => WarmUp::OpenNeck,
            self::UnderFunnel => WarmUp::UnderFunnel,
            self::VentBolt => WarmUp::VentBetween,
            self::Sealed, self::Routine => WarmUp::Usual,
        };
    }

    /** Whether running works air out, so that what is left is an estimate. */
    public function purges(): bool
    {
        return in_array($this, [self::LooseCap, self::OpenNeck, self::VentBolt, self::Routine], true);
    }

    public function whyNot(Circuit $circuit, Choices $choices): ?Misfit
    {
        return match ($this) {
            self::VentBolt => (new VentBolt)->whyNot($circuit, $choices),
            self::Routine => (new ManualRoutine)->whyNot($circuit, $choices),
            self::UnderFunnel => $choices->has(Tool::Funnel) ? null : (new HighFunnel)->whyNot($circuit, $choices),
            default => null,
        };
    }
}
