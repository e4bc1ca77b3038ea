<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\Bucket;
use Aqbel\Core\Judged\FillTaken;
use Aqbel\Core\Judged\FillTakenCode;
use Aqbel\Core\Judged\NoseUp;
use Aqbel\Core\Judged\VacuumHeld;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Observed\CameBack;
use Aqbel\Core\Observed\LevelReached;
use Aqbel\Core\Observed\Poured as Drawn;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Observed\VentAsked;
use Aqbel\Core\Observed\VesselReading;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Plan\VesselUse;
use Aqbel\Core\Plan\WarmUp;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Poured;
use Aqbel\Core\Steps\TopUp;
use Aqbel\Core\Values;

/** Stage 6: up to the cold starting level, and what it means if it took less than predicted. */
final class FillLevel extends Poured
{
    /** How well somebody reads what was caught in odd vessels, mL (common practice, no source). */
    private const CAUGHT_UNSURE_ML = 50.0;

    /** What went into the rags is a guess, good to half of it. */
    private const RAGS_UNSURE = 0.5;

    public function name(): string
    {
        return 'fill_level';
    }

    protected function doing(): array
    {
        return [...parent::doing(), Does::ReadsLevel];
    }

    public function title(Situation $at): string
    {
        return $this->underFunnel($at) ? 'Fill until it stands in the funnel' : 'Fill to '.$at->facts()->coldLevel;
    }

    public function why(Situation $at): string
    {
        return 'What the circuit refuses is air: accepted against predicted tells how much, and the model where.';
    }

    public function instructions(Situation $at): array
    {
        $recovery = 'Fill the recovery bottle to its cold mark too, its hose under the surface, or the circuit '
            .'draws air when it cools.';

        return array_values(
            array_filter([
                ($at->circuit()->hasBleedPoints() ? 'All bleed points closed. ' : '')
                .($this->underFunnel($at)
                    ? 'Fill on until it stands in the funnel and stays.'
                    : 'Fill to '.$at->facts()->coldLevel.'.'),
                $at->step->params->ticked('squeeze')
                    ? 'Squeeze the upper hose'
                        .($at->circuit()->hasHeater() ? ' and the heater hoses' : '')
                        .', slowly and again, until no more bubbles come; top up as it sinks.'
                    : null,
                NoseUp::mm($at->job) > 0.0
                    ? 'The nose is still up: the mark tells little there. What is poured counts, and the level is '
                        .'read again on level ground.'
                    : null,
                $at->facts()->neck->hasRecoveryBottle() ? $recovery : null,
                'What was '
                .($at->circuit()->hasBleedPoints() ? 'caught at bleed points or is ' : '')
                .'left in jug, hose and funnel was poured and is not inside: say how much.',
            ]));
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        [$volume, $vessel] = VesselReading::fields($at, 'Poured since, up to the mark', VesselUse::Measure);

        return [
            new Form(
                LevelReached::FORM,
                $this->underFunnel($at) ? 'It stands in the funnel' : 'It stands at the mark',
                [
                    $volume->optional(),
                    $vessel->optional(),
                    $this->hasBucket($at) ? LevelReached::inBucketField() : null,
                    Bucket::isInside($at->job) ? null : TopUp::jugField($at)->optional(),
                    ...CameBack::fields(
                        $at->circuit(),
                        $this->underFunnel($at) ? 'Stands in the funnel now' : 'Left in jug, funnel and hose',
                        false,
                    ),
                ],
                closes: true,
            ),
            $this->pourForm($at, false),
            new Form(
                CameBack::FORM,
                'Record caught or left over',
                CameBack::fields($at->circuit(), 'Left in funnel and hose', true),
                false,
            ),
            ...$this->mayVentUnderPressure($at) ? [VentAsked::asked()] : [],
        ];
    }

    /** What is left in it tells what went in. */
    private function hasBucket(Situation $at): bool
    {
        return Bucket::batch($at->job)->ml > 0.0 && ! Bucket::isInside($at->job);
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if ($form === LevelReached::FORM) {
            LevelReached::admit($at, $values, Bucket::leftBeforeMl($at->job, $at->last($form)));
        }
        if (
            (float) $values->number(VesselReading::VOLUME) > 0.0
            && $values->text(ToppedUp::LIQUID) === ''
            && Bucket::batch($at->job)->ml <= 0.0
        ) {
            throw new InvalidField(ToppedUp::LIQUID, 'No batch was mixed: say what was poured.');
        }
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [...$this->offered($at), VentAsked::asked()];
    }

