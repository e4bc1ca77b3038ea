<?php

declare(strict_types=1);

namespace App\Vehicles;

use App\Models\Circuit;
use App\Models\Right;
use App\Models\Vehicle;
use App\Shop\Spreadsheet;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;
use Illuminate\Validation\ValidationException;

/**
 * Vehicles as a table of text, one a line under a line of names: written for a spreadsheet, read back from one. Reading
 * looks at everything first; what it found is stored by somebody else, all of it or nothing.
 */
final class VehicleFile
{
    public const COLUMNS = [
        'plate',
        'name',
        'circuit',
        'notes',
        'odometer',
        'hours',
        'interval_distance',
        'interval_months',
        'interval_hours',
        'retired',
    ];

    private const FIELDS = ['odometer', 'hours', 'interval_distance', 'interval_months', 'interval_hours'];

    public const MOST_BYTES = 1_000_000;

    /** A millisecond each, looked at under the lock that everybody who writes waits for. */
    private const MOST_LINES = 500;

    /** @return string with a mark at its start by which spreadsheets know the encoding */
    public static function written(UnitSystem $units): string
    {
        $rows = (function () use ($units): \Generator {
            foreach (Vehicle::query()->with('circuit:id,name')->orderBy('plate')->lazy(200) as $vehicle) {
                $shown = VehicleInput::shown($vehicle, $units);
                $line = [$vehicle->plate, $vehicle->name, $vehicle->circuit->name, $vehicle->notes];
                foreach (VehicleInput::form()->fields as $field) {
                    $text = $shown[$field->name];
                    $unit = $field->assumedUnit($units);
                    $line[] = $text === '' || $unit === Unit::Share ? $text : "{$text} {$unit->value}";
                }
                yield [...$line, $vehicle->retired_at?->format('Y-m-d') ?? ''];
            }
        })();

        return Spreadsheet::text(self::COLUMNS, $rows);
    }

    /**
     * What a file would change.
     *
     * @throws InvalidField where it is no table of vehicles at all
     */
    public static function read(string $text, UnitSystem $units, bool $mayRetire): VehicleImport
    {
        $lines = self::lines(self::decoded($text));
        [$first, $names] = $lines[0] ?? throw new InvalidField(
            'file',
            'The file is empty. Export the vehicles once to see its columns.',
        );
        $columns = array_map(fn (string $name) => str_replace(' ', '_', mb_strtolower(trim($name))), $names);
        $unknown = array_diff($columns, self::COLUMNS, ['']);
        if (
            $unknown !== []
            || array_diff(['plate', 'name', 'circuit'], $columns) !== []
            || count(array_unique($columns)) < count($columns)
        ) {
            throw new InvalidField(
                'file',
                "Line {$first}: the first line names the columns, each once: "
                    .implode(', ', self::COLUMNS)
                    .'. Plate, name and circuit must be there.'
                    .($unknown === [] ? '' : ' Not known: '.implode(', ', array_slice($unknown, 0, 5)).'.'),
            );
        }
        $byName = Circuit::byAnything();
        $here = Vehicle::query()->get()->keyBy('plate');
        $import = new VehicleImport;
        $import->mayRetire = $mayRetire;
        $seen = [];
        foreach (array_slice($lines, 1) as [$number, $cells]) {
            if (count($cells) > count($columns)) {
                $import->refuse(
                    $number,
                    'line',
                    'More cells than columns. A comma in a text wants quotation marks around the text.',
                );

                continue;
            }
            $row = array_combine($columns, array_pad($cells, count($columns), ''));
            $plate = mb_strtoupper((string) preg_replace('/\s+/u', ' ', trim($row['plate'])));
            if (isset($seen[$plate])) {
                $import->refuse($number, 'plate', "{$plate} stands in line {$seen[$plate]} already.");

                continue;
            }
            $seen[$plate] = $number;
            self::line($import, $number, $row, $here->get($plate), $byName, $units);
        }

        return $import;
    }

