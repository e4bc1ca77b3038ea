<?php

declare(strict_types=1);

namespace Aqbel\Core\Circuit;

/** One line of a manual's own filling routine: what is done, and how long it goes on. */
final readonly class RoutineLine
{
    /** Words by which a line starts the engine, whatever it calls itself: no engine is started beside its own step. */
    private const STARTS
        = '/\b(?:start|run|idle|rev|warm)\w*\b[^.,;]*\bengine\b|\bengine\b(?!\s+(?:off|is '
        .'off|stopped|cold))[^.,;]*\b(?:start|run|idl|rev|warm|at \d)/iu';

    private const STARTS_NOT = '/\b(?:not|never|without)\b/iu';

    private const STOPS = '/\b(?:off|stop|shut)\w*\b[^.,;]*\b(?:engine|it)\b|\b(?:engine|ignition)\b[^.,;]*\b(?:off|stop)/iu';

    /**
     * @param  string  $text  as it is typed, without the name of its part
     * @param  float  $minutes  until the next line; 0 where it is done at once
     * @param  string  $point  of a bleed: its id or its name
     */
    private function __construct(
        public string $text,
        public float $minutes,
        public RoutinePart $part,
        public string $point,
    ) {
    }

    /**
     * Minutes are those it ends with, such as “Service mode on, pump runs 10 min”. What begins
     * with the name of a part and a colon is that part: “run: idle until the fan has turned
     * twice”, “bleed heater screw: a turn”, “level: to the mark”.
     */
    public static function of(string $line): self
    {
        $minutes = preg_match('/(\d{1,3}(?:\.\d)?)\s*min\.?\s*$/u', $line, $found) === 1 ? (float) $found[1] : 0.0;
        $parts = implode('|', array_filter(array_column(RoutinePart::cases(), 'value')));
        $isPart = preg_match("/^\\s*({$parts})\\b([^:]{0,80}):\\s*(.*)$/iu", $line, $named) === 1;

        return match (true) {
            $isPart => new self(trim($named[3]), $minutes, RoutinePart::from(strtolower($named[1])), trim($named[2])),
            preg_match(self::STARTS, $line) === 1 && preg_match(self::STARTS_NOT, $line) === 0 => new self(
                $line,
                $minutes,
                RoutinePart::Run,
                '',
            ),
            default => new self($line, $minutes, RoutinePart::Free, ''),
        };
    }

    public function stopsTheEngine(): bool
    {
        return preg_match(self::STOPS, $this->text) === 1;
    }

    /** The same line with what is done meanwhile. */
    public function and(self $other): self
    {
        return new self(trim("{$this->text}; {$other->text}", '; '), $this->minutes, $this->part, $this->point);
    }

    /** The bleed point it means; null where it means none that there is. */
    public function port(Circuit $circuit): ?Port
    {
        foreach ($circuit->portsOf(PortKind::Bleed) as $port) {
            if (
                $this->part === RoutinePart::Bleed
                && in_array(mb_strtolower($this->point), [mb_strtolower($port->id), mb_strtolower($port->label)], true)
            ) {
                return $port;
            }
        }

        return null;
    }
}
