<?php

declare(strict_types=1);

namespace Aqbel\Core\Observed;

use Aqbel\Core\Job\Entry;
use Aqbel\Core\Job\Told;
use Aqbel\Core\Saying\Field;
use Aqbel\Core\Saying\Form;

/** Somebody looked underneath after a run, while it was hot and under pressure. */
final readonly class LookedUnder extends Report
{
    private const DRY = 'dry';

    private const DRIPS = 'drips';

    private const WHERE = 'where';

    private function __construct(Told $told, public bool $drips, public string $where)
    {
        parent::__construct($told);
    }

    public static function of(Entry $line): ?static
    {
        return in_array($line->form, [self::DRY, self::DRIPS], true)
            ? new self(Told::by($line), $line->form === self::DRIPS, $line->text(self::WHERE))
            : null;
    }

    /** @return list<Form> */
    public static function asked(): array
    {
        return [
            new Form(self::DRY, 'Underneath it is dry', [], false),
            new Form(self::DRIPS, 'It drips underneath', [Field::text(self::WHERE, 'Where', true)], false),
        ];
    }
}
