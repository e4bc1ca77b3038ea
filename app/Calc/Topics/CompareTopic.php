<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Plan\CheapestFill;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Plan\ComparedSchool;
use Aqbel\Core\Plan\Comparison;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\HouseRules;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\NeverRuns;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Plan\Tool;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Schools\Aid;
use Aqbel\Core\Schools\Combination;
use Aqbel\Core\Schools\Combinations;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;

final class CompareTopic implements Topic
{
    /** The tools that decide about a way of filling. */
    private const TOOLS = [Tool::VacuumFiller, Tool::Funnel, Tool::Ramps, Tool::PressureTester];

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
        $tools = $input->has('tools')
            ? array_map($this->tool(...), array_keys($input->names('tools')), $input->names('tools'))
            : self::TOOLS;
        $circuit = $input->circuit();
        $drains = $input->has('drains') ? $input->names('drains') : $circuit->portIds(PortKind::Drain);
        $rules = new HouseRules(
            seaLevelVacuumInHg: $input->number('sea_level_target_inhg', 1, 29.8, 25),
            airShare: $input->number('limit_share', 0, 1, 0.03),
        );
        $choices = new Choices(
            JobKind::Repair,
            Complaint::None,
            'gravity',
            [],
            $drains,
            $input->elevationM(),
            0.0,
            $circuit->facts->targetFraction,
            0.0,
            $rules,
            $tools,
        );
        $planner = new Planner(StepCatalogue::standard(), SchoolCatalogue::standard());
        $on = $planner->groundwork($circuit, $choices);
        $compared = Comparison::of($planner, $on);

        return [
            'limit_ml' => $compared->limitMl,
            'retained_ml' => $compared->retainedMl,
            'schools' => array_map(self::school(...), $compared->schools),
            'recommended' => $compared->recommended->school->id(),
            'reason' => $compared->reason($circuit, UnitSystem::Metric),
            'cheapest' => $compared->cheapest === null ? null : self::cheapest($compared->cheapest),
            'never' => array_map(self::never(...), $compared->never),
            'combinations' => array_map(self::combination(...), Combinations::of($planner, $on)),
        ];
    }

    private function tool(int $i, string $name): Tool
    {
        $tool = Tool::tryFrom($name);
        if ($tool === null || ! in_array($tool, self::TOOLS, true)) {
            $known = implode(', ', array_map(fn (Tool $t) => $t->value, self::TOOLS));
            throw new InvalidField("tools.{$i}", "tools may list: {$known}.");
        }

        return $tool;
    }

    /** @return array<string, mixed> */
    private static function school(ComparedSchool $row): array
    {
        return [
            'school' => $row->school->id(),
            'air_ml' => $row->fill->airMl,
            'air_low_ml' => $row->fill->airLowMl(),
            'air_high_ml' => $row->fill->airHighMl(),
            'pockets' => array_map(FillTopic::pocket(...), $row->fill->pockets),
            'coolant_ml' => $row->fill->coolantMl,
            'hands_on_min' => $row->likelyMinutes()->hands,
            'total_min' => $row->likelyMinutes()->total(),
            'heat_cycles' => $row->runs->likely,
            'one_is_enough' => $row->runs->enough,
            'estimate' => $row->fill->estimate,
            'catch' => $row->school->catch(),
        ];
    }

    /** @return array<string, mixed> */
    private static function combination(Combination $one): array
    {
        $minutes = $one->likelyMinutes();

        return [
            'fill' => $one->way->fill->value,
            'warm_up' => $one->way->warmedBy->value,
            'aids' => array_map(fn (Aid $aid) => $aid->value, $one->way->aids),
            'end' => $one->way->until->value,
            'air_ml' => $one->fill->airMl,
            'estimate' => $one->fill->estimate,
            'hands_on_min' => $minutes->hands,
            'total_min' => $minutes->total(),
            'brings_ml' => (object) $one->brings,
        ];
    }

    /** @return array<string, mixed> */
    private static function cheapest(CheapestFill $fill): array
    {
        return [
            'nose_lift_mm' => $fill->pour->noseLiftMm, 'head_mm' => $fill->pour->headMm, 'open' => $fill->pour->open,
            'minutes' => $fill->minutes, 'air_ml' => $fill->airMl, 'air_high_ml' => $fill->airHighMl,
        ];
    }

    /** @return array<string, mixed> */
    private static function never(NeverRuns $never): array
    {
        return [
            'port' => $never->silent->port,
            'because' => $never->silent->because->value,
            'about' => $never->silent->about,
            'missing_mm' => $never->silent->missingMm,
            'funnel_mm' => $never->funnelMm,
            'nose_lift_mm' => $never->noseLiftMm,
        ];
    }
}
