<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\Circuit as Model;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Learned\Beside;
use Aqbel\Core\Learned\Figures;
use Aqbel\Core\Learned\Finding;
use Aqbel\Core\Learned\Learned;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Illuminate\Support\Facades\Cache;

/** What the signed jobs on a circuit measured, beside what it predicted, and what it probably is. */
final readonly class LearnedPage
{
    private const KEPT_S = 86400;

    private const BESIDES = [
        Beside::POURED => 'Poured until full',
        Beside::TOPPED => 'First top-up, cold',
        Beside::POINTS => 'Bleed points that ran in their turn',
        Beside::COLD => 'Engine off until the neck was free',
    ];

    public Taught $taught;

    /** Null where nothing was measured, and while it is worked out. */
    public ?Learned $learned;

    private Circuit $circuit;

    /**
     * @param  bool  $atOnce  worked out in this request; else behind its answer, and there when it is asked for again
     */
    public function __construct(public Model $model, private UnitSystem $units, bool $atOnce = false)
    {
        $this->circuit = $model->read();
        $this->taught = Taught::of($model);
        $key = 'learned.'.sha1(serialize([$model->id, $this->taught->jobs]));
        $known = $this->taught->jobs === [] ? null : Cache::get($key);
        if ($this->taught->jobs !== [] && ! $known instanceof Learned) {
            if ($atOnce) {
                $known = $this->keep($key);
            } else {
                app()->terminating(fn () => $this->keep($key));
            }
        }
        $this->learned = $known instanceof Learned ? $known : null;
    }

    private function keep(string $key): Learned
    {
        $jobs = $this->taught->jobs;
        $learned = Learned::of(
            $this->circuit,
            $jobs === [] ? throw new \LogicException('No job has measured it.') : $jobs,
        );
        Cache::put($key, $learned, self::KEPT_S);

        return $learned;
    }

    public function isWorking(): bool
    {
        return $this->learned === null && $this->taught->jobs !== [];
    }

    /** @return list<LearnedRow> */
    public function rows(): array
    {
        if ($this->taught->jobs === []) {
            return [];
        }
        $figures = new Figures($this->circuit, $this->taught->jobs);
        $then
            = $this->learned === null || $this->learned->findings === [] ? null : $figures->by($this->learned->circuit);
        $rows = [];
        foreach ($figures->by($this->circuit) as $i => $predicted) {
            [$measured, $plusMinus] = [$figures->measured[$i], 1.96 * sqrt($figures->variance[$i])];
            $rows[] = new LearnedRow(
                $this->named($figures->names[$i]),
                $this->volume($predicted),
                "{$this->volume($measured)} ± {$this->volume($plusMinus)}",
                $this->signed($measured - $predicted),
                $then === null ? '' : $this->volume($then[$i]),
                $then === null ? '' : $this->signed($measured - $then[$i]),
                $figures->leftOut[$i],
            );
        }

        return $rows;
    }

    /** @return list<BesideRow> what plans said and what came, in the mean of the jobs that tell of it */
    public function besides(): array
    {
        $by = [];
        foreach ($this->taught->besides as $one) {
            $by[$one->what][] = $one;
        }
        $mean = fn (array $of): float => array_sum($of) / max(1, count($of));
        $rows = [];
        foreach (self::BESIDES as $what => $label) {
            $told = $by[$what] ?? [];
            if ($told !== []) {
                [$said, $came] = [$mean(array_column($told, 'said')), $mean(array_column($told, 'came'))];
                $rows[] = new BesideRow($label, $this->amount($what, $said), $this->amount($what, $came), count($told));
            }
        }

        return $rows;
    }

    private function amount(string $what, float $value): string
    {
        return match ($what) {
            Beside::COLD => round($value).' min',
            Beside::POINTS => number_format($value, 1),
            default => $this->volume($value),
        };
    }

    /** “Radiator holds 3.10 L, not 2.60 L (2.90 to 3.30 L)”. */
    public function says(Finding $finding): string
    {
        $dimension = $finding->node === null ? Dimension::Volume : Dimension::Length;
        $say = fn (float $value): string => $this->units->format($value, $dimension);
        $what = $finding->node === null
                ? $this->circuit->passages[(string) $finding->passage]->label.' holds'
                : "“{$this->circuit->nodes[$finding->node]->label}” stands at";

        return "{$what} {$say($finding->is)}, not {$say($finding->was)}: "
            ."between {$say($finding->low)} and {$say($finding->high)}"
            .($finding->p < 0.7 ? ', or another part behind the same drain does.' : '.');
    }

    /** What to measure once, by hand, to be sure of it. */
    public function wouldConfirm(Finding $finding): string
    {
        return $finding->node !== null
            ? 'One look with a tape would settle it: how high it stands above the floor.'
            : 'One look would settle it: let this part alone run into a jug, and read what it held.';
    }

    public function unit(Finding $finding): string
    {
        return $this->units->unit($finding->node === null ? Dimension::Volume : Dimension::Length)->value;
    }

    private function named(string $name): string
    {
        [$order, $what] = explode('|', $name);
        $ports = explode(',', $order);

        return match (true) {
            $what === 'retained' => 'Stays inside',
            $what === 'air' => 'Air that came out',
            $what === 'poured' => 'Poured until full',
            default => ($this->circuit->ports[$ports[(int) substr($what, -2)] ?? '']->label ?? 'A drain').' lets out',
        };
    }

    private function signed(float $ml): string
    {
        return ($ml > 0.0 ? '+' : '').$this->volume($ml);
    }

    private function volume(float $ml): string
    {
        return $this->units->format($ml, Dimension::Volume);
    }
}
