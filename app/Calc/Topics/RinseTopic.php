<?php

declare(strict_types=1);

namespace App\Calc\Topics;

use App\Calc\Input;
use App\Calc\Topic;
use Aqbel\Core\Circuit\PortKind;
use Aqbel\Core\Flow\Drainage;
use Aqbel\Core\Mixing\RinseChain;

final class RinseTopic implements Topic
{
    public function name(): string
    {
        return 'rinse';
    }

    public function summary(): string
    {
        return 'how many rinses bring the old coolant down to a share, and what one more drain would save';
    }

    public function answer(Input $input): array
    {
        $capacity = $input->number('capacity_ml', 1, 1_000_000);
        $target = $input->number('target_old_fraction', 0.0001, 1);
        $rinse = RinseChain::until($capacity, $input->number('retained_ml', 0, 1_000_000), $target);

        return ['rinses' => $rinse->rinses, 'old_fraction' => $rinse->oldFraction, 'water_ml' => $rinse->waterMl]
            + ($input->has('circuit') ? ['further' => $this->further($input, $target)] : []);
    }

    /** @return list<array<string, mixed>> the same with each further drain point opened */
    private function further(Input $input, float $target): array
    {
        $circuit = $input->circuit();
        $open = $input->names('open');
        $gates = $input->has('open_gates') ? $input->names('open_gates') : $circuit->usualGates();
        $further = [];
        foreach ($circuit->portsOf(PortKind::Drain) as $port) {
            if (! in_array($port->id, $open, true)) {
                $retained = max(0.0, Drainage::of($circuit, [...$open, $port->id], $gates)->retainedMl);
                $rinse = RinseChain::until($circuit->capacityMl(), $retained, $target);
                $further[] = [
                    'port' => $port->id,
                    'retained_ml' => $retained,
                    'rinses' => $rinse->rinses,
                    'old_fraction' => $rinse->oldFraction,
                    'water_ml' => $rinse->waterMl,
                ];
            }
        }

        return $further;
    }
}
