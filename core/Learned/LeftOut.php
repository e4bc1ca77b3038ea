<?php

declare(strict_types=1);

namespace Aqbel\Core\Learned;

/** Why a job says nothing of its circuit. */
enum LeftOut: string
{
    case NothingDrained = 'nothing_drained';
    case NotFull = 'not_full';
    case Raised = 'raised';
    case Together = 'together';
    case AnotherWay = 'another_way';

    public function label(): string
    {
        return match ($this) {
            self::NothingDrained => 'nothing was drained',
            self::NotFull => 'it was not full when it was opened',
            self::Raised => 'its nose was up',
            self::Together => 'its drains ran together',
            self::AnotherWay => 'coolant came out another way',
        };
    }
}
