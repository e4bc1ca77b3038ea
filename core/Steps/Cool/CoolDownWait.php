<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\Cooling;
use Aqbel\Core\Judged\CoolingCode;
use Aqbel\Core\Judged\HeaterAir;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\CoolToTheHand;
use Aqbel\Core\Observed\LookedUnder;
use Aqbel\Core\Observed\OutsideAir;
use Aqbel\Core\Observed\Rested;
use Aqbel\Core\Observed\VentedWarm;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\Minutes;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Trace;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/**
 * Stages 1 and 9: waiting until the circuit may be opened. A neck sealed while warming stays shut until then,
 * whatever the reason.
 */
final class CoolDownWait extends StepKind
{
    /** An entry may be written down a minute after the hours it speaks of. */
    private const SLACK_S = 60;

    private const READING = 'reading';

    public function name(): string
    {
        return 'cool_down';
    }

    protected function doing(): array
    {
        return [Does::Guards, Does::MovesCoolant];
    }

    public function observes(): array
    {
        return [
            CoolantRead::class,
            OutsideAir::class,
            Rested::class,
            CoolToTheHand::class,
            LookedUnder::class,
            VentedWarm::class,
        ];
    }

    public function title(Situation $at): string
    {
        return self::beforeTheWork($at->step) ? 'Is it cold?' : 'Cool down';
    }

    public function why(Situation $at): string
    {
        return self::beforeTheWork($at->step)
            ? 'A warm circuit is under pressure and scalds when the cap moves.'
            : 'Cooling draws coolant in where the air was. Opened warm, the level lies and the neck scalds.';
    }

