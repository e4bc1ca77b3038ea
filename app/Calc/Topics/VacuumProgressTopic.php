<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Quantity\Pressure;
use Aqbel\Core\Quantity\Volume;
use Aqbel\Core\Vacuum\VacuumProgress;

final class VacuumProgressTopic implements Topic
{
    public function name(): string
    {
        return 'vacuum-progress';
    }

    public function summary(): string
    {
        return 'how much more a vacuum fill will take, from the needle';
    }

    public function answer(Input $input): array
    {
        $air = $input->atmosphere();
        $reading = [
            $air,
            Pressure::inchesOfMercury($input->number('start_inhg', 0.1, 30)),
            Pressure::inchesOfMercury($input->number('now_inhg', 0, 30)),
            Volume::millilitres($input->number('added_ml', 1, 1_000_000)),
            Pressure::kilopascals($input->number('vapour_kpa', 0, 50, 0)),
        ];
        $resolution = Pressure::inchesOfMercury($input->number('gauge_resolution_inhg', 0, 5, 0.5));
        $middle = VacuumProgress::judge(...$reading);
        ['low' => $low, 'high' => $high] = VacuumProgress::span(...$reading, resolution: $resolution);

        return [
            'void_ml' => $middle->void->mL(),
            'void_ml_low' => $low->void->mL(),
            'void_ml_high' => $high?->void->mL(),
            'filled_fraction' => $middle->filledFraction,
            'filled_fraction_low' => $high?->filledFraction,
            'filled_fraction_high' => $low->filledFraction,
            'remaining_ml' => $middle->remaining->mL(),
            'remaining_ml_low' => $low->remaining->mL(),
            'remaining_ml_high' => $high?->remaining->mL(),
        ];
    }
}
