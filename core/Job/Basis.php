<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** What the fold of a job needs of the plan it follows, whatever else the plan knows. */
interface Basis
{
    /** @return list<Step> as planned, in order */
    public function steps(): array;

    /** Air in the tank above the cold mark, mL. */
    public function headspaceMl(): float;
}
