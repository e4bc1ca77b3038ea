<?php

declare(strict_types=1);

namespace App\Floor;

use App\Models\Job;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Flow\Filling;
use Aqbel\Core\Flow\Standing;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Steps\MakeSafe\Inspect;
use Aqbel\Core\Steps\StepCatalogue;

/** The projection of a job's fold that lists and the elevation view read, so that no list has to fold every journal. */
final class Projection
{
    /** Half a mark of the coarsest vessel, and 5 % of the reading: short by less does not leave a sliver in the picture. */
    private const VESSEL_ML = 250.0;

    private const READING_SHARE = 1.05;

    public static function refresh(Job $job): void
    {
        $state = $job->state();
        $now = now()->getTimestamp();
        $step = $state->stepInHand();
        $drawn = self::drawn($state, $step);
        $runs = ($job->summary['drawn'] ?? null) === $drawn ? $job->summary['runs'] : self::runs($state);
        $summary = ['runs' => $runs, 'drawn' => $drawn, 'ports' => $state->ports($now), 'seq' => $state->journal->last(), 'watch' => self::watch($state)];
        if ($step !== null) {
            $at = $state->at($step, $now);
            $kind = StepCatalogue::of($step);
            $clock = $kind->clock($at);
            $judgement = $kind->judge($at);
            $done = count($state->closed);
            $summary += [
                'step' => $step->id, 'title' => $kind->title($at), 'stage' => $step->stage->value, 'done' => $done, 'steps' => count($state->steps),
                'clock' => $clock === null ? null : ['label' => $clock->label, 'since' => $clock->since, 'until' => $clock->until],
                'tone' => $judgement?->tone, 'verdict' => $judgement?->verdict,
                'lanes' => self::lanes($state, $step, $now),
            ];
        }
        $job->summary = $summary;
        $job->signed_at = $step === null ? now() : null;
        $job->save();
    }

    /** What the picture depends on: a tick or a reading that moves no coolant does not draw it again. */
    private static function drawn(JobState $state, ?Step $inHand): string
    {
        $measured = array_map(fn (Step $step) => [$step->id, array_map(fn (Entry $e) => $e->number('volume'), $state->entriesOf($step->id, 'out'))], $state->stepsOf('drain'));

        return sha1((string) json_encode([$inHand?->stage, $state->ledger()->contentMl, $state->ledgerBefore(Stage::Drain)->contentMl, $measured]));
    }

    /** @return list<string> what the next visit should look at */
    private static function watch(JobState $state): array
    {
        $found = $state->lastOf('inspect', 'condition');

        return $found === null ? [] : Inspect::watchNotes($found);
    }

    /**
     * When the running clock lets go, the minutes of hands and of waiting that are still to come.
     *
     * @return list<array{hands: bool, minutes: float}>
     */
    private static function lanes(JobState $state, Step $inHand, int $now): array
    {
        $lanes = [];
        $add = function (bool $hands, float $minutes) use (&$lanes): void {
            $last = count($lanes) - 1;
            if ($minutes <= 0.0) {
                return;
            }
            if ($last >= 0 && $lanes[$last]['hands'] === $hands) {
                $lanes[$last]['minutes'] += $minutes;
            } else {
                $lanes[] = ['hands' => $hands, 'minutes' => $minutes];
            }
        };
        $clock = StepCatalogue::of($inHand)->clock($state->at($inHand, $now));
        foreach ($state->steps as $id => $step) {
            if (! isset($state->closed[$id])) {
                $kind = StepCatalogue::of($step);
                $running = $id === $inHand->id && $clock !== null;
                if (! $running) {
                    $add(true, $kind->handsOnMinutes($step, $state->plan->input));
                }
                $add(false, $running ? 0.0 : $kind->waitingMinutes($step, $state->plan->input));
            }
        }

        return $lanes;
    }

    /**
     * Where coolant and air stand now: measured where measured, from the model where not.
     *
     * @return array<string, list<array{float, float, int}>>
     */
    private static function runs(JobState $state): array
    {
        $predicted = $state->plan->predicted;
        $step = $state->stepInHand();
        $stage = $step === null ? Stage::HandOver : $step->stage;
        if ($stage === Stage::Rinse && $state->stepsOf('rinse_fill') !== []) {
            return Standing::of($state->circuit, max(0.0, $state->ledger()->contentMl));
        }
        if ($stage->value <= Stage::Mix->value) {
            return self::drained($state);
        }
        $filling = $stage === Stage::Fill || ($stage === Stage::Vacuum && $state->plan->input->school === Choices::VACUUM);
        if (! $filling) {
            $proven = $stage->value >= Stage::Prove->value;

            return $proven || $state->plan->input->school === Choices::VACUUM ? $predicted['full_runs'] : $predicted['fill']['runs'];
        }
        $circuit = $state->circuit;
        $content = $state->ledger()->contentMl;
        if ($state->plan->input->school === Choices::VACUUM) {
            $drawn = array_filter($state->stepsOf('vacuum_fill'), fn (Step $step) => $state->entriesOf($step->id, 'poured') !== []);

            return $drawn === [] ? self::drained($state) : Standing::of($circuit, $content);
        }

        return Filling::of($circuit, $circuit->fillPort()->id, $state->plan->input->bleedsOf($circuit), Filling::usualGates($circuit),
            $state->plan->input->noseLiftMm, volumeMl: max(0.0, $content))->runs;
    }

    /**
     * The full circuit less what each drain let out, as measured so far.
     *
     * @return array<string, list<array{float, float, int}>>
     */
    private static function drained(JobState $state): array
    {
        // What was air at the top before the first drain came out of none of them.
        $above = max(0.0, $state->circuit->capacityMl() - $state->ledgerBefore(Stage::Drain)->contentMl);
        $measured = [];
        foreach ($state->stepsOf('drain') as $step) {
            $port = (string) $step->params['port'];
            $out = $state->entriesOf($step->id, 'out');
            if ($out !== []) {
                $measured[$port] = self::READING_SHARE * array_sum(array_map(fn (Entry $entry) => $entry->number('volume') ?? 0.0, $out)) + self::VESSEL_ML + $above;
                $above = 0.0;
            }
        }

        return $measured === [] ? $state->plan->predicted['full_runs']
            : Drainage::of($state->circuit, array_keys($measured), Filling::usualGates($state->circuit), $state->plan->input->noseLiftMm, measured: $measured)->runs;
    }
}
