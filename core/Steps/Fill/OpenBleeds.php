<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Job\Situation;
use Aqbel\Core\Job\Step;
use Aqbel\Core\Plan\Choices;
use Aqbel\Core\Quantity\Dimension;
use Aqbel\Core\Steps\Checklist;

/** Stage 6: every bleed point open before the first drop goes in. */
final class OpenBleeds extends Checklist
{
    public function name(): string
    {
        return 'open_bleeds';
    }

    public function title(Situation $at): string
    {
        return 'Open the bleed points';
    }

    public function why(Situation $at): string
    {
        return 'Air that has no way out when the coolant reaches it stays for good.';
    }

    public function instructions(Situation $at): array
    {
        return ['Rags and a small vessel under each point. Open them a turn or two; do not take the screws out.', 'They are closed one after the other, in the order predicted for this circuit.'];
    }

    protected function items(Situation $at): array
    {
        $items = ['heater' => 'Heater valve open, control on hot'];
        if ($at->job->plan->input->headMm > 0.0) {
            $items['funnel'] = 'High funnel sealed on the neck, surface '.$at->say($at->job->plan->input->headMm, Dimension::Length).' above it';
        }
        foreach ((array) $at->param('ports') as $port) {
            $items["port_{$port}"] = 'Open: '.$at->circuit()->port($port)->label;
        }

        return $items;
    }

    public function ports(Situation $at): array
    {
        $open = [];
        foreach (array_keys($this->ticked($at)) as $item) {
            if (str_starts_with($item, 'port_')) {
                $open[substr($item, 5)] = 'open';
            }
        }

        return $open;
    }

    public function handsOnMinutes(Step $step, Choices $input): float
    {
        return 3.0;
    }
}
