<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;

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
