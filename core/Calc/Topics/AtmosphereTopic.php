<?php

declare(strict_types=1);

namespace Aqbel\Core\Calc\Topics;

use Aqbel\Core\Calc\Input;
use Aqbel\Core\Calc\Topic;

final class AtmosphereTopic implements Topic
{
    public function name(): string
    {
        return 'atmosphere';
    }

    public function summary(): string
    {
        return 'air pressure at an elevation';
    }

    public function answer(Input $input): array
    {
        return ['pressure_kpa' => $input->atmosphere()->pressure->kPa()];
    }
}
