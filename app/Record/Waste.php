<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\ContainerMovement;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Journal;
use Aqbel\Core\Observed\WasteTaken;
use Aqbel\Core\Stores\Moved;
use Illuminate\Support\Facades\DB;

/** The old coolant of one month, and what was thrown away from the shelf. */
final readonly class Waste
{
    /**
     * @param  string  $month  as 2026-11
     * @param  list<string>  $disposers
     * @param  list<string>  $papers  numbers of the papers it went with
     */
    private function __construct(
        public string $month,
        public int $jobs,
        public float $ml,
        public array $disposers,
        public array $papers,
    ) {
    }

    /** @return list<self> the newest first */
    public static function byMonth(): array
    {
        $months = [];
        foreach (self::taken() as [$job, $waste]) {
            $month = date('Y-m', $waste->at());
            $months[$month]['jobs'][$job] = true;
            $months[$month]['ml'] = ($months[$month]['ml'] ?? 0.0) + $waste->ml;
            $waste->disposer === '' || $months[$month]['disposers'][$waste->disposer] = true;
            $waste->paper === '' || $months[$month]['papers'][$waste->paper] = true;
        }
        foreach (ContainerMovement::query()->where('note', Moved::Wasted)->get() as $thrown) {
            $month = $thrown->created_at->format('Y-m');
            $months[$month]['ml'] = ($months[$month]['ml'] ?? 0.0) - $thrown->ml;
            $thrown->remark === '' || $months[$month]['papers'][$thrown->remark] = true;
        }
        krsort($months);
        $names = fn (array $of): array => array_map(strval(...), array_keys($of));

        return array_map(
            fn (string $month, array $of) => new self(
                $month,
                count($of['jobs'] ?? []),
                $of['ml'],
                $names($of['disposers'] ?? []),
                $names($of['papers'] ?? []),
            ),
            array_map(strval(...), array_keys($months)),
            array_values($months),
        );
    }

    /** @return \Generator<array{int, WasteTaken}> as it counts now, corrections applied */
    private static function taken(): \Generator
    {
        $of = DB::table('journal_lines')->where('form', WasteTaken::FORM)->distinct()->pluck('job_id');
        foreach ($of->chunk(200) as $jobs) {
            $lines = DB::table('journal_lines')
                ->whereIn('job_id', $jobs)
                ->whereIn('form', [WasteTaken::FORM, 'correct', 'withdraw'])
                ->orderBy('job_id')
                ->orderBy('seq')
                ->get(['job_id', 'seq', 'at', 'step', 'form', 'values']);
            foreach ($lines->groupBy('job_id') as $job => $written) {
                $entries = $written
                    ->map(
                        fn (object $line) => Entry::stored(
                            (int) $line->seq,
                            (int) $line->at,
                            '',
                            $line->step,
                            $line->form,
                            (array) json_decode($line->values, true),
                        ),
                    )
                    ->all();
                foreach ((new Journal(array_values($entries)))->effective() as $entry) {
                    $waste = WasteTaken::of($entry);
                    if ($waste !== null) {
                        yield [(int) $job, $waste];
                    }
                }
            }
        }
    }
}
