<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Job\WatchedBy;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Judged\PressureHeld;
use Aqbel\Core\Judged\PressureHeldCode;
use Aqbel\Core\Observed\CoolantRead;
use Aqbel\Core\Observed\Declined;
use Aqbel\Core\Observed\PressureTested;
use Aqbel\Core\Observed\PumpedUp;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Gate;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Origin;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Opening;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Vacuum\PressureHold;
use Aqbel\Core\Values;

/** Stages 7 and 10: pumped up and held, never above the cap. Offered; it may be declined. */
final class PressureTest extends StepKind
{
    /** A pressure read half a kilopascal above the rating is the rating. */
    private const READING_KPA = 0.5;

    private const MINUTE_S = 60.0;

    public function name(): string
    {
        return 'pressure_test';
    }

    protected function doing(): array
    {
        return [Does::LoadsJoints, Does::Guards];
    }

    public function watchedBy(): WatchedBy
    {
        return WatchedBy::PressureGauge;
    }

    public function title(Situation $at): string
    {
        return self::isWarm($at) ? 'Pressure test, warm' : 'Pressure test, cold';
    }

    public function why(Situation $at): string
    {
        if (! self::isWarm($at) && $at->job->running()->last() !== null) {
            return 'Under pressure and cold a weep shows that neither a run nor a look does.';
        }

        return self::isWarm($at)
            ? 'Warm it shows a burst, and a joint that only heat opens. A weep hides in the cooling: '
                    .'that is shown cold.'
            : 'A leak found before the first start costs neither heat nor another cool-down.';
    }

