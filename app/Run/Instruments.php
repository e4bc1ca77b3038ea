<?php

declare(strict_types=1);

namespace App\Run;

use App\Instruments\SeriesStore;
use App\Instruments\Watch;
use App\Models\Feed;
use App\Models\Job;
use App\Practice\Ground;
use Aqbel\Core\Instruments\Sender;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Judged\HotProofs;
use Aqbel\Core\Judged\HotRun;
use Aqbel\Core\Judged\MissingProof;
use Aqbel\Core\Judged\ProofCode;
use Aqbel\Core\Observed\Bubbles;
use Aqbel\Core\Plan\Plan;
use Illuminate\Database\Eloquent\Collection;

/**
 * Instruments at a step whose engine runs: what sends, its curve,
 * and what the run has shown as a list that ticks itself.
 */
final readonly class Instruments
{
    private const LATELY_S = 120;

    /** @var Collection<int, Feed> */
    public Collection $feeds;

    public bool $hasCurve;

    /** Of a vehicle that is not there; null where none stands in. */
    public ?Feed $standIn;

    public function __construct(public Job $job, private Situation $at, private string $address)
    {
        $this->feeds = Feed::query()->sending()->where('job_id', $job->id)->orderBy('id')->get();
        $this->hasCurve = $this->feeds->isNotEmpty() || SeriesStore::here()->has($job->id);
        $this->standIn = Ground::isHere() || config('aqbel.demo')
                ? $this->feeds->first(fn (Feed $feed) => $feed->stand_in !== null)
                : null;
    }

    /** Whether something has come lately: then it is not read by hand. */
    public function sends(): bool
    {
        return $this->feeds->contains(
            fn (Feed $feed) => ($feed->last_ms ?? 0) > 1000 * ($this->at->now - self::LATELY_S),
        );
    }

    /** What the page keeps as it is while this is the same. */
    public function version(): string
    {
        return "{$this->job->id} {$this->feeds->map(fn (Feed $feed) => "{$feed->id}{$feed->outlet}")->implode(' ')}";
    }

    /** @return list<string> of a heater that has several: one thermometer walks from one to the next */
    public function outlets(): array
    {
        $outlets = $this->at->facts()->outlets;

        return count($outlets) > 1 && $this->gauge() === null ? $outlets : [];
    }

    public function mayStandIn(): bool
    {
        return config('aqbel.demo') && ! Ground::isHere() && $this->standIn === null;
    }

    /** @return array<string, string> what may be wrong with a vehicle that is not there, of what this one has */
    public function faults(): array
    {
        $circuit = $this->at->circuit();

        return array_filter([
            '' => 'with nothing wrong',
            'thermostat:shut' => 'its thermostat shut',
            'pocket:heater' => $circuit->hasHeater() ? 'air in its heater' : null,
            'pocket:sensor' => 'air at its sensor',
            'fan:dead' => $circuit->facts->fanOnC === null ? null : 'its fan dead',
            'leak:12' => 'a leak',
        ]);
    }

    public function addressOf(Feed $feed): string
    {
        return "{$this->address}/feeds/{$feed->token}";
    }

    /** Ready to be pasted where an instrument is read. */
    public function lineOf(Feed $feed): string
    {
        return "printf 'coolant_c,%s,88.2\\n' \"$(date +%s)\" | curl --data-binary @- {$this->addressOf($feed)}";
    }

    public function promised(): string
    {
        return Sender::A_SECOND.' lines a second';
    }

    /** The one channel that is watched, where it is a gauge and no engine. */
    public function gauge(): ?string
    {
        return Watch::needle($this->at)?->value;
    }

    /** @return list<array{text: string, shown: bool}> nothing before the engine runs */
    public function proofs(): array
    {
        $proofs = $this->gauge() !== null ? null : HotRun::of($this->at)?->proofs;
        if ($proofs === null) {
            return [];
        }
        $facts = $this->at->facts();
        $times = Plan::of($this->at)->rules()->fanCycles;

        return array_values(
            array_filter([
                HotProofs::hasThermostat($this->at->circuit())
                    ? ['text' => 'Thermostat open', 'shown' => ! self::misses($proofs, ProofCode::Thermostat)]
                    : ['text' => 'It goes round', 'shown' => ! self::misses($proofs, ProofCode::Circulation)],
                ...array_map(
                    fn (string $outlet) => [
                        'text' => count($facts->outlets) > 1 ? "Outlet hot, {$outlet}" : 'Outlet hot',
                        'shown' => ! self::misses($proofs, ProofCode::Outlet, $outlet),
                    ],
                    $facts->outlets,
                ),
                $proofs->fanCounts
                    ? [
                        'text' => "Fan on and off, {$proofs->fan->times()} of {$times}",
                        'shown' => ! self::misses($proofs, ProofCode::Fan),
                    ]
                    : null,
                in_array($proofs->bubbles->seen, [null, Bubbles::Hidden], true)
                    ? null
                    : ['text' => 'No more bubbles', 'shown' => ! self::misses($proofs, ProofCode::Bubbles)],
            ]),
        );
    }

    private static function misses(HotProofs $proofs, ProofCode $code, ?string $outlet = null): bool
    {
        return ! $proofs->hasBegun()
            || array_filter(
                $proofs->missing,
                fn (MissingProof $missing) => $missing->code === $code
                    && ($outlet === null || $missing->outlet === $outlet),
            ) !== [];
    }
}
