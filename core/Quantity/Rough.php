<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/**
 * What people say of an amount they have not read off: “about 2 L”, “2 to 3 L”, “half a litre or so”, “2 cans
 * of 5 L”, “4.6 kg” on a scale. It is an answer at its worth.
 */
final class Rough
{
    /** “About” is off by so much of it (common practice, no source). */
    private const ABOUT = 0.25;

    /**
     * A weight is one of a mixture nobody has measured, from water to concentrate (any handbook table, from memory).
     */
    private const WEIGHED = 0.065;

    private const BEFORE = '/^(?:about|approximately|approx\.?|ca\.?|circa|roughly|around|maybe|some|a good|~|≈)\s*/iu';

    private const BEHIND = '/\s*(?:or so|approximately|approx\.?|about|roughly|at a guess)$/iu';

    /** @var array<string, string> numbers in words, the longest first */
    private const WORDS = [
        'one and a half' => '1.5',
        'two and a half' => '2.5',
        'three and a half' => '3.5',
        'three quarters of an' => '3/4',
        'a quarter of an' => '1/4',
        'quarter of an' => '1/4',
        'a quarter of a' => '1/4',
        'quarter of a' => '1/4',
        'a quarter' => '1/4',
        'half of a' => '1/2',
        'half an' => '1/2',
        'half a' => '1/2',
        'an' => '1',
        'a' => '1',
        'one' => '1',
        'two' => '2',
        'three' => '3',
        'four' => '4',
        'five' => '5',
    ];

    private const WEIGHT = '/\d\s*(?:kgs?|kilos?|lbs?|pounds?)\b/iu';

    /** What coolant is carried in; what it holds is not in its name. */
    private const VESSEL = '(?:full\s+)?(?:cans?|canisters?|bottles?|jugs?|pans?|buckets?|drums?)(?:full)?';

    private const NUMBER = '\d+(?:[.,]\d+)?';

    /** The same without the words around the number, and that written in figures where a unit follows. */
    public static function plain(string $text): string
    {
        return self::figures((string) preg_replace([self::BEHIND, self::BEFORE], '', trim($text)));
    }

    /** “Two litres”, “half an hour”: in figures, where a unit follows. */
    public static function figures(string $plain): string
    {
        foreach (self::WORDS as $words => $number) {
            $unit = preg_match("/^{$words}\\s+(.+)$/iu", $plain, $rest) === 1 ? $rest[1] : '';
            if ($unit !== '' && Unit::named($unit) !== null) {
                return "{$number} {$unit}";
            }
        }

        return $plain;
    }

    /**
     * Whether an amount is told in words, between two, or by weight;
     * a wavy line in front alone is a habit of the hand.
     */
    public static function isTold(string $text): bool
    {
        $text = ltrim(trim($text), '~≈ ');

        return self::between($text) !== null
            || preg_match(self::BEFORE, $text) === 1
            || preg_match(self::BEHIND, $text) === 1
            || preg_match(self::WEIGHT, $text) === 1;
    }

    /**
     * So many vessels full, or so many times an amount: “2 cans of 5 L”, “3 x 2 L”, “a pan”.
     *
     * @return ?array{float, string} how many, and what each holds as it was told,
     * empty where nobody said; null where it is told otherwise
     */
    public static function times(string $text): ?array
    {
        $plain = (string) preg_replace([self::BEHIND, self::BEFORE], '', trim($text));
        $counts = implode('|', [self::NUMBER, ...array_keys(self::WORDS)]);
        if (
            preg_match(
                "/^({$counts})\\s*(?:[x×*]|".self::VESSEL.'(?:\s+of|\s*,)?)\s*([^+\-–−]*)$/iu',
                $plain,
                $part,
            ) !== 1
        ) {
            return null;
        }
        [$of, $in] = [...explode('/', self::WORDS[mb_strtolower($part[1])] ?? str_replace(',', '.', $part[1])), '1'];

        return [(float) $of / (float) $in, $part[2]];
    }

    /** @return ?array{string, string} lower and upper, each with the unit; null where it is no range */
    public static function between(string $text): ?array
    {
        $plain = self::plain($text);
        $found = preg_match(
            '/^('.self::NUMBER.')\s*([^\d\s\-–]*)\s*(?:-|–|\bto\b)\s*('.self::NUMBER.')\s*(\D*)$/iu',
            $plain,
            $part,
        ) === 1;

        return $found
            ? [trim($part[1].' '.($part[2] === '' ? $part[4] : $part[2])), trim("{$part[3]} {$part[4]}")]
            : null;
    }

    /**
     * Within which 95 % of such answers lie, mL; null where it was told as exactly as it was read.
     *
     * @param  string  $typed  with its unit
     */
    public static function plusMinusMl(string $typed, float $ml): ?float
    {
        $between = self::between($typed);
        if ($between !== null) {
            try {
                return abs(
                    Typed::parse($between[1], Unit::Litre)->base - Typed::parse($between[0], Unit::Litre)->base,
                ) / 2.0;
            } catch (\InvalidArgumentException) {
                return null; // what came from elsewhere may say anything
            }
        }

        return match (true) {
            preg_match(self::BEFORE, trim($typed)) === 1 || preg_match(self::BEHIND, trim($typed)) === 1 => self::ABOUT * $ml,
            preg_match(self::WEIGHT, $typed) === 1 => self::WEIGHED * $ml,
            default => null,
        };
    }
}
