<?php

declare(strict_types=1);

namespace App\Plan;

final readonly class Hours
{
    /** Minutes as “2 h 05”. */
    public static function of(float $minutes): string
    {
        $whole = (int) round($minutes);

        return intdiv($whole, 60).' h '.str_pad((string) ($whole % 60), 2, '0', STR_PAD_LEFT);
    }
}
