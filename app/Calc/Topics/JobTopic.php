<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Ledger\Ledger;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Saying\Obstacle;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Writing\Refusal;
use Aqbel\Core\Writing\Replanning;
use Aqbel\Core\Writing\Script;
use Aqbel\Core\Writing\ScriptLine;

/** A whole job in `aqbel-job/1`: circuit, plan choices and journal, folded as the screens fold it. */
final class JobTopic implements Topic
{
    public const FORMAT = 'aqbel-job/1';

    /** A line without a time of its own follows the one before it by so much, s. */
    private const BETWEEN_LINES_S = 60;

    public function name(): string
    {
        return 'job';
    }

    public function summary(): string
    {
        return 'a whole job from its document: every step judged, the ledger, the neck, and what is next';
    }

    public function answer(Input $input): array
    {
        $input->choice('format', [self::FORMAT]);
        $circuit = $input->circuit();
        $kinds = StepCatalogue::standard();
        $planner = new Planner($kinds, SchoolCatalogue::standard());
        $plan = $planner->plan($circuit, $input->choices($circuit));
        $script = new Script(new JobState($circuit, $plan, $kinds), $kinds, new Replanning($kinds, $planner));
        $now = 0;
        foreach ($input->objects('journal', 0) as $i => $entry) {
            $line = self::line($entry, $i, $now);
            $script->write($line);
            $now = $line->at;
        }

        return self::said($script, $now, $kinds);
    }

    /**
     * How a job stands at a moment, Unix seconds.
     *
     * @return array<string, mixed>
     */
    public static function said(Script $script, int $now, StepCatalogue $kinds): array
    {
        $state = $script->state();

        return [
            'steps' => array_map(
                fn (Step $step) => self::step($state, $step, $now, $kinds),
                array_values($state->steps),
            ),
            'ledger' => self::ledger($state->ledger()),
            'neck' => $state->running()->neck()?->value,
            'next' => $state->stepInHand()?->id,
            'refused' => array_map(fn (Refusal $refusal) => [
                'line' => $refusal->line->number, 'field' => $refusal->field, 'message' => $refusal->message,
            ], $script->refused()),
        ];
    }

    private static function line(Input $in, int $i, int $before): ScriptLine
    {
        $values = $in->has('values') ? $in->object('values') : [];

        return new ScriptLine(
            $i,
            (int) $in->number('at', 0, 4.0e9, $before + self::BETWEEN_LINES_S),
            $in->line('person', 80) ?? 'script',
            $in->line('step', 80) ?? '',
            $in->text('form'),
            $values,
            $in->line('reason', 300) ?? '',
            (int) $in->number('about', 0, 1.0e6, 0),
            $in->isTrue('lead'),
            $in->isTrue('late'),
        );
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
            'trapped_air_plus_minus_ml' => $ledger->trappedAirPlusMinusMl(),
        ];
    }
}
