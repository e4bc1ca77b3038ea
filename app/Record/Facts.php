<?php

declare(strict_types=1);

namespace App\Record;

use App\Journal\OneWriter;
use App\Models\Job;
use App\Models\Visit;
use App\Visits\VisitBook;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Observed\ToppedUp;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\JobKind;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Visits\Visit as Seen;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * What a finished job is found by and counted with: made from its journal when somebody asks
 * for records, and kept until something more is known of it.
 */
final class Facts
{
    private const AT_ONCE = 50;

    /** Nobody works on between two lines that are further apart than this, s (common practice, no source). */
    private const AT_IT_S = 20 * 60;

    /**
     * A vehicle that is worked on again for a complaint, or for coolant lost, within so
     * many days has come back (common practice, no source).
     */
    private const CAME_BACK_DAYS = 60;

    /** @return array<string, mixed> */
    private static function of(Job $job): array
    {
        $ended = $job->signed_at ?? $job->abandoned_at ?? now();
        $state = $job->state();
        $levels = array_merge(
            ...array_map(fn ($step) => $state->observed($step->id, ToppedUp::class), $state->stepsOf('cold_level')),
            ...[[]],
        );
        $since = (new VisitBook($job))
            ->all()
            ->reject(fn (Visit $visit) => $visit->isStruck())
            ->sum(fn (Visit $visit) => (float) ($visit->values[Seen::VOLUME] ?? 0.0));

        return [
            'job_id' => $job->id,
            'month' => $ended->format('Y-m'),
            'text' => self::text($job, $state, $ended),
            'in_ml' => $state->pouredMl(),
            'out_ml' => $state->ledger()->outMl(),
            'air_predicted_ml' => $job->signed_at === null ? null : Plan::of($state)->fill->waitsForARunMl(),
            'air_found_ml' => $job->signed_at === null ? null : ToppedUp::sumMl($levels) + $since,
            'minutes' => self::minutes($state),
            'came_back' => self::cameBack($job),
        ];
    }

    /** Something more is known of a job: they are made anew when somebody next asks for records. */
    public static function forget(int $job): void
    {
        DB::table('job_facts')->where('job_id', $job)->delete();
        DB::table('jobs')->where('id', $job)->update(['has_facts' => false]);
    }

    /**
     * Of those that lack them: just signed, looked at again, or of an earlier version.
     *
     * @param  ?int  $most  the newest first; all of them where null
     */
    public static function keepMissing(?int $most = null): int
    {
        $missing = Job::query()
            ->whereRaw('has_facts = false and (signed_at is not null or abandoned_at is not null)')
            ->latest('id')
            ->limit($most ?? PHP_INT_MAX)
            ->pluck('id');
        foreach ($missing->chunk(self::AT_ONCE) as $some) {
            $facts = Job::query()
                ->whereIn('id', $some)
                ->with(['vehicle', 'circuit', 'planner'])
                ->get()
                ->map(self::of(...))
                ->all();
            OneWriter::run(function () use ($facts): void {
                DB::table('job_facts')->insertOrIgnore($facts);
                DB::table('jobs')->whereIn('id', array_column($facts, 'job_id'))->update(['has_facts' => true]);
            });
        }

        return $missing->count();
    }

    /** Of the job before on the same vehicle, which may have come back by this one. */
    public static function forgetBefore(Job $job): void
    {
        $before = Job::query()
            ->where('vehicle_id', $job->vehicle_id)
            ->where('id', '<', $job->id)
            ->whereNotNull('signed_at')
            ->latest('signed_at')
            ->latest('id')
            ->value('id');
        $before === null || self::forget((int) $before);
    }

    /** Whether the vehicle was soon worked on again for a complaint, or for coolant lost. */
    private static function cameBack(Job $job): bool
    {
        $after = $job->signed_at === null
                ? []
                : Job::query()
                    ->where('vehicle_id', $job->vehicle_id)
                    ->where('id', '>', $job->id)
                    ->where('created_at', '<=', $job->signed_at->copy()->addDays(self::CAME_BACK_DAYS))
                    ->get(['id', 'kind', 'plan->choices->complaint as complaint']);
        foreach ($after as $next) {
            $complaint = trim((string) $next->getAttribute('complaint'), '"');
            if ($next->kind === JobKind::Lost || ! in_array($complaint, ['', Complaint::None->value], true)) {
                return true;
            }
        }

        return false;
    }

    /** One thing a line, by its name: so a result can say why it was found. */
    private static function text(Job $job, JobState $state, Carbon $ended): string
    {
        $kinds = app(StepCatalogue::class);
        $lines = [
            "job: {$job->number()}",
            "plate: {$job->vehicle->plate}",
            "vehicle: {$job->vehicle->name}",
            "work: {$job->kind->label()}",
            'month: '.$ended->format('Y-m F'),
            'way: '.Plan::of($state)->school->label(),
            'complaint: '.Plan::of($state)->choices->complaint->label(),
            'mixture: '
            .UnitSystem::Metric->format($state->ledger()->fraction() ?? 0.0, Unit::Percent)
            .', '
            .$state->circuit->facts->family(),
            "person: {$job->planner->name}",
            $job->abandoned_because === '' ? '' : "given up: {$job->abandoned_because}",
        ];
        foreach ($state->entries as $entry) {
            $lines[] = "person: {$entry->person}";
            foreach (self::said($entry) as $said) {
                $lines[] = $said;
            }
        }
        foreach ($state->steps as $step) {
            $verdict = isset($state->closed[$step->id])
                ? $state->verdictOf($step, $ended->getTimestamp(), UnitSystem::Metric)
                : null;
            $lines[] = $verdict === null
                    ? ''
                    : "verdict: {$verdict->title}, "
                        .$kinds->of($step)->title($state->at($step, $ended->getTimestamp()));
        }
        foreach ($job->summary->watch ?? [] as $watch) {
            $lines[] = 'watch: '.$kinds->sayWatch($watch);
        }
        foreach ((new VisitBook($job))->all() as $visit) {
            $lines[] = "person: {$visit->doer?->name}";
            $lines[] = 'visit: '.trim(($visit->values[Seen::NOTE] ?? '')." {$visit->skipped_because} {$visit->watch}");
        }

        return implode(
            "\n",
            array_unique(array_filter($lines, fn (string $line) => trim((string) strstr($line, ':'), ': ') !== '')),
        );
    }

    /** @return list<string> what somebody typed as words, or photographed */
    private static function said(Entry $entry): array
    {
        $said = [];
        $what = match (true) {
            $entry->is(Lines::Finding) => 'finding',
            $entry->is(Lines::Photo) => 'photograph',
            $entry->is(Lines::Override) => 'passed over',
            default => 'note',
        };
        foreach ($entry->values->toArray() as $name => $value) {
            // What is no code was typed.
            if (
                is_string($value)
                && (str_contains(trim($value), ' ')
                    || in_array($name, ['what', 'where', 'note', 'reason', 'caption', 'why', 'disposer', 'paper'], true))
            ) {
                $said[] = "{$what}: ".str_replace("\n", ' ', trim($value));
            }
        }

        return $said;
    }

    private static function minutes(JobState $state): float
    {
        $at = array_map(fn (Entry $entry) => $entry->at, $state->journal->lines);
        sort($at);
        $seconds = 0;
        for ($i = 1; $i < count($at); $i++) {
            $seconds += min(self::AT_IT_S, $at[$i] - $at[$i - 1]);
        }

        return $seconds / 60.0;
    }
}
