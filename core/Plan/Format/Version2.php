<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan\Format;

use Aqbel\Core\Circuit\Volumes;
use Aqbel\Core\Flow\Pocket;
use Aqbel\Core\Flow\PortRun;
use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Flow\Silence;
use Aqbel\Core\Flow\SilentPort;
use Aqbel\Core\Flow\SlowRegion;
use Aqbel\Core\Flow\Tie;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\FurtherDrain;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\PredictedDrain;
use Aqbel\Core\Plan\PredictedFill;
use Aqbel\Core\Plan\Prediction;
use Aqbel\Core\Plan\Schools;

/** Plans from typed predictions: everything by id, nothing by its name. */
final class Version2
{
    /** @return array<string, mixed> */
    public static function write(Plan $plan): array
    {
        return [
            'choices' => ChoicesCodec::write($plan->choices),
            'steps' => array_map(fn (Step $step) => $step->toArray(), $plan->steps),
            'predicted' => self::writePrediction($plan->predicted),
            'fill' => self::writeFill($plan->fill),
        ];
    }

    public static function read(Stored $in, Schools $schools): Plan
    {
        $choices = ChoicesCodec::read($in->child('choices'));
        $steps = $in->listOf('steps', fn (Stored $step) => Step::fromArray($step->toArray()));

        return new Plan(
            $schools->of($choices->school),
            $choices,
            $steps,
            self::readPrediction($in->child('predicted')),
            self::readFill($in->child('fill')),
        );
    }

    /** @return array<string, mixed> */
    private static function writePrediction(Prediction $p): array
    {
        return [
            'capacity_ml' => $p->capacityMl, 'headspace_ml' => $p->headspaceMl, 'usable_ml' => $p->usableMl,
            'drains' => array_map(
                fn (PredictedDrain $d) => [
                    'port' => $d->port, 'volume_ml' => $d->volumeMl, 'lets_out' => $d->letsOut->toArray(),
                ],
                $p->drains,
            ),
            'further' => array_map(
                fn (FurtherDrain $f) => [
                    'port' => $f->port,
                    'volume_ml' => $f->volumeMl,
                    'minutes' => $f->minutes,
                    'covers' => $f->covers,
                    'lets_out' => $f->letsOut->toArray(),
                ],
                $p->further,
            ),
            'slow' => array_map(fn (SlowRegion $s) => ['passages' => $s->passages, 'air_port' => $s->airPort], $p->slow),
            'retained' => $p->retained->toArray(),
            'retained_ml' => $p->retainedMl,
            'full_runs' => $p->fullRuns->toArray(),
            'needed_ml' => $p->neededMl,
            'stock_ml' => $p->stockMl,
            'water_ml' => $p->waterMl,
            'rinses' => $p->rinses,
            'reachable' => $p->reachable,
            'final_fraction' => $p->finalFraction,
        ];
    }

    private static function readPrediction(Stored $in): Prediction
    {
        $volumes = fn (Stored $one, string $name): Volumes => new Volumes($one->child($name)->numbers());

        return new Prediction(
            $in->number('capacity_ml'),
            $in->number('headspace_ml'),
            $in->number('usable_ml'),
            $in->listOf(
                'drains',
                fn (Stored $d) => new PredictedDrain(
                    $d->text('port'),
                    $d->number('volume_ml'),
                    $volumes($d, 'lets_out'),
                ),
            ),
            $in->listOf(
                'further',
                fn (Stored $f) => new FurtherDrain(
                    $f->text('port'),
                    $f->number('volume_ml'),
                    $f->number('minutes'),
                    $f->names('covers'),
                    $volumes($f, 'lets_out'),
                ),
            ),
            $in->listOf(
                'slow',
                fn (Stored $s) => new SlowRegion($s->names('passages'), self::orNull($s->text('air_port'))),
            ),
            $volumes($in, 'retained'),
            $in->number('retained_ml'),
            Runs::fromArray($in->child('full_runs')->toArray()),
            $in->number('needed_ml'),
            $in->number('stock_ml'),
            $in->number('water_ml'),
            (int) $in->number('rinses'),
            $in->isTrue('reachable'),
            $in->number('final_fraction'),
        );
    }

    /** @return array<string, mixed> */
    private static function writeFill(PredictedFill $fill): array
    {
        return [
            'air_ml' => $fill->airMl,
            'coolant_ml' => $fill->coolantMl,
            'estimate' => $fill->estimate,
            'runs' => $fill->runs->toArray(),
            'pockets' => array_map(
                fn (Pocket $p) => ['air' => $p->air->toArray(), 'open' => $p->open, 'highest_mm' => $p->highestMm],
                $fill->pockets,
            ),
            'flows' => array_map(fn (PortRun $f) => ['port' => $f->port, 'at_ml' => $f->atMl], $fill->flows),
            'silent' => array_map(
                fn (SilentPort $s) => [
                    'port' => $s->port,
                    'missing_mm' => $s->missingMm,
                    'because' => $s->because->value,
                    'about' => $s->about,
                ],
                $fill->silent,
            ),
            'ties' => array_map(
                fn (Tie $t) => [
                    'one' => $t->one,
                    'other' => $t->other,
                    'apart_mm' => $t->apartMm,
                    'low_ml' => $t->lowMl,
                    'high_ml' => $t->highMl,
                ],
                $fill->ties,
            ),
        ];
    }

    private static function readFill(Stored $in): PredictedFill
    {
        return new PredictedFill(
            $in->number('air_ml'),
            $in->number('coolant_ml'),
            Runs::fromArray($in->child('runs')->toArray()),
            $in->listOf('pockets', fn (Stored $p) => new Pocket(
                new Volumes($p->child('air')->numbers()),
                $p->isTrue('open'),
                $p->number('highest_mm'),
            )),
            $in->listOf('flows', fn (Stored $f) => new PortRun($f->text('port'), $f->number('at_ml'))),
            $in->listOf(
                'silent',
                fn (Stored $s) => new SilentPort(
                    $s->text('port'),
                    Silence::tryFrom($s->text('because'))
                        ?? ($s->number('missing_mm') > 0.0 ? Silence::Above : Silence::Hump),
                    $s->number('missing_mm'),
                    self::orNull($s->text('about')),
                ),
            ),
            $in->isTrue('estimate'),
            $in->listOf('ties', fn (Stored $t) => new Tie(
                $t->text('one'), $t->text('other'), $t->number('apart_mm'), $t->number('low_ml'), $t->number('high_ml'),
            )),
        );
    }

    private static function orNull(string $text): ?string
    {
        return $text === '' ? null : $text;
    }
}
