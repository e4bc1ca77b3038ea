<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Vacuum;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Saying\Clock;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Figure;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Hazard;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Vacuum\HoldVerdict;
use Aqbel\Core\Vacuum\VacuumHold;

/** Stage 7: the hold test, by repeated readings, short or long. */
final class Hold extends StepKind
{
    public function name(): string
    {
        return 'hold';
    }

    public function title(Situation $at): string
    {
        return 'Hold the vacuum';
    }

    public function why(Situation $at): string
    {
        $detectable = fn (float $minutes): string => $at->say(
            Pressure::inchesOfMercury($at->rules()->gaugeResolutionInHg)->kPa() * $this->voidMl($at) / ($at->job->plan->input->atmosphere()->pressure->kPa() * $minutes), Unit::Millilitre);

        return "A leak falls in a straight line, settling bends and stands. On this gauge {$at->rules()->glanceMinutes} min show leaks from {$detectable($at->rules()->glanceMinutes)} of air a minute, {$at->rules()->holdMinutes} min from {$detectable($at->rules()->holdMinutes)}.";
    }

    public function instructions(Situation $at): array
    {
        return [
            'Valve closed, air off. First reading at once; that starts the clock.',
            'Read again every few minutes, at least three times. Do not touch hoses or adapter in between.',
            'A rocking adapter is the usual false alarm.',
        ];
    }

    public function hazards(Situation $at): array
    {
        return [Hazard::Collapse];
    }

    public function forms(Situation $at): array
    {
        return [
            new Form('reading', 'Record gauge', [Field::vacuum('vacuum', 'Gauge shows', $at->job->plan->input->atmosphere()->pressure->kPa() - 0.5)]),
            new Form('school', 'Set length', [Field::choice('length', 'Length of the test', ['glance' => "Glance, {$at->rules()->glanceMinutes} min", 'real' => "Real test, {$at->rules()->holdMinutes} min"], $this->school($at))], false),
            new Form('restart', 'Pulled again: restart the hold', [], false),
        ];
    }

    public function clock(Situation $at): ?Clock
    {
        $first = $this->readings($at)[0] ?? null;
        $minutes = $this->school($at) === 'glance' ? $at->rules()->glanceMinutes : $at->rules()->holdMinutes;

        return $first === null ? null : new Clock('Hold', $first->at, $first->at + (int) round($minutes * 60));
    }

    public function obstacles(Situation $at): array
    {
        $hold = $this->hold($at);
        $readings = $this->readings($at);
        $clock = $this->clock($at);
        $long = $clock !== null && $readings[count($readings) - 1]->at >= $clock->until;

        return match (true) {
            $hold === null => [Obstacle::missing('Record the first reading when the valve is closed.')],
            $hold->verdict === HoldVerdict::Leak => [],
            $hold->verdict === HoldVerdict::Settling => [Obstacle::missing('The circuit was settling. Pull again and restart the hold.')],
            ! $long => [Obstacle::missing('The hold is not over: take a reading when its clock is.')],
            $hold->verdict === HoldVerdict::Tight => [],
            default => [Obstacle::missing('The readings do not decide it yet. Take more.')],
        };
    }

    public function figure(Situation $at): Figure
    {
        $readings = $this->readings($at);

        return new Figure('Vacuum', $readings === [] ? null : $readings[count($readings) - 1]->number('vacuum'), Unit::InchOfMercury, Figure::MEASURED,
            $readings === [] ? null : $readings[0]->number('vacuum'), 'at valve closed');
    }

    public function judge(Situation $at): ?Verdict
    {
        $hold = $this->hold($at);
        if ($hold === null) {
            return null;
        }
        $rate = round($hold->airLeakMlPerMinute());

        return match ($hold->verdict) {
            HoldVerdict::Tight => Verdict::pass('Tight so far', $hold->reason.' Smallest leak this could show: '.round((float) $hold->detectableMlPerMinute()).' mL of air a minute.'),
            HoldVerdict::Leak => Verdict::stop('Leak', "{$hold->reason} {$rate} mL a minute, like a hole of ".round((float) $hold->holeMicrometres()).' µm. Finish this step: the leak hunt comes next.'),
            HoldVerdict::Settling => Verdict::wait('Settling', $hold->reason),
            HoldVerdict::Inconclusive => Verdict::wait('Not decided yet', $hold->reason),
        };
    }

    public function orders(Situation $at): array
    {
        if ($this->hold($at)?->verdict !== HoldVerdict::Leak) {
            return [];
        }
        $round = count($at->job->stepsOf('hold')) + 1;

        return [
            new Step("leak_hunt:{$round}", 'leak_hunt', Stage::Vacuum),
            new Step("pull:{$round}", 'pull', Stage::Vacuum, $at->job->before($at->step, 'pull')->params ?? []),
            new Step("hold:{$round}", 'hold', Stage::Vacuum, $at->step->params),
        ];
    }

    /** @return list<Entry> since the last restart */
    public function readings(Situation $at): array
    {
        $since = $at->last('restart')->seq ?? 0;

        return array_values(array_filter($at->entries('reading'), fn (Entry $e) => $e->seq > $since));
    }

    public function hold(Situation $at): ?VacuumHold
    {
        $readings = $this->readings($at);
        $points = [];
        foreach ($readings as $entry) {
            $second = (float) ($entry->at - $readings[0]->at);
            if ($points === [] || $second > $points[count($points) - 1]['t_s']) {
                $points[] = ['t_s' => $second, 'vacuum' => Pressure::kilopascals((float) $entry->number('vacuum'))];
            }
        }

        return $points === [] ? null : new VacuumHold($at->job->plan->input->atmosphere(), Volume::millilitres($this->voidMl($at)), $points, Pressure::inchesOfMercury($at->rules()->gaugeResolutionInHg));
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 3.0;
    }

    public function waitingMinutes(Step $step, Choices $input): float
    {
        return $input->rules->holdSchool === 'glance' ? $input->rules->glanceMinutes : $input->rules->holdMinutes;
    }

    private function school(Situation $at): string
    {
        return $at->last('school')?->text('length') ?? $at->rules()->holdSchool;
    }

    private function voidMl(Situation $at): float
    {
        return max(500.0, $at->job->ledger()->voidMl());
    }
}
