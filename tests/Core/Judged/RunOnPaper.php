<?php

declare(strict_types=1);

namespace Tests\Core\Judged;

use Tests\Core\JobOnPaper;

/** The ambulance as it runs hot, on paper. */
trait RunOnPaper
{
    private const RUN = 'heat_cycle:1';

    /** @param  array<string, float|int|string|bool>  $start */
    private static function running(array $start = [], int $later = 900): JobOnPaper
    {
        return JobOnPaper::on('rescue-ambulance')->write(
            self::RUN,
            'start',
            ['place' => 'outdoors', 'neck' => 'sealed', ...$start],
            $later,
        );
    }

    /** @param  array<string, float|int|string|bool>  $values */
    private static function read(JobOnPaper $job, array $values, int $later = 60): JobOnPaper
    {
        return $job->write(self::RUN, 'reading', ['bubbles' => 'hidden', 'sign' => 'none', ...$values], $later);
    }
}
