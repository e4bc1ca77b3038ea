<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\RunHot;

use Aqbel\Core\Heat\StopLimit;
use Aqbel\Core\Job\Neck;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\FanSeen;
use Aqbel\Core\Judged\HeaterAir;
use Aqbel\Core\Judged\HotRun;
use Aqbel\Core\Judged\NeckAtRun;
use Aqbel\Core\Judged\Outcome;
use Aqbel\Core\Judged\StopLimitAtNeck;
use Aqbel\Core\Observed\Capped;
use Aqbel\Core\Observed\FanStaysOff;
use Aqbel\Core\Observed\FanTurned;
use Aqbel\Core\Observed\FeltReading;
use Aqbel\Core\Observed\HeldAtSpeed;
use Aqbel\Core\Observed\HotReading;
use Aqbel\Core\Observed\ShutOff;
use Aqbel\Core\Observed\StandsAtLine;
use Aqbel\Core\Observed\Started;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Observed\WhileItRuns;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Plan\WarmUp;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\TopUp;

/** What is asked of a hot run: before the start, while it runs, and at a neck that is still unsealed afterwards. */
final readonly class RunForms
{
    public function __construct(private Situation $at)
    {
    }

    /** @return list<Form> */
    public function all(): array
    {
        $besides = WhileItRuns::fields(
            $this->limit()->fanCanProve(),
            in_array(NeckAtRun::orLikely($this->at), [Neck::Sealed, Neck::Resting], true),
        );
        $likely = NeckAtRun::orLikely($this->at);
        $asksAir = $this->at->facts()->outlets !== [] && HeaterAir::outsideC($this->at->job, $this->at->now) === null;
        $before = $this->at->job->observedAnywhere(Started::class);
        $start = fn (bool $air): Form => Started::asked($before, 'Engine is running', $likely, asksAir: $air);
        $reading = HotReading::asked($this->at->facts(), $besides);
        $felt = FeltReading::asked(
            $this->at->facts(),
            $this->at->job->observedAnywhere(FeltReading::class),
            $besides,
        );
        $offered = match (true) {
            $this->at->observed(Started::class) === [] => [$start($asksAir)],
            $this->at->observed(ShutOff::class) !== [] => $this->afterwards(),
            default => $this->running($reading, $felt),
        };

        return Form::offering($offered, [
            $start($this->at->facts()->outlets !== []),
            $reading,
            $felt,
            FanTurned::askedOn(),
            FanTurned::askedOff(),
            $this->topped(),
            FanStaysOff::asked(),
            ShutOff::asked(),
            StandsAtLine::asked(),
            Capped::asked(),
            HeldAtSpeed::asked(),
        ]);
    }

    /** @return list<?Form> */
    private function running(Form $reading, Form $felt): array
    {
        $run = HotRun::of($this->at);
        $stops = $run?->outcome() === Outcome::Stops;
        $unsealed = NeckAtRun::atTheStart($this->at)?->holdsPressure() !== true;
        $forms = [
            $reading->with(ShutOff::asked()),
            $felt->with(ShutOff::asked()),
            FanSeen::of($this->at)->on ? FanTurned::askedOff() : FanTurned::askedOn(),
            $unsealed ? $this->topped() : null,
            $unsealed && NeckAtRun::warmUp($this->at) !== WarmUp::UnderFunnel ? Capped::asked() : null,
            $this->limit()->fanCanProve() && ! FanSeen::cannotCome($this->at) ? FanStaysOff::asked() : null,
            // Revs wait until the readings say that they may.
            $run !== null && ! $stops ? HeldAtSpeed::asked() : null,
        ];
        $off = ShutOff::asked()->aside($run === null)->closing();

        return $stops ? [$off, ...$forms] : [...$forms, $off];
    }

    /** @return list<Form> at a neck that is still unsealed: topped up warm, and capped in the end */
    private function afterwards(): array
    {
        // After steam or at its limit nobody lifts anything, and a funnel comes off at a step of its own.
        $by = NeckAtRun::warmUp($this->at);
        if (
            NeckAtRun::since($this->at)?->holdsPressure() === true
            || HotRun::of($this->at)?->danger !== null
            || $by === WarmUp::UnderFunnel
        ) {
            return [];
        }
        $topsUp = $by === WarmUp::LooseCap ? [$this->topped()->aside(false)->closing(), StandsAtLine::asked()] : [];

        return [...$topsUp, Capped::asked()];
    }

    private function limit(): StopLimit
    {
        return StopLimitAtNeck::of($this->at, NeckAtRun::orLikely($this->at));
    }

    private function topped(): Form
    {
        return new Form(ToppedUp::FORM, 'Record top-up', [
            ...VesselReading::fields($this->at, 'Topped up, glasses and rag', VesselUse::Measure),
            TopUp::liquidField($this->at),
        ], false);
    }
}