    /**
     * @param  array<string, string>  $row  by column
     * @param  array<int|string, int>  $circuits  id by key and by name
     */
    private static function line(
        VehicleImport $import,
        int $number,
        array $row,
        ?Vehicle $here,
        array $circuits,
        UnitSystem $units,
    ): void {
        $circuit = Circuit::meant($circuits, $row['circuit']);
        // A column that is not in the file says nothing about a vehicle that is here.
        $said = array_intersect_key($row, array_flip(self::FIELDS));
        try {
            $attributes = VehicleInput::read(
                [
                    ...$row,
                    'notes' => $row['notes'] ?? $here->notes ?? '',
                    'circuit' => $circuit ?? $row['circuit'],
                    'fields' => $said,
                ],
                $units,
                $here,
            );
        } catch (ValidationException $invalid) {
            foreach ($invalid->errors() as $field => [$message]) {
                $import->refuse(
                    $number,
                    (string) $field,
                    $field === 'circuit'
                        ? 'No circuit here is '
                            ."called “{$row['circuit']}”, or more than one. Name it whole, or bring it in first."
                        : $message,
                );
            }

            return;
        }
        if (isset($row['retired'])) {
            $gone = trim($row['retired']) !== '';
            $attributes['retired_at'] = $gone ? $here->retired_at ?? now() : null;
            $why = $gone === ($here?->retired_at !== null) ? null : self::whyNotRetired($import, $here);
            if ($why !== null) {
                $import->refuse($number, 'retired', $why);

                return;
            }
        }
        $import->take($here, $attributes);
    }

    /** Through a file as through the page: by whom the house lets, and never with a job open. */
    private static function whyNotRetired(VehicleImport $import, ?Vehicle $here): ?string
    {
        $open = $here?->openJob();

        return match (true) {
            ! $import->mayRetire => Right::RetireVehicles->refusal(),
            $open !== null => "{$open->number()} is still open on it. Sign that off first.",
            default => null,
        };
    }

    /**
     * @return list<array{int, list<string>}> number and cells of every line that has any
     *
     * @throws InvalidField
     */
    private static function lines(string $text): array
    {
        $in = fopen('php://temp', 'r+') ?: throw new \RuntimeException('No memory for a file.');
        fwrite($in, $text);
        rewind($in);
        $head = (string) strtok($text, "\n");
        $between = array_reduce(
            [';', "\t"],
            fn (string $best, string $one) => substr_count($head, $one) > substr_count($head, $best) ? $one : $best,
            ',',
        );
        [$lines, $number] = [[], 1];
        while (($cells = fgetcsv($in, separator: $between, escape: '')) !== false) {
            $cells = array_map(fn (?string $cell) => Spreadsheet::meant(trim((string) $cell)), $cells);
            if (implode('', $cells) !== '') {
                $lines[] = [$number, $cells];
            }
            $number = 1 + substr_count(substr($text, 0, (int) ftell($in)), "\n");
            if (count($lines) > self::MOST_LINES + 1) {
                throw new InvalidField(
                    'file',
                    'The file has more than '.number_format(self::MOST_LINES).' vehicles. Bring it in in parts.',
                );
            }
        }

        return $lines;
    }

    /** @throws InvalidField */
    private static function decoded(string $text): string
    {
        if (strlen($text) > self::MOST_BYTES) {
            throw new InvalidField('file', 'The file is larger than 1 MB. Bring it in in parts.');
        }
        $text = str_starts_with($text, Spreadsheet::MARK) ? substr($text, strlen(Spreadsheet::MARK)) : $text;
        if (! mb_check_encoding($text, 'UTF-8')) {
            // Spreadsheets of the region write this where they do not write UTF-8.
            $text = mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
        }
        if (str_contains($text, "\0")) {
            throw new InvalidField('file', 'This is no table of text. Save it from the spreadsheet as CSV, UTF-8.');
        }

        return str_replace(["\r\n", "\r"], "\n", $text);
    }
}
