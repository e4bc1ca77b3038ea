<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** What a port is for. */
enum PortKind: string
{
    case Fill = 'fill';
    case Bleed = 'bleed';
    case Drain = 'drain';

    public function label(): string
    {
        return match ($this) {
            self::Fill => 'fill neck',
            self::Bleed => 'bleed point',
            self::Drain => 'drain',
        };
    }
}
