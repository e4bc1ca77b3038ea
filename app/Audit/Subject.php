<?php

declare(strict_types=1);

namespace App\Audit;

/** What of the shop somebody changed. */
enum Subject: string
{
    case Shop = 'shop';
    case Rule = 'rule';
    case Right = 'right';
    case Price = 'price';
    case Person = 'person';
    case Circuit = 'circuit';
    case Vehicle = 'vehicle';
    case Job = 'job';
    case Visit = 'visit';
    case Calendar = 'calendar';

    public function label(): string
    {
        return match ($this) {
            self::Shop => 'Shop',
            self::Rule => 'Rules',
            self::Right => 'Rights',
            self::Price => 'Prices',
            self::Person => 'People',
            self::Circuit => 'Circuits',
            self::Vehicle => 'Vehicles',
            self::Job => 'Jobs',
            self::Visit => 'Visits',
            self::Calendar => 'Calendars',
        };
    }
}
