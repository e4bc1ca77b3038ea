<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

use Aqbel\Core\Values;

/** One line of a job's journal as it counts now: corrections already applied, the first entry's time kept. */
final readonly class Entry
{
    /** Under which a line stores the plan that holds from there on. */
    public const PLAN = 'plan';

    /** Under which something that came up says before which step its own come. */
    public const BEFORE = 'before';

    /** A line that came in within so long was sent at once, s. */
    private const WAITED_S = 60;

    private ?Lines $kind;

    public string $by;

    /**
     * @param  int  $at  Unix seconds
     * @param  Values  $values  codes, and numbers in the core's units
     * @param  array<string, string>|string  $typed  quantities as typed, by field; as JSON where it came so
     * @param  list<Step>  $orders  steps that finishing, or something that came up, ordered
     * @param  ?Values  $replacement  what a correcting line puts in place of an earlier one's values
     * @param  ?Basis  $planned  what the job follows from this line on, where it was planned anew
     * @param  ?int  $arrived  when it came in, Unix seconds; null where that is not known
     * @param  string  $person  their name, as it is read
     * @param  string  $by  who that is among people who may be
     * called alike; the name itself where nobody numbers people
     */
    public function __construct(
        public int $seq,
        public int $at,
        public string $person,
        public string $step,
        public string $form,
        public Values $values = new Values,
        private array|string $typed = [],
        public array $orders = [],
        public ?Values $replacement = null,
        public ?Correction $correction = null,
        public ?Basis $planned = null,
        public ?int $arrived = null,
        string $by = '',
    ) {
        $this->kind = Lines::tryFrom($form);
        $this->by = $by === '' ? $person : $by;
    }

    /**
     * As a line is stored: plain values, and beside them what only some lines carry.
     *
     * @param  array<mixed>  $values
     * @param  array<string, string>|string  $typed  by field; as JSON, which is read when somebody asks
     */
    public static function stored(
        int $seq,
        int $at,
        string $person,
        string $step,
        string $form,
        array $values,
        array|string $typed = [],
        ?Basis $planned = null,
        ?int $arrived = null,
        string $by = '',
    ): self {
        $orders = is_array($values['orders'] ?? null)
            ? array_map(Step::fromArray(...), array_values(array_filter($values['orders'], is_array(...))))
            : [];
        $replacement = is_array($values['values'] ?? null) ? Values::fromArray($values['values']) : null;
        unset($values['orders'], $values['values'], $values[self::PLAN]);

        return new self(
            $seq,
            $at,
            $person,
            $step,
            $form,
            Values::fromArray($values),
            $typed,
            $orders,
            $replacement,
            planned: $planned,
            arrived: $arrived,
            by: $by,
        );
    }

    /** @return array<string, string> quantities as they were typed, by field */
    public function typed(): array
    {
        return is_string($this->typed)
            ? array_filter((array) json_decode($this->typed, true), is_string(...))
            : $this->typed;
    }

    public function corrected(self $by): self
    {
        $correction = new Correction($by->person, $by->at, $by->text('reason'));

        return new self(
            $this->seq,
            $this->at,
            $this->person,
            $this->step,
            $this->form,
            $by->replacement ?? $this->values,
            $by->typed,
            $by->orders,
            correction: $correction,
            arrived: $this->arrived,
            by: $this->by,
        );
    }

    /** How long it waited before it came in, s; 0 where it did not, or nobody knows. */
    public function waitedS(): int
    {
        $waited = ($this->arrived ?? $this->at) - $this->at;

        return $waited >= self::WAITED_S ? $waited : 0;
    }

    /** Which of the kinds that every step may have; null where the form is its step's own. */
    public function kind(): ?Lines
    {
        return $this->kind;
    }

    public function is(Lines $kind): bool
    {
        return $this->kind === $kind;
    }

    /** Whether it closes its step: finished, passed over with a reason, or left for another way of going on. */
    public function closes(): bool
    {
        return $this->is(Lines::Finish)
            || $this->is(Lines::Override)
            || ($this->is(Lines::Replan) && Closing::leaves($this));
    }

    /** The line that it corrects or takes back; null where it does neither. */
    public function changes(): ?int
    {
        return $this->is(Lines::Correct) || $this->is(Lines::Withdraw) ? $this->values->whole('seq') : null;
    }

    /** Whether it may stand at any step: what came up, whatever the step asks. */
    public function isAnyTime(): bool
    {
        return $this->kind?->isAnyTime() === true;
    }

    /**
     * Whether it says nothing of its own step's: finishing, passing over, a caution read, a photograph, what came up.
     */
    public function belongsToEveryStep(): bool
    {
        return $this->kind !== null && ! $this->kind->changesAnother();
    }

    public function number(string $name): ?float
    {
        return $this->values->number($name);
    }

    public function text(string $name): string
    {
        return $this->values->text($name);
    }

    public function ticked(string $name): bool
    {
        return $this->values->ticked($name);
    }

    /**
     * By their own time, then as they arrived. As a rule they stand so already.
     *
     * @param  array<self>  $lines
     * @return list<self>
     */
    public static function inOrder(array $lines): array
    {
        $lines = array_values($lines);
        for ($i = 1, $count = count($lines); $i < $count; $i++) {
            [$one, $next] = [$lines[$i - 1], $lines[$i]];
            if ($one->at > $next->at || ($one->at === $next->at && $one->seq > $next->seq)) {
                usort($lines, fn (self $a, self $b) => $a->at <=> $b->at ?: $a->seq <=> $b->seq);
                break;
            }
        }

        return $lines;
    }
}