    public function instructions(Situation $at): array
    {
        return array_values(
            array_filter([
                CoolingWords::howToRead($at),
                self::beforeTheWork($at->step)
                    ? ''
                    : 'Look underneath now: hot and under pressure a drip shows that a cold look misses.',
                'A second reading some minutes later makes the clock this engine’s own instead of a typical one.',
                'Come back when the clock is over and read once more.',
            ]),
        );
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Scald];
    }

    public function asks(Situation $at): array
    {
        $reading = $this->readingForm($at);
        $looks = $at->step->stage->value >= Stage::Cool->value && $at->observed(LookedUnder::class) === [];

        $warm = self::beforeTheWork($at->step) ? [] : WarmVent::forms($at);

        return Form::offering(
            [
                $reading,
                Rested::asked()->aside(),
                CoolToTheHand::asked(),
                ...$looks ? LookedUnder::asked() : [],
                ...$at->job->stepsOf('vent_between') === [] ? [] : $warm,
            ],
            [$reading, Rested::asked()->aside(), CoolToTheHand::asked(), ...LookedUnder::asked(), ...$warm],
        );
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return WarmVent::lines($at, $entry);
    }

    private function readingForm(Situation $at): Form
    {
        $air = HeaterAir::outsideC($at->job, $at->now);
        $ran = NeckHeat::lastRan($at);
        // What has stood overnight is cold or is not: only what still cools is reckoned toward the air.
        $cools = $ran === null || $at->now - $ran < NeckHeat::restedS($at) || $at->observed(CoolantRead::class) !== [];

        return new Form(self::READING, 'Record reading', [
            CoolantRead::field('Coolant'),
            OutsideAir::field('Air', $cools, $air),
        ], note: $air === null ? '' : 'The air as it was read last stands there already.');
    }

    /** Before the work how long it has stood; after a run the reading, once it has stood long enough to be cold. */
    public function atOnce(Situation $at): ?Form
    {
        $ran = NeckHeat::lastRan($at);
        if ($at->observed(CoolantRead::class) !== []) {
            return null;
        }
        if (self::beforeTheWork($at->step)) {
            return $ran === null ? Rested::asked() : null;
        }

        return $ran !== null && $at->now - $ran >= NeckHeat::restedS($at) && WhyStopped::runBefore($at) === null
            ? $this->readingForm($at)
            : null;
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        $ran = NeckHeat::lastRan($at);
        if ($form === VentedWarm::FORM) {
            WarmVent::admit($at, $values);
        }
        if ($form === CoolToTheHand::form()) {
            ByHand::admit($at);
        }
        if ($form !== Rested::form()) {
            return;
        }
        Rested::admit($values);
        if ($ran !== null && Rested::secondsIn($values) > $at->now - $ran + self::SLACK_S) {
            $minutes = max(1, intdiv($at->now - $ran, 60));
            throw new InvalidField(
                Rested::SINCE,
                "The journal has the engine running {$minutes} min ago, so it cannot have stood that long. Read the "
                    .'temperature instead, or wait.'.ByHand::orTellIt($at),
            );
        }
    }

    public function judgement(Situation $at): ?Cooling
    {
        return Cooling::of($at, self::neckIsUnsealed($at));
    }

    public function obstacles(Situation $at): array
    {
        $cooling = $this->judgement($at);
        if (self::neckIsUnsealed($at)) {
            return [];
        }

        return match ($cooling?->code) {
            null => [
                Obstacle::never('no_reading', 'Read the coolant temperature, or say how many hours it has stood.'),
            ],
            CoolingCode::RestedTooShort => [
                Obstacle::never(
                    'rested_too_short',
                    round(NeckHeat::restedS($at) / 3600.0, 1)
                        .' h standing is the least for an engine of this size. Read the temperature instead, or wait.',
                ),
            ],
            CoolingCode::TooHot, CoolingCode::NotFalling => [$this->tooHot($at, $cooling)],
            default => [],
        };
    }

    private function tooHot(Situation $at, Cooling $cooling): Obstacle
    {
        $clock = $this->clock($at);
        $when = $clock === null ? '' : ' About '.max(1, (int) ceil(($clock->until - $at->now) / 60)).' min to go.';

        return Obstacle::never(
            'too_hot',
            "At {$at->degrees((float) $cooling->coolantC)} the neck stays shut: it opens at "
                ."{$at->degrees(NeckHeat::safeC($at))} or below.{$when}",
        );
    }

    /** It runs until nine engines of ten are cold: whoever comes back by it finds a neck that may be opened. */
    public function clock(Situation $at): ?Clock
    {
        $cooling = $this->judgement($at);
        $back = $cooling?->comeBack();

        return $cooling === null || $back === null ? null : new Clock(
            self::neckIsUnsealed($at) ? 'Until it is cold' : 'Until the neck may be opened',
            $cooling->since(),
            $back,
            true,
        );
    }

    public function figure(Situation $at): Figure
    {
        return new Figure(
            'Coolant',
            $at->latest(CoolantRead::class)?->celsius,
            Dimension::Temperature,
            Origin::Measured,
            NeckHeat::safeC($at),
            self::neckIsUnsealed($at) ? 'cold' : 'neck may be opened',
        );
    }

    public function trace(Situation $at): ?Trace
    {
        return CoolingWords::curve($at, $this->judgement($at));
    }

    public function judge(Situation $at): ?Verdict
    {
        return CoolingWords::of($at, $this->judgement($at));
    }

    /** Before the work it has stood already; only afterwards there is a wait to plan. */
    public function labour(Step $step, Choices $choices): Minutes
    {
        $usual = parent::labour($step, $choices);

        return new Minutes(
            $usual->hands,
            self::beforeTheWork($step) ? 0.0 : $usual->wait * $choices->rules->coolingFactor,
        );
    }

    /**
     * It ran in this job, not under its cap, and ended well: there is no pressure to wait for, and the neck may be
     * topped up warm. Before a drain the heat of the coolant itself is waited for, and after a run that was stopped
     * everything.
     */
    private static function neckIsUnsealed(Situation $at): bool
    {
        // Before bleed points are opened it is cold, however the neck stood.
        return ! $at->step->params->ticked('cold')
            && $at->step->stage !== Stage::Rinse
            && ! NeckHeat::wasSealed($at)
            && WhyStopped::runBefore($at) === null;
    }

    /**
     * A run that was stopped has its cause looked for before the neck is filled up; so has a drip, cold and pressed.
     */
    public function orders(Situation $at): array
    {
        $stopped = WhyStopped::runBefore($at);
        $drips = array_filter($at->observed(LookedUnder::class), fn (LookedUnder $look) => $look->drips) !== [];
        $stage = $at->step->stage;
        $ordered = [
            ...$stopped === null
                ? []
                : [new Step("why_stopped:{$stopped->id}", 'why_stopped', $stage, new Values(['run' => $stopped->id]))],
            ...$drips ? [new Step("find_drip:{$at->step->id}", 'find_drip', $stage)] : [],
        ];

        return array_values(array_filter($ordered, fn (Step $step) => ! isset($at->job->steps[$step->id])));
    }

    private static function beforeTheWork(Step $step): bool
    {
        return $step->stage === Stage::MakeSafe;
    }
}
