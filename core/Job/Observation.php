<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/**
 * One thing that a person or an instrument reports, read from a line of the journal. One line may tell several: a
 * top-up, the level it brought, and how warm the coolant was.
 */
interface Observation
{
    /** @return list<string> the forms of line that can tell of it; none where any may */
    public static function forms(): array;

    /** What a line tells of it; null where it tells nothing of it. */
    public static function of(Entry $line): ?static;

    /**
     * What an earlier version wrote down of it, as it would be entered today.
     *
     * @param  array<mixed>  $values  by field
     * @return array<mixed>
     */
    public static function asItIsAskedNow(string $form, array $values): array;

    /** Where it stands, when it was made, by whom and how. */
    public function told(): Told;
}
