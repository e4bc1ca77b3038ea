<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit\Maker;

/** What a question of the maker asks for; quantities are in the core's units. */
enum QuestionKind: string
{
    /** Above the floor, mm. */
    case Height = 'height';

    /** Between two points, mm. */
    case Length = 'length';

    /** mL. */
    case Volume = 'volume';

    /** Over atmosphere, kPa. */
    case Pressure = 'pressure';

    /** °C. */
    case Temperature = 'temperature';

    /** N·m. */
    case Torque = 'torque';

    /** 0 to 1. */
    case Share = 'share';

    case Text = 'text';
    case Lines = 'lines';
    case Choice = 'choice';

    public function unit(): string
    {
        return match ($this) {
            self::Height, self::Length => 'mm',
            self::Volume => 'mL',
            self::Pressure => 'kPa',
            self::Temperature => '°C',
            self::Torque => 'N·m',
            self::Share, self::Text, self::Lines, self::Choice => '',
        };
    }
}
