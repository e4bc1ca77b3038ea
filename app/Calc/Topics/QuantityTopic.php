<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\InvalidField;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Quantity\Typed;
use Aqbel\Core\Quantity\Unit;
use Aqbel\Core\Quantity\UnitSystem;

final class QuantityTopic implements Topic
{
    private const DIMENSIONS = [
        'volume' => Dimension::Volume, 'temperature' => Dimension::Temperature, 'vacuum' => Dimension::Pressure,
        'pressure' => Dimension::Pressure, 'torque' => Dimension::Torque, 'length' => Dimension::Length,
        'duration' => Dimension::Time, 'share' => Dimension::Fraction,
    ];

    public function name(): string
    {
        return 'quantity';
    }

    public function summary(): string
    {
        return 'a quantity as somebody typed it, understood in the core’s unit';
    }

    public function answer(Input $input): array
    {
        $what = $input->choice('dimension', array_keys(self::DIMENSIONS));
        $dimension = self::DIMENSIONS[$what];
        $system = UnitSystem::from($input->choice('system', ['metric', 'us'], 'metric'));
        $assumed = $what === 'vacuum' ? Unit::InchOfMercury : $system->unit($dimension);
        try {
            $typed = Typed::parse($input->text('text'), $assumed);
        } catch (\InvalidArgumentException $problem) {
            throw new InvalidField('text', $problem->getMessage());
        }

        return [
            'value' => $typed->base,
            'unit' => $dimension->units()[0]->value,
            'said' => $system->format($typed->base, $what === 'vacuum' ? $assumed : $dimension),
        ];
    }
}
