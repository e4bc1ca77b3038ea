<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

/** Bubbles at the neck, as they were watched. */
enum Bubbles: string
{
    case None = 'none';
    case Some = 'some';
    case Bursts = 'bursts';

    /** Under a cap nobody sees any; that is no word of whether there are some. */
    case Hidden = 'hidden';

    /** Whether air was still seen to come. */
    public function come(): bool
    {
        return $this === self::Some || $this === self::Bursts;
    }

    /** @return array<string, string> what is asked, by code */
    public static function choices(): array
    {
        return [
            self::None->value => 'None for a minute', self::Some->value => 'Some', self::Bursts->value => 'Bursts',
            self::Hidden->value => 'Cannot see, cap on',
        ];
    }
}
