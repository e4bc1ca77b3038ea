<?php

declare(strict_types=1);

namespace App\Library;

use Aqbel\Core\Circuit\GateKind;
use Aqbel\Core\Circuit\PassageKind;
use Aqbel\Core\Circuit\PortKind;

/** The kinds the circuit format knows, for the editor's lists. */
final class Vocabulary
{
    /** @return array{passages: list<string>, gates: list<string>, ports: list<string>} */
    public static function kinds(): array
    {
        return [
            'passages' => array_column(PassageKind::cases(), 'value'),
            'gates' => array_column(GateKind::cases(), 'value'),
            'ports' => array_column(PortKind::cases(), 'value'),
        ];
    }
}
