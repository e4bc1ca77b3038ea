<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Observed\DripSeen;

/**
 * A look for a leak, by all that was seen: every place that dripped, and gas that was found once, stand whatever was
 * seen after them.
 */
final readonly class DripFound implements Judgement
{
    /**
     * @param  list<string>  $places  the parts, in words, each once
     * @param  list<DripSeen>  $seen
     */
    private function __construct(
        public DripFoundCode $code,
        public array $places,
        public bool $gas,
        private array $seen,
    ) {
    }

    /** Null before anybody has looked. */
    public static function of(Situation $at): ?self
    {
        $seen = $at->observed(DripSeen::class);

        return $seen === [] ? null : self::by($seen);
    }

    /** @param  list<DripSeen>  $seen */
    public static function by(array $seen): self
    {
        $gas = array_filter($seen, fn (DripSeen $look) => $look->gas) !== [];
        $tested = array_filter($seen, fn (DripSeen $look) => $look->tested) !== [];
        $places = array_values(array_unique(
            array_filter(array_map(fn (DripSeen $look) => $look->place ?? '', $seen), fn (string $at) => $at !== ''),
        ));

        return new self(
            match (true) {
                $gas => DripFoundCode::Gas,
                $places !== [] => DripFoundCode::Found,
                $tested => DripFoundCode::NoDripNoGas,
                default => DripFoundCode::NoDrip,
            },
            $places,
            $gas,
            $seen,
        );
    }

    /** @return list<string> what has to be mended, in words, each place with where exactly it was seen */
    public function toMend(): array
    {
        $drips = array_filter($this->seen, fn (DripSeen $look) => $look->place !== null);

        return array_values(array_unique(
            array_map(fn (DripSeen $look) => trim("{$look->place}, {$look->where}", ', '), $drips),
        ));
    }

    /** @return list<string> where exactly, as it was typed */
    public function where(): array
    {
        $where = array_map(fn (DripSeen $look) => $look->place === null ? '' : $look->where, $this->seen);

        return array_values(array_unique(array_filter($where, fn (string $typed) => $typed !== '')));
    }

    public function code(): string
    {
        return $this->code->value;
    }

    public function outcome(): Outcome
    {
        return match ($this->code) {
            DripFoundCode::Gas => Outcome::Stops,
            DripFoundCode::Found => Outcome::Passes,
            DripFoundCode::NoDrip, DripFoundCode::NoDripNoGas => Outcome::Waits,
        };
    }

    public function latches(): bool
    {
        return $this->code === DripFoundCode::Gas;
    }

    public function restsOn(): array
    {
        return $this->seen;
    }
}
