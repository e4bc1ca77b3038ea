<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\Circuit as Model;
use App\Models\Job;
use Aqbel\Core\Circuit\Circuit;
use Aqbel\Core\Learned\Figures;
use Aqbel\Core\Learned\Finding;
use Aqbel\Core\Learned\FromJob;
use Aqbel\Core\Learned\Learned;
use Aqbel\Core\Learned\LeftOut;
use Aqbel\Core\Learned\MeasuredJob;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\UnitSystem;
use Illuminate\Support\Facades\Cache;

/** What the signed jobs on a circuit measured, beside what it predicted, and what it probably is. */
final readonly class LearnedPage
{
    /** The newest jobs count; those before them were of another age of the circuit. */
    private const MOST_JOBS = 40;

    private const KEPT_S = 86400;

    /** @var list<MeasuredJob> */
    public array $jobs;

    /** @var list<array{string, string}> number, and why it is left out */
    public array $leftOut;

    public ?Learned $learned;

    private Circuit $circuit;

    public function __construct(public Model $model, private UnitSystem $units)
    {
        $this->circuit = $model->read();
        $signed = Job::query()->whereNotNull('signed_at')->whereIn('circuit_id', Model::query()->where('key', $model->key)->select('id'))->with('circuit')->latest('signed_at')->limit(self::MOST_JOBS)->get();
        [$jobs, $leftOut] = [[], []];
        foreach ($signed as $job) {
            $told = Cache::remember("measured.{$job->id}", self::KEPT_S, fn (): MeasuredJob|LeftOut => FromJob::of($job->state()));
            $told instanceof LeftOut ? $leftOut[] = [$job->number(), $told->label()] : $jobs[] = $told;
        }
        [$this->jobs, $this->leftOut] = [$jobs, $leftOut];
        $key = sha1(serialize([$model->id, $jobs]));
        $this->learned = $jobs === [] ? null : Cache::remember("learned.{$key}", self::KEPT_S, fn (): Learned => Learned::of($this->circuit, $jobs));
    }

    /** @return list<array{string, string, string, string}> what, predicted, measured in the mean, and how far apart */
    public function rows(): array
    {
        if ($this->jobs === []) {
            return [];
        }
        $figures = new Figures($this->circuit, $this->jobs);
        $rows = [];
        foreach ($figures->by($this->circuit) as $i => $predicted) {
            [$measured, $plusMinus] = [$figures->measured[$i], 1.96 * sqrt($figures->variance[$i])];
            $rows[] = [$this->named($figures->names[$i]), $this->volume($predicted), "{$this->volume($measured)} ± {$this->volume($plusMinus)}", $this->signed($measured - $predicted)];
        }

        return $rows;
    }

    /** “Radiator holds 3.10 L, not 2.60 L (2.90 to 3.30 L)”. */
    public function says(Finding $finding): string
    {
        $dimension = $finding->node === null ? Dimension::Volume : Dimension::Length;
        $say = fn (float $value): string => $this->units->format($value, $dimension);
        $what = $finding->node === null ? $this->circuit->passages[(string) $finding->passage]->label.' holds' : "“{$this->circuit->nodes[$finding->node]->label}” stands at";

        return "{$what} {$say($finding->is)}, not {$say($finding->was)}: between {$say($finding->low)} and {$say($finding->high)}".($finding->p < 0.7 ? ', or another part behind the same drain does.' : '.');
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
