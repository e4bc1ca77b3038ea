<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\Bucket;
use Aqbel\Core\Judged\FillTaken;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\Poured as Drawn;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Origin;

/** What the pouring steps share: volumes poured at the strength of the batch. */
abstract class Poured extends StepKind
{
    protected function doing(): array
    {
        return [Does::MovesCoolant];
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return $entry->form === Drawn::FORM ? $this->poured($at, $entry) : [];
    }

    /** @return list<Line> what an entry says was poured */
    protected function poured(Situation $at, Entry $entry): array
    {
        $read = VesselReading::of($entry);

        return $read === null ? [] : [TopUp::line($at, $entry, 'Poured', $read->plusMinusMl($at), $read->roughMl)];
    }

    public function figure(Situation $at): ?Figure
    {
        return new Figure(
            'In so far',
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
            Drawn::FORM,
            'Record pour',
            [
                ...VesselReading::fields($at, 'Poured in', VesselUse::Measure),
                Bucket::isInside($at->job) ? null : TopUp::jugField($at),
            ],
            $main,
            TopUp::ofTheTwo($at),
        );
    }

    protected function netIn(Situation $at): float
    {
        return FillTaken::netInMl($at);
    }

    protected function expected(Situation $at): float
    {
        return FillTaken::expectedMl($at);
    }
}