    /** Where air is trapped, a tester is at hand and there is a point to crack: offered in any school. */
    private function mayVentUnderPressure(Situation $at): bool
    {
        return Plan::of($at)->choices->has(Tool::PressureTester) && $at->circuit()->portsOf(PortKind::Bleed) !== []
            && $at->facts()->mostToVentKpa() > 0.0 && $this->judge($at)?->code === 'air_trapped'
            && $at->job->stepsOf('vent_under_pressure') === [] && $at->latest(VentAsked::class) === null;
    }

    public function orders(Situation $at): array
    {
        $vent = $at->latest(VentAsked::class) !== null && $at->job->stepsOf('vent_under_pressure') === []
            ? [new Step('vent_under_pressure', 'vent_under_pressure', $at->step->stage)]
            : [];
        // A vacuum that proved nothing does not take the place of a pressure test.
        $press = VacuumHeld::proved($at->job) === false
            && Plan::of($at)->choices->has(Tool::PressureTester)
            && $at->job->stepsOf('pressure_test') === []
                ? [new Step('pressure_test', 'pressure_test', $at->step->stage)]
                : [];

        return [...$vent, ...$press];
    }

    /** The funnel stays on while it runs. */
    private function underFunnel(Situation $at): bool
    {
        return Plan::of($at)->school->warmUp() === WarmUp::UnderFunnel;
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        // Mixed inside, what comes back is what stands there.
        $fraction = Bucket::isInside($at->job) ? null : Bucket::fraction($at);
        $came = CameBack::of($entry);
        [$back, $spilt] = [($came->caughtMl ?? 0.0) + ($came->leftMl ?? 0.0), $came->spiltMl ?? 0.0];
        $unsure = self::CAUGHT_UNSURE_ML;

        return array_values(array_filter([
            ...$this->poured($at, $entry),
            $this->byTheBucket($at, $entry),
            $back > 0.0 ? new Line('Caught and left over', -$back, $unsure, $fraction, fromBatch: true) : null,
            $spilt > 0.0 ? new Line('In the rags', -$spilt, self::RAGS_UNSURE * $spilt, $fraction, lost: true) : null,
        ]));
    }

    /** What was mixed and is neither poured before nor left there. */
    private function byTheBucket(Situation $at, Entry $entry): ?Line
    {
        $inBucket = LevelReached::of($entry)?->inBucketMl;
        $poured = $inBucket === null ? 0.0 : Bucket::leftBeforeMl($at->job, $entry) - $inBucket;
        $vessel = Plan::of($at)->rules()->vessels->forBatch(Bucket::batch($at->job)->ml);

        return $poured <= 0.0
            ? null
            : new Line(
                'Poured',
                $poured,
                $vessel->plusMinusMl($poured),
                Bucket::fraction($at),
                Bucket::oldShare($at->job),
                true,
            );
    }

    public function obstacles(Situation $at): array
    {
        return $this->judgement($at) !== null
            ? []
            : [Obstacle::missing('not_at_mark', 'The level has not been seen at the mark.')];
    }

    public function observes(): array
    {
        return [Drawn::class, LevelReached::class, CameBack::class, VentAsked::class];
    }

    public function judgement(Situation $at): ?FillTaken
    {
        return FillTaken::of($at);
    }

    /** Also where it took what was predicted, and the air that stays was predicted too. */
    public function goesOn(Situation $at): bool
    {
        $taken = $this->judgement($at);

        return parent::goesOn($at)
            || in_array($taken?->code, [FillTakenCode::StandsInFunnel, FillTakenCode::NotTold], true)
            || ($taken?->code === FillTakenCode::AirTrapped && $taken->tookWhatItShould());
    }

    public function judge(Situation $at): ?Verdict
    {
        $taken = $this->judgement($at);

        return $taken === null ? null : FillWords::of($at, $taken);
    }
}
