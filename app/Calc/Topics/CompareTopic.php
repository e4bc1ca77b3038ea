<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Plan\ComparedSchool;
use Aqbel\Core\Plan\Comparison;

final class CompareTopic implements Topic
{
    public function name(): string
    {
        return 'compare';
    }

    public function summary(): string
    {
        return 'every school of filling for a circuit, side by side, and the cheapest way under a limit';
    }

    public function answer(Input $input): array
    {
        $tools = $input->has('tools') ? $input->names('tools') : Comparison::TOOLS;
        foreach ($tools as $i => $tool) {
            if (! in_array($tool, Comparison::TOOLS, true)) {
                throw new InvalidField("tools.{$i}", 'tools may list: '.implode(', ', Comparison::TOOLS).'.');
            }
        }
        $circuit = $input->circuit();
        $drains = $input->has('drains') ? $input->names('drains') : array_map(fn ($port) => $port->id, $circuit->portsOf('drain'));
        $compared = Comparison::of($circuit, $drains, $tools, $input->atmosphere(true), $input->number('limit_share', 0, 1, 0.03), $input->number('sea_level_target_inhg', 1, 29.8, 25));

        return [
            'limit_ml' => $compared->limitMl,
            'retained_ml' => $compared->retainedMl,
            'schools' => array_map(fn (ComparedSchool $s) => [
                'school' => $s->name, 'air_ml' => $s->airMl, 'pockets' => $s->where, 'coolant_ml' => $s->coolantMl, 'hands_on_min' => $s->handsOnMinutes,
                'total_min' => $s->totalMinutes, 'heat_cycles' => $s->heatCycles, 'estimate' => $s->estimate, 'catch' => $s->catch,
            ], $compared->schools),
            'recommended' => $compared->recommended->name,
            'reason' => $compared->reason,
            'cheapest' => $compared->cheapest,
            'never' => $compared->never,
        ];
    }
}
