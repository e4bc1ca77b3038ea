<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Temperature;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;

/** Stage 7: adapter on, vacuum pulled to the target for this elevation. */
final class Pull extends StepKind
{
    private const MINUTES = 3;

    public function name(): string
    {
        return 'pull';
    }

    public function title(Situation $at): string
    {
        return 'Pull the vacuum';
    }

    public function why(Situation $at): string
    {
        return "{$at->say((float) $at->param('target_kpa'), Unit::InchOfMercury)} here is the same quality of vacuum as {$at->rules()->seaLevelVacuumInHg} inHg at sea level: the air is thinner, not the tool weaker.";
    }

    public function instructions(Situation $at): array
    {
        return [
            'Heater valve open. Adapter seated on the neck, outlet hose to the floor.',
            'Air on, valve open. Hoses flatten: normal.',
            'Short of the target after three minutes: adapter not seated, a drain open, or weak air, before any other leak.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Collapse];
    }

    public function forms(Situation $at): array
    {
        $reading = new Form('reading', 'Record gauge', [Field::vacuum('vacuum', 'Gauge shows', $at->job->plan->input->atmosphere()->pressure->kPa() - 0.5)], $at->has('started'));

        return $at->has('started') ? [$reading] : [new Form('started', 'Pulling now'), $reading];
    }

    public function clock(Situation $at): ?Clock
    {
        $started = $at->last('started');

        return $started === null || $this->reached($at) ? null : new Clock('Target within three minutes', $started->at, $started->at + self::MINUTES * 60);
    }

    public function obstacles(Situation $at): array
    {
        return $this->reached($at) ? [] : [Obstacle::missing($at->has('reading')
            ? 'The gauge stands short of the target. Seat the adapter again, check the drains just used, then the air supply.'
            : 'Record what the gauge shows.')];
    }

    public function figure(Situation $at): Figure
    {
        return new Figure('Vacuum', $at->last('reading')?->number('vacuum'), Unit::InchOfMercury, Figure::MEASURED, (float) $at->param('target_kpa'), 'target here');
    }

    public function judge(Situation $at): ?Verdict
    {
        $read = $at->last('reading')?->number('vacuum');
        if ($read === null) {
            return null;
        }
        if ($this->reached($at)) {
            return Verdict::pass('Target reached', 'Close the valve and hold.');
        }
        $short = $at->say((float) $at->param('target_kpa') - $read, Unit::InchOfMercury);
        $absolute = $at->job->plan->input->atmosphere()->pressure->kPa() - $read;
        if ($absolute < 1.5 * $at->facts()->coolant()->vapourPressure(Temperature::celsius(40.0))->kPa() && (float) $at->param('target_kpa') - $read < 7.0) {
            return Verdict::wait("Short by {$short}", 'If the circuit is warm or wet its own vapour holds the needle here: let it cool, then pull again.');
        }

        return Verdict::wait("Short by {$short}", 'Adapter not seated, a drain open, or weak air: look there first.');
    }

    public function waitingMinutes(Step $step, Choices $input): float
    {
        return (float) self::MINUTES;
    }

    private function reached(Situation $at): bool
    {
        $read = $at->last('reading')?->number('vacuum');

        return $read !== null && $read >= (float) $at->param('target_kpa') - Pressure::inchesOfMercury($at->rules()->gaugeResolutionInHg)->kPa();
    }
}
