<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Rinse;

use Aqbel\Core\Circuit\Gate;
use Aqbel\Core\Circuit\GateKind;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Judged\RinseNeeded;
use Aqbel\Core\Observed\RanThrough;
use Aqbel\Core\Observed\RinseWaterIn;
use Aqbel\Core\Observed\RinseWaterOut;
use Aqbel\Core\Observed\Runs;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Values;

/** Stage 3: cold water through the open circuit, no warm-up. */
final class RinseFlow extends StepKind
{
    public function name(): string
    {
        return 'rinse_flow';
    }

    protected function doing(): array
    {
        return [Does::MovesCoolant, Does::OpensNeck];
    }

    public function title(Situation $at): string
    {
        return 'Cold flow-through';
    }

    public function why(Situation $at): string
    {
        return 'No heat and no wait; it rinses only where the water runs.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Drains'
            .($at->circuit()->hasBleedPoints() ? ' and top bleed points' : '')
            .' open, '
            .($at->circuit()->hasHeater() ? 'heater full hot, ' : '')
            .'water in at the top until it runs clear below.',
            self::leaves($at),
            'Stop the water, let it run out, close every point.',
            'What went in came out; where it was measured, the difference stays inside.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Waste];
    }

    public function asks(Situation $at): array
    {
        $isMeasured = $at->observed(RinseWaterIn::class) !== [];
        $through = RanThrough::asked();
        $in = RinseWaterIn::askedWhereMeasured($at);
        $out = RinseWaterOut::asked($at, 'Water out, measured', $isMeasured);

        return Form::offering([$isMeasured ? null : $through, $in, $isMeasured ? $out : null], [$through, $in, $out]);
    }

    public function admit(Situation $at, string $form, Values $values): void
    {
        if (in_array($form, RanThrough::forms(), true)) {
            RanThrough::admit($values);
        }
    }

    public function observes(): array
    {
        return [RanThrough::class, RinseWaterIn::class, RinseWaterOut::class];
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return RinseWater::lines($at, $entry);
    }

    public function obstacles(Situation $at): array
    {
        return match (true) {
            $this->runs($at) === null => [Obstacle::missing('no_volume', 'Say how it runs once it has gone through.')],
            $this->runs($at) !== Runs::Clear => [
                Obstacle::missing('not_clear', 'It does not run clear yet. Let more water through, or give a reason.'),
            ],
            default => [],
        };
    }

    /** How it ran out the last time; null where nobody said. */
    private function runs(Situation $at): ?Runs
    {
        $told = Told::inOrder([...$at->observed(RanThrough::class), ...$at->observed(RinseWaterOut::class)]);
        $said = array_filter($told, fn (RanThrough|RinseWaterOut $some) => $some->runs !== null);

        return $said === [] ? null : end($said)->runs;
    }

    public function orders(Situation $at): array
    {
        return RinsePart::after($at);
    }

    public function judge(Situation $at): ?Verdict
    {
        $runs = $this->runs($at);
        if ($runs === null) {
            return null;
        }
        $old = $at->say($at->job->ledgerBefore(Stage::CloseUp)->oldShare(), Unit::Percent);

        $inside = "Old coolant about {$old} of the full circuit, if it mixed. ".self::leaves($at);
        $target = RinseNeeded::target($at);

        return match (true) {
            $runs !== Runs::Clear => Verdict::wait('not_clear', 'Not clear yet', 'Let more water through.'),
            // What must not stay stands where no cold water runs.
            $target !== null && RinsePart::rest($at->step) === [] => Verdict::wait(
                'clear_cold',
                'Runs clear, cold',
                "{$inside} Here only {$at->say($target, Unit::Percent)} may stay: a hot rinse reaches the rest.",
            ),
            default => Verdict::pass('clear', 'Runs clear', $inside),
        };
    }

    /** What a shut gate keeps from being rinsed, in words. */
    public static function leaves(Situation $at): string
    {
        $circuit = $at->circuit();
        $cutting = array_filter(
            $circuit->gates,
            fn (Gate $gate) => $gate->kind === GateKind::Thermostat && ! $gate->weeps,
        );
        $cut = array_map(fn (Gate $gate) => $circuit->passages[$gate->passage]->label, $cutting);

        $looked
            = array_filter($circuit->gates, fn (Gate $gate) => $gate->kind === GateKind::Thermostat && ! $gate->sure)
            === [];

        return $cut === []
            ? ($looked
                ? 'The thermostat weeps here: a trickle passes it, no more.'
                : 'Past a shut thermostat goes a trickle, if this one weeps at all.')
            : 'A shut thermostat leaves what lies behind it unrinsed: '.implode(', ', array_unique($cut)).'.';
    }
}
