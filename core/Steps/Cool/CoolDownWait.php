<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Cool;

use Aqbel\Core\Heat\CoolDown;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stages 1 and 9: waiting until the circuit may be opened. A neck sealed while warming stays shut until then, whatever the reason. */
final class CoolDownWait extends StepKind
{
    private const RESTED_HOURS = 2.0;

    public function name(): string
    {
        return 'cool_down';
    }

    public function title(Situation $at): string
    {
        return $at->step->stage === Stage::MakeSafe ? 'Is it cold?' : 'Cool down';
    }

    public function why(Situation $at): string
    {
        return $at->step->stage === Stage::MakeSafe
            ? 'A warm circuit is under pressure and scalds when the cap moves.'
            : 'Cooling draws coolant in where the air was. Opened warm, the level lies and the neck scalds.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Read the coolant temperature and the air temperature. Hood open, cap shut.',
            'A second reading some minutes later makes the clock this engine’s own instead of a typical one.',
            'Come back when the clock is over and read once more.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Scald];
    }

    public function forms(Situation $at): array
    {
        $air = $at->last('reading')?->number('air');

        return [
            new Form('reading', 'Record reading', [
                Field::temperature('ect', 'Coolant'),
                Field::temperature('air', 'Air', true, -40, 55),
            ], note: $air === null ? '' : 'Air was '.$at->degrees($air).' last time.'),
            new Form('rested', 'It stood long enough', [Field::duration('since', 'Hours since it last ran', \Aqbel\Core\Quantity\Unit::Hour, 3600.0 * 24 * 400)], false),
        ];
    }

    /** @param  array<string, mixed>  $values */
    public function admit(Situation $at, string $form, array $values): void
    {
        $ran = $at->job->lastRan();
        if ($form === 'rested' && $ran !== null && $values['since'] > $at->now - $ran + 60) {
            throw new InvalidField('since', 'The journal has the engine running '.max(1, intdiv($at->now - $ran, 60)).' min ago, so it cannot have stood that long. Read the temperature instead, or wait.');
        }
    }

    public function obstacles(Situation $at): array
    {
        $safe = $at->rules()->safeTemperatureC;
        $rested = $at->last('rested')?->number('since');
        $ect = $at->last('reading')?->number('ect');
        if ($ect !== null && $ect > $safe) {
            $clock = $this->clock($at);
            $when = $clock === null ? '' : ' About '.max(1, (int) ceil(($clock->until - $at->now) / 60)).' min to go.';

            return [Obstacle::never("At {$at->degrees($ect)} the neck stays shut: it opens at {$at->degrees($safe)} or below.{$when}")];
        }
        if ($ect !== null || ($rested !== null && $rested >= self::RESTED_HOURS * 3600.0)) {
            return [];
        }

        return [$rested === null
            ? Obstacle::never('Read the coolant temperature, or say how many hours it has stood.')
            : Obstacle::never('Two hours standing is the least. Read the temperature instead, or wait.')];
    }

    public function clock(Situation $at): ?Clock
    {
        $readings = $at->entries('reading');
        if ($readings === []) {
            return null;
        }
        $first = $readings[0];
        $last = $readings[count($readings) - 1];
        $points = [];
        foreach ($readings as $entry) {
            $minute = ($entry->at - $first->at) / 60.0;
            if ($points === [] || $minute > $points[count($points) - 1]['t_min']) {
                $points[] = ['t_min' => $minute, 'temperature' => Temperature::celsius((float) $entry->number('ect'))];
            }
        }
        try {
            $safe = Temperature::celsius($at->rules()->safeTemperatureC);
            $air = Temperature::celsius((float) $last->number('air'));
            $minutes = CoolDown::predict($air, $points, $safe)->minutesFromLast;
        } catch (InvalidField) {
            return null;
        }

        return $minutes <= 0.0 ? null : new Clock('Until the neck may be opened', $last->at, $last->at + (int) round($minutes * 60), true);
    }

    public function figure(Situation $at): Figure
    {
        return new Figure('Coolant', $at->last('reading')?->number('ect'), Dimension::Temperature, Figure::MEASURED, $at->rules()->safeTemperatureC, 'neck may be opened');
    }

    public function judge(Situation $at): ?Verdict
    {
        $last = $at->last('reading');
        if ($last === null) {
            return null;
        }
        $safe = $at->rules()->safeTemperatureC;
        if ($last->number('ect') <= $safe) {
            return Verdict::pass('Cold enough', "{$at->degrees((float) $last->number('ect'))} is at or below {$at->degrees($safe)}.");
        }
        $clock = $this->clock($at);
        if ($clock === null) {
            return Verdict::wait('Not falling yet', 'The readings do not fall toward the air temperature. Check both and read again in ten minutes.');
        }
        $readings = count($at->entries('reading'));

        return Verdict::wait('Too hot to open', $readings > 1
            ? "Newton’s cooling through your {$readings} readings: cold enough when the clock is over."
            : 'A typical engine with the hood open takes this long. A second reading makes it this one’s.');
    }

    public function waitingMinutes(Step $step, Choices $input): float
    {
        return $step->stage === Stage::MakeSafe ? 0.0 : 90.0;
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 2.0;
    }
}
