<?php

declare(strict_types=1);

namespace Aqbel\Core\Instruments;

use Aqbel\Core\InvalidField;

/**
 * A line of what an instrument sends: `channel,seconds or date,value,unit`, the same as a JSON
 * object, or the bytes of a scan tool's answer as they came.
 */
final class SentLine
{
    /** A count of seconds ends there: what is more is milliseconds. */
    private const MOST_S = 1.0e11;

    private const HEADER = 'channel';

    /**
     * Null of a header or an empty line.
     *
     * @throws InvalidField naming what of it is wrong: `channel`, `time`, `value`, `unit` or `line`
     */
    public static function read(string $line): ?SentPoint
    {
        $line = trim($line);
        if ($line === '' || str_starts_with(strtolower($line), self::HEADER.',')) {
            return null;
        }
        [$channel, $time, $value, $unit] = $line[0] === '{' ? self::json($line) : self::csv($line);
        if (str_starts_with(strtolower($channel), 'pid:')) {
            [$channel, $value, $unit] = self::pid(substr($channel, 4), $value);
        }
        $kind = ChannelKind::of($channel)
            ?? throw new InvalidField(
                'channel',
                "There is no channel “{$channel}”. There are: "
                    .implode(', ', array_column(ChannelKind::cases(), 'value'))
                    .'.',
            );
        if ($unit === '' && preg_match('/^([-+0-9.eE]+)\s*([^0-9.\s].*)$/u', $value, $glued) === 1) {
            [, $value, $unit] = $glued;
        }
        try {
            return new SentPoint($channel, self::seconds($time), $kind->value($value, $unit));
        } catch (\InvalidArgumentException $wrong) {
            throw new InvalidField('value', $wrong->getMessage());
        }
    }

    /** @return array{string, string, string, string} */
    private static function csv(string $line): array
    {
        $parts = array_map(fn (?string $part) => trim((string) $part), str_getcsv($line, ',', '"', ''));
        if (count($parts) < 3 || count($parts) > 4) {
            throw new InvalidField('line', 'Send channel,time,value,unit.');
        }

        return [$parts[0], $parts[1], $parts[2], $parts[3] ?? ''];
    }

    /** @return array{string, string, string, string} */
    private static function json(string $line): array
    {
        $told = json_decode($line, true);
        if (! is_array($told)) {
            throw new InvalidField('line', 'This is no JSON object in one line.');
        }
        $text = fn (string $name): string => is_scalar($told[$name] ?? null) ? (string) $told[$name] : '';

        return [$text('channel'), $text('time'), $text('value'), $text('unit')];
    }

    /** @throws InvalidField */
    private static function seconds(string $time): float
    {
        if (is_numeric($time)) {
            $seconds = (float) $time;

            return is_finite($seconds) && abs($seconds) < self::MOST_S
                ? $seconds
                : throw new InvalidField('time', 'Send seconds, not milliseconds.');
        }
        $parts = preg_match('/^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}:\d{2}(\.\d{1,6})?(Z|[+-]\d{2}:?\d{2})$/', $time) === 1
                ? date_create_immutable($time)
                : false;
        if ($parts === false) {
            throw new InvalidField('time', 'Send seconds, or a date with its zone: 2026-03-05T14:02:11.5Z.');
        }

        return (float) $parts->format('U.u');
    }

    /**
     * Raw values of mode 01: 05 coolant A − 40 °C; 0C rpm (256 A + B)/4; 0D speed A km/h; 0F
     * air at the intake A − 40 °C (SAE J1979, from memory).
     *
     * @return array{string, string, string} channel, value, unit
     */
    private static function pid(string $pid, string $bytes): array
    {
        $hex = (string) preg_replace('/\s+|0x/i', '', $bytes);
        $wanted = ['05' => 2, '0C' => 4, '0D' => 2, '0F' => 2][strtoupper($pid)]
            ?? throw new InvalidField('channel', "pid:{$pid} is not read. Read are pid:05, pid:0C, pid:0D, pid:0F.");
        if (strlen($hex) !== $wanted || ! ctype_xdigit($hex)) {
            throw new InvalidField(
                'value',
                "Send its {$wanted} hex digits, for example ".($wanted === 4 ? '0D48' : '7B').'.',
            );
        }
        $number = hexdec($hex);

        return match (strtoupper($pid)) {
            '05' => [ChannelKind::Coolant->value, (string) ($number - 40), ''],
            '0C' => [ChannelKind::Rpm->value, (string) ($number / 4), ''],
            '0D' => [ChannelKind::Speed->value, (string) $number, ''],
            default => [ChannelKind::Ambient->value, (string) ($number - 40), ''],
        };
    }
}
