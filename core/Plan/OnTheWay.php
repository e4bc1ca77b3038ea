<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Job\Step;

/**
 * The sequence of a job that goes on by another plan: what was done stays where it stands, what was opened or put on
 * is closed or taken off first, and everything from the fill on follows by the new plan.
 */
final readonly class OnTheWay
{
    /** What takes back what an earlier kind of step did: it stays, where that was begun. */
    private const UNDOES = ['lower' => 'raise', 'funnel_off' => 'funnel'];

    /** Done once, whatever the way of filling. */
    private const ONCE = ['refit', 'cured'];

    /** A search for a leak is never left, whoever ordered it. */
    private const LEAK = 'find_drip';

    /** @var list<string> kinds of step that belong to one plan or the other */
    private array $planned;

    public function __construct(private JobState $job, private Step $inHand, private Plan $new, private int $now)
    {
        $this->planned = array_map(fn (Step $step) => $step->kind, [...Plan::of($job)->steps, ...$new->steps]);
    }

    /** Whether the step in hand belongs to the way that is left. */
    public function leaves(): bool
    {
        return $this->inHand->stage->value >= Stage::Fill->value && ! $this->stays($this->inHand)
            && ($this->job->entriesOf($this->inHand->id) !== [] || ! $this->isPlannedAnew($this->inHand));
    }

    /** @return list<Step> the whole sequence, from the first step of the job */
    public function steps(): array
    {
        [$done, $first, $last] = [[], [], []];
        foreach ($this->job->steps as $id => $step) {
            $isDone = isset($this->job->closed[$id]) || ($id === $this->inHand->id && $this->leaves());
            if ($isDone || $step->stage->value < Stage::Fill->value) {
                $done[] = $step;
            } elseif ($this->stays($step)) {
                $step->stage->value >= Stage::Prove->value ? $last[] = $step : $first[] = $step;
            }
        }
        $again = $this->again([...$done, ...$first, ...$last]);
        $hands = array_filter($again, fn (Step $step) => $step->stage === Stage::HandOver);

        return [
            ...$done,
            ...$first,
            ...array_values(array_diff_key($again, $hands)),
            ...$last,
            ...array_values($hands),
        ];
    }

    /** Whether an open step of the way that is left still has to be done. */
    private function stays(Step $step): bool
    {
        if ($step->kind === self::LEAK || ! in_array($step->kind, $this->planned, true)) {
            return true;
        }
        $begun = self::UNDOES[$step->kind] ?? null;
        if ($begun !== null && ! in_array($step->kind, array_map(fn (Step $s) => $s->kind, $this->new->steps), true)) {
            return array_filter($this->job->stepsOf($begun), fn (Step $s) => $this->job->entriesOf($s->id) !== [])
                !== [];
        }
        $port = $step->params->text('port');
        $open = ($this->job->ports($this->now)[$port] ?? PortState::Closed) !== PortState::Closed;
        $closedAnew = array_filter(
            $this->new->steps,
            fn (Step $s) => $s->kind === $step->kind && $s->params->text('port') === $port,
        );

        return $open && $closedAnew === [] && $this->job->circuit->port($port)->kind === PortKind::Bleed;
    }

    /**
     * Everything from the fill on, under names that nothing done bears.
     *
     * @param  list<Step>  $there
     * @return list<Step>
     */
    private function again(array $there): array
    {
        $taken = array_flip(array_map(fn (Step $step) => $step->id, $there));
        $rounds = max([0, ...array_map(fn (Step $step) => $step->params->whole('round'), $there)]);
        $again = [];
        foreach ($this->new->steps as $step) {
            if (
                $step->stage->value < Stage::Fill->value
                || (isset($taken[$step->id]) && in_array($step->kind, self::ONCE, true))
            ) {
                continue;
            }
            $step = $this->later($step, $rounds);
            for ($n = 2, $id = $step->id; isset($taken[$id]); $n++) {
                $id = "{$step->id}/{$n}";
            }
            $taken[$id] = true;
            $again[] = new Step($id, $step->kind, $step->stage, $step->params);
        }

        return $again;
    }

    /** A warm-up counted on from those there were. */
    private function later(Step $step, int $rounds): Step
    {
        $ofRound = $step->stage === Stage::RunHot || $step->stage === Stage::Cool;
        if ($rounds === 0 || ! $ofRound || ! preg_match('/^(\w+):(\d+)$/', $step->id, $m)) {
            return $step;
        }
        $round = (int) $m[2] + $rounds;

        return new Step(
            "{$m[1]}:{$round}",
            $step->kind,
            $step->stage,
            $step->params->has('round') ? $step->params->with('round', $round) : $step->params,
        );
    }

    private function isPlannedAnew(Step $step): bool
    {
        return in_array($step->id, array_map(fn (Step $s) => $s->id, $this->new->steps), true);
    }
}
