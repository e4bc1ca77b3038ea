<?php

declare(strict_types=1);

namespace Aqbel\Core\Schools;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Plan\School;

/** How the coolant gets in. */
enum FillBy: string
{
    case Gravity = 'gravity';
    case EngineFirst = 'engine_first';
    case SecondNeck = 'second_neck';
    case Vacuum = 'vacuum';
    case Funnel = 'funnel';
    case LargeEngine = 'large_engine';

    public function label(): string
    {
        return match ($this) {
            self::Gravity => 'By gravity',
            self::EngineFirst => 'Engine first, through a hose',
            self::SecondNeck => 'Through the second neck',
            self::Vacuum => 'By vacuum',
            self::Funnel => 'Through a high funnel',
            self::LargeEngine => 'Large engine, by its vents',
        };
    }

    /** By which a school fills; null where it is none that can be combined. */
    public static function of(School $school): ?self
    {
        return match (true) {
            $school instanceof Gravity => self::Gravity,
            $school instanceof EngineFirst => self::EngineFirst,
            $school instanceof SecondNeck => self::SecondNeck,
            $school instanceof Vacuum => self::Vacuum,
            $school instanceof HighFunnel => self::Funnel,
            $school instanceof LargeEngine => self::LargeEngine,
            default => null,
        };
    }

    /** The school it is by itself; null where this circuit has no place for it. */
    public function school(Circuit $circuit): ?School
    {
        $further = $circuit->portsOf(PortKind::Fill)[1] ?? null;

        return match ($this) {
            self::Gravity => new Gravity,
            self::EngineFirst => $further === null ? null : new EngineFirst($further->id, $further->label),
            self::SecondNeck => $further === null ? null : new SecondNeck($further->id, $further->label),
            self::Vacuum => new Vacuum,
            self::Funnel => new HighFunnel,
            self::LargeEngine => new LargeEngine,
        };
    }
}
