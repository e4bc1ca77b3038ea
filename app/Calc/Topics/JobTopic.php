<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\JobSaid;
use App\Calc\StoredJob;
use App\Calc\Topic;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Plan\Planner;
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
        if ($input->has('plan')) {
            // As it was exported: its lines were taken when they were written, and are only folded.
            return [...JobSaid::at(StoredJob::state($input), StoredJob::lastAt($input), $kinds), 'refused' => []];
        }
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
        return [...JobSaid::at($script->state(), $now, $kinds), 'refused' => array_map(fn (Refusal $refusal) => [
            'line' => $refusal->line->number, 'field' => $refusal->field, 'message' => $refusal->message,
        ], $script->refused())];
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
}
