<?php

declare(strict_types=1);

namespace Tests\Journeys;

use App\Calc\Input;
use App\Calc\Topics\JobTopic;
use App\Practice\Answers;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Lines;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Judged\Outcome;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Plan\Planner;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Schools\SchoolCatalogue;
use Aqbel\Core\Steps\StepCatalogue;
use Aqbel\Core\Steps\StepKind;
use Aqbel\Core\Writing\Refusal;
use Aqbel\Core\Writing\Replanning;
use Aqbel\Core\Writing\Script;
use Aqbel\Core\Writing\ScriptLine;
use Tests\Demo;

/**
 * A whole job as data: who writes what, when, and what must be said at each point.
 *
 * A journey names a demo circuit or a `layout` as it comes, where it has one a `routine` of its own, plan choices,
 * `units` where they are not metric, and `lines`, in order:
 * - `{"until": step, "or": step}`: everything up to that step as an
 * ordinary technician does it, or to the other where it
 *   has fallen away on the way; `{"do": step}` that step too
 * - `{"step", "form", "values", "person", "min"}`: one entry, `min` minutes after the one before (1 when not given)
 * - with `late`: forgotten at a step that is finished, so many minutes ago
 * - `{"finish": step, "reason"}`, `{"correct": form of step, …}`, `{"withdraw": …}` about the last such entry
 * - any of these with `"refused": field` must be refused for that field
 * - `{"expect": …}`: what `calc job` must answer then
 */
final class Journey
{
    private const OVER_NIGHT_S = 10 * 3600;

    /** @var array<string, Plan> by what is asked for: many journeys begin alike */
    private static array $planned = [];

    private Script $script;

    private int $now = 1_000_000;

    private int $number = 0;

    private readonly StepCatalogue $kinds;

    private readonly UnitSystem $units;

    /** @var array<string, mixed> */
    private readonly array $document;

    public static function read(string $file): self
    {
        return new self(json_decode((string) file_get_contents($file), true, 64, JSON_THROW_ON_ERROR));
    }

    /** @param  array<string, mixed>  $document */
    public function __construct(array $document)
    {
        $this->document = $document;
        $this->kinds = StepCatalogue::standard();
        $this->units = UnitSystem::from($document['units'] ?? 'metric');
        $circuit = match (true) {
            isset($this->document['layout']) => Demo::layout($this->document['layout']),
            isset($this->document['routine']) => Demo::withRoutine(
                $this->document['circuit'],
                $this->document['routine'],
            ),
            default => Demo::circuit($this->document['circuit']),
        };
        $planner = new Planner($this->kinds, SchoolCatalogue::standard());
        $asked = serialize(
            array_intersect_key($this->document, array_flip(['circuit', 'layout', 'routine', 'choices'])),
        );
        $plan = self::$planned[$asked] ??= $planner->plan($circuit, (new Input($this->document))->choices($circuit));
        $this->script = new Script(
            new JobState($circuit, $plan, $this->kinds),
            $this->kinds,
            new Replanning($this->kinds, $planner),
        );
    }

    public function about(): string
    {
        return $this->document['about'];
    }

    /**
     * Plays it to the end.
     *
     * @param  ?\Closure(array<string, mixed> $expected, array<string, mixed> $answer, int $line): void  $check
     * @param  ?\Closure(?string $field, ?Refusal $refusal, int $line): void  $refused
     */
    public function play(?\Closure $check = null, ?\Closure $refused = null): void
    {
        foreach ($this->document['lines'] as $i => $line) {
            match (true) {
                isset($line['expect']) => $check === null ? null : $check($line['expect'], $this->answer(), $i),
                isset($line['until']) => $this->until($line['until'], $line['or'] ?? null),
                isset($line['do']) => $this->do($line['do']),
                $refused === null => $this->write($line),
                default => $refused($line['refused'] ?? null, $this->write($line), $i),
            };
        }
    }

    /** @return array<string, mixed> as `calc job` gives it */
    public function answer(): array
    {
        return JobTopic::said($this->script, $this->now, $this->kinds);
    }

    public function state(): JobState
    {
        return $this->script->state();
    }

    /** Of the line written last, Unix seconds. */
    public function now(): int
    {
        return $this->now;
    }

    /** Everything that is still to be done, the signature with it. */
    public function toTheEnd(): void
    {
        while (($step = $this->state()->stepInHand()) !== null) {
            $this->do($step->id);
        }
    }

    /** @param  ?string  $or  where it ends if the step has fallen away on the way */
    private function until(string $stop, ?string $or = null): void
    {
        while (($step = $this->state()->stepInHand()) !== null && $step->id !== $stop && $step->id !== $or) {
            $this->do($step->id);
        }
        if ($step === null) {
            throw new \LogicException("No step “{$stop}” comes by.");
        }
    }

    /** @param  bool  $afterwards  whether all of it is written up when it is done, each at its own time */
    private function do(string $id, bool $afterwards = false): void
    {
        $kind = $this->kinds->of($this->comesTo($id));
        $answers = Answers::to($kind, $this->state()->at($this->state()->steps[$id], $this->now));
        $takes = fn (array $answer): int => (int) round($answer[2] * 60);
        $left = $afterwards ? array_sum(array_map($takes, $answers)) : 0;
        $this->now += $left;
        foreach ($answers as $answer) {
            $this->must([
                'step' => $id,
                'form' => $answer[0],
                'values' => $this->typed($kind, $id, $answer[0], $answer[1]),
                'min' => 0,
                ...$afterwards ? ['late' => $left / 60] : [],
            ]);
            $afterwards ? $left -= $takes($answer) : $this->now += $takes($answer);
        }
        $this->waits($id);
        $this->must(['finish' => $id]);
    }

