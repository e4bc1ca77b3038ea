<?php

declare(strict_types=1);

namespace App\Library;

use App\Models\Circuit;
use Aqbel\Core\Circuit\Format\CircuitReader;

/** Ten layouts that ship with the application, to be copied and made to fit. */
final class Layouts
{
    /**
     * Stores those that are not here yet.
     *
     * @return array<string, Circuit> the ones that were stored, by key
     */
    public static function bringIn(): array
    {
        $stored = [];
        foreach (glob(database_path('demo/circuits/*.json')) ?: [] as $file) {
            $key = basename($file, '.json');
            if (Circuit::query()->where('key', $key)->doesntExist()) {
                $document = (array) json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
                $stored[$key] = Circuit::query()->create([
                    'key' => $key,
                    'revision' => 1,
                    'name' => CircuitReader::read($document)->name,
                    'document' => $document,
                ]);
            }
        }

        return $stored;
    }
}
