<?php

declare(strict_types=1);

namespace Aqbel\Core\Job;

/** The kinds of step there are. */
interface Kinds
{
    public function of(Step $step): Kind;

    /** The kind that reads a line: that of its step, or what may be written at any step. */
    public function reading(Step $step, Entry $line): Kind;
}
