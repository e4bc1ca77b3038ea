<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;

/** A running engine of which nobody read how hot it is: what is wrong with it, or how hot its far side is. */
final readonly class ToldInHaste extends Report
{
    private function __construct(Told $told, public Sign $sign, public ?float $farC)
    {
        parent::__construct($told);
    }

    public static function forms(): array
    {
        return [...HotReading::forms(), ...FeltReading::forms()];
    }

    public static function of(Entry $line): ?static
    {
        $isWhole = HotReading::of($line) !== null || FeltReading::of($line) !== null;
        if ($isWhole || ! in_array($line->form, self::forms(), true)) {
            return null;
        }
        [$sign, $farC] = [WhileItRuns::of($line)->sign, $line->number(HotReading::FAR)];

        return $sign === Sign::None && $farC === null ? null : new self(Told::by($line), $sign, $farC);
    }
}
