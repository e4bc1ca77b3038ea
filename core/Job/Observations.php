<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** What was told in a job, read from its lines once, however many ask. */
final class Observations
{
    /** @var array<string, array<class-string<Observation>, list<Observation>>> by step and kind of observation */
    private array $observed = [];

    /** @var array<class-string<Observation>, list<Observation>> the same of all steps */
    private array $anywhere = [];

    /** @var array<string, list<Entry>> lines that tell of something, by step */
    private array $told = [];

    /** @var array<string, array<string, list<Entry>>> the same, by step and form */
    private array $toldBy = [];

    /** @var array<string, list<Entry>> taken back or changed, by step */
    private array $struck = [];

    public function __construct(private readonly JobState $job, private readonly Reader $reader)
    {
    }

    /**
     * What was told of one kind of thing at a step, in the order of its own time.
     *
     * @template T of Observation
     *
     * @param  class-string<T>  $what
     * @return list<T>
     */
    public function at(string $step, string $what): array
    {
        /** @var list<T> $known */
        $known = $this->observed[$step][$what] ??= $this->reader->all(
            $step,
            $this->toldAt($step, $what::forms()),
            $what,
        );

        return $known;
    }

    /**
     * @param  list<string>  $forms  none for all of them
     * @return list<Entry> what was told at a step, in these forms
     */
    private function toldAt(string $step, array $forms): array
    {
        $told = $this->told[$step] ??= self::telling($this->job->writtenAt($step));
        if ($forms === []) {
            return $told;
        }
        if (! isset($this->toldBy[$step])) {
            $this->toldBy[$step] = [];
            foreach ($told as $line) {
                $this->toldBy[$step][$line->form][] = $line;
            }
        }
        $lines = array_map(fn (string $form) => $this->toldBy[$step][$form] ?? [], $forms);

        return count($lines) === 1 ? $lines[0] : Entry::inOrder(array_merge(...$lines));
    }

    /**
     * The same of every step whose kind observes it, in the order of its own time.
     *
     * @template T of Observation
     *
     * @param  class-string<T>  $what
     * @return list<T>
     */
    public function anywhere(string $what): array
    {
        if (! isset($this->anywhere[$what])) {
            $found = [];
            foreach ($this->job->steps as $step) {
                if (in_array($what, $this->job->kinds->of($step)->observes(), true)) {
                    array_push($found, ...$this->at($step->id, $what));
                }
            }
            $this->anywhere[$what] = Told::inOrder($found);
        }
        /** @var list<T> $known */
        $known = $this->anywhere[$what];

        return $known;
    }

    /**
     * @template T of Observation
     *
     * @param  class-string<T>  $what
     * @return list<T> of every step whose kind observes it, up to then; step by step
     */
    public function until(string $what, Observation $then): array
    {
        $found = [];
        foreach ($this->job->steps as $step) {
            if (! in_array($what, $this->job->kinds->of($step)->observes(), true)) {
                continue;
            }
            $told = $step->id === $then->told()->step
                ? array_map($what::of(...), array_filter(
                    $this->toldAt($step->id, $what::forms()),
                    fn (Entry $line) => $line->at <= $then->told()->at,
                ))
                : $this->at($step->id, $what);
            foreach ($told as $one) {
                if ($one !== null && ! $one->told()->isAfter($then->told())) {
                    $found[] = $one;
                }
            }
        }

        return $found;
    }

    /**
     * What was told at a step and somebody else has taken back or changed since, or that was changed once the step was
     * closed: no proof any more, and a danger all the same.
     *
     * @template T of Observation
     *
     * @param  class-string<T>  $what
     * @return list<T>
     */
    public function struck(string $step, string $what): array
    {
        return $this->reader->all(
            "{$step} struck",
            $this->struck[$step] ??= self::telling($this->job->journal->struck($step)),
            $what,
        );
    }

    /**
     * @param  list<Entry>  $lines
     * @return list<Entry> those that tell of something: neither of a finished step, nor of a caution or a photograph
     */
    private static function telling(array $lines): array
    {
        return array_values(
            array_filter($lines, fn (Entry $line) => ! $line->belongsToEveryStep() || $line->isAnyTime()),
        );
    }
}
