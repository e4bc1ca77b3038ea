<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan\Format;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Flow\Silence;
use Aqbel\Core\Flow\SilentPort;
use Aqbel\Core\Flow\SlowRegion;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\FurtherDrain;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\PredictedDrain;
use Aqbel\Core\Plan\PredictedFill;
use Aqbel\Core\Plan\Prediction;
use Aqbel\Core\Plan\School;
use Aqbel\Core\Plan\Schools;

/**
 * Plans as they were stored before they carried a format: without a name of their own, volumes by the names of parts. A
 * name stands for the first passage that bears it.
 */
final readonly class Version1
{
    public function __construct(private Circuit $circuit, private Schools $schools)
    {
    }

    public function read(Stored $in): Plan
    {
        $choices = ChoicesCodec::read($in->child('input'));
        $steps = $in->listOf('steps', fn (Stored $step) => $this->step(Step::fromArray($step->toArray())));
        $predicted = $this->prediction($in->child('predicted'));
        $school = $this->schools->of($choices->school);

        return new Plan(
            $school,
            $choices,
            $steps,
            $predicted,
            $this->fill($in->child('predicted'), $predicted, $school),
        );
    }

    private function step(Step $step): Step
    {
        $empties = array_values(array_filter(array_map($this->passageNamed(...), $step->params->list('empties'))));

        return $empties === []
            ? $step
            : new Step($step->id, $step->kind, $step->stage, $step->params->with('empties', $empties));
    }

    private function prediction(Stored $in): Prediction
    {
        $drain = fn (Stored $d): PredictedDrain => new PredictedDrain(
            $d->text('port'),
            $d->number('volume_ml'),
            $this->volumes($in->child('lets_out')->child($d->text('port'))),
        );
        $further = [];
        foreach ($in->child('further')->children() as $port => $f) {
            $covers = array_values(array_filter(array_map($this->coverNamed(...), $f->names('covers'))));
            $further[] = new FurtherDrain(
                (string) $port,
                $f->number('volume_ml'),
                $f->number('minutes'),
                $covers,
                $this->volumes($f->child('parts')),
            );
        }
        $slow = fn (Stored $s): SlowRegion => new SlowRegion(
            array_values(array_filter(array_map($this->passageNamed(...), $s->names('parts')))),
            $s->text('air_port') === '' ? null : $s->text('air_port'),
        );
        $capacity = $in->number('capacity_ml', $this->circuit->capacityMl());

        return new Prediction(
            $capacity,
            $in->number('headspace_ml'),
            $in->number('usable_ml', $capacity - $in->number('headspace_ml')),
            $in->listOf('drains', $drain),
            $further,
            $in->listOf('slow', $slow),
            $this->volumes($in->child('retained')),
            $in->number('retained_ml'),
            Runs::fromArray($in->child('full_runs')->toArray()),
            $in->number('needed_ml'),
            $in->number('concentrate_ml'),
            $in->number('water_ml'),
            (int) $in->number('rinses'),
            ! $in->has('reachable') || $in->isTrue('reachable'),
            $in->number('final_fraction', 0.5),
        );
    }

    private function fill(Stored $predicted, Prediction $all, School $school): PredictedFill
    {
        $in = $predicted->child('fill');
        $air = $in->number('air_ml');
        $coolant = max(0.0, $all->usableMl - $all->retainedMl);
        // One pour was simulated whatever the school: where the coolant is mixed and drawn in, its pockets are not.
        if ($school->mixedOutside()) {
            return new PredictedFill($air, $coolant, $all->fullRuns);
        }
        $silent = [];
        foreach ($in->child('missing_mm')->numbers() as $port => $missing) {
            $silent[] = new SilentPort((string) $port, $missing > 0.0 ? Silence::Above : Silence::Hump, $missing);
        }

        return new PredictedFill(
            $air,
            $coolant,
            Runs::fromArray($in->child('runs')->toArray()),
            $in->listOf('pockets', fn (Stored $p) => new Pocket(
                new Volumes($p->child('passages')->numbers()),
                $p->isTrue('open'),
                $p->number('highest_mm'),
            )),
            $in->listOf('flows', fn (Stored $f) => new PortRun($f->text('port'), $f->number('at_ml'))),
            $silent,
        );
    }

    private function volumes(Stored $byName): Volumes
    {
        $volumes = [];
        foreach ($byName->numbers() as $name => $ml) {
            $passage = $this->passageNamed((string) $name);
            if ($passage !== null) {
                $volumes[$passage] = $ml;
            }
        }

        return new Volumes($volumes);
    }

    private function passageNamed(string $name): ?string
    {
        foreach ($this->circuit->passages as $passage) {
            if ($passage->label === $name) {
                return $passage->id;
            }
        }

        return isset($this->circuit->passages[$name]) ? $name : null;
    }

    private function coverNamed(string $name): ?string
    {
        foreach ($this->circuit->covers as $cover) {
            if ($cover->label === $name) {
                return $cover->id;
            }
        }

        return null;
    }
}
