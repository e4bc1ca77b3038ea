<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;

/** The ledger in the reader's units. */
final readonly class LedgerTable
{
    /** Less of the old coolant than this is not worth a line. */
    private const NOTHING_ML = 1.0;

    /** @param  ?Ledger  $retained  as it stood when the fill began */
    public function __construct(private Ledger $ledger, private UnitSystem $units, private ?Ledger $retained = null)
    {
    }

    /** @return list<array{string, string}> */
    public function summary(): array
    {
        $ledger = $this->ledger;
        $started = $ledger->lines !== [];
        // What stood in it is of interest until it is filled again.
        $poured = $ledger->inMl() - $ledger->foundMl();
        $within = fn (float $ml, float $plusMinus): string => $this->volume($ml).' ± '.$this->units->format(
            $plusMinus,
            Dimension::Volume,
            false,
        );
        [$room, $plusMinus] = [$ledger->trappedAirMl(), $ledger->trappedAirToldWithinMl()];

        return [
            $poured > 0.0
                ? ['In', $this->volume($poured)]
                : ['Found', $started ? $this->volume($ledger->foundMl()) : '–'],
            ['Out', $this->volume($ledger->outMl())],
            ['Content', $started ? $within($ledger->contentMl, $ledger->plusMinusMl) : 'not read'],
            ['Glycol', $this->share($ledger->fraction())],
            match (true) {
                ! $started => ['Room left', '–'],
                $room < -$plusMinus => ['Over the mark', $within(-$room, $plusMinus)],
                default => ['Room left', $within($room, $plusMinus)],
            },
        ];
    }

    /** @return list<list<string>> what, volume, ±, content then, glycol then, void then */
    public function lines(): array
    {
        $rows = [];
        foreach ($this->ledger->steps as $step) {
            $rows[] = [
                $step->line->label,
                $this->volume($step->line->ml),
                $step->line->overMark ? 'by the sums' : $this->volume($step->line->toldWithinMl()),
                $this->volume($step->contentMl),
                $this->share($step->fraction),
                $this->volume($this->ledger->capacityMl - $step->contentMl),
            ];
        }

        return $rows;
    }

    /** @return list<list<string>> the same columns, the sums */
    public function totals(): array
    {
        $ledger = $this->ledger;
        if ($ledger->lines === []) {
            return [];
        }
        $capacity = "Capacity {$this->volume($ledger->capacityMl)}, air in the tank at the mark "
            ."{$this->volume($ledger->headspaceMl)}";
        $rows = [[
            $capacity, '', $this->volume($ledger->plusMinusMl), $this->volume($ledger->contentMl),
            $this->share($ledger->fraction()), $this->volume($ledger->voidMl()),
        ]];
        if ($this->retained !== null) {
            $rows[] = [
                'Retained when the fill began',
                '',
                '',
                $this->volume($this->retained->contentMl),
                $this->share($this->retained->fraction()),
                '',
            ];
        }
        if ($ledger->oldMl > self::NOTHING_ML) {
            $rows[] = [
                'Of the coolant that was in it',
                '',
                '',
                $this->volume($ledger->oldMl),
                $this->share($ledger->oldShare()),
                '',
            ];
        }

        return $rows;
    }

    private function volume(float $ml): string
    {
        return $this->units->format($ml, Dimension::Volume);
    }

    private function share(?float $share): string
    {
        return $share === null ? '–' : $this->units->format($share, Unit::Percent);
    }
}
