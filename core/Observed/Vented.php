<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Grave;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** A vent bolt was cracked between two runs, and shut again: what came, and how much of it was caught. */
final readonly class Vented extends Report implements Grave
{
    private const FORM = 'vented';

    public const CAME = 'came';

    private const CAUGHT = 'caught';

    private const TORQUED = 'torqued';

    private const MOST_ML = 5_000.0;

    private const COOLANT = 'coolant';

    private const AIR = 'air';

    private const WAYS = [
        self::COOLANT => 'Nothing but coolant',
        self::AIR => 'Air, then coolant',
        'nothing' => 'Nothing at all',
    ];

    private function __construct(Told $told, private string $came, public float $caughtMl)
    {
        parent::__construct($told);
    }

    public static function form(): string
    {
        return self::FORM;
    }

    public static function forms(): array
    {
        return [self::FORM];
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM
            ? new self(Told::by($line), $line->text(self::CAME), $line->number(self::CAUGHT) ?? 0.0)
            : null;
    }

    /** @param  ?string  $torque  what is ticked where it is closed by torque */
    public static function asked(?string $torque): Form
    {
        return new Form(self::FORM, 'Cracked, and shut again', [
            Field::choice(self::CAME, 'It ran', self::WAYS),
            Field::volume(self::CAUGHT, 'Caught', self::MOST_ML, false),
            $torque === null ? null : Field::check(self::TORQUED, $torque),
        ], closes: true);
    }

    public function wasOnlyCoolant(): bool
    {
        return $this->came === self::COOLANT;
    }

    /** Coolant that runs at last does not unsay the air before it. */
    public function gravity(): int
    {
        return $this->wasAir() ? 1 : 0;
    }

    public function wasAir(): bool
    {
        return $this->came === self::AIR;
    }
}
