<?php

declare(strict_types=1);

namespace App\Visits;

use App\Models\Job;
use App\Models\Person;
use App\Models\Visit;
use Aqbel\Core\Plan\Complaint;
use Aqbel\Core\Plan\Plan;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;
use Aqbel\Core\Saying\Verdict;
use Aqbel\Core\Visits\DaysAfter;
use Aqbel\Core\Visits\DaysAfterCode;
use Aqbel\Core\Visits\DaysAfterWords;
use Aqbel\Core\Visits\VisitForm;
use Illuminate\Database\Eloquent\Collection;

/** The days after one job: what they say, every look, and the form of the next. */
final readonly class VisitPage
{
    public Form $form;

    public ?DaysAfter $says;

    /** @var Collection<int, Visit> */
    public Collection $visits;

    /** The one that is signed with the form; null where the look is nobody's plan. */
    public ?Visit $next;

    /** The one that is corrected with the form. */
    public ?Visit $wrong;

    public function __construct(
        public Job $job,
        public UnitSystem $units,
        public Person $reader,
        ?int $asked = null,
        ?int $correct = null,
    ) {
        $state = $job->state();
        $book = new VisitBook($job);
        $this->form = VisitForm::of($state->circuit, Plan::of($state)->rules()->vessels);
        $this->visits = $book->all();
        $this->says = $book->says($state);
        $this->wrong = $correct === null
                ? null
                : $this->visits->first(
                    fn (Visit $visit) => $visit->id === $correct && $visit->values !== null && ! $visit->isStruck(),
                );
        $due = $this->visits->filter(fn (Visit $visit) => $visit->isDue());
        $this->next = $due->firstWhere('id', $asked) ?? $due->first();
    }

    /** What a field says of the one that is corrected: as it was typed, or its code; null of a look of today. */
    public function value(Field $field): ?string
    {
        $stored = $this->wrong?->values[$field->name] ?? null;

        return $this->wrong === null
            ? null
            : $this->wrong->typed[$field->name] ?? ($stored === true ? '1' : (string) $stored);
    }

    public function verdict(): ?Verdict
    {
        return $this->says === null ? null : DaysAfterWords::of($this->says, $this->units);
    }

    /** @return list<VisitRow> done ones, the first first */
    public function rows(): array
    {
        return array_values(
            $this->visits
                ->reject(fn (Visit $visit) => $visit->isDue())
                ->map(fn (Visit $visit) => VisitRow::of($visit, $this->form))
                ->all(),
        );
    }

    /** @return array<string> what it is asked for */
    public function why(): array
    {
        return array_filter([
            match ($this->next?->asked_by) {
                'rule' => 'Booked when the record was signed.',
                'judge' => 'The last look left something open.',
                'person' => 'Somebody asked for it.',
                default => 'Nobody has booked it: it is written down all the same.',
            },
            $this->job->vehicle->inHand === null
                ? null
                : "In the shop now, with {$this->job->vehicle->inHand->number()}: looked at there.",
            $this->next === null || $this->next->watch === '' ? null : "Watch for: {$this->next->watch}.",
        ]);
    }

    /** Where a job begins for what was found. */
    public function planAddress(): string
    {
        $hot = $this->says?->code === DaysAfterCode::Alarmed;

        return '/jobs/new?'
            .http_build_query([
                'vehicle' => $this->job->vehicle_id,
                'kind' => ! $hot && $this->says?->code->isRed() === true ? 'lost' : 'bleed',
                'complaint' => ($hot ? Complaint::Overheats : Complaint::Falling)->value,
            ]);
    }
}
