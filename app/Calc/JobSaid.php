<?php

declare(strict_types=1);

namespace App\Calc;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Steps\StepCatalogue;

/** How a job stands at a moment, in codes: what `calc job` answers, and what leaves with a job. */
final class JobSaid
{
    /**
     * @param  int  $now  Unix seconds
     * @return array{steps: list<array<string, mixed>>, ledger: array<string, mixed>, neck: ?string, next: ?string}
     */
    public static function at(JobState $state, int $now, StepCatalogue $kinds): array
    {
        return [
            'steps' => array_map(
                fn (Step $step) => self::step($state, $step, $now, $kinds),
                array_values($state->steps),
            ),
            'ledger' => self::ledger($state->ledger()),
            'neck' => $state->running()->neck()?->value,
            'next' => $state->stepInHand()?->id,
        ];
    }

    /** @return array<string, mixed> */
    private static function step(JobState $state, Step $step, int $now, StepCatalogue $kinds): array
    {
        $kind = $kinds->of($step);
        $done = isset($state->closed[$step->id]);
        $inHand = $state->stepInHand()?->id === $step->id;
        $at = ($done ? $state->asAt($step) : $state)->at($step, $now);
        $verdict = $kind->verdict($at);

        return [
            'step' => $step->id,
            'kind' => $step->kind,
            'state' => match (true) {
                $done => 'done',
                isset($state->reopened[$step->id]) => 'reopened',
                default => $inHand ? 'in_hand' : 'ahead',
            },
            'verdict' => $verdict?->code,
            'said' => $verdict === null ? null : "{$verdict->title}. {$verdict->reason}",
            'obstacles' => array_map(
                fn (Obstacle $o) => ['code' => $o->code, 'hard' => $o->hard, 'said' => $o->text],
                $inHand ? $kind->open($at) : [],
            ),
        ];
    }

    /** @return array<string, mixed> mL and shares */
    private static function ledger(Ledger $ledger): array
    {
        return [
            'content_ml' => $ledger->contentMl,
            'plus_minus_ml' => $ledger->plusMinusMl,
            'glycol_fraction' => $ledger->fraction(),
            'glycol_plus_minus' => $ledger->glycolPlusMinus,
            'old_share' => $ledger->oldShare(),
            'in_ml' => $ledger->inMl(),
            'out_ml' => $ledger->outMl(),
            'trapped_air_ml' => $ledger->trappedAirMl(),
            'trapped_air_plus_minus_ml' => $ledger->trappedAirToldWithinMl(),
        ];
    }
}
