<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Job;
use App\Models\Visit;
use App\Shop\Spreadsheet;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Visits\Visit as Seen;
use Illuminate\Support\Facades\DB;

/**
 * Tables that leave: codes, and numbers in millilitres, °C, kPa, millimetres and seconds, as the journal keeps them.
 */
final class Tables
{
    private const AT_ONCE = 200;

    /** What was read in one job: a row for each number of each line that counts. */
    public static function readings(JobState $job): string
    {
        $rows = (function () use ($job): \Generator {
            foreach ($job->entries as $entry) {
                $typed = $entry->typed();
                foreach ($entry->values->toArray() as $field => $value) {
                    if (is_int($value) || is_float($value)) {
                        yield [
                            $entry->seq,
                            date('c', $entry->at),
                            $entry->step,
                            $entry->form,
                            (string) $field,
                            $value,
                            $typed[$field] ?? '',
                            $entry->person,
                        ];
                    }
                }
            }
        })();

        return Spreadsheet::text(['line', 'at', 'step', 'form', 'field', 'value', 'typed', 'person'], $rows);
    }

    public static function jobs(): string
    {
        $rows = (function (): \Generator {
            foreach (
                Job::query()
                    ->with(['vehicle:id,plate,name', 'planner:id,name'])
                    ->orderBy('id')
                    ->select([
                        'id',
                        'vehicle_id',
                        'planned_by',
                        'kind',
                        'created_at',
                        'signed_at',
                        'followed_at',
                        'closed_at',
                        'abandoned_at',
                        'abandoned_because',
                        'rests_until',
                        'seal',
                    ])
                    ->selectRaw('case when document is null then 0 else 1 end as foreign_one')
                    ->lazyById(self::AT_ONCE) as $job
            ) {
                yield [
                    $job->number(),
                    $job->vehicle->plate,
                    $job->vehicle->name,
                    $job->kind->value,
                    $job->life()->value,
                    $job->planner->name,
                    $job->created_at->toIso8601String(),
                    $job->signed_at?->toIso8601String(),
                    $job->closed_at?->toIso8601String(),
                    $job->abandoned_at?->toIso8601String(),
                    $job->abandoned_because,
                    (int) $job->getAttribute('foreign_one') === 1 ? 'imported' : '',
                    (string) $job->seal,
                ];
            }
        })();

        return Spreadsheet::text(
            [
                'job',
                'plate',
                'vehicle',
                'kind',
                'life',
                'planned_by',
                'planned_at',
                'signed_at',
                'closed_at',
                'given_up_at',
                'given_up_because',
                'from',
                'seal',
            ],
            $rows,
        );
    }

    public static function visits(): string
    {
        $rows = (function (): \Generator {
            foreach (
                Visit::query()
                    ->with([
                        'job:id,vehicle_id',
                        'job.vehicle:id,plate',
                        'holder:id,name',
                        'doer:id,name',
                        'striker:id,name',
                    ])
                    ->lazyById(self::AT_ONCE) as $visit
            ) {
                $of = fn (string $field): float|int|string|null => is_bool($visit->values[$field] ?? null)
                    ? null
                    : $visit->values[$field] ?? null;
                yield [
                    Job::numbered($visit->job_id),
                    $visit->job->vehicle->plate,
                    $visit->due_on->format('Y-m-d'),
                    $visit->asked_by,
                    (string) $visit->holder?->name,
                    $visit->done_at?->toIso8601String(),
                    (string) $visit->doer?->name,
                    $of(Seen::LEVEL),
                    $of(Seen::VOLUME),
                    $of(Seen::VESSEL),
                    $of(Seen::CELSIUS),
                    $of(Seen::FREEZE),
                    $of(Seen::COMPLAINT),
                    ($visit->values[Seen::TOLD] ?? false) === true ? 'customer' : '',
                    $of(Seen::NOTE),
                    $visit->skipped_because,
                    $visit->struck_at?->toIso8601String(),
                    (string) $visit->striker?->name,
                    $visit->struck_because,
                ];
            }
        })();

        return Spreadsheet::text(
            [
                'job',
                'plate',
                'due_on',
                'asked_by',
                'held_by',
                'done_at',
                'done_by',
                'level',
                'topped_ml',
                'vessel',
                'celsius',
                'freeze_c',
                'complaint',
                'told_by',
                'note',
                'skipped_because',
                'struck_at',
                'struck_by',
                'struck_because',
            ],
            $rows,
        );
    }

    /** Every litre into a container of the shop, or out of it. */
    public static function stock(): string
    {
        $rows = (function (): \Generator {
            $query = DB::table('container_movements')
                ->join('containers', 'containers.id', '=', 'container_movements.container_id')
                ->join('people', 'people.id', '=', 'container_movements.person_id')
                ->orderBy('container_movements.id')
                ->select([
                    'container_movements.id',
                    'container_movements.created_at',
                    'container_id',
                    'kind',
                    'base',
                    'inhibitor',
                    'fraction',
                    'ml',
                    'plus_minus_ml',
                    'counted_ml',
                    'note',
                    'remark',
                    'container_movements.job_id',
                    'people.name',
                ]);
            foreach ($query->cursor() as $row) {
                yield [
                    (string) $row->created_at,
                    (int) $row->container_id,
                    $row->kind,
                    $row->base,
                    $row->inhibitor,
                    (float) $row->fraction,
                    (float) $row->ml,
                    $row->plus_minus_ml,
                    $row->counted_ml,
                    $row->note,
                    $row->remark,
                    $row->job_id === null ? '' : Job::numbered((int) $row->job_id),
                    $row->name,
                ];
            }
        })();

        return Spreadsheet::text(
            [
                'at',
                'container',
                'kind',
                'base',
                'inhibitor',
                'fraction',
                'ml',
                'plus_minus_ml',
                'counted_ml',
                'note',
                'remark',
                'job',
                'person',
            ],
            $rows,
        );
    }

    /** What went into the waste drum, by month, with who takes it away and under which paper. */
    public static function waste(): string
    {
        $rows = (function (): \Generator {
            foreach (Waste::byMonth() as $month) {
                yield [
                    $month->month,
                    $month->jobs,
                    round($month->ml, 1),
                    implode('; ', $month->disposers),
                    implode('; ', $month->papers),
                ];
            }
        })();

        return Spreadsheet::text(['month', 'jobs', 'ml', 'disposer', 'paper'], $rows);
    }
}