    public function instructions(Situation $at): array
    {
        $kPa = self::toKpa($at);
        $to = $kPa === null
                ? 'no more than the cap rating'
                : $at->say($kPa, Dimension::Pressure).', never above the cap rating';

        return [
            self::isWarm($at)
                ? 'Engine off, glasses and gloves on. Cap off under a rag to the first hiss, stop, wait, go on. '
                    ."Tester on the neck, pump to {$to}."
                : "Engine cold. Tester on the neck, pump to {$to}.",
            self::isWarm($at)
                ? 'No more than two minutes: then the reading moves by itself. Look along every joint that was opened.'
                : 'Hold five minutes, look along every joint that was opened.',
            'Let the pressure off before the tester comes off.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return self::isWarm($at) ? [Hazard::Scald, Hazard::Overpressure] : [Hazard::Overpressure];
    }

    public function observes(): array
    {
        return [PumpedUp::class, PressureTested::class, Declined::class, CoolantRead::class];
    }

    public function asks(Situation $at): array
    {
        $coolant = self::coolantField($at);
        $held = $this->judgement($at);
        [$pumped, $stood, $whole] = [
            $this->pumpedForm($at),
            PressureTested::askedStood($coolant),
            PressureTested::askedWhole($coolant),
        ];
        $holding = $held?->code === PressureHeldCode::Holding || $this->isPumpedAgain($at);

        return Form::offering(
            [
                ...$holding
                    ? [
                        $coolant === null ? PressureTested::askedUnmoved() : null,
                        $stood->aside($coolant === null),
                        $pumped->aside(),
                    ]
                    : [$pumped, $whole->aside()],
                // A test that failed is not undone by “not done”.
                $held?->fails() === true || $held?->code === PressureHeldCode::Holds ? null : Declined::asked(),
            ],
            [
                PressureTested::askedUnmoved(),
                $pumped,
                PressureTested::askedStood(CoolantRead::field()->usuallySaid()),
                PressureTested::askedWhole(CoolantRead::field()->usuallySaid()),
                Declined::asked(),
            ],
        );
    }

    private function pumpedForm(Situation $at): Form
    {
        $kPa = self::toKpa($at);

        return PumpedUp::asked($kPa, $kPa === null ? '' : $at->say($kPa, Dimension::Pressure));
    }

    /** What it is pumped to; null where the cap's rating is not known. */
    private static function toKpa(Situation $at): ?float
    {
        $cap = $at->facts()->capKpa;

        return $cap === null ? null : min($cap, PressureHeld::ENOUGH_KPA);
    }

    private function isPumpedAgain(Situation $at): bool
    {
        return $at->latest(PumpedUp::class)?->isAfter($at->latest(PressureTested::class)) === true;
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if ($form === PumpedUp::form()) {
            PumpedUp::admit($values);
        }
        [$start, $minute, $end] = [
            $values->number(PressureTested::START),
            $values->number(PressureTested::MINUTE),
            $values->number(PressureTested::END),
        ];
        if ($end !== null && $values->number(CoolantRead::COOLANT) !== null) {
            Opening::admit($at, CoolantRead::COOLANT, (float) $values->number(CoolantRead::COOLANT));
        }
        $cap = $at->facts()->capKpa;
        if ($start !== null && $cap !== null && $start > $cap + self::READING_KPA) {
            throw new InvalidField(
                PressureTested::START,
                "That is above the cap rating of {$at->say($cap, Dimension::Pressure)}. Let it off, pump no higher "
                    .'than the cap, and record that test.',
            );
        }
        $held = $values->number(PressureTested::HELD);
        if ($minute !== null && $held !== null && $held <= self::MINUTE_S) {
            throw new InvalidField(
                PressureTested::HELD,
                'Held for no longer than the minute after which it was read. Enter the whole time held.',
            );
        }
        if ($minute !== null && $end > $minute) {
            throw new InvalidField(
                PressureTested::END,
                'It cannot stand higher than after the first minute. Read both again.',
            );
        }
        $from = $start ?? $at->latest(PumpedUp::class)?->kPa;
        if ($end !== null && $from !== null && max($end, $minute ?? 0.0) > $from) {
            throw new InvalidField(
                PressureTested::END,
                'It cannot stand higher than it was pumped, unless the engine was warm. Test cold and enter both '
                    .'readings.',
            );
        }
    }

    public function clock(Situation $at): ?Clock
    {
        $pumped = $at->latest(PumpedUp::class);

        return $pumped === null || ! $pumped->isAfter($at->latest(PressureTested::class))
            ? null
            : self::held($at, $pumped->at());
    }

    private static function held(Situation $at, int $since): Clock
    {
        return self::isWarm($at)
            ? new Clock('Two minutes, warm', $since, $since + (int) PressureHold::WARM_S)
            : new Clock('Hold five minutes', $since, $since + (int) PressureHeld::LEAST_S);
    }

    /** Tested warm, or to be tested so: it has run, and was read warm a little while ago. */
    private static function isWarm(Situation $at): bool
    {
        $tested = $at->latest(PressureTested::class);
        $pumpedSince = $tested !== null && $at->latest(PumpedUp::class)?->isAfter($tested) === true;
        $celsius = $pumpedSince ? null : $tested?->coolantC;
        $celsius ??= self::coolantField($at) === null ? null : NeckHeat::readJustNow($at);

        // A neck that was sealed and is hot is opened by nobody, and no tester goes on it.
        return $celsius > PressureHeld::WARM_C && (! NeckHeat::wasSealed($at) || NeckHeat::mayBeOpened($at, $celsius));
    }

    public function judgement(Situation $at): ?PressureHeld
    {
        return PressureHeld::of($at);
    }

    public function obstacles(Situation $at): array
    {
        return match ($this->judgement($at)?->code) {
            null => [Obstacle::missing('no_test', 'Record the test, or say why it is not done.')],
            PressureHeldCode::Holding => [
                Obstacle::missing('holding', 'It is under pressure: say how it stands when five minutes are over.'),
            ],
            PressureHeldCode::Declined, PressureHeldCode::Holds => [],
            PressureHeldCode::Falls, PressureHeldCode::Lost => [
                Obstacle::at(Gate::Tightness, 'falls', 'The pressure falls: find the drip and test again.'),
            ],
            PressureHeldCode::NotSoLong => [
                Obstacle::missing(
                    'not_so_long',
                    'The journal does not allow for so long. Pump it up, say so, and '
                        .'say how it stands after five minutes.',
                ),
            ],
            default => [
                Obstacle::missing('too_short', 'Pump it up cold and hold it five minutes, and record that test.'),
            ],
        };
    }

    public function figure(Situation $at): Figure
    {
        $held = $this->judgement($at);
        $tested = $at->latest(PressureTested::class);

        return new Figure(
            'Pressure',
            $tested === null ? null : $held?->endKpa,
            Dimension::Pressure,
            Origin::Measured,
            $held?->startKpa ?: null,
            'pumped to',
        );
    }

    public function judge(Situation $at): ?Verdict
    {
        $held = $this->judgement($at);

        return $held === null ? null : PressureWords::of($at, $held);
    }

    /** A test that failed is not taken back like a slip. */
    public function endsIt(Situation $at, Entry $entry): bool
    {
        return PressureTested::of($entry) !== null && $this->judgement($at)?->fails() === true;
    }

    /** How warm it is, where it has run and nobody has read it cold since. */
    private static function coolantField(Situation $at): ?Field
    {
        $read = NeckHeat::readSinceItRan($at);
        // Water that was run to rinse has gone, and what came after it was cold.
        $filled = array_filter(
            $at->job->stepsThat(Does::RunsEngine),
            fn (Step $step) => $step->stage->value >= Stage::RunHot->value,
        );
        $ran = array_filter($filled, fn (Step $step) => $at->job->kinds->of($step)->ran($at->seenFrom($step)) !== null);

        return $ran === [] || ($read !== null && $read <= PressureHeld::WARM_C) ? null : CoolantRead::field();
    }
}
