<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Circuit\Port;
use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** A bleed point was cracked under pressure, and shut again: what came. */
final readonly class PointCracked extends Report
{
    private const FORM = 'cracked';

    private const POINT = 'point';

    private const CAME = 'came';

    private const SOLID = 'solid';

    private const WAYS = [self::SOLID => 'Coolant alone, solid', 'air' => 'Air, then coolant', 'nothing' => 'Nothing'];

    private function __construct(Told $told, public string $point, public bool $solid)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM
            ? new self(Told::by($line), $line->text(self::POINT), $line->text(self::CAME) === self::SOLID)
            : null;
    }

    /**
     * @param  list<Port>  $ports
     * @param  ?Port  $next  that is cracked next
     */
    public static function asked(array $ports, ?Port $next): Form
    {
        $points = array_combine(
            array_map(fn (Port $port) => $port->id, $ports),
            array_map(fn (Port $port) => $port->label, $ports),
        );

        return new Form(self::FORM, 'Cracked, and shut again', [
            Field::choice(self::POINT, 'Point', $points, $next->id ?? (string) array_key_first($points)),
            Field::choice(self::CAME, 'It ran', self::WAYS),
        ]);
    }
}
