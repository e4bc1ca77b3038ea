<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\VentedWarm;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Values;

/** A bleed point cracked while it cools, where the manual has it done warm: when it may be, and what it let out. */
final class WarmVent
{
    /**
     * Standing with its hood open no engine cools faster, K a minute; nor do two
     * readings differ by more (common practice, no source).
     */
    private const FASTEST_K = 3.0;

    /** @return list<Form> none where there is no point to crack, or the run before had to be stopped */
    public static function forms(Situation $at): array
    {
        $points = $at->circuit()->portsOf(PortKind::Bleed);

        return $points === [] || WhyStopped::runBefore($at) !== null ? [] : [VentedWarm::asked($points)];
    }

    /** @return list<Line> */
    public static function lines(Situation $at, Entry $entry): array
    {
        $vented = VentedWarm::of($entry);
        $caught = $vented->caughtMl ?? 0.0;

        return $vented === null || $caught <= 0.0
            ? []
            : [
                new Line(
                    'Caught warm: '.($at->circuit()->ports[$vented->point]->label ?? $vented->point),
                    -$caught,
                    VentBetween::caughtWithinMl($caught),
                    null,
                ),
            ];
    }

    /**
     * @throws InvalidField where nobody says that it may be done, or where it was
     *                      read so hot a moment ago that it cannot be so cool yet
     */
    public static function admit(Situation $at, Values $values): void
    {
        VentedWarm::admit($values);
        $last = self::lastRead($at);
        if ($last === null) {
            return;
        }
        [$read, $when] = $last;
        $minutes = max(0.0, ($at->now - $when) / 60.0);
        if ((float) $values->number(CoolantRead::COOLANT) < $read - self::FASTEST_K * (1.0 + $minutes)) {
            throw new InvalidField(
                CoolantRead::COOLANT,
                "{$at->degrees($read)} was read "
                    .round($minutes)
                    .' min ago, and nothing cools so fast. Read it once more.',
            );
        }
    }

    /** @return ?array{float, int} °C and when, wherever it was read last */
    private static function lastRead(Situation $at): ?array
    {
        $reads = Told::inOrder([
            ...$at->job->observedAnywhere(CoolantRead::class),
            ...$at->job->observedAnywhere(HotReading::class),
        ]);
        $last = $reads === [] ? null : end($reads);

        return $last === null ? null : [$last instanceof HotReading ? $last->coolantC : $last->celsius, $last->at()];
    }
}
