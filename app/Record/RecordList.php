<?php

declare(strict_types=1);

namespace App\Record;

use Aqbel\Core\Plan\JobKind;
use Illuminate\Contracts\Pagination\Paginator;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Finished jobs, found and filtered, a page at a time, and the months they were in. */
final readonly class RecordList
{
    private const A_PAGE = 40;

    private const MONTHS = 13;

    private const LONGEST = 80;

    /** @var Paginator<int, \stdClass> */
    public Paginator $page;

    /** @var list<RecordMonth> */
    public array $months;

    /** @param  array<string, string>  $filters  month, kind, back */
    public function __construct(public string $search, public array $filters)
    {
        $jobs = DB::table('jobs')
            ->join('vehicles', 'vehicles.id', '=', 'jobs.vehicle_id')
            ->join('people', 'people.id', '=', 'jobs.planned_by')
            ->join('job_facts', 'job_facts.job_id', '=', 'jobs.id');
        RecordSearch::narrow($jobs, $search);
        $this->narrow($jobs);
        $this->page = $jobs
            ->orderByRaw('coalesce(signed_at, abandoned_at) desc')
            ->orderByDesc('jobs.id')
            ->simplePaginate(self::A_PAGE, [
                'jobs.id',
                'plate',
                'vehicles.name as vehicle',
                'kind',
                'people.name as person',
                'signed_at',
                'abandoned_at',
                'followed_at',
                'closed_at',
                'came_back',
            ])
            ->withQueryString();
        $search === '' || $this->tellWhy();
        $this->months = self::summedUp();
    }

    /** Of this page alone: all that match would be read and sorted with it. */
    private function tellWhy(): void
    {
        $texts = DB::table('job_facts')
            ->whereIn('job_id', array_map(fn (\stdClass $job) => $job->id, $this->page->items()))
            ->pluck('text', 'job_id');
        foreach ($this->page->items() as $job) {
            $job->text = $texts[$job->id] ?? '';
        }
    }

    /** @param  array<string, mixed>  $asked */
    public static function asked(array $asked): self
    {
        $text = fn (string $name): string => is_string($asked[$name] ?? null)
            ? mb_substr(trim($asked[$name]), 0, self::LONGEST)
            : '';
        $filters = array_filter([
            'month' => preg_match('/^\d{4}-\d{2}$/', $text('month')) === 1 ? $text('month') : '',
            'kind' => JobKind::tryFrom($text('kind'))->value ?? '',
            'back' => $text('back') === '1' ? '1' : '',
        ]);

        return new self($text('q'), $filters);
    }

    /**
     * The address of the same list with one filter more, or less where it is on.
     */
    public function with(string $filter, string $value): string
    {
        $filters = ($this->filters[$filter] ?? '') === $value
                ? array_diff_key($this->filters, [$filter => 1])
                : [...$this->filters, $filter => $value];
        $query = http_build_query(array_filter(['q' => $this->search, ...$filters]));

        return '/records'.($query === '' ? '' : "?{$query}");
    }

    private function narrow(Builder $jobs): void
    {
        isset($this->filters['month']) && $jobs->where('job_facts.month', $this->filters['month']);
        isset($this->filters['kind']) && $jobs->where('jobs.kind', $this->filters['kind']);
        isset($this->filters['back']) && $jobs->where('job_facts.came_back', true);
    }

    /** @return list<RecordMonth> the newest first */
    private static function summedUp(): array
    {
        $newest = DB::table('job_facts')->max('month');
        $from = $newest === null ? '' : date('Y-m', (int) strtotime("{$newest}-01 -".(self::MONTHS - 1).' months'));
        $rows = DB::table('job_facts')
            ->where('month', '>=', $from)
            ->groupBy('month')
            ->orderByDesc('month')
            ->limit(self::MONTHS)
            ->selectRaw(
                'month, count(*) as jobs, sum(case when came_back then 1 else 0 end) as back, sum(in_ml) as in_ml, '
                    .'sum(minutes) as minutes, avg(air_predicted_ml) as predicted, avg(air_found_ml) as found',
            )
            ->get();
        $or = fn (mixed $number): ?float => $number === null ? null : (float) $number;

        return array_values(
            $rows
                ->map(
                    fn (\stdClass $row) => new RecordMonth(
                        $row->month,
                        (int) $row->jobs,
                        (int) $row->back,
                        (float) $row->in_ml,
                        (float) $row->minutes / 60.0,
                        $or($row->predicted),
                        $or($row->found),
                    ),
                )
                ->all(),
        );
    }
}
