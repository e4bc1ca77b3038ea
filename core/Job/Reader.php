<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/**
 * What lines tell, read once however many states of a job they stand in: the one
 * after an entry begins with the lines of the one before it.
 */
final class Reader
{
    /**
     * @var array<string, array{list<Entry>, list<Observation>}>
     * lines, and what they told, by step and kind of observation
     */
    private array $known = [];

    /**
     * @template T of Observation
     *
     * @param  string  $step  at which they stand, or whatever else tells these lines from others
     * @param  list<Entry>  $lines
     * @param  class-string<T>  $what
     * @return list<T> of those that tell of it, in their order
     */
    public function all(string $step, array $lines, string $what): array
    {
        $place = "{$step} {$what}";
        /** @var array{list<Entry>, list<T>} $known */
        $known = $this->known[$place] ?? [[], []];
        if ($known[0] === $lines) {
            return $known[1];
        }
        $same = array_slice($lines, 0, count($known[0])) === $known[0] ? count($known[0]) : 0;
        $told = $same === 0 ? [] : $known[1];
        for ($i = $same, $count = count($lines); $i < $count; $i++) {
            $one = $what::of($lines[$i]);
            if ($one !== null) {
                $told[] = $one;
            }
        }
        $this->known[$place] = [$lines, $told];

        return $told;
    }
}
