<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Person;
use App\Models\Practice;
use Aqbel\Core\Practice\Exercise;
use Aqbel\Core\Practice\Exercises;
use Illuminate\Support\Collection;

/** The exercises, and who has practised what. */
final readonly class PracticePage
{
    /** @param  Collection<int, Practice>  $all  the newest first */
    private function __construct(private Person $person, private Collection $all)
    {
    }

    public static function for(Person $person): self
    {
        return new self(
            $person,
            Ground::isMade()
                ? Ground::on(fn () => Practice::query()->with('person:id,name')->latest('id')->limit(1000)->get())
                : new Collection(),
        );
    }

    /** @return list<Exercise> */
    public function exercises(): array
    {
        return Exercises::all();
    }

    /** One’s own that is not ended yet. */
    public function open(Exercise $exercise): ?Practice
    {
        return $this->all->first(
            fn (Practice $practice) => $practice->exercise === $exercise->id
                && $practice->person_id === $this->person->id
                && $practice->came_to === null,
        );
    }

    /** Whether this person has done it right. */
    public function isDone(Exercise $exercise): bool
    {
        return $this->right($exercise)->contains(fn (Practice $practice) => $practice->person_id === $this->person->id);
    }

    /** @return list<string> names of all who have done it right */
    public function by(Exercise $exercise): array
    {
        return array_values($this->right($exercise)->pluck('person.name')->unique()->sort()->all());
    }

    /** @return Collection<int, Practice> */
    private function right(Exercise $exercise): Collection
    {
        return $this->all->filter(
            fn (Practice $practice) => $practice->exercise === $exercise->id
                && ($practice->came_to['right'] ?? false) === true,
        );
    }
}
