<?php

declare(strict_types=1);

namespace Aqbel\Core\Learned;

use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\DrainedPort;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\Mesh;

/** What jobs measured in the mean, and what a circuit says to it: one number for each thing, in one order. */
final readonly class Figures
{
    /** A mesh of about so many cells is fine enough, and no finer than twice the usual. */
    private const CELLS = 300;

    /** Less than this nobody reads off a vessel, mL. */
    private const READS_ML = 20.0;

    /** @var list<float> means over the jobs, mL */
    public array $measured;

    /** @var list<float> variances of these means, mL² */
    public array $variance;

    /** @var list<string> orders in which drains were opened */
    private array $orders;

    private float $coarseness;

    /** @param  non-empty-list<MeasuredJob>  $jobs */
    public function __construct(Circuit $circuit, array $jobs)
    {
        $this->coarseness = max(2.0, (new Mesh($circuit, []))->size() / self::CELLS);
        [$sums, $orders] = [[], []];
        foreach ($jobs as $job) {
            $orders[$job->order()] = true;
            foreach (self::of($job) as $name => [$ml, $plusMinus]) {
                $key = "{$job->order()}|{$name}";
                $sums[$key]['n'] = ($sums[$key]['n'] ?? 0) + 1;
                $sums[$key]['ml'] = ($sums[$key]['ml'] ?? 0.0) + $ml;
                $sums[$key]['var'] = ($sums[$key]['var'] ?? 0.0) + (max(self::READS_ML, $plusMinus) / 1.96) ** 2;
            }
        }
        ksort($sums);
        [$measured, $variance] = [[], []];
        foreach ($sums as $sum) {
            $measured[] = $sum['ml'] / $sum['n'];
            $variance[] = $sum['var'] / $sum['n'] ** 2;
        }
        $this->measured = $measured;
        $this->variance = $variance;
        $this->orders = array_map(strval(...), array_keys($orders));
        $this->names = array_keys($sums);
    }

    /** @var list<string> order of the drains, and what: `a,b|drain.00`, `a,b|retained` */
    public array $names;

    /** @return list<float> the same by a circuit, mL */
    public function by(Circuit $circuit): array
    {
        $said = [];
        foreach ($this->orders as $order) {
            $ports = $order === '' ? [] : explode(',', $order);
            $drainage = Drainage::of(
                $circuit,
                $ports,
                $circuit->usualGates(),
                airOpen: $circuit->portIds(PortKind::Bleed),
                coarseness: $this->coarseness,
            );
            $headspace = $circuit->headspaceMl();
            $out = Drainage::belowHeadspace(
                array_map(fn (DrainedPort $drain) => $drain->volumeMl, $drainage->drains),
                $headspace,
            );
            foreach ($out as $i => $ml) {
                $said["{$order}|drain.".sprintf('%02d', $i)] = $ml;
            }
            $said["{$order}|retained"] = $drainage->retainedMl;
            $air = null;
            foreach (['air', 'poured'] as $name) {
                if (in_array("{$order}|{$name}", $this->names, true)) {
                    $air ??= Filling::of(
                        $circuit,
                        $circuit->fillPort()->id,
                        $circuit->portIds(PortKind::Bleed),
                        $circuit->usualGates(),
                        coarseness: $this->coarseness,
                    )->airMl;
                    $said["{$order}|{$name}"]
                        = $name === 'air' ? $air : $circuit->capacityMl() - $headspace - $drainage->retainedMl - $air;
                }
            }
        }

        return array_map(fn (string $name): float => $said[$name] ?? 0.0, $this->names);
    }

    /** @return array<string, array{float, float}> */
    private static function of(MeasuredJob $job): array
    {
        $named = [];
        foreach ($job->drains as $i => [, $ml, $plusMinus]) {
            $named['drain.'.sprintf('%02d', $i)] = [$ml, $plusMinus];
        }

        return [
            ...$named,
            ...array_filter(
                ['retained' => $job->retained, 'poured' => $job->poured, 'air' => $job->air],
                fn (?array $one) => $one !== null,
            ),
        ];
    }
}
