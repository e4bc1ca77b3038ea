<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\Mix\MixCoolant;
use Aqbel\Core\Steps\StepKind;

/** What the pouring steps share: volumes poured at the strength of the batch. */
abstract class Poured extends StepKind
{
    protected function pourForm(Situation $at, bool $main = true): Form
    {
        return new Form('poured', 'Record pour', $this->vesselFields($at, 'volume', 'Poured in', 'Measuring jug, 0.1 L marks'), $main);
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return $entry->form !== 'poured' ? [] : [new Line('Poured', $entry->number('volume') ?? 0.0, $at->rules()->plusMinusMl($entry->text('vessel')),
            MixCoolant::batchFraction($at) ?? $at->job->plan->input->targetFraction)];
    }

    /** What went into the circuit since the close-up, less what was caught and left over. */
    protected function netIn(Situation $at): float
    {
        return $at->job->ledger()->contentMl - $at->job->ledgerBefore(Stage::Fill)->contentMl;
    }

    protected function expected(Situation $at): float
    {
        return max(0.0, (float) $at->job->plan->predicted['fill']['accepted_ml'] - $at->job->ledgerBefore(Stage::Fill)->contentMl);
    }

    public function figure(Situation $at): ?Figure
    {
        return new Figure('Gone in', $this->netIn($at), Dimension::Volume, Figure::MEASURED, $this->expected($at), 'predicted');
    }
}
