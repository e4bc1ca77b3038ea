<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\JobState;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** In how many days somebody looks at the cold level again, and what to look for. */
final readonly class FollowUpBooked extends Report
{
    private const FORM = 'booked';

    private const DAYS = 'days';

    private const NOTE = 'note';

    private const MOST_DAYS = 400.0;

    private function __construct(Told $told, public int $days, public string $watch)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        // Earlier lines hold the number as the code of a choice.
        $days = $line->number(self::DAYS) ?? (float) $line->text(self::DAYS);

        return $line->form === self::FORM
            ? new self(Told::by($line), (int) round($days), $line->text(self::NOTE))
            : null;
    }

    /** The newest of a job; null where none was booked. */
    public static function in(JobState $job): ?self
    {
        $booked = null;
        foreach ($job->stepsOf('follow_up') as $step) {
            foreach ($job->observed($step->id, self::class) as $one) {
                $booked = $one;
            }
        }

        return $booked;
    }

    public static function asked(float $usualDays): Form
    {
        return new Form(self::FORM, 'Book it', [
            Field::number(self::DAYS, 'Cold level again in, days', 1.0, self::MOST_DAYS)->preset(
                max(1.0, round($usualDays)),
            ),
            Field::text(self::NOTE, 'Watch for'),
        ]);
    }
}
