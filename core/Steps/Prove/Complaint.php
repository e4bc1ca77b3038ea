<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Prove;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\Prepare\Baseline;
use Aqbel\Core\Steps\StepKind;

/** Stage 10: what the vehicle came in for, asked again. */
final class Complaint extends StepKind
{
    /** @var array<string, array{string, string}> complaint => in words, and what it usually was when it is still there */
    private const SAID = [
        'overheats' => ['It overheated', 'A pocket at the head or the thermostat; a fan or a radiator that does not cool.'],
        'heater_cold' => ['The heater blew cold', 'A pocket in the heater core, or its valve.'],
        'gurgling' => ['It gurgled behind the dash', 'Air in the heater core, still on its way out.'],
        'fan' => ['The fan ran early or long', 'Hot coolant does not reach the radiator: a pocket, or the thermostat.'],
        'alarm' => ['The level alarm came on without heat', 'A pocket at the sensor, or the sensor.'],
        'falling' => ['The level fell', 'A leak, or the engine is consuming it: test for combustion gas.'],
    ];

    public function name(): string
    {
        return 'complaint';
    }

    public function title(Situation $at): string
    {
        return 'Is the complaint gone?';
    }

    public function why(Situation $at): string
    {
        return $this->said($at)[0].' when it came in. The customer will try exactly that.';
    }

    public function instructions(Situation $at): array
    {
        return ['Try what the customer complained of, in the same way.', 'Hold the readings against the baseline, where one was taken.'];
    }

    public function forms(Situation $at): array
    {
        return [new Form('answer', 'Record', [Field::choice('answer', 'It is', ['gone' => 'Gone', 'better' => 'Better, watch it', 'still' => 'Still there'], 'gone'), Field::text('how', 'How it was tried')])];
    }

    public function tables(Situation $at): array
    {
        return Baseline::comparison($at);
    }

    public function obstacles(Situation $at): array
    {
        return match ($at->last('answer')?->text('answer')) {
            null => [Obstacle::missing('Say whether the complaint is gone.')],
            'still' => [Obstacle::missing("Still there. Usually: {$this->said($at)[1]}")],
            default => [],
        };
    }

    public function judge(Situation $at): ?Verdict
    {
        return match ($at->last('answer')?->text('answer')) {
            null => null,
            'gone' => Verdict::pass('Gone', 'What it came in for is cured.'),
            'better' => Verdict::wait('Better', 'The follow-up tells whether it stays away.'),
            default => Verdict::stop('Still there', $this->said($at)[1]),
        };
    }

    /** @return array{string, string} */
    private function said(Situation $at): array
    {
        return self::SAID[$at->job->plan->input->complaint] ?? ['Something was wrong', 'Look again.'];
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 4.0;
    }
}
