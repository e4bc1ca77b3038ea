<?php

declare(strict_types=1);

namespace Aqbel\Core\Quantity;

/**
 * The short form of a unit, however it was written: in words or letters, one or several of it, with or without spaces,
 * dots and product signs, of any of the signs that look alike ("Newton metres", "N*m", "N-m" are all `nm`).
 */
final class UnitName
{
    private const ALIKE = [
        'º' => '°', '˚' => '°', '℃' => '°c', '℉' => '°f', '²' => '2', '³' => '3', '^' => '', 'µ' => 'u',
        '"' => 'in', '″' => 'in', '\'\'' => 'in', '´´' => 'in', '\'' => 'ft', '′' => 'ft', '´' => 'ft', '#' => 'lb',
        '·' => '', '•' => '', '⋅' => '', '∙' => '', '*' => '', '×' => '', '-' => '', '‑' => '', '.' => '',
        '(' => '', ')' => '', '_' => '',
    ];

    /** Words, the longest of two that begin alike first. */
    private const WORDS = [
        '/deg(?:ree)?s?(?=$|[cf])/' => '°',
        '/celsius|centigrade/' => 'c',
        '/fahrenheit/' => 'f',
        '/°?(°[cf])/' => '$1',
        '/milli(?=l|m|b)/' => 'm',
        '/centi(?=l|m)/' => 'c',
        '/deci(?=l)/' => 'd',
        '/kilo(?=m|p)/' => 'k',
        '/mega(?=p)/' => 'm',
        '/pascals?/' => 'pa',
        '/newtons?/' => 'n',
        '/met(?:re|er)s?/' => 'm',
        '/lit(?:re|er)s?|^ltrs?$|^lt$/' => 'l',
        '/(?:of)?mercury/' => 'hg',
        '/inch(?:es)?/' => 'in',
        '/foot|feet/' => 'ft',
        '/(?:pounds?|lbs?)(?:force|f(?![to]))?/' => 'lb',
        '/fluid|^fl(?=o)/' => '',
        '/ounces?/' => 'oz',
        '/quarts?|^qts$/' => 'qt',
        '/gallons?|^gals$/' => 'gal',
        '/pints?|^pts$/' => 'pt',
        '/^cups$/' => 'cup',
        '/^us(?=qt|gal|pt|oz|cup)/' => '',
        '/^kgs$|^kilos?$|^kilograms?$/' => 'kg',
        '/^(?:kgf|kp)(?=m)/' => 'kg',
        '/^m(?:kgf|kp)$/' => 'mkg',
        '/^miles?$/' => 'mi',
        '/^(?:ccm?|cm3|ccms)$/' => 'ml',
        '/^(psi|bar|kpa|mpa|mbar)(?:gauge|g|s)$/' => '$1',
        '/^(?:kgf?|kp)\/cm2$/' => 'kgpercm',
        '/^lb\/(?:in2|sqin|squarein)$/' => 'psi',
        '/^(?:sec|second)s?$/' => 's',
        '/^min(?:ute)?s?$/' => 'min',
        '/^(?:hr|hour)s?$/' => 'h',
        '/^days$/' => 'day',
        '/^(?:percent|pct|prozent)$|^vol%$|^%vol$|^%byvolume$/' => '%',
    ];

    public static function short(string $typed): string
    {
        $short = mb_strtolower((string) preg_replace('/\s+/u', '', $typed));

        return (string) preg_replace(array_keys(self::WORDS), array_values(self::WORDS), strtr($short, self::ALIKE));
    }
}
