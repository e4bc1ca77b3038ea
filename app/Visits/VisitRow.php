<?php

declare(strict_types=1);

namespace App\Visits;

use App\Models\Visit;
use Aqbel\Core\Observed\Alarm;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Visits\LevelFound;
use Aqbel\Core\Visits\Visit as Seen;

/** One look as it stands under the record. */
final readonly class VisitRow
{
    private function __construct(
        public string $day,
        public string $level,
        public string $toppedUp,
        public string $warm,
        public string $more,
        public string $by,
        public ?string $photo,
        public ?int $correct,
        public string $struck,
    ) {
    }

    public static function of(Visit $visit, Form $form): self
    {
        $values = $visit->values ?? [];
        $typed = $visit->typed ?? [];
        $more = [];
        foreach ($form->fields as $field) {
            if (
                in_array(
                    $field->name,
                    [Seen::COMPLAINT, Seen::ALARM, Seen::FREEZE, Seen::ODOMETER, Seen::HOURS, Seen::NOTE],
                    true,
                )
                && ! in_array($values[$field->name] ?? '', ['open', Alarm::None->value], true)
                && ($values[$field->name] ?? '') !== ''
            ) {
                $more[] = (string) $field->say($values[$field->name], $typed[$field->name] ?? null);
            }
        }

        return new self(
            $visit->done_at?->format('Y-m-d H:i') ?? '',
            $visit->wasSkipped()
                ? 'skipped'
                : (LevelFound::tryFrom((string) ($values[Seen::LEVEL] ?? '')) ?? LevelFound::NotLooked)->label(),
            $typed[Seen::VOLUME] ?? '–',
            $typed[Seen::CELSIUS] ?? '',
            $visit->wasSkipped() ? $visit->skipped_because : implode(' · ', $more),
            ($visit->doer->name ?? '').(($values[Seen::TOLD] ?? false) === true ? ', told by the customer' : ''),
            $visit->photo_id,
            $visit->exists && $visit->values !== null && ! $visit->isStruck() ? $visit->id : null,
            $visit->isStruck() ? "Struck out by {$visit->striker?->name}: {$visit->struck_because}" : '',
        );
    }
}
