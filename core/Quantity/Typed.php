<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/**
 * A number as a person typed it ("3 qt", "1,5 l", "3 1/2 qt", "1 gal 2 qt", "88°", "50/50", "20+20+17", "5:00", "about
 * 2 L", "2 to 3 L", "2 cans of 5 L"), understood in the core's unit and kept as typed.
 */
final readonly class Typed
{
    private const HALVES = ['½' => '1/2', '¼' => '1/4', '¾' => '3/4', '⅓' => '1/3', '⅔' => '2/3', '⅛' => '1/8'];

    /** What stands in the way of a number and its unit: dashes that are signs, words that join, figures in a unit. */
    private const AS_MEANT = [
        '/^(?:minus\s*|[–—‒‑])\s*(?=[\d.,])/iu' => '-',
        '/(?<=[\pL"\'])\s*(?:,|&|and\b)\s*(?=\d)/iu' => ' ',
        '/(\d)-(?=\d+\/\d+\b)/' => '$1 ',
        '/(?<=\d|\d\s)(?:cm|cc)\s*\^?[3³]/iu' => ' ccm',
        '/(?<=\d|\d\s)(?:kgf?|kp)\s*\/\s*cm\s*\^?[2²]/iu' => ' kgpercm',
        '/(?<=\d|\d\s)lbs?f?\.?\s*\/\s*(?:in\.?\s*\^?[2²]|sq\.?\s*in\.?)/iu' => ' psi',
    ];

    /** A number: grouped by spaces, with point or comma, with a fraction behind it, or a fraction alone. */
    private const NUMBER = '(?:\d+\s+\d+\/\d+|\d+\/\d+|\d{1,3}(?:[ '
        .'\x{00A0}\x{202F}]\d{3})+(?:[.,]\d+)?|\d+(?:[.,]\d*)*|[.,]\d+)';

    private function __construct(public float $base, public string $text)
    {
    }

    /**
     * @param  Unit  $assumed  the unit meant when only a number is typed
     *
     * @throws \InvalidArgumentException with the remedy, when it is no number or the unit measures something else
     */
    public static function parse(string $text, Unit $assumed): self
    {
        $text = trim($text);
        // A time or a temperature that something rests on is not told roughly.
        $rough = $assumed->dimension() === Dimension::Volume;
        $between = $rough ? Rough::between($text) : null;
        if ($between !== null) {
            return self::middle($text, ...$between, assumed: $assumed);
        }
        $times = $rough ? Rough::times($text) : null;
        if ($times !== null) {
            return self::times($text, ...$times, assumed: $assumed);
        }
        $plain = self::plain($rough ? Rough::plain($text) : $text);
        if ($assumed->dimension() === Dimension::Fraction) {
            $plain = self::share($plain);
        }
        if ($assumed->dimension() === Dimension::Fraction && preg_match('#^(\d+)\s*[/:]\s*(\d+)$#', $plain, $part)) {
            return self::parts($text, (float) $part[1], (float) $part[2], str_contains($plain, '/'));
        }
        if ($assumed->dimension() === Dimension::Time) {
            $hours = 'h(?:ours?|rs?)?';
            $plain = (string) preg_replace(
                ["/^(\\d+)\\s*{$hours}\\s*([0-5]?\\d)$/i", "/^(\\d+):([0-5]\\d)\\s*{$hours}$/i"],
                '$1 h $2 min',
                Rough::figures($plain),
            );
        }
        if ($assumed === Unit::Percent && preg_match('/^0?[.,](\d+)$/', $plain, $part)) {
            self::askShare((float) "0.{$part[1]}");
        }
        if ($assumed->dimension() !== Dimension::Length) {
            // Where an apostrophe is no foot it sets thousands apart.
            $plain = (string) preg_replace("/(?<=\d)['’](?=\d{3}(?!\d))/u", '', $plain);
        }
        if (self::isVacuum($assumed)) {
            $plain = (string) preg_replace('/(?<=[\pL"])\s*(?:of\s+)?vac(?:uum|\.)?$/iu', '', $plain);
        }
        if ($assumed->dimension() === Dimension::Time && preg_match('/^(\d+):([0-5]\d)(?::([0-5]\d))?$/', $plain, $clock)) {
            return self::clock($text, $clock, $assumed);
        }
        if (preg_match('/[\d\pL%"]\s*\+\s*\d/u', $plain) === 1) {
            return self::sum($text, $plain, $assumed);
        }
        $sign = preg_match('/^[-−]/u', $plain) ? -1.0 : 1.0;
        $rest = trim((string) preg_replace('/^[~≈+\-−]\s*/u', '', $plain));
        $pattern = '/\G\s*('.self::NUMBER.')\s*((?:[^\d.,\/~+\-−]|(?<=\pL)\.)*(?:-\pL+\.?)?)/u';
        $found = preg_match_all($pattern, $rest, $parts, PREG_SET_ORDER);
        if (! $found || implode('', array_column($parts, 0)) !== $rest) {
            throw new \InvalidArgumentException("Enter a number, for example {$assumed->example()}.");
        }
        [$base, $named] = [0.0, false];
        foreach ($parts as $i => [, $number, $unit]) {
            $unit = trim($unit, " \t.");
            if ($found > 1 && $unit === '') {
                throw new \InvalidArgumentException('Enter one number with its unit, for example '
                    ."{$assumed->example()}.");
            }
            $named = $named || $unit !== '';
            $base += self::unit($unit, $assumed)->toBase(self::number($number, $unit, $assumed));
        }
        $base = self::isVacuum($assumed) ? $base : $sign * $base;
        if ($sign < 0.0 && $assumed->dimension() === Dimension::Temperature && ! self::isVacuum($assumed)) {
            $base = self::unit(trim($parts[0][2], " \t."), $assumed)
                ->toBase(-self::number($parts[0][1], $parts[0][2], $assumed));
        }

        return new self($base, $named ? $text : trim("{$text} {$assumed->value}"));
    }

    /** Somewhere between two: the middle of both. */
    private static function middle(string $text, string $low, string $high, Unit $assumed): self
    {
        [$from, $to] = [self::parse($low, $assumed), self::parse($high, $assumed)];

        return new self(($from->base + $to->base) / 2.0, $to->text === $high ? $text : trim("{$text} {$assumed->value}"));
    }

    /** So many vessels: what one holds has to be said, nobody here knows their cans. */
    private static function times(string $text, float $count, string $each, Unit $assumed): self
    {
        if ($each === '') {
            throw new \InvalidArgumentException('Say what it holds: enter the amount, '
                ."for example {$assumed->example()}, or “2 cans of {$assumed->example()}”.");
        }
        $one = self::parse($each, $assumed);

        return new self($count * $one->base, $one->text === $each ? $text : trim("{$text} {$assumed->value}"));
    }

    /** A gauge of vacuum reads below the air: a sign in front says the same once more. */
    private static function isVacuum(Unit $assumed): bool
    {
        return $assumed === Unit::InchOfMercury;
    }

    /** Digits of any script as digits, fractions written out, signs and marks as one types them. */
    private static function plain(string $text): string
    {
        $digits = (string) preg_replace_callback(
            '/\p{Nd}/u',
            fn (array $one) => (string) self::digit($one[0]),
            $text,
        );
        foreach (self::HALVES as $half => $written) {
            $digits = (string) preg_replace("/(\\d)\\s*{$half}/u", "\$1 {$written}", $digits);
            $digits = str_replace($half, $written, $digits);
        }

        return (string) preg_replace(
            array_keys(self::AS_MEANT),
            array_values(self::AS_MEANT),
            str_replace(['٫', '٬', '’’', "''", '″', '”', '“'], ['.', '', '"', '"', '"', '"', '"'], $digits),
        );
    }

    /** “50-50”, “1 to 1”, “half and half”, “50 vol.-%”, “50 % glycol”; “40 to 60” may be a range and is none. */
    private static function share(string $plain): string
    {
        return (string) preg_replace(
            [
                '/^half and half$/i',
                '/^(\d+)\s*[-–]\s*\1$/u',
                '/^(\d)\s*to\s*(\d)$/i',
                '/\s*vol\.?\s*-?\s*%/i',
                '/%\s*(?:of\s+)?(?:glycol|coolant|concentrate)$/i',
            ],
            ['50/50', '$1/$1', '$1:$2', '%', '%'],
            $plain,
        );
    }

    /** Digits of every script stand ten in a row, the nought first. */
    private static function digit(string $digit): int
    {
        for ($code = mb_ord($digit), $value = 0; $value < 10; $value++) {
            $before = mb_chr($code - $value - 1);
            if (preg_match('/\p{Nd}/u', $before) !== 1) {
                return $value % 10;
            }
        }

        return self::inLongRun($code);
    }

    /** Some scripts follow each other without a gap: their noughts are known. */
    private static function inLongRun(int $code): int
    {
        return $code >= 0x1D7CE && $code <= 0x1D7FF ? ($code - 0x1D7CE) % 10 : ($code - 0x30) % 10;
    }

    /**
     * Hours and minutes where hours are asked for, else minutes and seconds; all three where three are typed.
     *
     * @param  array<int, string>  $clock  the whole, then its parts
     */
    private static function clock(string $text, array $clock, Unit $assumed): self
    {
        $parts = array_map(floatval(...), array_slice($clock, 1));
        $first = count($parts) === 3 || $assumed === Unit::Hour ? 3600.0 : 60.0;

        return new self($parts[0] * $first + $parts[1] * $first / 60.0 + ($parts[2] ?? 0.0), $text);
    }

    /** One vessel after the other: the last unit, or the only one, is that of all of them. */
    private static function sum(string $text, string $plain, Unit $assumed): self
    {
        $parts = array_map(trim(...), explode('+', ltrim($plain, '+ ')));
        $unit = fn (string $part): string => (string) preg_replace('/^'.self::NUMBER.'/u', '', Rough::times($part)[1] ?? $part);
        $units = array_map(fn (string $part): string => trim($unit($part)), $parts);
        $named = array_values(array_unique(array_filter($units)));
        if (in_array($assumed->dimension(), [Dimension::Temperature, Dimension::Pressure, Dimension::Fraction], true)) {
            throw new \InvalidArgumentException("Enter one number, for example {$assumed->example()}.");
        }
        if (count($named) > 1 && in_array('', $units, true)) {
            throw new \InvalidArgumentException('Enter a sum in one unit, for example 20+20+17.');
        }
        $base = 0.0;
        foreach ($parts as $i => $part) {
            $base += self::parse($units[$i] === '' ? trim("{$part} ".($named[0] ?? '')) : $part, $assumed)->base;
        }

        return new self($base, $named === [] ? trim("{$text} {$assumed->value}") : $text);
    }

    /** Parts of concentrate to parts of water; a fraction is no such thing unless it can be nothing else. */
    private static function parts(string $text, float $one, float $other, bool $asFraction): self
    {
        if ($asFraction && $one !== $other && $one + $other !== 100.0) {
            $share = $other > 0.0 ? (string) round(100.0 * $one / $other) : '50';
            throw new \InvalidArgumentException("Is that {$share} %, "
                ."or {$one} to {$other} parts? Enter {$share} % or {$one}:{$other}.");
        }
        if ($one + $other <= 0.0) {
            throw new \InvalidArgumentException('Enter the share of concentrate, for example 50 % or 1:1.');
        }

        return new self($one / ($one + $other), $text);
    }

    /** A share as a part of one looks like less than a hundredth. */
    private static function askShare(float $typed): void
    {
        if ($typed > 0.0) {
            $share = 100.0 * $typed;
            throw new \InvalidArgumentException("Is that {$share} % or {$typed} %? Enter it with its %.");
        }
    }

    private static function unit(string $typed, Unit $assumed): Unit
    {
        $unit = $typed === '' ? $assumed : Unit::meant($typed, $assumed);
        $choices = implode(', ', array_filter(array_map(fn (Unit $u) => $u->value, $assumed->dimension()->units())));
        if ($unit === null) {
            throw new \InvalidArgumentException("The unit “{$typed}” is not known here. Use one of: {$choices}.");
        }
        if ($unit->dimension() !== $assumed->dimension()) {
            throw new \InvalidArgumentException(
                "{$unit->value} measures {$unit->dimension()->value}; this field takes "
                    ."{$assumed->dimension()->value}. Use one of: {$choices}.",
            );
        }

        return $unit;
    }

    private static function number(string $typed, string $unit, Unit $assumed): float
    {
        if (preg_match('#^(?:(\d+)\s+)?(\d+)/(\d+)$#', $typed, $part)) {
            if ((float) $part[3] === 0.0) {
                throw new \InvalidArgumentException("Enter a number, for example {$assumed->example()}.");
            }

            return (float) $part[1] + (float) $part[2] / (float) $part[3];
        }
        $typed = (string) preg_replace('/[\s\x{00A0}\x{202F}]/u', '', $typed);
        if (preg_match('/^\d{1,3}[.,]\d{3}$/', $typed) && self::couldBeThousands($typed, $unit, $assumed)) {
            $grouped = preg_replace('/[.,]/', '', $typed);
            $point = str_replace(',', '.', $typed);
            $is = $unit === '' ? $assumed->value : $unit;
            throw new \InvalidArgumentException("Is that {$grouped} {$is} or {$point} {$is}? Type it without the "
                .'mark, or with another decimal.');
        }
        if (preg_match('/^\d{1,3}(?:,\d{3})+\.\d+$|^\d{1,3}(?:,\d{3}){2,}$/', $typed)) {
            return (float) str_replace(',', '', $typed);
        }
        if (preg_match('/^\d{1,3}(?:\.\d{3})+,\d+$|^\d{1,3}(?:\.\d{3}){2,}$/', $typed)) {
            return (float) str_replace(['.', ','], ['', '.'], $typed);
        }
        if (preg_match('/^\d*[.,]?\d*$/', $typed) !== 1) {
            throw new \InvalidArgumentException("Enter a number, for example {$assumed->example()}.");
        }

        return (float) str_replace(',', '.', $typed);
    }

    /**
     * Three figures behind a mark are thousandths of a large unit or thousands of a small one; of mL they could be
     * both.
     */
    private static function couldBeThousands(string $typed, string $unit, Unit $assumed): bool
    {
        $meant = $unit === '' ? $assumed : Unit::meant($unit, $assumed) ?? $assumed;

        return ! str_starts_with($typed, '0') && in_array($meant, [Unit::Millilitre, Unit::Millimetre, Unit::Millibar, Unit::Second], true);
    }
}
