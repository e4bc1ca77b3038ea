<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** The kinds of step there are. */
interface Kinds
{
    public function of(Step $step): Kind;
}
