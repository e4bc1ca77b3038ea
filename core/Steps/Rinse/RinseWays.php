<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Judged\RinseNeeded;
use Aqbel\Core\Mixing\RinseChain;
use Aqbel\Core\Plan\Labour;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Steps\FurtherDrains;

/** Rinses, water and hours to what may stay of the old coolant: as it is drained now, and with one more point opened. */
final class RinseWays
{
    /** @return list<Table> none where it needs no rinse */
    public static function tables(Situation $at, RinseNeeded $needed): array
    {
        $target = $needed->target;
        if ($target === null || $needed->chain->rinses === 0) {
            return [];
        }
        $ledger = $at->job->ledgerBefore(Stage::CloseUp);
        $full = $ledger->capacityMl - $ledger->headspaceMl;
        $rows = [self::row($at, 'As it is drained now', $needed->chain)];
        foreach (FurtherDrains::notOpened($at->job) as $further) {
            $keeps = max(0.0, $ledger->contentMl - $further->volumeMl);
            $old = $ledger->contentMl > 0.0 ? $ledger->oldShare() * $keeps / $ledger->contentMl : 0.0;
            $rows[] = self::row(
                $at,
                "{$at->circuit()->port($further->port)->label} opened too",
                RinseChain::from($old, $keeps / $full, $full, $target),
            );
        }

        return [
            new Table(
                'To '.$at->say($target, Unit::Percent).' old coolant',
                ['Way', 'Rinses', 'Water', 'Old left', 'Time'],
                $rows,
            ),
        ];
    }

    /** @return list<string> */
    private static function row(Situation $at, string $label, RinseChain $chain): array
    {
        $minutes = (int) ($chain->rinses * Plan::of($at)->rules()->labour->of(Labour::RINSE_CYCLE)->total());
        $time = sprintf('%d h %02d', intdiv($minutes, 60), $minutes % 60);

        return [
            $label,
            (string) $chain->rinses,
            $at->litres($chain->waterMl),
            $at->say($chain->oldFraction, Unit::Percent),
            $time,
        ];
    }
}
