<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Virtual\Action;
use Aqbel\Core\Virtual\Faults;
use Aqbel\Core\Virtual\Vehicle;

final class VirtualTopic implements Topic
{
    private const LONGEST_S = 6.0 * 3600.0;

    public function name(): string
    {
        return 'virtual';
    }

    public function summary(): string
    {
        return 'a vehicle that is not there: what its instruments show under actions and faults, and what was so';
    }

    public function answer(Input $input): array
    {
        $trace = Vehicle::run(
            $input->circuit(),
            Faults::of($input->has('faults') ? $input->names('faults') : []),
            (int) $input->number('seed', 0, 2_147_483_647, 1),
            $input->atmosphere(seaLevelByDefault: true),
            $input->number('ambient_c', -40, 50, 20),
            self::actions($input),
            $input->number('seconds', 1, self::LONGEST_S),
        );

        return [
            'channels' => $trace->channels,
            'truth' => [
                'opened_at_s' => $trace->openedAtS,
                'fan_on_s' => $trace->fanOnS,
                'fan_off_s' => $trace->fanOffS,
                'air_ml' => (object) $trace->airMl,
                'content_ml' => $trace->contentMl,
                'poured_ml' => $trace->pouredMl,
                'lost_ml' => $trace->lostMl,
                'energy_in_kj' => $trace->energyKj['in'],
                'energy_stored_kj' => $trace->energyKj['stored'],
                'energy_lost_kj' => $trace->energyKj['lost'],
            ],
        ];
    }

    /** @return list<Action> in order of time */
    private static function actions(Input $input): array
    {
        $actions = [];
        foreach ($input->has('actions') ? array_values($input->object('actions')) : [] as $i => $told) {
            $told = is_array($told) ? array_values($told) : [];
            [$at, $kind, $value] = [...$told, null, null, null];
            if (
                ! is_numeric($at)
                || $at < 0
                || ! in_array($kind, Action::KINDS, true)
                || ($value !== null && ! is_numeric($value))
            ) {
                throw new InvalidField(
                    "actions.{$i}",
                    'Write [seconds, action, value]; actions are: '.implode(', ', Action::KINDS).'.',
                );
            }
            $actions[] = new Action((float) $at, $kind, (float) ($value ?? 0.0));
        }
        usort($actions, fn (Action $a, Action $b) => $a->atS <=> $b->atS);

        return $actions;
    }
}
