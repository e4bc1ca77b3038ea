<?php

declare(strict_types=1);

namespace Aqbel\Core\Plan;

use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\Kinds as KindsOfStep;
use Aqbel\Core\Job\Step;

/** What planning asks of the kinds of step, whoever they are. */
interface Kinds extends KindsOfStep
{
    public function does(Step $step, Does $what): bool;

    public function labour(Step $step, Choices $choices): Minutes;
}
