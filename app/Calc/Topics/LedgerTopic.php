<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Ledger\Line;

final class LedgerTopic implements Topic
{
    /** 95 % of a normal distribution. */
    private const SIGMAS = 1.96;

    /** Of all readings together no more than this share of their whole range is ever off in 95 of 100 jobs. */
    private const MOST_OF_RANGE = 0.97;

    public function name(): string
    {
        return 'ledger';
    }

    public function summary(): string
    {
        return 'content, strength and trapped air from every volume in and out, each with its 95 % range';
    }

    public function answer(Input $input): array
    {
        $capacity = $input->number('capacity_ml', 1, 1_000_000);
        $ledger = new Ledger(
            $capacity,
            $input->number('headspace_ml', 0, $capacity, 0),
            array_map(self::line(...), array_keys($input->objects('lines', 0)), $input->objects('lines', 0)),
            $input->optionalNumber('capacity_plus_minus_ml', 0, 1_000_000),
        );
        $within = $ledger->trappedAirPlusMinusMl();

        return [
            'content_ml' => $ledger->contentMl,
            'plus_minus_ml' => $ledger->plusMinusMl,
            'glycol_fraction' => $ledger->fraction(),
            'glycol_plus_minus' => $ledger->glycolPlusMinus,
            'trapped_air_ml' => $ledger->trappedAirMl(),
            'trapped_air_plus_minus_ml' => $within,
            'impossible' => $ledger->contentMl > $capacity + $within || $ledger->contentMl < -$ledger->plusMinusMl,
        ];
    }

    private static function line(int $i, Input $in): Line
    {
        $ml = $in->number('ml', -1_000_000, 1_000_000);
        $graduation = $in->number('graduation_ml', 0, 100_000, 0);
        $readings = (int) $in->number('readings', 1, 1000, 1);
        $spread = self::SIGMAS * $graduation * sqrt($readings / 12.0);
        $graduated = min($spread, self::MOST_OF_RANGE * $readings * $graduation / 2.0);

        return new Line(
            "line {$i}",
            $ml,
            hypot($graduated, $in->number('plus_minus_ml', 0, 1_000_000, 0)),
            $in->optionalNumber('fraction', 0, 1),
        );
    }
}
