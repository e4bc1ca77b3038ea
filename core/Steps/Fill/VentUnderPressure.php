<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Judged\VentedSolid;
use Aqbel\Core\Judged\VentedSolidCode;
use Aqbel\Core\Observed\PointCracked;
use Aqbel\Core\Observed\PressureLetOff;
use Aqbel\Core\Observed\PumpedToVent;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/**
 * Stage 6: cold, the closed circuit is pumped up and a bleed point cracked until it runs solid; then the pressure is
 * let off.
 */
final class VentUnderPressure extends StepKind
{
    /** A pressure read half a kilopascal above the limit is the limit. */
    private const READING_KPA = 0.5;

    public function name(): string
    {
        return 'vent_under_pressure';
    }

    protected function doing(): array
    {
        return [Does::LoadsJoints, Does::Guards];
    }

    public function title(Situation $at): string
    {
        return 'Vent under pressure, cold';
    }

    public function why(Situation $at): string
    {
        return 'Pumped up, coolant reaches a point that lies above the neck, and drives the air in front of '
            .'it out there.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Engine cold, circuit full and closed. Tester on the neck, pump to '
                ."{$at->say($at->facts()->mostToVentKpa(), Dimension::Pressure)} and no higher.",
            'Rag over the point, crack it a quarter turn until it runs solid, shut it, pump up again. Each '
                .'point in turn.',
            'Let the pressure off before the tester comes off; top up what went out.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Overpressure, Hazard::Scald];
    }

    public function observes(): array
    {
        return [PumpedToVent::class, PointCracked::class, PressureLetOff::class];
    }

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), [
            PumpedToVent::asked(),
            $this->crackedForm($at),
            PressureLetOff::asked(),
        ]);
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        if ($at->latest(PumpedToVent::class) === null || $this->isReleased($at)) {
            return [PumpedToVent::asked()];
        }

        return [...($this->judgement($at)->open === [] ? [] : [$this->crackedForm($at)]), PressureLetOff::asked()];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if ($form !== PumpedToVent::FORM) {
            return;
        }
        if (NeckHeat::mayBeUnderPressure($at)) {
            throw new InvalidField(
                PumpedToVent::KPA,
                'The engine has run hot and nobody has read it cold since. Never pump '
                    .'on a warm circuit: let it cool, and read it first.',
            );
        }
        $lifts = array_map(fn (Port $port) => VentedSolid::liftsFromKpa($at, $port), VentedSolid::of($at)->open);
        if ($lifts !== [] && $values->number(PumpedToVent::KPA) < min($lifts)) {
            throw new InvalidField(
                PumpedToVent::KPA,
                'That lifts coolant to no point that is still to '
                    ."run: {$at->say(min($lifts), Dimension::Pressure)} is the least. "
                    .'Pump it up, and enter what the tester shows then.',
            );
        }
        $most = $at->facts()->mostToVentKpa();
        if ($values->number(PumpedToVent::KPA) > $most + self::READING_KPA) {
            throw new InvalidField(
                PumpedToVent::KPA,
                "That is more than {$at->say($most, Dimension::Pressure)}. Let it off, and pump no higher.",
            );
        }
    }

    public function obstacles(Situation $at): array
    {
        $pumped = $at->latest(PumpedToVent::class) !== null;
        $unsaid = $this->judgement($at)->unsaid;

        return array_values(
            array_filter([
                $pumped ? null : Obstacle::missing('not_pumped', 'Record what it was pumped to.'),
                $pumped && $unsaid !== []
                    ? Obstacle::missing('not_cracked', 'Say what came at: '.self::listed($unsaid).'.')
                    : null,
                $pumped && ! $this->isReleased($at)
                    ? Obstacle::never('not_released', 'It is under pressure. Let it off, and say so.')
                    : null,
            ]),
        );
    }

    public function judgement(Situation $at): VentedSolid
    {
        return VentedSolid::of($at);
    }

    public function judge(Situation $at): ?Verdict
    {
        if ($at->observed(PointCracked::class) === []) {
            return null;
        }
        $vented = $this->judgement($at);
        $points = self::listed($vented->open);

        return match ($vented->code()) {
            VentedSolidCode::Solid->value => Verdict::pass(
                'solid',
                'Solid',
                'Every point runs coolant alone under pressure.',
            ),
            VentedSolidCode::TooLittle->value => Verdict::wait(
                'too_little',
                'Too little pressure',
                "What it was pumped to lifts no coolant to: {$points}. Pump up and crack again.",
            ),
            default => Verdict::wait('air_came', 'Not solid yet', "Pump up and crack again: {$points}."),
        };
    }

    /** @param  list<Port>  $ports */
    private static function listed(array $ports): string
    {
        return implode(', ', array_map(fn (Port $port) => $port->label, $ports));
    }

    private function isReleased(Situation $at): bool
    {
        return $at->latest(PressureLetOff::class)?->isAfter($at->latest(PumpedToVent::class)) === true;
    }

    private function crackedForm(Situation $at): Form
    {
        return PointCracked::asked($at->circuit()->portsOf(PortKind::Bleed), $this->judgement($at)->open[0] ?? null);
    }
}
