<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Form;

/** The fan came on, or went off, and was pressed at that moment. */
final readonly class FanTurned extends Report
{
    private const ON = 'fan_on';

    private const OFF = 'fan_off';

    private function __construct(Told $told, public bool $on)
    {
        parent::__construct($told);
    }

    public static function forms(): array
    {
        return [self::ON, self::OFF];
    }

    public static function of(Entry $line): ?static
    {
        return in_array($line->form, [self::ON, self::OFF], true)
            ? new self(Told::by($line), $line->form === self::ON)
            : null;
    }

    public static function form(bool $on): string
    {
        return $on ? self::ON : self::OFF;
    }

    public static function askedOn(): Form
    {
        return new Form(self::ON, 'Fan came on');
    }

    public static function askedOff(): Form
    {
        return new Form(self::OFF, 'Fan went off');
    }
}
