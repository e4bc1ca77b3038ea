<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Where oil gets into the coolant. */
final readonly class OilCause extends Report
{
    private const FORM = 'cause';

    private const CAUSE = 'cause';

    private const HOW = 'how';

    private const SPILT = 'spilt';

    private const UNKNOWN = 'unknown';

    private const CAUSES = [
        'oil_cooler' => 'Oil cooler', 'gearbox_cooler' => 'Gearbox oil cooler', 'head_gasket' => 'Head gasket',
        self::SPILT => 'Oil spilt into the neck', self::UNKNOWN => 'Not found yet',
    ];

    private function __construct(Told $told, private string $cause)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return $line->form === self::FORM ? new self(Told::by($line), $line->text(self::CAUSE)) : null;
    }

    public static function asked(): Form
    {
        return new Form(self::FORM, 'Record cause', [
            Field::choice(self::CAUSE, 'It is', self::CAUSES),
            Field::text(self::HOW, 'How it was shown'),
        ]);
    }

    public function wasFound(): bool
    {
        return $this->cause !== self::UNKNOWN;
    }

    public function wasSpilt(): bool
    {
        return $this->cause === self::SPILT;
    }

    /**
     * What has to be mended before the circuit is closed up: every cause that was found.
     *
     * @param  list<self>  $named
     * @return list<string> in words, each once
     */
    public static function toMend(array $named): array
    {
        $mend = array_filter($named, fn (self $cause) => $cause->wasFound() && ! $cause->wasSpilt());

        return array_values(array_unique(array_map(fn (self $cause) => $cause->label(), $mend)));
    }

    /** In words. */
    public function label(): string
    {
        return mb_strtolower(self::CAUSES[$this->cause] ?? $this->cause);
    }
}
