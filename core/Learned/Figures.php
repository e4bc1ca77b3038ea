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

    /** @var list<int> how many of the jobs were left out of each mean: they are not of this circuit, or a slip */
    public array $leftOut;

    /** @var list<string> order of the drains, and what: `a,b|drain.00`, `a,b|retained` */
    public array $names;

    /** @var array<string, MeasuredJob> one of those that opened their drains in this order */
    private array $orders;

    private float $coarseness;

    /** @param  non-empty-list<MeasuredJob>  $jobs */
    public function __construct(Circuit $circuit, array $jobs)
    {
        $this->coarseness = max(2.0, (new Mesh($circuit, []))->size() / self::CELLS);
        [$told, $orders] = [[], []];
        foreach ($jobs as $job) {
            $orders[$job->order()] = $job;
            foreach (self::of($job) as $name => [$ml, $plusMinus]) {
                $told["{$job->order()}|{$name}"][] = [$ml, max(self::READS_ML, $plusMinus) / 1.96];
            }
        }
        ksort($told);
        $means = array_map(Mean::of(...), array_values($told));
        $this->measured = array_column($means, 'ml');
        $this->variance = array_column($means, 'variance');
        $this->leftOut = array_column($means, 'leftOut');
        $this->orders = $orders;
        $this->names = array_keys($told);
    }

    /** @return list<float> the same by a circuit, mL */
    public function by(Circuit $circuit): array
    {
        $said = [];
        foreach ($this->orders as $order => $job) {
            $drainage = Drainage::of(
                $circuit,
                [...array_column($job->drains, 0), ...$job->alsoOpen],
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
