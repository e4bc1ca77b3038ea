<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\NeckHeat;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Saying\Field;
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

    private const MOST_KPA = 400.0;

    private const CAME = ['solid' => 'Coolant alone, solid', 'air' => 'Air, then coolant', 'nothing' => 'Nothing'];

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

    public function asks(Situation $at): array
    {
        return Form::offering($this->offered($at), $this->ever($at));
    }

    /** @return list<Form> */
    private function offered(Situation $at): array
    {
        if (! $at->has('pumped') || $this->isReleased($at)) {
            return [self::pumpedForm()];
        }

        return [...($this->notSolid($at) === [] ? [] : [$this->crackedForm($at)]), self::releasedForm()];
    }

    /** @return list<Form> */
    private function ever(Situation $at): array
    {
        return [self::pumpedForm(), $this->crackedForm($at), self::releasedForm()];
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if ($form !== 'pumped') {
            return;
        }
        if (NeckHeat::mayBeUnderPressure($at)) {
            throw new InvalidField('kpa', 'The engine has run hot and nobody has read it cold since. Never pump '
                .'on a warm circuit: let it cool, and read it first.');
        }
        $most = $at->facts()->mostToVentKpa();
        if ($values->number('kpa') > $most + self::READING_KPA) {
            throw new InvalidField('kpa', "That is more than {$at->say($most, Dimension::Pressure)}. Let it off, "
                .'and pump no higher.');
        }
    }

    public function obstacles(Situation $at): array
    {
        $open = array_map(fn (Port $port) => $port->label, $this->points($at, 'nothing said'));

        return array_values(array_filter([
            $at->has('pumped') ? null : Obstacle::missing('not_pumped', 'Record what it was pumped to.'),
            $at->has('pumped') && $open !== [] ? Obstacle::missing('not_cracked', 'Say what came at: '.implode(', ', $open).'.') : null,
            $at->has('pumped') && ! $this->isReleased($at) ? Obstacle::never('not_released', 'It is under pressure. Let it off, and say so.') : null,
        ]));
    }

    public function judge(Situation $at): ?Verdict
    {
        if ($at->entries('cracked') === []) {
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
        return $this->points($at, 'air', 'nothing');
    }

    /** @return list<Port> bleed points of which nothing was said, or one of these last */
    private function points(Situation $at, string ...$came): array
    {
        $said = [];
        foreach ($at->entries('cracked') as $entry) {
            $said[$entry->text('point')] = $entry->text('came');
        }

        return array_values(array_filter(
            $at->circuit()->portsOf(PortKind::Bleed),
            fn (Port $port) => ! isset($said[$port->id]) || in_array($said[$port->id], $came, true),
        ));
    }

    private function isReleased(Situation $at): bool
    {
        return ($at->last('released')->seq ?? 0) > ($at->last('pumped')->seq ?? 0);
    }

    private static function pumpedForm(): Form
    {
        return new Form('pumped', 'It is pumped up', [Field::pressure('kpa', 'Pumped to', self::MOST_KPA)]);
    }

    private function crackedForm(Situation $at): Form
    {
        $ports = $at->circuit()->portsOf(PortKind::Bleed);
        $points = array_combine(array_map(fn (Port $p) => $p->id, $ports), array_map(fn (Port $p) => $p->label, $ports));
        $next = $this->notSolid($at)[0]->id ?? (string) array_key_first($points);

        return new Form('cracked', 'Cracked, and shut again', [
            Field::choice('point', 'Point', $points, $next),
            Field::choice('came', 'It ran', self::CAME),
        ]);
    }

    private static function releasedForm(): Form
    {
        return new Form('released', 'The pressure is off', [], false, closes: true);
    }
}
