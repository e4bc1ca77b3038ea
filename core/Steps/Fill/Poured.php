<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Steps\Findings\Bucket;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Steps\TopUp;

/** What the pouring steps share: volumes poured at the strength of the batch. */
abstract class Poured extends StepKind
{
    protected function doing(): array
    {
        return [Does::MovesCoolant];
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return $entry->form === 'poured' ? $this->poured($at, $entry) : [];
    }

    /** @return list<Line> what an entry says was poured */
    protected function poured(Situation $at, Entry $entry): array
    {
        return $entry->number('volume') === null ? [] : [TopUp::line($at, $entry, 'Poured', self::plusMinusMl($at, $entry))];
    }

    public function figure(Situation $at): ?Figure
    {
        return new Figure(
            'Gone in',
            $this->netIn($at),
            Dimension::Volume,
            Origin::Measured,
            $this->expected($at),
            'predicted',
        );
    }

    protected function pourForm(Situation $at, bool $main = true): Form
    {
        return new Form(
            'poured',
            'Record pour',
            [
                ...$this->vesselFields($at, 'volume', 'Poured in', VesselUse::Measure),
                Bucket::isInside($at->job) ? null : TopUp::jugField($at),
            ],
            $main,
            Bucket::next($at),
        );
    }

    /** What went into the circuit since the close-up, less what was caught and left over, mL. */
    protected function netIn(Situation $at): float
    {
        return $at->job->ledger()->contentMl - $at->job->ledgerBefore(Stage::Fill)->contentMl;
    }

    /** What the fill should take from what really stayed inside, mL. */
    protected function expected(Situation $at): float
    {
        $predicted = Plan::of($at)->predicted;

        return max(
            0.0,
            $predicted->usableMl - Plan::of($at)->fill->airMl - $at->job->ledgerBefore(Stage::Fill)->contentMl,
        );
    }
}
