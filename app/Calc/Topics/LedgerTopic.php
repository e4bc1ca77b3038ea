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
        $lines = $input->objects('lines', 0);
        $share = self::share($lines);
        $ledger = new Ledger(
            $capacity,
            $input->number('headspace_ml', 0, $capacity, 0),
            array_map(fn (int $i, Input $line) => self::line($i, $line, $share), array_keys($lines), $lines),
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

    private static function line(int $i, Input $in, float $share): Line
    {
        [$graduation, $readings] = self::read($in);

        return new Line(
            "line {$i}",
            $in->number('ml', -1_000_000, 1_000_000),
            hypot(
                $share * self::SIGMAS * $graduation * sqrt($readings / 12.0),
                $in->number('plus_minus_ml', 0, 1_000_000, 0),
            ),
            $in->optionalNumber('fraction', 0, 1),
        );
    }

    /**
     * How much of what many readings would spread these do: one or two hardly leave their range, and no more.
     *
     * @param  list<Input>  $lines
     */
    private static function share(array $lines): float
    {
        [$spread, $range] = [0.0, 0.0];
        foreach ($lines as $line) {
            [$graduation, $readings] = self::read($line);
            $spread += $readings * $graduation ** 2 / 12.0;
            $range += $readings * $graduation / 2.0;
        }

        return $spread > 0.0 ? min(1.0, self::MOST_OF_RANGE * $range / (self::SIGMAS * sqrt($spread))) : 1.0;
    }

    /** @return array{float, int} graduation in mL, and how often it was read */
    private static function read(Input $in): array
    {
        return [$in->number('graduation_ml', 0, 100_000, 0), (int) $in->number('readings', 1, 1000, 1)];
    }
}
