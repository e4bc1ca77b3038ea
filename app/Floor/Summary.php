<?php

declare(strict_types=1);

namespace App\Floor;

use Aqbel\Core\Flow\Runs;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Stage;
use Aqbel\Core\Plan\Format\Stored;
use Aqbel\Core\Saying\Tone;
use Illuminate\Contracts\Database\Eloquent\Castable;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * A job in brief, as lists and pictures read it: codes and numbers alone. What it says in words is made when it is
 * read, in the reader's units.
 */
final readonly class Summary implements Castable
{
    /**
     * @param  int  $seq  the last line of the journal it rests on
     * @param  string  $drawn  what the picture depends on, so that it is drawn again only when that changes
     * @param  array<mixed>  $runs  as they are stored: a list of jobs draws none of them
     * @param  array<string, PortState>  $ports
     * @param  list<string>  $watch  codes, or words as typed, of what the next visit should look at
     * @param  ?string  $step  in hand; null when all are finished
     * @param  ?int  $since  of the running clock, Unix seconds
     * @param  ?int  $until  of the running clock
     * @param  list<Lane>  $lanes  when the running clock lets go, what is still to come
     * @param  bool  $renewed  whether so little of the old coolant is left that it counts as changed
     */
    public function __construct(
        public int $seq,
        public string $drawn,
        private array $runs,
        public array $ports,
        public array $watch,
        public ?string $step,
        public Stage $stage,
        public int $done,
        public int $steps,
        public ?Tone $tone,
        public ?int $since,
        public ?int $until,
        public array $lanes,
        public bool $renewed = true,
    ) {
    }

    /** Where coolant and air stand. */
    public function runs(): Runs
    {
        return Runs::fromArray($this->runs);
    }

    public function waitsUntil(): int
    {
        return $this->until ?? 0;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'seq' => $this->seq,
            'drawn' => $this->drawn,
            'runs' => $this->runs,
            'ports' => array_map(fn (PortState $state) => $state->value, $this->ports),
            'watch' => $this->watch,
            'step' => $this->step,
            'stage' => $this->stage->value,
            'done' => $this->done,
            'steps' => $this->steps,
            'tone' => $this->tone?->value,
            'clock' => $this->until === null ? null : ['since' => $this->since, 'until' => $this->until],
            'lanes' => array_map(
                fn (Lane $lane) => ['hands' => $lane->hands, 'minutes' => $lane->minutes],
                $this->lanes,
            ),
            'renewed' => $this->renewed,
        ];
    }

    /** As it stands in the database; null where nothing readable does. */
    public static function read(mixed $stored): ?self
    {
        $data = is_string($stored) ? json_decode($stored, true) : null;

        return is_array($data) ? self::fromArray($data) : null;
    }

    /** @param  array<mixed>  $data  as it was stored, by this version or an earlier one */
    public static function fromArray(array $data): self
    {
        $in = Stored::of($data);
        $clock = $in->child('clock');
        $ports = [];
        foreach ($in->child('ports')->toArray() as $port => $state) {
            $ports[(string) $port] = PortState::tryFrom(is_string($state) ? $state : '') ?? PortState::Closed;
        }

        return new self(
            (int) $in->number('seq'),
            $in->text('drawn'),
            $in->child('runs')->toArray(),
            $ports,
            $in->names('watch'),
            $in->text('step') === '' ? null : $in->text('step'),
            Stage::tryFrom((int) $in->number('stage')) ?? Stage::Plan,
            (int) $in->number('done'),
            (int) $in->number('steps'),
            Tone::tryFrom($in->text('tone')),
            $clock->has('since') ? (int) $clock->number('since') : null,
            $clock->has('until') ? (int) $clock->number('until') : null,
            array_values(
                array_map(
                    fn (Stored $lane) => new Lane($lane->isTrue('hands'), $lane->number('minutes')),
                    $in->child('lanes')->children(),
                ),
            ),
            ! $in->has('renewed') || $in->isTrue('renewed'),
        );
    }

    /**
     * @param  array<mixed>  $arguments
     * @return CastsAttributes<self, self>
     */
    public static function castUsing(array $arguments): CastsAttributes
    {
        return new class implements CastsAttributes
        {
            /** A kept object would be written back with every attribute that is read. */
            public bool $withoutObjectCaching = true;

            public function get(Model $model, string $key, mixed $value, array $attributes): ?Summary
            {
                return Summary::read($value);
            }

            public function set(Model $model, string $key, mixed $value, array $attributes): ?string
            {
                return $value instanceof Summary
                    ? json_encode($value->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)
                    : null;
            }
        };
    }
}
