<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\NeckHeat;
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
        return Form::offering($this->offered($at), [PumpedToVent::asked(), $this->crackedForm($at), PressureLetOff::asked()]);
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        if ($at->latest(PumpedToVent::class) === null || $this->isReleased($at)) {
            return [PumpedToVent::asked()];
        }

        return [...($this->notSolid($at) === [] ? [] : [$this->crackedForm($at)]), PressureLetOff::asked()];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if ($form !== PumpedToVent::FORM) {
            return;
        }
        if (NeckHeat::mayBeUnderPressure($at)) {
            throw new InvalidField(PumpedToVent::KPA, 'The engine has run hot and nobody has read it cold since. Never pump '
                .'on a warm circuit: let it cool, and read it first.');
        }
        $most = $at->facts()->mostToVentKpa();
        if ($values->number(PumpedToVent::KPA) > $most + self::READING_KPA) {
            throw new InvalidField(PumpedToVent::KPA, "That is more than {$at->say($most, Dimension::Pressure)}. Let it off, "
                .'and pump no higher.');
        }
    }

    public function obstacles(Situation $at): array
    {
        $pumped = $at->latest(PumpedToVent::class) !== null;
        $open = array_map(fn (Port $port) => $port->label, $this->points($at, said: false));

        return array_values(array_filter([
            $pumped ? null : Obstacle::missing('not_pumped', 'Record what it was pumped to.'),
            $pumped && $open !== [] ? Obstacle::missing('not_cracked', 'Say what came at: '.implode(', ', $open).'.') : null,
            $pumped && ! $this->isReleased($at) ? Obstacle::never('not_released', 'It is under pressure. Let it off, and say so.') : null,
        ]));
    }

    public function judge(Situation $at): ?Verdict
    {
        if ($at->observed(PointCracked::class) === []) {
            return null;
        }
        $still = $this->notSolid($at);

        return $still === []
            ? Verdict::pass('solid', 'Solid', 'Every point runs coolant alone under pressure.')
            : Verdict::wait('air_came', 'Not solid yet', 'Pump up and crack again: '.implode(', ', array_map(fn (Port $port) => $port->label, $still)).'.');
    }

    /** @return list<Port> that have not run solid */
    private function notSolid(Situation $at): array
    {
        return $this->points($at, said: true);
    }

    /**
     * Bleed points of which nothing was said.
     *
     * @param  bool  $said  with those of which something else than solid was said last
     * @return list<Port>
     */
    private function points(Situation $at, bool $said): array
    {
        $solid = [];
        foreach ($at->observed(PointCracked::class) as $cracked) {
            $solid[$cracked->point] = $cracked->solid;
        }
        $isOpen = fn (Port $port): bool => $said ? ! ($solid[$port->id] ?? false) : ! isset($solid[$port->id]);

        return array_values(array_filter($at->circuit()->portsOf(PortKind::Bleed), $isOpen));
    }

    private function isReleased(Situation $at): bool
    {
        return $at->latest(PressureLetOff::class)?->isAfter($at->latest(PumpedToVent::class)) === true;
    }

    private function crackedForm(Situation $at): Form
    {
        return PointCracked::asked($at->circuit()->portsOf(PortKind::Bleed), $this->notSolid($at)[0] ?? null);
    }
}
