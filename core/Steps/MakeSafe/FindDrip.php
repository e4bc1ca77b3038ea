<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\MakeSafe;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Line;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Steps\Vacuum\PressureTest;

/** Stage 1, where coolant has been disappearing: topped up and pressed cold, so that the drip shows before anything is drained. */
final class FindDrip extends StepKind
{
    private const PLACES = ['none' => 'None seen', 'cap' => 'Cap or neck', 'hose' => 'Hose or clamp', 'pump' => 'Pump', 'radiator' => 'Radiator', 'heater' => 'Heater, wet carpet', 'plug' => 'Plug or cock', 'gasket' => 'Gasket'];

    private readonly PressureTest $test;

    public function __construct()
    {
        $this->test = new PressureTest;
    }

    public function name(): string
    {
        return 'find_drip';
    }

    public function title(Situation $at): string
    {
        return 'Find the drip first';
    }

    public function why(Situation $at): string
    {
        return 'Coolant has been disappearing. Drained, the circuit shows nothing; topped up and under pressure it drips.';
    }

    public function instructions(Situation $at): array
    {
        return [
            'Top up to the mark with water or the coolant that is in it, and say how much.',
            ...$at->job->plan->input->has('pressure_tester') ? [$this->test->instructions($at)[0], 'Hold it five minutes, and let the pressure off before the tester comes off.'] : ['No pressure tester at hand: leave it standing topped up, with clean paper underneath.'],
            'Look at pump, hose ends, radiator seams, plugs, and the carpet below the heater. Photograph the drip.',
            'No drip and the pressure holds: test for combustion gas; the engine may be consuming it.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Overpressure, Hazard::Scald];
    }

    public function forms(Situation $at): array
    {
        $topped = new Form('topped', 'Record top-up', [
            ...$this->vesselFields($at, 'volume', 'Topped up', 'Measuring jug, 0.1 L marks'),
            Field::choice('liquid', 'With', ['water' => 'Water', 'coolant' => 'The coolant that is in it'], 'water'),
        ], ! $at->has('topped'));
        $seen = new Form('drip', 'Record what was seen', [
            Field::choice('place', 'Drip', self::PLACES, 'none'), Field::text('where', 'Where exactly'),
            Field::choice('gas', 'Combustion gas', ['undone' => 'Not tested', 'clear' => 'None', 'gas' => 'Gas in the coolant'], 'undone'),
        ], $at->has('topped'));
        $tests = $at->job->plan->input->has('pressure_tester') ? $this->test->forms($at) : [];

        return match (true) {
            ! $at->has('topped') => [$topped],
            $tests !== [] && ! $at->has('test') && ! $at->has('declined') => [...$tests, $seen],
            default => [$seen, ...array_slice($tests, 0, 1), $topped],
        };
    }

    /** @param  array<string, mixed>  $values */
    public function admit(Situation $at, string $form, array $values): void
    {
        $this->test->admit($at, $form, $values);
    }

    public function ledger(Situation $at, Entry $entry): array
    {
        return $entry->form !== 'topped' ? [] : [new Line('Topped up for the leak test', $entry->number('volume') ?? 0.0, $at->rules()->plusMinusMl($entry->text('vessel')),
            $entry->text('liquid') === 'water' ? 0.0 : $at->job->plan->input->presumedFraction($at->circuit()), $entry->text('liquid') !== 'water')];
    }

    public function obstacles(Situation $at): array
    {
        $tested = ! $at->job->plan->input->has('pressure_tester') || $at->has('test') || $at->has('declined');
        $seen = $at->last('drip');

        return array_values(array_filter([
            $at->has('topped') ? null : Obstacle::missing('Top it up to the mark first, zero included.'),
            $tested ? null : Obstacle::missing('Record the pressure test, or say why it is not done.'),
            $seen === null ? Obstacle::missing('Record the drip, or that none was seen.') : null,
            $seen !== null && $seen->text('place') === 'none' && $seen->text('gas') === 'undone' ? Obstacle::missing('No drip: test for combustion gas before the circuit is drained.') : null,
        ]));
    }

    public function figure(Situation $at): Figure
    {
        return $this->test->figure($at);
    }

    public function judge(Situation $at): ?Verdict
    {
        $seen = $at->last('drip');

        return match (true) {
            $seen === null => $at->has('test') ? $this->test->judge($at) : null,
            $seen->text('gas') === 'gas' => Verdict::stop('Combustion gas', 'The head gasket or a crack lets gas into the coolant. No bleeding cures that: mend it before anything is filled.'),
            $seen->text('place') !== 'none' => Verdict::pass('Found: '.mb_strtolower(self::PLACES[$seen->text('place')]), 'Mending it is on the close-up list.'.($seen->text('where') === '' ? '' : " Seen: {$seen->text('where')}.")),
            $seen->text('gas') === 'clear' => Verdict::wait('No drip, no gas', 'Fill it, and keep the follow-up short: the level tells.'),
            default => Verdict::wait('No drip', 'Test for combustion gas: the engine may be consuming it.'),
        };
    }

    /**
     * What the close-up must show mended.
     *
     * @return array<string, string>
     */
    public static function toMend(Entry $seen): array
    {
        return array_filter([
            'drip' => $seen->text('place') === 'none' ? null : 'Mended: '.mb_strtolower(self::PLACES[$seen->text('place')]).($seen->text('where') === '' ? '' : ", {$seen->text('where')}"),
            'gas' => $seen->text('gas') === 'gas' ? 'Mended: the way of the combustion gas into the coolant' : null,
        ]);
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 10.0;
    }

    public function waitingMinutes(Step $step, Choices $input): float
    {
        return 5.0;
    }
}
