<?php

declare(strict_types=1);

namespace App\Visits;

use App\Models\Person;
use App\Models\Visit;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;

/** The visits of a job that came from elsewhere: those that were made there, and none that is due here. */
final class ForeignVisits
{
    /** @return Collection<int, Visit> */
    public static function of(string $document): Collection
    {
        $told = json_decode($document, true);
        $visits = [];
        foreach (is_array($told) && is_array($told['visits'] ?? null) ? $told['visits'] : [] as $visit) {
            if (is_array($visit) && is_int($visit['done_at'] ?? null)) {
                $made = new Visit([
                    'due_on' => Carbon::createFromTimestamp($visit['done_at'])->format('Y-m-d'),
                    'asked_by' => 'person',
                    'watch' => '',
                    'done_at' => Carbon::createFromTimestamp($visit['done_at']),
                    'skipped_because' => is_string($visit['skipped_because'] ?? null) ? $visit['skipped_because'] : '',
                    'values' => is_array($visit['values'] ?? null) && $visit['values'] !== [] ? $visit['values'] : null,
                    'typed' => is_array($visit['typed'] ?? null) ? $visit['typed'] : [],
                ]);
                $struck = is_array($visit['struck'] ?? null) ? $visit['struck'] : null;
                if ($struck !== null) {
                    $made->fill([
                        'struck_at' => Carbon::createFromTimestamp(is_int($struck['at'] ?? null) ? $struck['at'] : 0),
                        'struck_because' => is_string($struck['because'] ?? null) ? $struck['because'] : '',
                    ]);
                }
                $made->setRelation(
                    'striker',
                    new Person(['name' => is_string($struck['by'] ?? null) ? $struck['by'] : '']),
                );
                $made->setRelation('doer', new Person(['name' => is_string($visit['by'] ?? null) ? $visit['by'] : '']));
                $made->setRelation('holder', null);
                $visits[] = $made;
            }
        }

        return new Collection($visits);
    }
}