    /** As much time as passes before somebody is at a step. */
    private function comesTo(string $id): Step
    {
        $step = $this->state()->steps[$id] ?? throw new \LogicException("There is no step “{$id}”.");
        if ($step->kind === 'cool_down' && $this->state()->running()->last() !== null) {
            $this->now += self::OVER_NIGHT_S;
        }
        $this->now += (int) round(60 * Answers::before($this->state()->at($step, $this->now)));

        return $step;
    }

    private function waits(string $id): void
    {
        $step = $this->state()->steps[$id];
        $clock = $step->kind === 'cured' ? $this->kinds->of($step)->clock($this->state()->at($step, $this->now)) : null;
        $this->now = max($this->now, ($clock->until ?? 0) + 1);
    }

    /**
     * The step in hand, as an ordinary technician does it.
     *
     * @param  bool  $afterwards  whether all of it is written up when it is done, each at its own time
     */
    public function go(bool $afterwards = false): void
    {
        $this->do($this->state()->stepInHand()->id ?? throw new \LogicException('Nothing is in hand.'), $afterwards);
    }

    /**
     * What an ordinary technician would enter at the step in hand.
     *
     * @return list<array{string, array<string, string>, float}> form, fields and the minutes after it
     */
    public function wouldAnswer(): array
    {
        $at = clone $this;
        $step = $at->comesTo($this->state()->stepInHand()->id ?? throw new \LogicException('Nothing is in hand.'));

        return Answers::to($this->kinds->of($step), $at->state()->at($step, $at->now));
    }

    /**
     * The step in hand with these answers, and finished without a reason.
     *
     * @param  list<array{string, array<string, string>, float}>  $answers
     * @return ?Outcome how it was judged where all of it was taken; null where something was refused
     */
    public function whatIf(array $answers): ?Outcome
    {
        $at = clone $this;
        $id = $at->comesTo($this->state()->stepInHand()->id ?? '')->id;
        foreach ($answers as [$form, $fields, $minutes]) {
            if ($at->write(['step' => $id, 'form' => $form, 'values' => $fields, 'min' => 0]) !== null) {
                return null;
            }
            $at->now += (int) round($minutes * 60);
        }
        $at->waits($id);

        return ! $at->finishes($id) || ! isset($at->state()->steps[$id])
            ? null
            : $at->kinds
                ->of($at->state()->steps[$id])
                ->judgement($at->state()->at($at->state()->steps[$id], $at->now))
                ?->outcome();
    }

    public function finishes(string $id): bool
    {
        return $this->write(['finish' => $id]) === null;
    }

    public function takesBack(Entry $line): bool
    {
        $this->now += 60;

        return $this->script->write(
            new ScriptLine(
                $this->number++,
                $this->now,
                $line->by,
                $line->step,
                Lines::Withdraw->value,
                [],
                'A slip',
                $line->seq,
                false,
            ),
        ) === null;
    }

    public function __clone()
    {
        $this->script = clone $this->script;
    }

    /**
     * What a technician who reads these units types: the answers are metric.
     *
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private function typed(StepKind $kind, string $step, string $form, array $fields): array
    {
        $asked = $kind->form($this->state()->at($this->state()->steps[$step], $this->now, $this->units), $form);
        foreach ($this->units === UnitSystem::Metric ? [] : $asked->fields ?? [] as $field) {
            if ($field->dimension !== null && isset($fields[$field->name])) {
                $base = $field->read($fields[$field->name], UnitSystem::Metric)[0];
                $fields[$field->name] = is_float($base) ? $field->assumedUnit($this->units)->typed($base) : '';
            }
        }

        return $fields;
    }

    /** @param  array<string, mixed>  $line */
    private function must(array $line): void
    {
        $refusal = $this->write($line);
        if ($refusal !== null) {
            throw new \LogicException(json_encode($line).": {$refusal->message}");
        }
    }

    /** @param  array<string, mixed>  $line */
    private function write(array $line): ?Refusal
    {
        $this->now += (int) round(60 * ($line['min'] ?? 1));
        // A late line stands at its own time, minutes before now.
        $at = $this->now - (int) round(60 * ($line['late'] ?? 0));
        [$step, $form] = match (true) {
            isset($line['finish']) => [$line['finish'], 'finish'],
            isset($line['correct']) => [$line['step'], 'correct'],
            isset($line['withdraw']) => [$line['step'], 'withdraw'],
            default => [$line['step'], $line['form']],
        };

        return $this->script->write(new ScriptLine(
            $this->number++,
            $at,
            $line['person'] ?? 'Imre Tovald',
            $step,
            $form,
            $line['values'] ?? [],
            $line['reason'] ?? '',
            $this->last($step, $line['correct'] ?? $line['withdraw'] ?? ''),
            $line['lead'] ?? false,
            isset($line['late']),
        ), UnitSystem::from($line['units'] ?? $this->units->value));
    }

    /** Sequence number of the last entry of a form at a step; 0 when there is none. */
    private function last(string $step, string $form): int
    {
        $cameUp = array_values(array_filter($this->state()->cameUp($step), fn ($line) => $line->form === $form));
        $entries = [...$this->state()->entriesOf($step, $form), ...$cameUp];

        return $entries === [] ? 0 : $entries[count($entries) - 1]->seq;
    }
}
