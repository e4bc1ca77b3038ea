<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Unit;

/**
 * A table that a logger wrote: separator, decimal comma, units and the way it counts time are recognised; what a
 * column is, is guessed from its name and may be said otherwise.
 */
final readonly class LoggerFile
{
    private const MOST_LINES = 40_000;

    private const MOST_COLUMNS = 24;

    /** By words in the name of a column, the first that fits. */
    private const WORDS = [
        'time' => '/\b(time|zeit|date|datum|timestamp|seconds?|sek|elapsed)\b|^t$/',
        'far_side_c' => '/far.?side|radiator|upper hose|hose out|thermostat out|k[uü]hler/',
        'outlet_c.rear' => '/(outlet|heater|vent).*rear|rear.*(outlet|heater|vent)/',
        'outlet_c' => '/outlet|heater|vent air/',
        'coolant_c' => '/coolant|ect\b|engine temp|water temp|k[uü]hlmittel/',
        'ambient_c' => '/ambient|outside|intake|\biat\b/',
        'rpm' => '/rpm|revs|engine speed|drehzahl/',
        'speed_kmh' => '/speed|km.?h|mph/',
        'vacuum_inhg' => '/vacuum|inhg/',
        'pressure_kpa' => '/pressure|kpa|\bbar\b|psi/',
        'weight_kg' => '/weight|scale|\bkg\b/',
    ];

    /**
     * @param  list<string>  $names  of the columns, as they stand in the file
     * @param  list<?string>  $channels  what each is taken for: `time`, a channel, or nothing
     * @param  list<list<string>>  $rows
     */
    private function __construct(
        public string $separator,
        public bool $decimalComma,
        public array $names,
        public array $channels,
        private array $rows,
        private int $firstLine,
    ) {
    }

    /**
     * @throws InvalidField on `file`, with line and column
     */
    public static function read(string $text): self
    {
        $text = (string) preg_replace('/^\xEF\xBB\xBF/', '', $text);
        if (trim($text) === '' || ! mb_check_encoding($text, 'UTF-8') || str_contains($text, "\0")) {
            throw new InvalidField('file', 'This is no table of text in UTF-8. Save it as CSV.');
        }
        $lines = preg_split('/\R/', rtrim($text)) ?: [];
        if (count($lines) > self::MOST_LINES) {
            throw new InvalidField(
                'file',
                'At most '.number_format(self::MOST_LINES).' lines are taken. Cut it to the run.',
            );
        }
        $counts = array_map(fn (string $separator) => substr_count($lines[0], $separator), [
            ';' => ';',
            "\t" => "\t",
            ',' => ',',
        ]);
        arsort($counts);
        $separator = (string) array_key_first($counts);
        $cells = fn (string $line): array => array_map(
            fn (?string $cell) => trim((string) $cell),
            str_getcsv($line, $separator, '"', ''),
        );
        $header = 0;
        $names = $cells($lines[$header]);
        if ($counts[$separator] === 0 || count($names) > self::MOST_COLUMNS) {
            throw new InvalidField(
                'file',
                'Line 1: no columns. Send a table with a line of names, its columns parted '
                    .'by comma, semicolon or tab.',
            );
        }
        $rows = [];
        foreach (array_slice($lines, 1) as $i => $line) {
            if (trim($line) === '') {
                continue;
            }
            $row = $cells($line);
            if (count($row) !== count($names)) {
                throw new InvalidField(
                    'file',
                    'Line '.($i + 2).': '.count($row).' columns where line 1 has '.count($names).'.',
                );
            }
            $rows[] = $row;
        }
        if ($rows === []) {
            throw new InvalidField('file', 'There is a line of names and nothing below it.');
        }
        $comma = $separator !== ','
            && array_filter($rows[0], fn (string $cell) => preg_match('/^-?\d+,\d+$/', $cell) === 1) !== [];

        return new self($separator, $comma, $names, self::guessed($names), $rows, 2);
    }

    /**
     * @param  list<string>  $names
     * @return list<?string>
     */
    private static function guessed(array $names): array
    {
        $taken = [];
        foreach ($names as $i => $name) {
            $found = null;
            foreach (self::WORDS as $channel => $words) {
                if (! in_array($channel, $taken, true) && preg_match($words.'u', mb_strtolower($name)) === 1) {
                    $found = $channel;
                    break;
                }
            }
            $taken[$i] = $found;
        }

        return array_values($taken);
    }

    /**
     * The same with its columns taken for something else.
     *
     * @param  array<int, string>  $channels  by column; empty for one that is left out
     *
     * @throws InvalidField
     */
    public function taken(array $channels): self
    {
        $all = array_map(
            fn (int $i): ?string => ($channels[$i] ?? ($this->channels[$i] ?? '')) === ''
                ? null
                : (string) ($channels[$i] ?? $this->channels[$i]),
            array_keys($this->names),
        );
        $used = array_filter($all, fn (?string $channel) => $channel !== null);
        foreach ($used as $i => $channel) {
            if ($channel !== 'time' && ChannelKind::of($channel) === null) {
                throw new InvalidField("columns.{$i}", 'There is no such channel.');
            }
        }
        if (count(array_unique($used)) !== count($used)) {
            throw new InvalidField('columns', 'Two columns are taken for the same.');
        }
        if (! in_array('time', $used, true) || count($used) < 2) {
            throw new InvalidField('columns', 'Say which column is the time, and what at least one other is.');
        }

        return new self($this->separator, $this->decimalComma, $this->names, $all, $this->rows, $this->firstLine);
    }

    /**
     * @return array<string, list<array{float, float}>> seconds since
     * its first line, and value in the unit of the channel
     *
     * @throws InvalidField on `file`, with line and column
     */
    public function points(): array
    {
        $time = array_search('time', $this->channels, true);
        if ($time === false) {
            throw new InvalidField('columns', 'Say which column is the time.');
        }
        [$points, $first, $last, $days] = [[], null, -INF, 0];
        foreach ($this->rows as $n => $row) {
            $line = $n + $this->firstLine;
            $at = $this->seconds($row[$time], $line, (int) $time) + 86400.0 * $days;
            if ($at < $last - 43200.0) {
                // Over midnight.
                $days++;
                $at += 86400.0;
            }
            if ($at < $last) {
                throw new InvalidField('file', "Line {$line}, column ".($time + 1).': the time goes back.');
            }
            $last = $at;
            $first ??= $at;
            foreach ($this->channels as $i => $channel) {
                if ($channel !== null && $i !== $time && $row[$i] !== '') {
                    $points[$channel][] = [$at - $first, $this->value($row[$i], $channel, $i, $line)];
                }
            }
        }

        return $points;
    }

    private function seconds(string $cell, int $line, int $column): float
    {
        $number = $this->decimalComma ? str_replace(',', '.', $cell) : $cell;
        if (is_numeric($number)) {
            return (float) $number;
        }
        if (preg_match('/(?:^|[T ])(\d{1,2}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?/', $cell, $clock) === 1) {
            return 3600.0 * (float) $clock[1]
                + 60.0 * (float) $clock[2]
                + (float) str_replace(',', '.', $clock[3] ?? '0');
        }
        throw new InvalidField(
            'file',
            "Line {$line}, column "
                .($column + 1)
                .": “{$cell}” is no time. Seconds, or hours, minutes and seconds.",
        );
    }

    private function value(string $cell, string $channel, int $column, int $line): float
    {
        $kind = ChannelKind::of($channel) ?? ChannelKind::Coolant;
        $number = $this->decimalComma ? str_replace(',', '.', $cell) : $cell;
        try {
            return $kind->value($number, $this->unit($column, $kind));
        } catch (\InvalidArgumentException) {
            throw new InvalidField('file', "Line {$line}, column ".($column + 1).": “{$cell}” is no number.");
        }
    }

    /**
     * As it stands in the name of a column, `ECT (°F)`; empty where there is none, or one the channel does not know.
     */
    public function unit(int $column, ChannelKind $kind): string
    {
        if (preg_match('/[(\[]\s*([^)\]]+?)\s*[)\]]/u', $this->names[$column], $found) !== 1) {
            return '';
        }
        try {
            $kind->value('1', $found[1]);

            return $found[1];
        } catch (\InvalidArgumentException) {
            return '';
        }
    }

    public function lines(): int
    {
        return count($this->rows);
    }

    /** Whether it counts in °F. */
    public function isFahrenheit(): bool
    {
        foreach ($this->channels as $i => $channel) {
            $kind = ChannelKind::of((string) $channel);
            if ($kind?->unit() === Unit::Celsius && str_contains(mb_strtoupper($this->unit($i, $kind)), 'F')) {
                return true;
            }
        }

        return false;
    }
}
