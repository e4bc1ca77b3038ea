<?php

declare(strict_types=1);

namespace App\Visits;

use App\Models\Shop;
use App\Models\Visit;
use Illuminate\Http\Response;

/** Visits as iCalendar (RFC 5545): all-day events, for on which day somebody looks is what is agreed. */
final class Ics
{
    /** A content line is folded after so many octets (RFC 5545, 3.1). */
    private const OCTETS = 73;

    /** @param  iterable<Visit>  $visits */
    public static function of(iterable $visits): string
    {
        $lines = [
            'BEGIN:VCALENDAR',
            'VERSION:2.0',
            'PRODID:-//Aqbel//'.config('aqbel.version').'//EN',
            'CALSCALE:GREGORIAN',
            'METHOD:PUBLISH',
            'X-WR-CALNAME:'.self::text('Visits, '.Shop::here()->name),
        ];
        foreach ($visits as $visit) {
            array_push($lines, ...self::event($visit));
        }

        return implode("\r\n", array_map(self::folded(...), [...$lines, 'END:VCALENDAR']))."\r\n";
    }

    public static function response(string $calendar, string $name): Response
    {
        return response($calendar, 200, [
            'Content-Type' => 'text/calendar; charset=utf-8',
            'Content-Disposition' => "inline; filename=\"{$name}\"",
            'Cache-Control' => 'private, no-cache',
        ]);
    }

    /** @return list<string> */
    private static function event(Visit $visit): array
    {
        $vehicle = $visit->job->vehicle;
        $about = array_filter([
            $vehicle->name,
            "Record {$visit->job->number()}",
            $visit->watch === '' ? '' : "Watch for: {$visit->watch}",
            $visit->holder === null ? '' : "In the hands of {$visit->holder->name}",
        ]);

        return [
            'BEGIN:VEVENT',
            "UID:visit-{$visit->id}@".substr(hash('sha256', 'calendar'.config('app.key')), 0, 16),
            'DTSTAMP:'.$visit->created_at->copy()->utc()->format('Ymd\THis\Z'),
            'DTSTART;VALUE=DATE:'.$visit->due_on->format('Ymd'),
            'DTEND;VALUE=DATE:'.$visit->due_on->copy()->addDay()->format('Ymd'),
            'SUMMARY:'.self::text("Cold level, {$vehicle->plate}"),
            'DESCRIPTION:'.self::text(implode("\n", $about)),
            'TRANSP:TRANSPARENT',
            'END:VEVENT',
        ];
    }

    private static function text(string $text): string
    {
        return str_replace(["\r\n", "\n", "\r"], '\n', addcslashes($text, '\\;,'));
    }

    private static function folded(string $line): string
    {
        $parts = [];
        while (strlen($line) > self::OCTETS) {
            $part = mb_strcut($line, 0, self::OCTETS, 'UTF-8');
            $parts[] = $part;
            $line = substr($line, strlen($part));
        }

        return implode("\r\n ", [...$parts, $line]);
    }
}
