<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Observation;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Told;

/** Several kinds of thing told at one step, in the order in which they happened. */
final class InOrder
{
    /**
     * @template T of Observation
     *
     * @param  list<class-string<T>>  $kinds
     * @param  bool  $struckToo  with what was taken back since: no proof any more, and a danger all the same
     * @return list<T>
     */
    public static function of(Situation $at, array $kinds, bool $struckToo = false): array
    {
        $told = [];
        foreach ($kinds as $kind) {
            $told = Told::merged($told, $at->observed($kind));
            $told = $struckToo ? Told::merged($told, $at->job->struck($at->step->id, $kind)) : $told;
        }

        return $told;
    }
}
