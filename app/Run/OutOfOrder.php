<?php

declare(strict_types=1);

namespace App\Run;

use Aqbel\Core\Job\JobState;
use Aqbel\Core\Quantity\UnitSystem;
use Aqbel\Core\Saying\Table;
use Aqbel\Core\Steps\StepCatalogue;

/** Lines whose time stands before that of one written earlier: whoever signs sees which. */
final class OutOfOrder
{
    /** @return list<Table> none where all run forward */
    public static function tables(JobState $state, StepCatalogue $kinds, int $now, UnitSystem $units): array
    {
        $rows = [];
        foreach ($state->journal->backwards() as $line) {
            $step = $state->steps[$line->step] ?? null;
            $rows[] = [
                $step === null ? $line->step : $kinds->of($step)->title($state->at($step, $now, $units)),
                $line->person,
                date('m-d H:i', $line->at),
                $line->arrived === null ? 'not known' : date('m-d H:i', $line->arrived),
            ];
        }

        return $rows === [] ? [] : [new Table('Not in order of time', ['Step', 'By', 'Entered', 'Arrived'], $rows)];
    }
}
