<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\PortState;

/** What a job that was given up, or signed short of its mark, leaves to the next one on the same vehicle. */
final readonly class LeftBehind
{
    /** The step at which its cause is looked for, where a run of it had to be stopped. */
    public const CAUSE = 'why_stopped:left';

    /** Under which closing up ticks that a port left open is closed, before the port. */
    public const TICK = 'left_open.';

    /**
     * @param  string  $job  its number
     * @param  list<string>  $open  ports that stand open
     * @param  ?float  $contentMl  inside by its ledger; null where nobody recorded what was found
     * @param  bool  $signed  whether it was signed: then it was full to its mark by the level, if not by its sums
     * @param  list<string>  $setUp  codes of what was set up for its work and still stands
     * @param  bool  $stopped  whether a run of it had to be stopped, and nobody has looked for the cause
     * @param  ?int  $ranAt  when the engine last ran in it, Unix seconds; null where it did not, or was cold again
     */
    public function __construct(
        public string $job,
        public array $open = [],
        public ?float $contentMl = null,
        public float $plusMinusMl = 0.0,
        public bool $signed = false,
        public array $setUp = [],
        public bool $stopped = false,
        public ?int $ranAt = null,
    ) {
    }

    /**
     * What a signed job leaves, with what went in since; null where that is all that goes in, and no engine ran.
     *
     * @param  float  $sinceMl  topped up in the days after
     */
    public static function signed(JobState $job, string $number, float $sinceMl = 0.0): ?self
    {
        $ledger = $job->ledger();
        $short = $ledger->trappedAirMl() - $sinceMl;

        $ran = $job->running()->last();
        $full = $ledger->lines === [] || $short <= $ledger->trappedAirPlusMinusMl();
        $inside = $full ? null : max(0.0, $ledger->contentMl + $sinceMl);

        return $full && $ran === null
            ? null
            : new self($number, [], $inside, $full ? 0.0 : $ledger->plusMinusMl, true, ranAt: $ran);
    }

    /** What a job leaves as it stands: its own, and of what it found left open all that nobody has closed since. */
    public static function of(JobState $job, string $number, int $now): self
    {
        $before = Plan::of($job)->choices->left;
        $own = $job->ports($now);
        $ticked = ($before->open ?? []) === [] ? [] : self::ticked($job);
        $still = array_filter(
            $before->open ?? [],
            fn (string $port) => ! isset($own[$port]) && ! in_array(self::TICK.$port, $ticked, true),
        );
        $open = [
            ...array_keys(array_filter($own, fn (PortState $is) => $is !== PortState::Closed)),
            ...array_values($still),
        ];
        $ledger = $job->ledger();

        return $ledger->lines === []
            ? new self($number, $open, $before?->contentMl, $before->plusMinusMl ?? 0.0)
            : new self($number, $open, max(0.0, $ledger->contentMl), $ledger->plusMinusMl);
    }

    /**
     * With how the vehicle stands besides.
     *
     * @param  list<string>  $setUp  codes
     * @param  ?int  $ranAt  Unix seconds
     */
    public function with(array $setUp, bool $stopped, ?int $ranAt): self
    {
        return new self(
            $this->job,
            $this->open,
            $this->contentMl,
            $this->plusMinusMl,
            $this->signed,
            $setUp,
            $stopped,
            $ranAt,
        );
    }

    /** @return list<string> */
    private static function ticked(JobState $job): array
    {
        return array_merge(...array_map(fn (Entry $entry) => $entry->values->allTicked(), $job->entries));
    }

    /** Whether it tells of more than when the engine ran: what was signed full is as any other vehicle. */
    public function isUnfinished(): bool
    {
        return ! $this->signed || $this->contentMl !== null;
    }

    /** Whether so little is inside that the circuit arrives empty. */
    public function isEmpty(): bool
    {
        return $this->contentMl !== null && $this->contentMl <= $this->plusMinusMl;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            ...$this->signed ? ['signed' => true] : [],
            'job' => $this->job,
            'open' => $this->open,
            'content_ml' => $this->contentMl,
            'plus_minus_ml' => $this->plusMinusMl,
            ...$this->setUp === [] ? [] : ['set_up' => $this->setUp],
            ...$this->stopped ? ['stopped' => true] : [],
            ...$this->ranAt === null ? [] : ['ran_at' => $this->ranAt],
        ];
    }
}
