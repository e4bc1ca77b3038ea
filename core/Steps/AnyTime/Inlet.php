<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\AnyTime;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\EnoughToRun;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Observed\PouredOn;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\EngineStart;
use Aqbel\Core\Steps\TopUp;
use Aqbel\Core\Values;

/** What is poured on where the fill is over and by the sums too little is inside to run an engine. */
final class Inlet extends AnyTime
{
    public function name(): string
    {
        return Lines::Inlet->value;
    }

    protected function doing(): array
    {
        return [Does::MovesCoolant];
    }

    public function observes(): array
    {
        return [PouredOn::class];
    }

    public function title(Situation $at): string
    {
        return 'Coolant was poured on';
    }

    public function why(Situation $at): string
    {
        return 'No engine runs on what the sums leave dry.';
    }

    public function comesFirst(Situation $at): bool
    {
        return $at->entries() === []
            && $at->job->kinds->of($at->step)->does(Does::RunsEngine)
            && EngineStart::notYet($at) !== null
            && ! EnoughToRun::of($at)->is;
    }

    /** Offered before an engine is to be run on too little, and nowhere else: a level has its own top-up. */
    public function asks(Situation $at): array
    {
        return Form::offering($this->comesFirst($at) ? [$this->asked($at)] : [], [$this->asked($at)]);
    }

    protected function asked(Situation $at): Form
    {
        [$volume, $vessel] = VesselReading::fields($at, 'Poured on', VesselUse::Measure);

        return PouredOn::asked([$volume, $vessel->optional(), TopUp::liquidField($at)]);
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if (NeckHeat::mayBeUnderPressure($at)) {
            throw new InvalidField('finish', 'It ran with a sealed neck, and nobody has read it cold since. It stays shut: let it cool and read it first.');
        }
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        $poured = PouredOn::of($entry);

        return $poured === null
            ? []
            : [TopUp::line($at, $entry, 'Poured on', $poured->read->plusMinusMl($at), $poured->read->roughMl)];
    }
}
