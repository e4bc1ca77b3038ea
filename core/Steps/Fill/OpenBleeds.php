<?php

declare(strict_types=1);

namespace Aqbel\Core\Steps\Fill;

use Aqbel\Core\Circuit\HeaterDrive;
use Aqbel\Core\Job\Does;
use Aqbel\Core\Job\PortState;
use Aqbel\Core\Job\Situation;
use Aqbel\Core\Steps\Checklist;

/** Stage 6: every bleed point open before the first drop goes in. */
final class OpenBleeds extends Checklist
{
    private const PORT = 'port_';

    public function name(): string
    {
        return 'open_bleeds';
    }

    protected function doing(): array
    {
        return [Does::Fills];
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
        return [
            'Rags and a small vessel under each point. Open them a turn or two; do not take the screws out.',
            'They are closed one after the other, in the order predicted for this circuit.',
        ];
    }

    public function ports(Situation $at): array
    {
        $open = [];
        foreach (array_keys($this->ticked($at)) as $item) {
            if (str_starts_with($item, self::PORT)) {
                $open[substr($item, strlen(self::PORT))] = PortState::Open;
            }
        }

        return $open;
    }

    protected function items(Situation $at): array
    {
        $items
            = $at->facts()->heaterDrive === HeaterDrive::None ? [] : ['heater' => 'Heater valve open, control on hot'];
        foreach ($at->step->params->list('ports') as $port) {
            $items[self::PORT.$port] = 'Open: '.$at->circuit()->port($port)->label;
        }

        return $items;
    }
}
