<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\ColdLevelRead;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\CoolToTheHand;
use Aqbel\Core\Observed\DrawnOff;
use Aqbel\Core\Observed\LastRun;
use Aqbel\Core\Observed\LevelSeen;
use Aqbel\Core\Observed\NeckOpened;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Steps\TopUp;

/** What is asked at a cold level: opened and topped up in one go, drawn off where it stands too high. */
final readonly class ColdLevelForms
{
    public function __construct(private Situation $at)
    {
    }

    /** @return list<Form> everything that is ever entered, what may be entered now first */
    public function asked(?ColdLevelRead $level): array
    {
        $seen = $this->at->latest(LevelSeen::class);
        $isAbove = $seen?->isAbove() === true && ! $seen->isGood($this->at->facts()->neck);
        $goesOn = $level?->code->leavesSomething() === true;
        $offered = $this->isOpen()
            ? [
                $isAbove ? DrawnOff::asked($this->at) : null,
                $this->topped()->aside($isAbove),
                ! $isAbove && $this->at->observed(DrawnOff::class) !== [] ? DrawnOff::asked($this->at)->aside() : null,
                LevelSeen::asked()->aside(),
                $goesOn ? LastRun::asked($this->needsWhy($level)) : null,
            ]
            : [
                $this->topped(),
                NeckHeat::wasColdUnread($this->at, $this->at->now) ? null : CoolToTheHand::asked(),
                NeckOpened::asked()->aside(),
            ];

        return Form::offering($offered, [
            NeckOpened::asked(),
            CoolToTheHand::asked(),
            $this->topped(true),
            DrawnOff::asked($this->at),
            LevelSeen::asked(),
            LastRun::asked(),
        ]);
    }

    /**
     * The neck opened, topped up and the level read, in one go.
     *
     * @param  bool  $asksAll  also the temperature, where the neck is open already
     */
    public function topped(bool $asksAll = false): Form
    {
        [$volume, $vessel] = VesselReading::fields($this->at, 'Topped up', VesselUse::Measure);

        return new Form(ToppedUp::FORM, 'Record top-up and level', [
            match (true) {
                $asksAll => CoolantRead::field()->usuallySaid(),
                $this->isOpen() || NeckHeat::wasColdUnread($this->at, $this->at->now) => null,
                default => CoolantRead::field(knownC: NeckHeat::readJustNow($this->at)),
            },
            $volume->usuallySaid(),
            $vessel->optional(),
            TopUp::liquidField($this->at),
            LevelSeen::field()->optional(),
        ], closes: true);
    }

    public function isOpen(): bool
    {
        $cold = array_filter(
            $this->at->observed(ToppedUp::class),
            fn (ToppedUp $topUp) => NeckHeat::wasColdUnread($this->at, $topUp->at()),
        );

        return $this->at->observed(CoolantRead::class) !== [] || $cold !== [];
    }

    /**
     * Whether it takes a reason that this was the last run: the run did not show all, or it still took more than a fill
     * may leave.
     */
    private function needsWhy(ColdLevelRead $level): bool
    {
        return $level->unproven !== null
            || $level->tookMl - $level->shrank->ml > Plan::of($this->at)->choices->airLimitMl($this->at->circuit());
    }
}
