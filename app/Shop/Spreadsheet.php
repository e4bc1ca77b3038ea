<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Http\Response;

/** A table of text for spreadsheets (RFC 4180): one line a row under a line of names. */
final class Spreadsheet
{
    /** By which spreadsheets know the encoding. */
    public const MARK = "\u{FEFF}";

    /**
     * @param  list<string>  $columns
     * @param  iterable<list<scalar|null>>  $rows
     */
    public static function text(array $columns, iterable $rows): string
    {
        $out = fopen('php://temp', 'r+') ?: throw new \RuntimeException('No memory for a file.');
        fputcsv($out, $columns, escape: '');
        foreach ($rows as $row) {
            fputcsv(
                $out,
                array_map(fn (mixed $cell) => is_string($cell) ? self::harmless($cell) : $cell, $row),
                escape: '',
            );
        }

        return self::MARK.stream_get_contents($out, offset: 0);
    }

    public static function response(string $text, string $name): Response
    {
        return response($text, 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }

    /** A text that a spreadsheet would take for a formula gets a mark before it; reading takes it off again. */
    public static function harmless(string $text): string
    {
        return preg_match('/^[=+\-@\t\']/', $text) === 1 ? "'{$text}" : $text;
    }

    public static function meant(string $text): string
    {
        return preg_match('/^\'[=+\-@\t\']/', $text) === 1 ? substr($text, 1) : $text;
    }
}
