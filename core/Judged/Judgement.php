<?php

declare(strict_types=1);

namespace Aqbel\Core\Judged;

use Aqbel\Core\Job\Observation;

/**
 * What observations, facts and rules come to: a code, its numbers, and what it rests on. It has no words and knows no
 * form. Five laws hold for all of them (tests/Core/Judged/LawsTest): the first danger stands; a proof rests on an act
 * that happened; a failed test outranks “not done”; what nobody touched proves and waives nothing; the time a proof
 * needs is the server's.
 */
interface Judgement
{
    /** What is stored and compared. */
    public function code(): string;

    public function outcome(): Outcome;

    /** Whether nothing that is told afterwards takes it back. */
    public function latches(): bool;

    /** @return list<Observation> */
    public function restsOn(): array;
}
