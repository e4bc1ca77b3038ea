<?php

declare(strict_types=1);

namespace Aqbel\Core\Heat;

/** Which of the limits ends a hot run first. */
enum StopReason: string
{
    case Boiling = 'boiling';
    case Fan = 'fan';
    case Vehicle = 'vehicle';

    /** Nobody has said how hot this one may get. */
    case Usual = 'usual';

    public function label(): string
    {
        return match ($this) {
            self::Boiling => 'a safe margin below boiling, the neck open or shut as it is',
            self::Fan => 'just above fan-on',
            self::Vehicle => 'the vehicle’s own limit',
            self::Usual => 'as hot as any engine should get, as long as nobody has said its own limit',
        };
    }
}
