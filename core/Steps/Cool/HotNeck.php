<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Plan\Plan;

/** A neck that was sealed while warming is never opened hot, whatever the reason. */
final class HotNeck
{
    /** °C at and below which any neck may be opened: the shop's rule. */
    public static function safeC(Situation $at): float
    {
        return Plan::of($at)->rules()->safeTemperatureC;
    }

    public static function mayBeOpened(Situation $at, float $coolantC): bool
    {
        return $coolantC <= self::safeC($at);
    }

    /** How it stood when the engine last ran; where nobody knows, it counts as sealed. */
    public static function wasSealed(Situation $at): bool
    {
        return ($at->job->running()->neck($at->step) ?? Neck::Sealed) === Neck::Sealed;
    }

    /** Whether it was sealed when the engine last ran, and nothing says that it has become cold since. */
    public static function mayBeUnderPressure(Situation $at): bool
    {
        $ran = $at->job->running()->last();
        if ($ran === null || ! self::wasSealed($at)) {
            return false;
        }
        foreach ($at->job->entries as $entry) {
            $step = $at->job->steps[$entry->step] ?? null;
            if ($entry->at < $ran || $step === null || $at->job->kinds->of($step)->does(Does::RunsEngine)) {
                continue;
            }
            $ect = $entry->number('ect');
            if ($entry->form === 'rested' || $entry->form === CoolDownWait::BY_HAND || ($ect !== null && self::mayBeOpened($at, $ect))) {
                return false;
            }
        }

        return true;
    }

    /** The coolant as it was read last since the engine ran, standing, °C; null where nobody did. */
    public static function readSinceItRan(Situation $at): ?float
    {
        $read = null;
        foreach ($at->job->entries as $entry) {
            $step = $at->job->steps[$entry->step] ?? null;
            if ($entry->at >= ($at->job->running()->last() ?? 0) && $step !== null && ! $at->job->kinds->of($step)->does(Does::RunsEngine)) {
                $read = $entry->number('ect') ?? $read;
            }
        }

        return $read;
    }

    /** @throws InvalidField where opening it now would scald */
    public static function admitOpening(Situation $at, string $field, float $coolantC): void
    {
        if (self::wasSealed($at) && ! self::mayBeOpened($at, $coolantC)) {
            throw new InvalidField($field, 'Do not open it. The neck was sealed while warming and stands at '
                ."{$at->degrees($coolantC)}:"
                ." it opens at {$at->degrees(self::safeC($at))} or below. Wait and read again.");
        }
    }
}
